import { Box, Flex, Text, chakra } from '@chakra-ui/react';
import { Suspense, lazy, useState } from 'react';
import type { Schemas } from '../../api/client';
import { bandTimes, ReadyBand, TimeAxis, workOf } from '../../drawings/ReadyBand';
import { useWidth } from '../../drawings/useWidth';
import { inHundred, millis, span } from '../../format/time';
import { format, type Units } from '../../format/units';
import { RowOf, Rows } from '../../ui/Rows';
import { OnOff } from '../../ui/OnOff';
import { SelectField } from '../../ui/SelectField';

// The bell can be dragged a moment after it is drawn.
const ServeAtHandle = lazy(async () => ({ default: (await import('./ServeAtHandle')).ServeAtHandle }));

type Choices = Schemas['Choice'];

const HOUR = 3_600_000;

export const verdicts: Record<Schemas['Verdict'], string> = {
  fits: 'fits',
  tight: 'tight',
  too_late: 'too late',
  unsuitable: 'not for it',
};

const sorts: { value: Schemas['Sort']; label: string }[] = [
  { value: 'surest', label: 'the surest first' },
  { value: 'soonest', label: 'the soonest first' },
  { value: 'least_work', label: 'least work first' },
  { value: 'most_juice', label: 'most on the plate first' },
  { value: 'richest_sauce', label: 'richest sauce first' },
  { value: 'cheapest', label: 'the cheapest first' },
];

/** What a choice leaves for a sauce, in two words. */
const sauceOf = (choice: Choices, units: Units) =>
  choice.bark
    ? 'bark'
    : choice.sauce_l > 0
      ? format('volume', Number(choice.sauce_l.toFixed(1)), units)
      : 'jelly';

type Props = {
  matched: Schemas['Matched'];
  chosen: Choices;
  beside: string[];
  serveAt: number;
  now: number;
  zone: string;
  units: Units;
  /** The bell while it is dragged, and where it is let go. */
  onServeAt: (at: number, done: boolean) => void;
  onChoose: (id: string) => void;
  onSort: (sort: Schemas['Sort']) => void;
};

/** How a way is drawn: from the bell, or as if it went in now; a way whose latest start is past is drawn from now. */
export const drawnOf = (
  found: { latest?: Schemas['DrawnHours'] | null; soonest?: Schemas['DrawnHours'] | null },
  fromNow: boolean,
) => (fromNow ? found.soonest : (found.latest ?? found.soonest)) ?? undefined;

/** From where to where the axis runs, so that all that is drawn has its place; whether time before it is folded away. */
export function axisOf(drawn: (Schemas['DrawnHours'] | undefined)[], now: number, serveAt: number) {
  const begins = Math.min(serveAt - HOUR, ...drawn.flatMap((one) => (one ? [millis(one.begins)] : [])));
  const plates = drawn.flatMap((one) => (one ? [Math.min(millis(one.plates), serveAt + 5 * HOUR)] : []));
  // A bell far off: most of the room before the first of them is folded, and the bands keep their size.
  const folded = serveAt - now > 2.2 * (serveAt - begins);
  const from = folded ? begins - 0.35 * (serveAt - begins) : now - HOUR / 6;
  return { from, to: Math.max(serveAt, ...plates) + (serveAt - from) / 40, folded };
}

