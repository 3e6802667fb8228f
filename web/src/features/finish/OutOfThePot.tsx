import { Box, Flex, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { tap } from '../../api/outbox';
import { Button } from '../../ui/Button';
import { Section } from './Section';
import type { SauceInHand } from './useSauceInHand';

/** What went in and has to come out again before the plate, ticked off. */
export function OutOfThePot({ cook, hand }: { cook: Schemas['CookAnswer']; hand: SauceInHand }) {
  const things = cook.view.take_out;
  if (things.length === 0) return null;
  const strained = hand.wanted.done?.some((move) => move.kind === 'strain');
  return (
    <Section title="Out of the pot">
      <Box as="ul" listStyleType="none">
        {things.map(({ what, words, out }) => (
          <Flex as="li" key={what} gap={3} align="center" py={1} borderTopWidth="1px" borderColor="line">
            <Box flex="1">
              <Text fontWeight={600} color={out ? 'soft' : 'ink'}>
                {out && '✓ '}
                {what}
              </Text>
              {!out && <Text color="soft">{words}</Text>}
            </Box>
            {!out && (
              <Button
                onClick={() => tap(cook.id, { kind: 'taken_out', what })}
                aria-label={`It is out: ${what}`}
              >
                It is out
              </Button>
            )}
          </Flex>
        ))}
      </Box>
      {!strained && (
        <Flex gap={2} mt={2} wrap="wrap">
          <Button onClick={() => hand.add({ kind: 'strain', how: 'run' })}>Strain it clear</Button>
          <Button onClick={() => hand.add({ kind: 'strain', how: 'press' })}>Strain and press</Button>
        </Flex>
      )}
    </Section>
  );
}
