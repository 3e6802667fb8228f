import { Flex, Text } from '@chakra-ui/react';
import { Trash2 } from 'lucide-react';
import type { Schemas } from '../api/client';
import { usePutAway } from '../api/queries';
import { Button } from './Button';
import { Fault } from './states';

export type Away = { kind: Schemas['DeletedKind']; id: string; name: string };

/** Puts a plan or a cook in the bin. */
export function PutAway({ thing, onAway }: { thing: Away; onAway: (thing: Away) => void }) {
  const putAway = usePutAway(() => onAway(thing));
  return (
    <>
      <Button
        weight="quiet"
        px={2}
        aria-label={`Put ${thing.name || 'it'} away`}
        title="Put away"
        disabled={putAway.isPending}
        onClick={() => putAway.mutate(thing)}
      >
        <Trash2 size={20} />
      </Button>
      {putAway.isError && <Fault error={putAway.error} />}
    </>
  );
}

/** What was put away last, and the way back. */
export function TakeBack({ thing, onBack }: { thing: Away | undefined; onBack: () => void }) {
  const putAway = usePutAway(onBack);
  if (!thing) return null;
  return (
    <Flex
      role="status"
      align="center"
      gap={4}
      wrap="wrap"
      bg="panel"
      borderLeftWidth="4px"
      borderColor="rim"
      px={4}
      py={2}
    >
      <Text>{thing.name || 'What could not be read'} is in the bin.</Text>
      <Button onClick={() => putAway.mutate({ ...thing, back: true })}>Take it back</Button>
      {putAway.isError && <Fault error={putAway.error} />}
    </Flex>
  );
}
