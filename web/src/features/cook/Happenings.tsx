import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { kitchenNow, type Schemas } from '../../api/client';
import { clockDay, millis, span } from '../../format/time';
import { useNow } from '../../format/useNow';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import type { Taps } from './useTaps';

type Props = {
  cook: Schemas['CookAnswer'];
  zone: string;
  taps?: Taps;
};

/** What happened, the latest first; each line can be taken back, put back, or put at its true time. */
export function Happenings({ cook, zone, taps }: Props) {
  const now = useNow(60_000);
  const [opened, setOpened] = useState<string>();
  const { log, status } = cook.view;
  const onItsWay = (taps?.waiting ?? []).filter(
    ({ event }) => !['undone', 'retimed'].includes(event.happened.kind),
  );
  const lines = [...log].reverse();
  if (lines.length === 0 && onItsWay.length === 0) return null;
  const open = status !== 'closed' ? taps : undefined;
  return (
    <Box as="section" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        What happened
      </Heading>
      <Box as="ol" listStyleType="none">
        {onItsWay.reverse().map(({ event, refused }) => (
          <Flex
            as="li"
            key={event.id}
            gap={3}
            py={1}
            minHeight="44px"
            align="center"
            borderTopWidth="1px"
            borderColor="line"
          >
            <Text minW="5.2rem" color="soft" fontVariantNumeric="tabular-nums">
              {clockDay(event.at, zone, now)}
            </Text>
            <Text flex="1" color="soft">
              {refused ? 'Not taken by the kitchen' : 'On its way to the kitchen'}
            </Text>
          </Flex>
        ))}
        {lines.map((line) => (
          <Line
            key={line.event.id}
            {...{ line, zone, now }}
            taps={open}
            opened={opened === line.event.id}
            onOpen={() => setOpened(opened === line.event.id ? undefined : line.event.id)}
          />
        ))}
      </Box>
    </Box>
  );
}

function Line({
  line,
  zone,
  now,
  taps,
  opened,
  onOpen,
}: {
  line: Schemas['LogLine'];
  zone: string;
  now: number;
  taps?: Taps;
  opened: boolean;
  onOpen: () => void;
}) {
  const { event, undone } = line;
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line">
      <Flex gap={3} py={1} align="center" minHeight="44px">
        <Text minW="5.2rem" color="soft" fontVariantNumeric="tabular-nums">
          {clockDay(line.at, zone, now)}
          {line.corrected && (
            <Text as="span" title={`logged ${clockDay(event.at, zone, now)}`}>
              {' '}
              ✓
            </Text>
          )}
        </Text>
        <Text
          flex="1"
          textDecoration={undone ? 'line-through' : undefined}
          color={undone ? 'soft' : undefined}
        >
          {line.words}
          {event.device && (
            <Text as="span" color="soft">
              {' '}
              · {event.device}
            </Text>
          )}
        </Text>
        {taps && undone && line.undone_by && (
          <Button
            weight="quiet"
            fontSize="small"
            px={2}
            onClick={() => line.undone_by && taps.take(line.undone_by)}
          >
            Put back
          </Button>
        )}
        {taps && !undone && (
          <Button
            weight="quiet"
            fontSize="small"
            px={2}
            aria-expanded={opened}
            aria-label={`Change: ${line.words}`}
            onClick={onOpen}
          >
            Change
          </Button>
        )}
      </Flex>
      {taps && opened && !undone && <Corrected {...{ line, taps, now }} onDone={onOpen} />}
    </Box>
  );
}

/** A line put at its true time, or taken back. */
function Corrected({
  line,
  taps,
  now,
  onDone,
}: {
  line: Schemas['LogLine'];
  taps: Taps;
  now: number;
  onDone: () => void;
}) {
  const ago = Math.max(0, Math.round((now - millis(line.at)) / 60_000));
  const [minutes, setMinutes] = useState<number | undefined>(ago);
  return (
    <Flex gap={3} pb={3} align="flex-end" wrap="wrap">
      <Box width="150px">
        <NumberField label="It was so long ago" value={minutes} onChange={setMinutes} unit="min" step={5} />
      </Box>
      <Button
        disabled={minutes === undefined || minutes === ago}
        onClick={() => {
          const at = new Date(kitchenNow() - (minutes ?? ago) * 60_000).toISOString();
          taps.log({ kind: 'retimed', event: line.event.id, at });
          onDone();
        }}
      >
        {minutes === undefined ? 'Set the time' : `It was ${span(minutes)} ago`}
      </Button>
      <Button
        weight="quiet"
        onClick={() => {
          taps.take(line.event.id);
          onDone();
        }}
      >
        Take it back
      </Button>
    </Flex>
  );
}
