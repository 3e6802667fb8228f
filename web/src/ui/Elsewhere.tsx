import { Flex, Text } from '@chakra-ui/react';
import { Button } from './Button';

/** Fields in a cook's words: the last name of each path. */
const fieldWords = (paths: string[]) => [
  ...new Set(
    paths.map((path) =>
      path
        .replace(/^.*\./, '')
        .replace(/_(g|kg|l|mm|c|pct|h|min)$/, '')
        .replace(/_/g, ' '),
    ),
  ),
];

/** What another page changed while this one was open; it is kept together with what was changed here. */
export function Elsewhere({ fields, onSeen }: { fields: string[]; onSeen: () => void }) {
  return (
    <Flex role="status" gap={3} align="center" borderLeftWidth="6px" borderColor="liquid" pl={3} wrap="wrap">
      <Text fontSize="small" flex="1" minW="16rem">
        Changed on another page meanwhile, and kept with what you changed: {fieldWords(fields).join(', ')}.
      </Text>
      <Button forAll weight="quiet" onClick={onSeen}>
        Good
      </Button>
    </Flex>
  );
}
