import { Flex, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { useHands } from '../devices/hands';

/** Who has the task of now in hand, seen on every screen; taken, or let go, with a tap. */
export function InHand({
  task: { task, taken, taken_words },
  onHappened,
}: {
  task: Schemas['CookTask'];
  onHappened: (happened: Schemas['Happened']) => void;
}) {
  const hands = useHands();
  const own = taken.find((one) => one.hands === hands);
  return (
    <Flex gap={3} align="center" wrap="wrap">
      {taken_words && (
        <Text fontWeight={700} role="status">
          {taken_words}
        </Text>
      )}
      {own ? (
        <Button weight="quiet" px={2} onClick={() => onHappened({ kind: 'undone', event: own.event })}>
          Let it go
        </Button>
      ) : (
        <Button onClick={() => onHappened({ kind: 'task_taken', task: task.id, hands })}>I have it</Button>
      )}
    </Flex>
  );
}
