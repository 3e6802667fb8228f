import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { colour } from '../../theme/system';
import { span } from '../../format/time';
import { format } from '../../format/units';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { Picture } from '../../drawings/Picture';
import { useWidth } from '../../drawings/useWidth';
import type { BenchProps, Plan } from './bench';

/** The end of the cook with what goes in when: done and mush for each, and what comes out again. */
export function LaterBench({ plan, prepared, units, setBench }: BenchProps & { plan: Plan }) {
  const { dish, offers } = prepared;
  const later = plan.prepare?.later ?? [];
  const nameOf = (what: Schemas['Addition']) =>
    offers.later.find((offer) => offer.what === what)?.name ?? what;
  const free = offers.later.filter((offer) => !later.some((thing) => thing.what === offer.what));
  const { ref, width } = useWidth<HTMLDivElement>(720);
  const end = prepared.hours * 60;
  const shown = Math.min(end, Math.max(30, ...prepared.later.map((thing) => thing.before_end_min + 8)));
  const over = 30;
  const left = width > 520 ? 190 : 112;
  const x = (minute: number) => left + ((minute - (end - shown)) / (shown + over)) * (width - left - 8);
  const rows = prepared.later;
  const height = 40 + Math.max(1, rows.length) * 46;
  return (
    <Stack gap={4}>
      <div ref={ref}>
        <Picture
          width={width}
          height={height}
          label={rows
            .map((thing) => `${thing.name}: in ${Math.round(thing.before_end_min)} min before the end`)
            .join('; ')}
        >
          <path d={`M${x(end)},26 V${height}`} stroke={colour('rim')} strokeWidth="4" />
          <text
            x={x(end)}
            y="18"
            textAnchor="middle"
            fill={colour('rim')}
            style={{ fontSize: 14, fontWeight: 700 }}
          >
            meat done, {span(Math.round(end / 5) * 5)}
          </text>
          {rows.map((thing, i) => {
            const y = 40 + i * 46;
            const mush = Math.min(end + over, thing.at_min + thing.mush_min);
            return (
              <g key={thing.what}>
                <text
                  x={left - 12}
                  y={y + 14}
                  textAnchor="end"
                  fill={colour('ink')}
                  style={{ fontSize: 14, fontWeight: 700 }}
                >
                  {nameOf(thing.what)}
                </text>
                <text
                  x={left - 12}
                  y={y + 31}
                  textAnchor="end"
                  fill={colour('soft')}
                  style={{ fontSize: 14 }}
                >
                  {thing.before_end_min > 0
                    ? `in ${Math.round(thing.before_end_min)} min before`
                    : 'at the plate'}
                </text>
                <rect
                  x={x(thing.at_min)}
                  y={y + 6}
                  width={Math.max(2, x(end) - x(thing.at_min))}
                  height="20"
                  fill="none"
                  stroke={colour('hands')}
                  strokeWidth="2.5"
                  rx="4"
                />
                <rect
                  x={x(end)}
                  y={y + 6}
                  width={Math.max(2, x(mush) - x(end))}
                  height="20"
                  fill={colour('hands')}
                  opacity="0.8"
                  rx="4"
                />
              </g>
            );
          })}
          {rows.length === 0 && (
            <text x={8} y={56} fill={colour('soft')} style={{ fontSize: 16 }}>
              Nothing goes in later yet.
            </text>
          )}
        </Picture>
      </div>
      {later.map((thing, at) => {
        const told = prepared.later.find((found) => found.what === thing.what);
        return (
          <Flex
            key={thing.what}
            gap={3}
            align="center"
            wrap="wrap"
            borderTopWidth="1px"
            borderColor="line"
            pt={2}
          >
            <Text fontWeight={700} minW="9rem">
              {nameOf(thing.what)}
            </Text>
            <Box width="120px">
              <NumberField
                label={`How much ${nameOf(thing.what)}`}
                hideLabel
                value={thing.g}
                unit={units === 'us' ? 'oz' : 'g'}
                factor={units === 'us' ? 1 / 28.3495 : 1}
                step={units === 'us' ? 2 : 50}
                onChange={(g) =>
                  g &&
                  setBench('later', { later: later.map((other, i) => (i === at ? { ...other, g } : other)) })
                }
              />
            </Box>
            <Text fontSize="small" color="soft" flex="1" minW="14rem">
              {told &&
                `done after ${Math.round(told.done_min)} min, mush after ${Math.round(told.mush_min)}: ${told.words}`}
            </Text>
            <Button
              weight="quiet"
              aria-label={`Leave ${nameOf(thing.what)} out`}
              onClick={() => setBench('later', { later: later.filter((_, i) => i !== at) })}
            >
              take out
            </Button>
          </Flex>
        );
      })}
      <Box maxW="260px">
        <SelectField
          label="Put in later"
          value=""
          first="potatoes, dumplings …"
          options={free.map((offer) => ({ value: offer.what, label: offer.name }))}
          onChange={(what) => {
            const offer = free.find((found) => found.what === what);
            if (offer) setBench('later', { later: [...later, { what: offer.what, g: offer.g }] });
          }}
        />
      </Box>
      {prepared.take_out.length > 0 && (
        <Box as="section" aria-label="Comes out again" borderTopWidth="2px" borderColor="rim" pt={3}>
          <Text fontWeight={700} mb={1}>
            Comes out again
          </Text>
          <Stack as="ul" gap={1} listStyleType="none">
            {prepared.take_out.map((thing) => (
              <Text as="li" key={thing.what} fontSize="small">
                <strong>{thing.what}</strong>: {thing.words}
              </Text>
            ))}
          </Stack>
        </Box>
      )}
      <Text fontSize="small" color="soft">
        Outlined: on the way to done. Solid: done, until it is mush. Weighed as it goes in; for {dish.people}{' '}
        about {format('small_mass', offers.later[0]?.g ?? 0, units)} of each.
      </Text>
    </Stack>
  );
}
