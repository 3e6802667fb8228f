import { Box, Flex, Text } from '@chakra-ui/react';
import { PutAway, type Away } from './PutAway';
import { stripes } from './states';

/** Something that is kept and can't be shown: why, and the way to be rid of it. Nothing else suffers by it. */
export function Broken({ thing, why, onAway }: { thing: Away; why: string; onAway: (thing: Away) => void }) {
  return (
    <Box borderLeftWidth="8px" css={stripes} bg="panel" pl={4} pr={2} py={2} my={2}>
      <Flex align="center" gap={3}>
        <Box flex="1" minW={0}>
          <Text fontWeight={600}>
            {thing.name || (thing.kind === 'plan' ? 'A plan without a name' : 'A cook without a name')}{' '}
            <Text as="span" color="caution" fontWeight={700}>
              can’t be shown
            </Text>
          </Text>
          <Text color="soft" fontSize="small" overflowWrap="anywhere">
            {why}. It is kept as it is, and goes out with the whole kitchen.
          </Text>
        </Box>
        <PutAway thing={thing} onAway={onAway} />
      </Flex>
    </Box>
  );
}
