import { Box, Flex, Text } from '@chakra-ui/react';
import { span } from '../../format/time';
import { format, type Units } from '../../format/units';
import type { Prepared } from './bench';

type Line = { word: string; was: string; now: string };

const about = (minutes: number | null | undefined) =>
  minutes == null ? 'never' : span(Math.round(minutes / 5) * 5);

/** What has become of the dish since the version it is compared with: only what a cook would notice. */
export function differences(before: Prepared, now: Prepared, units: Units): Line[] {
  const litres = (l: number) => format('volume', Number(l.toFixed(2)), units);
  const all: Line[] = [
    {
      word: 'tender',
      was: `${about(before.forecast.ready_min.p10)} to ${about(before.forecast.ready_min.p90)}`,
      now: `${about(now.forecast.ready_min.p10)} to ${about(now.forecast.ready_min.p90)}`,
    },
    {
      word: 'liquid in',
      was: litres(before.pot?.liquid_l ?? 0),
      now: litres(now.pot?.liquid_l ?? 0),
    },
    { word: 'lost as steam', was: litres(before.pot?.loss_l ?? 0), now: litres(now.pot?.loss_l ?? 0) },
    {
      word: 'salt in the liquid',
      was: format('strength', before.salt.liquid_g_per_kg ?? 0, units),
      now: format('strength', now.salt.liquid_g_per_kg ?? 0, units),
    },
    {
      word: 'at the pan',
      was: before.sear.batches ? `${Math.round(before.sear.min)} min` : 'none',
      now: now.sear.batches ? `${Math.round(now.sear.min)} min` : 'none',
    },
    {
      word: 'on the plates',
      was: format('mass', Number(before.plate_kg.toFixed(1)), units),
      now: format('mass', Number(now.plate_kg.toFixed(1)), units),
    },
    {
      word: 'body',
      was: format('small_mass', Math.round(before.forecast.gelatin_g ?? 0), units),
      now: format('small_mass', Math.round(now.forecast.gelatin_g ?? 0), units),
    },
  ];
  return all.filter((line) => line.was !== line.now);
}

/** The difference from the version compared with, one line for each thing. */
export function Difference({ lines }: { lines: Line[] }) {
  if (lines.length === 0)
    return (
      <Text fontSize="small" color="soft">
        Nothing is different yet.
      </Text>
    );
  return (
    <Box as="ul" listStyleType="none" fontSize="small" aria-label="What is different">
      {lines.map((line) => (
        <Flex
          as="li"
          key={line.word}
          justify="space-between"
          gap={3}
          py="5px"
          borderBottomWidth="1px"
          borderColor="line"
        >
          <Text color="soft">{line.word}</Text>
          <Text textAlign="right" fontVariantNumeric="tabular-nums">
            <Text as="span" color="soft" textDecoration="line-through">
              {line.was}
            </Text>{' '}
            <strong>{line.now}</strong>
          </Text>
        </Flex>
      ))}
    </Box>
  );
}
