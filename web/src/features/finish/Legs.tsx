import { Box, Flex, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { span } from '../../format/time';
import { Button } from '../../ui/Button';
import { Caution } from '../../ui/states';
import type { SauceInHand } from './useSauceInHand';

/** The path in words: what was done, the next thing with its button, and what comes after it. */
export function Legs({ hand, sauce }: { hand: SauceInHand; sauce: Schemas['Sauce'] }) {
  const done = sauce.path.filter((leg) => leg.done).length;
  const next = sauce.path.findIndex((leg) => !leg.done && leg.min > 0);
  return (
    <Box as="section" aria-label="What to do">
      <Box as="ol" listStyleType="none">
        {sauce.path.map((leg, i) => {
          const place = i - done;
          const first = i === next;
          return (
            <Flex
              as="li"
              key={i}
              gap={4}
              align="center"
              wrap="wrap"
              borderTopWidth={first ? '3px' : '1px'}
              borderColor={first ? 'rim' : 'line'}
              py={3}
            >
              <Box flex="1" minW="14rem">
                <Text
                  fontSize={first ? 'title' : 'lead'}
                  fontFamily={first ? 'heading' : undefined}
                  fontWeight={leg.done ? 400 : 600}
                  lineHeight={1.2}
                  color={leg.done ? 'soft' : 'ink'}
                >
                  {leg.done && '✓ '}
                  {leg.words}
                </Text>
                {!leg.done && <Text color="soft">{leg.why}</Text>}
              </Box>
              {!leg.done && (
                <Text color="soft" whiteSpace="nowrap" fontVariantNumeric="tabular-nums">
                  {span(leg.min)}
                </Text>
              )}
              {!leg.done && (
                <Flex gap={1}>
                  {place > 0 && (
                    <Button
                      weight="quiet"
                      onClick={() => hand.sooner(place)}
                      aria-label={`Sooner: ${leg.words}`}
                    >
                      ↑
                    </Button>
                  )}
                  <Button
                    weight="quiet"
                    onClick={() => hand.take(place)}
                    aria-label={`Leave out: ${leg.words}`}
                  >
                    Leave out
                  </Button>
                  <Button
                    weight={first ? 'first' : 'plain'}
                    size={first ? 'large' : 'normal'}
                    onClick={() => hand.done(place)}
                    aria-label={`Done: ${leg.words}`}
                  >
                    Done
                  </Button>
                </Flex>
              )}
            </Flex>
          );
        })}
      </Box>
      {sauce.warnings.length > 0 && (
        <Box mt={3} display="grid" gap={2}>
          {sauce.warnings.map((warning) => (
            <Caution key={warning.id}>{warning.text}</Caution>
          ))}
        </Box>
      )}
    </Box>
  );
}
