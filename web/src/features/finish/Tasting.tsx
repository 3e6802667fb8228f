import { Box, Flex, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Section } from './Section';
import type { SauceInHand } from './useSauceInHand';

/** Taste, then decide: what helps against what was found, from this pot's own figures, and what makes it worse. */
export function Tasting({ hand, sauce }: { hand: SauceInHand; sauce: Schemas['Sauce'] }) {
  const found = sauce.tastes.find((one) => one.taste === hand.wanted.taste);
  return (
    <Section title="Taste, then decide">
      <Choice
        label="With a clean spoon, it tastes"
        value={hand.wanted.taste ?? 'right'}
        options={sauce.tastes.map(({ taste, name }) => ({ value: taste, label: name }))}
        // A path that was bent by hand stays as it was bent.
        onChange={(taste) => hand.choose({ taste, moves: hand.wanted.moves })}
      />
      {found && (
        <Box mt={3}>
          <Text>{found.reads}</Text>
          <Box as="ul" listStyleType="none" mt={2}>
            {found.helps.map(({ words, move }) => (
              <Flex as="li" key={words} gap={3} align="center" py={1} borderTopWidth="1px" borderColor="line">
                <Text flex="1">{words}</Text>
                {move && (
                  <Button onClick={() => hand.add(move)} aria-label={`Put it in the path: ${words}`}>
                    Do that
                  </Button>
                )}
              </Flex>
            ))}
          </Box>
          <Text mt={2} color="caution">
            <Text as="span" fontWeight={700}>
              Makes it worse:{' '}
            </Text>
            {found.worse}
          </Text>
        </Box>
      )}
    </Section>
  );
}
