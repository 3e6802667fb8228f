import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { clockDay } from '../../format/time';
import { format, type Units } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Button } from '../../ui/Button';

type Props = {
  cook: Schemas['CookAnswer'];
  units: Units;
  zone: string;
  onHappened?: (...happened: Schemas['Happened'][]) => void;
};

/** What happened, the latest first; each line can be taken back, and put back. */
export function Happenings({ cook, units, zone, onHappened }: Props) {
  const now = useNow(60_000);
  const { log, status } = cook.view;
  const undoOf = (id: string) =>
    [...log]
      .reverse()
      .find(
        (line) => !line.undone && line.event.happened.kind === 'undone' && line.event.happened.event === id,
      );
  const lines = [...log].reverse().filter((line) => line.event.happened.kind !== 'undone');
  if (lines.length === 0) return null;
  return (
    <Box as="section" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        What happened
      </Heading>
      <Box as="ol" listStyleType="none">
        {lines.map(({ event, undone }) => {
          const undo = undoOf(event.id);
          return (
            <Flex
              as="li"
              key={event.id}
              gap={3}
              py={1}
              align="center"
              minHeight="44px"
              borderTopWidth="1px"
              borderColor="line"
            >
              <Text minW="5.2rem" color="soft" fontVariantNumeric="tabular-nums">
                {clockDay(event.at, zone, now)}
              </Text>
              <Text
                flex="1"
                textDecoration={undone ? 'line-through' : undefined}
                color={undone ? 'soft' : undefined}
              >
                {words(event.happened, cook, units)}
              </Text>
              {onHappened && status !== 'closed' && undone && undo && (
                <Button
                  weight="quiet"
                  fontSize="small"
                  px={2}
                  onClick={() => onHappened({ kind: 'undone', event: undo.event.id })}
                >
                  Put back
                </Button>
              )}
            </Flex>
          );
        })}
      </Box>
    </Box>
  );
}

function words(happened: Schemas['Happened'], cook: Schemas['CookAnswer'], units: Units): string {
  switch (happened.kind) {
    case 'met_heat':
      return 'The meat met the heat';
    case 'task_done': {
      const task = cook.view.tasks.find((found) => found.task.id === happened.task);
      return `Done: ${task ? task.task.what : happened.task.replaceAll('_', ' ')}`;
    }
    case 'core_reading':
      return `Middle at ${format('temperature', happened.celsius, units)}`;
    case 'check':
      return `Forked it: ${happened.found}`;
    case 'tasted':
      return `Tasted the pot: its salt is ${happened.salt}`;
    case 'liquid_added':
      return `${format('volume', happened.litres, units)} of liquid added`;
    case 'dipped':
      return `${format('volume', happened.litres, units)} in the pot, by dipstick`;
    case 'weighed':
      return `The pot has lost ${format('mass', happened.lost_kg, units)}`;
    case 'note':
      return happened.text;
    case 'closed':
      return 'Closed';
    case 'undone':
      return 'Taken back';
  }
}
