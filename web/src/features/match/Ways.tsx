import { Box, Flex, Text, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { bandFrom, ReadyBand, TimeAxis } from '../../drawings/ReadyBand';
import { useWidth } from '../../drawings/useWidth';
import { inHundred, millis, span } from '../../format/time';
import { format, type Units } from '../../format/units';
import { SelectField } from '../../ui/fields';
import { BellHandle } from './BellHandle';

type Choices = Schemas['Choice'];

const HOUR = 3_600_000;

export const verdicts: Record<Schemas['Verdict'], string> = {
  fits: 'fits',
  tight: 'tight',
  too_late: 'too late',
  unsuitable: 'not for it',
};

export const sorts: { value: Schemas['Sort']; label: string }[] = [
  { value: 'surest', label: 'surest' },
  { value: 'soonest', label: 'soonest' },
  { value: 'least_work', label: 'least work' },
  { value: 'most_juice', label: 'most on the plate' },
  { value: 'richest_sauce', label: 'richest sauce' },
  { value: 'cheapest', label: 'cheapest' },
];

/** What a choice leaves beside the meat, in two words. */
export const besides = (choice: Choices, units: Units) =>
  choice.bark
    ? 'bark'
    : choice.sauce_l > 0
      ? format('volume', Number(choice.sauce_l.toFixed(1)), units)
      : 'jelly';

type Props = {
  matched: Schemas['Matched'];
  chosen: Choices;
  beside: string[];
  bell: number;
  now: number;
  zone: string;
  units: Units;
  /** The bell while it is dragged, and where it is let go. */
  onBell: (at: number, done: boolean) => void;
  onChoose: (id: string) => void;
  onSort: (sort: Schemas['Sort']) => void;
};

/** Every way at once on one time axis that runs to the bell. */
export function Ways({ matched, chosen, beside, bell, now, zone, units, onBell, onChoose, onSort }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(720);
  const [opened, setOpened] = useState<Schemas['Method']>();
  const wide = width > 620;
  const labels = wide ? 216 : 0;
  const figures = width > 780 ? 186 : 0;
  const room = width - labels - figures;
  // A bell far off: each way is drawn at its latest start, not from now. Ways in two goes may begin left of the axis.
  const farOff = bell - now > 22 * HOUR;
  const startOf = (found: Choices) =>
    farOff && found.start_by
      ? Math.max(now, millis(found.start_by)) + found.lead_min * 60_000
      : millis(found.met_heat_at);
  const ends = matched.ways.map(
    (found) => startOf(found) + Math.min(found.ready_min.p90 ?? 0, 48 * 60) * 60_000,
  );
  const from = farOff ? Math.min(...matched.ways.map(startOf)) - HOUR : now - HOUR / 6;
  const to = Math.max(bell, Math.min(Math.max(...ends), bell + 5 * HOUR)) + 0.75 * HOUR;
  const row = (found: Choices, variant: boolean) => (
    <Row
      key={found.id}
      {...{ found, variant, wide, labels, figures, room, from, to, zone, bell, now, units }}
      current={found.id === chosen.id}
      compared={beside.includes(found.id)}
      start={startOf(found)}
      onChoose={() => onChoose(found.id)}
    />
  );
  return (
    <Box minW={0}>
      <Box ref={ref} minW={0}>
        {!wide && <First sort={matched.sort} onSort={onSort} />}
        <Flex align="flex-end">
          {wide && (
            <Box width={`${labels}px`} flexShrink={0} pr={3} pb={1}>
              <First sort={matched.sort} onSort={onSort} />
            </Box>
          )}
          <Box position="relative" width={`${room}px`}>
            <TimeAxis from={from} to={to} width={room} zone={zone} bell={bell} now={now} />
            <BellHandle {...{ from, to, bell, zone, onBell }} width={room} />
          </Box>
          {figures > 0 && (
            <Flex fontSize="small" color="soft" width={`${figures}px`} flexShrink={0} pb={1}>
              {['at work', 'a head', 'beside it'].map((word) => (
                <Text key={word} width="62px" textAlign="right">
                  {word}
                </Text>
              ))}
            </Flex>
          )}
        </Flex>
        <Box role="radiogroup" aria-label="Ways of cooking it">
          {matched.ways.map((way) => {
            const inside = way.variants.some((variant) => variant.id === chosen.id);
            const open = inside || opened === way.method;
            const current = inside || chosen.id === way.id;
            return (
              <Box key={way.id}>
                {row(way, false)}
                {open && way.variants.map((variant) => row(variant, true))}
                {(current || open) && way.variants.length > 0 && !inside && (
                  <Variants way={way} open={open} onOpen={() => setOpened(open ? undefined : way.method)} />
                )}
              </Box>
            );
          })}
          {matched.two_stage.length > 0 && (
            <Text borderTopWidth="1px" borderColor="line" pt={2} pl={4} fontSize="small" color="soft">
              In two goes
            </Text>
          )}
          {matched.two_stage.map((found) => row(found, false))}
        </Box>
      </Box>
      <Text fontSize="small" color="soft" mt={3}>
        {farOff ? 'Each at its latest start. ' : 'If the work begins now. '}
        Hatched: not tender yet. Solid: eight in ten become tender between its ends. Dots: going too far if
        the heat stays on. {matched.sort_rule}
      </Text>
    </Box>
  );
}

/** What comes first: the rule by which the ways are sorted. */
function First({ sort, onSort }: { sort: Schemas['Sort']; onSort: (sort: Schemas['Sort']) => void }) {
  return (
    <SelectField label="First comes" value={sort} onChange={(next) => onSort(next as Schemas['Sort'])}>
      {sorts.map(({ value, label }) => (
        <option key={value} value={value}>
          the {label}
        </option>
      ))}
    </SelectField>
  );
}

/** Opens the other variants of a way, and names a few of them. */
function Variants({ way, open, onOpen }: { way: Schemas['Way']; open: boolean; onOpen: () => void }) {
  return (
    <chakra.button
      aria-expanded={open}
      onClick={onOpen}
      width="100%"
      minHeight="44px"
      pl={8}
      pr={3}
      textAlign="left"
      fontSize="small"
      color="rim"
      fontWeight={600}
      cursor="pointer"
      css={{ whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis' }}
    >
      {open
        ? 'Only the best of them'
        : `${way.variants.length} more: ${way.variants.map((variant) => variant.name).join(' · ')}`}
    </chakra.button>
  );
}

type RowProps = {
  found: Choices;
  variant: boolean;
  current: boolean;
  compared: boolean;
  wide: boolean;
  labels: number;
  figures: number;
  room: number;
  from: number;
  to: number;
  start: number;
  zone: string;
  bell: number;
  now: number;
  units: Units;
  onChoose: () => void;
};

function Row({
  found,
  variant,
  current,
  compared,
  wide,
  labels,
  figures,
  room,
  onChoose,
  ...band
}: RowProps) {
  const { units } = band;
  const unsuitable = found.verdict === 'unsuitable';
  const verdict = unsuitable
    ? verdicts.unsuitable
    : `${verdicts[found.verdict]}, ${inHundred(found.chance_ready)} in 100`;
  const work = span(Math.round(found.hands_on_min / 5) * 5);
  const head = format('small_mass', Math.round(found.grams_a_head / 5) * 5, units);
  return (
    <chakra.button
      role="radio"
      aria-checked={current}
      onClick={onChoose}
      display={wide ? 'flex' : 'block'}
      alignItems="center"
      width="100%"
      textAlign="left"
      cursor="pointer"
      borderTopWidth="1px"
      borderColor="line"
      bg={current ? 'panel' : 'transparent'}
      boxShadow={current ? 'inset 6px 0 0 var(--chakra-colors-rim)' : undefined}
      minHeight="64px"
      opacity={unsuitable ? 0.6 : 1}
    >
      <Box width={wide ? `${labels}px` : '100%'} flexShrink={0} pl={variant ? 8 : 4} pr={2} py={2}>
        <Text fontWeight={variant ? 500 : 700} lineHeight={1.2}>
          {found.name}
          {compared && (
            <Text as="span" color="rim" fontWeight={700}>
              {' '}
              · beside
            </Text>
          )}
        </Text>
        <Text
          fontSize="small"
          lineHeight={1.3}
          color={found.verdict === 'too_late' || found.clashes.length > 0 ? 'caution' : 'soft'}
        >
          {verdict}
          {found.clashes.length > 0 && ', not while asleep'}
          {!wide && ` · ${work} at work · ${head} a head · ${besides(found, units)}`}
        </Text>
        {variant && (
          <Text fontSize="small" color="soft" lineHeight={1.3}>
            {found.trade}
          </Text>
        )}
      </Box>
      <Box flexShrink={0} width={`${room}px`}>
        {unsuitable ? (
          <Text fontSize="small" pr={3} py={2} pl={wide ? 0 : 4}>
            {found.why}
          </Text>
        ) : (
          <ReadyBand
            {...band}
            width={room}
            ready={bandFrom(found.ready_min, band.start)}
            tooFar={bandFrom(found.too_far_min, band.start)}
            label={found.name}
          />
        )}
      </Box>
      {figures > 0 && (
        <Flex
          width={`${figures}px`}
          flexShrink={0}
          fontSize="small"
          fontWeight={600}
          fontVariantNumeric="tabular-nums"
        >
          {[work, head, besides(found, units)].map((text, i) => (
            <Text key={i} width="62px" textAlign="right">
              {text}
            </Text>
          ))}
        </Flex>
      )}
    </chakra.button>
  );
}
