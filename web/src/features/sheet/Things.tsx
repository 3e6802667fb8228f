import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { clockDay } from '../../format/time';

const as: Record<Schemas['TakenAs'], string> = {
  pot: 'to stand in',
  heat: 'for its heat',
  pan: 'to sear in',
  burner: 'under the pan, then the pot',
};

/** Which things of the kitchen the dish takes, and from when to when. */
export function Things({ sheet, now }: { sheet: Schemas['MealSheet']; now: number }) {
  const { zone } = sheet;
  if (sheet.things.length === 0) return null;
  return (
    <Box as="section" aria-label="Things it takes" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Things it takes
      </Heading>
      <Box as="ul" listStyleType="none">
        {sheet.things.map(({ thing, name, taken_as, from, to }) => (
          <Flex
            as="li"
            key={`${thing}${taken_as}${from}`}
            columnGap={3}
            justify="space-between"
            wrap="wrap"
            py={1}
          >
            <Text>
              <strong>{name}</strong> {as[taken_as]}
            </Text>
            <Text color="soft" fontVariantNumeric="tabular-nums">
              {clockDay(from, zone, now)} to {clockDay(to, zone, now)}
            </Text>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}
