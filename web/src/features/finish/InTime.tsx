import { Box, Flex, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { stripes } from '../../ui/states';
import type { SauceInHand } from './useSauceInHand';

/** The sauce would come after the bell: what would be quicker, each with where it ends. */
export function InTime({ time, hand }: { time: Schemas['InTime']; hand: SauceInHand }) {
  if (!time.short) return null;
  return (
    <Box role="status" borderLeftWidth="8px" pl={4} py={2} css={stripes} bg="panel">
      <Text fontSize="lead" fontWeight={700}>
        {time.words}
      </Text>
      <Box as="ul" listStyleType="none" mt={1}>
        {time.quicker.map((way) => (
          <Flex as="li" key={way.words} gap={3} align="center" wrap="wrap" py={1}>
            <Text flex="1" minW="14rem">
              {way.words}
              <Text as="span" color="soft">
                {' '}
                ({way.ends})
              </Text>
            </Text>
            <Button onClick={() => hand.choose(way.choices)} aria-label={`Do that: ${way.words}`}>
              Do that
            </Button>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}
