import { Box, Flex, Heading, Stack, Text } from '@chakra-ui/react';
import { Suspense, lazy } from 'react';
import { useProbes } from '../../api/queries';
import type { Schemas } from '../../api/client';
import { clockDay } from '../../format/time';
import { format, type Units } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Button } from '../../ui/Button';
import { Waiting } from '../../ui/states';

const LoggerFile = lazy(async () => ({ default: (await import('./LoggerFile')).LoggerFile }));

type Log = (happened: Schemas['Happened']) => void;

/** Where a tip can be, as the button that puts it there says it. */
const places: { into: Schemas['ProbeIn']; words: string; is: string }[] = [
  { into: 'meat', words: 'In the middle of the meat', is: 'in the meat' },
  { into: 'pot', words: 'In the liquid', is: 'in the liquid' },
  { into: 'air', words: 'In the oven’s or pit’s air', is: 'in the air' },
  { into: 'aside', words: 'Not here', is: 'put aside' },
];

/** The probes of this cook with what they say of themselves, and those that are heard and belong to none of its places yet. */
export function Probes({
  cook,
  zone,
  units,
  onHappened,
}: {
  cook: Schemas['CookAnswer'];
  zone: string;
  units: Units;
  onHappened: Log;
}) {
  const now = useNow(10_000);
  const seen = useProbes();
  const own = cook.view.probes;
  const others = (seen.data ?? []).filter((probe) => !own.some((one) => one.probe === probe.name));
  return (
    <Stack gap={4}>
      {own.map((probe) => (
        <Box key={probe.probe} borderTopWidth="1px" borderColor="line" pt={3}>
          <Flex gap={4} align="baseline" wrap="wrap">
            <Text fontSize="title" fontFamily="heading" fontWeight={700} fontVariantNumeric="tabular-nums">
              {probe.celsius == null ? '–' : format('temperature', probe.celsius, units)}
            </Text>
            <Box flex="1" minW="12rem">
              <Text fontWeight={700}>
                {probe.probe}, {places.find((place) => place.into === probe.into)?.is}
              </Text>
              <Text color={strange(probe) ? 'caution' : 'soft'} fontWeight={strange(probe) ? 600 : 400}>
                {probe.words} {probe.at ? `Read at ${clockDay(probe.at, zone, now)}.` : ''}
              </Text>
            </Box>
          </Flex>
          <Put
            probe={probe.probe}
            but={strange(probe) ? undefined : probe.into}
            again={strange(probe) ? probe.into : undefined}
            onHappened={onHappened}
          />
        </Box>
      ))}
      {others.length > 0 && (
        <Heading as="h2" fontSize="text" fontWeight={700}>
          Heard, and not in this cook
        </Heading>
      )}
      {others.map((probe) => (
        <Box key={probe.name} borderTopWidth="1px" borderColor="line" pt={3}>
          <Text>
            <Text as="span" fontWeight={700}>
              {probe.name}
            </Text>{' '}
            reads {format('temperature', probe.celsius, units)}, at {clockDay(probe.at, zone, now)}
          </Text>
          <Put probe={probe.name} but="aside" onHappened={onHappened} />
        </Box>
      ))}
      {own.length === 0 && others.length === 0 && (
        <Text color="soft">
          No probe has been heard yet. One that sends its readings here appears by itself; a logger’s file can
          be brought in below.
        </Text>
      )}
      <Suspense fallback={<Waiting height={60} what="A logger’s file" />}>
        <LoggerFile />
      </Suspense>
    </Stack>
  );
}

const strange = (probe: Schemas['ProbeNow']) => probe.trust !== 'steady' && probe.trust !== 'settling';

function Put({
  probe,
  but,
  again,
  onHappened,
}: {
  probe: string;
  /** Where it is. */
  but?: Schemas['ProbeIn'];
  /** Where it should be, and may be again. */
  again?: Schemas['ProbeIn'];
  onHappened: Log;
}) {
  return (
    <Flex gap={2} wrap="wrap" mt={2} role="group" aria-label={`Where ${probe} is`}>
      {places
        .filter(({ into }) => into !== but)
        .map(({ into, words }) => (
          <Button
            key={into}
            fontSize="small"
            px={3}
            weight={into === again ? 'first' : 'plain'}
            onClick={() => onHappened({ kind: 'probe_put', probe, into })}
          >
            {into === again ? `It is back: ${words.toLowerCase()}` : words}
          </Button>
        ))}
    </Flex>
  );
}