/** Every way at once on one time axis that runs to the bell. */
export function Ways({
  matched,
  chosen,
  beside,
  serveAt,
  now,
  zone,
  units,
  onServeAt,
  onChoose,
  onSort,
}: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(720);
  const [opened, setOpened] = useState<Schemas['Method']>();
  const [fromNow, setFromNow] = useState(false);
  const wide = width > 620;
  const labels = wide ? 216 : 0;
  const figures = width > 780 ? 186 : 0;
  const room = width - labels - figures;
  const shown = matched.ways.filter((way) => way.verdict !== 'unsuitable');
  const { from, to, folded } = axisOf(
    shown.map((way) => drawnOf(way, fromNow)),
    now,
    serveAt,
  );
  const row = (found: Choices, variant: boolean) => (
    <Row
      key={found.id}
      {...{ found, variant, wide, labels, figures, room, from, to, zone, serveAt, now, units }}
      drawn={drawnOf(found, fromNow)}
      current={found.id === chosen.id}
      compared={beside.includes(found.id)}
    />
  );
  return (
    <Box minW={0}>
      <Flex align="flex-end" gap={{ base: 3, md: 5 }} mb={1}>
        <Box width={{ base: '160px', md: '212px' }} flexShrink={0}>
          <SelectField label="Sort by" value={matched.sort} options={sorts} onChange={onSort} />
        </Box>
        <OnOff label="If it went in now" on={fromNow} onChange={setFromNow} />
      </Flex>
      <Box ref={ref} minW={0}>
        <Flex align="flex-end">
          {wide && <Box width={`${labels}px`} flexShrink={0} />}
          <Box position="relative" width={`${room}px`}>
            <TimeAxis
              from={from}
              to={to}
              width={room}
              zone={zone}
              serveAt={serveAt}
              now={now}
              folded={folded}
            />
            <Suspense>
              <ServeAtHandle {...{ from, to, serveAt, zone, onServeAt }} width={room} />
            </Suspense>
          </Box>
          {figures > 0 && (
            <Flex fontSize="small" color="soft" width={`${figures}px`} flexShrink={0} pb={1}>
              {['hands', 'a head', 'sauce'].map((word) => (
                <Text key={word} width="62px" textAlign="right">
                  {word}
                </Text>
              ))}
            </Flex>
          )}
        </Flex>
        <Rows label="Ways of cooking it" value={chosen.id} onChange={onChoose}>
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
        </Rows>
      </Box>
      <Text fontSize="small" color="soft" mt={3}>
        {fromNow
          ? 'As if the work began now. '
          : 'Each at its latest sure start; the white before it is room. '}
        Green: hands, before the heat and from lifting (▲) to the plates. Hatched: not tender yet. Solid:
        eight in ten become tender between its ends. {matched.sort_rule}
      </Text>
    </Box>
  );
}

/** Opens the other variants of a way, and names a few of them. */
function Variants({ way, open, onOpen }: { way: Schemas['MatchedWay']; open: boolean; onOpen: () => void }) {
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
  drawn: Schemas['DrawnHours'] | undefined;
  variant: boolean;
  current: boolean;
  compared: boolean;
  wide: boolean;
  labels: number;
  figures: number;
  room: number;
  from: number;
  to: number;
  zone: string;
  serveAt: number;
  now: number;
  units: Units;
};

function Row({
  found,
  drawn,
  variant,
  current,
  compared,
  wide,
  labels,
  figures,
  room,
  units,
  ...axis
}: RowProps) {
  const unsuitable = found.verdict === 'unsuitable';
  const verdict = unsuitable
    ? verdicts.unsuitable
    : `${verdicts[found.verdict]}, ${inHundred(found.chance_ready)} in 100`;
  const slack = found.slack_min >= 10 ? `, ${span(Math.round(found.slack_min / 5) * 5)} of room` : '';
  const work = span(Math.round(found.hands_on_min / 5) * 5);
  const head = format('small_mass', Math.round(found.grams_a_head / 5) * 5, units);
  return (
    <RowOf
      value={found.id}
      display={wide ? 'flex' : 'block'}
      alignItems="center"
      minHeight="64px"
      opacity={unsuitable ? 0.6 : 1}
      bg={current ? 'panel' : undefined}
    >
      <Box width={wide ? `${labels}px` : '100%'} flexShrink={0} pl={variant ? 8 : 4} pr={2} py={2}>
        <Text fontWeight={variant ? 500 : 700} lineHeight={1.2}>
          {found.name}
          {compared && (
            <Text as="span" color="rim" fontWeight={700}>
              {' '}
              · compared
            </Text>
          )}
        </Text>
        <Text
          fontSize="small"
          lineHeight={1.3}
          color={found.verdict === 'too_late' || found.clashes.length > 0 ? 'caution' : 'soft'}
        >
          {verdict}
          {found.clashes.length > 0 ? ', not while asleep' : slack}
          {!wide && !unsuitable && ` · hands ${work} · ${head} a head`}
        </Text>
        {variant && (
          <Text fontSize="small" color="soft" lineHeight={1.3}>
            {found.trade}
          </Text>
        )}
      </Box>
      <Box flexShrink={0} width={`${room}px`}>
        {unsuitable || !drawn ? (
          <Text fontSize="small" pr={3} py={2} pl={wide ? 0 : 4}>
            {found.why}
          </Text>
        ) : (
          <ReadyBand
            {...axis}
            width={room}
            start={millis(drawn.on_the_heat)}
            ready={bandTimes(drawn.ready)}
            tooFar={bandTimes(drawn.overcooked)}
            work={workOf(drawn)}
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
          {[
            ['hands', work],
            ['head', head],
            ['sauce', sauceOf(found, units)],
          ].map(([of, text]) => (
            <Text key={of} width="62px" textAlign="right">
              {text}
            </Text>
          ))}
        </Flex>
      )}
    </RowOf>
  );
}
