import { Box, Flex, Stack, Text, chakra } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';

/** A question on which cooks disagree: what each answer does here, the usual one and its reason. */
export function School({
  school,
  onChoose,
}: {
  school: Schemas['School'];
  onChoose: (option: string) => void;
}) {
  return (
    <Box as="section" aria-label={school.question} borderTopWidth="1px" borderColor="line" pt={3}>
      <Text fontWeight={700}>{school.question}</Text>
      <Flex gap={2} wrap="wrap" mt={2} role="radiogroup" aria-label={school.question}>
        {school.options.map((option) => {
          const chosen = option.id === school.chosen;
          return (
            <chakra.button
              key={option.id}
              role="radio"
              aria-checked={chosen}
              onClick={() => onChoose(option.id)}
              flex="1 1 168px"
              maxW="320px"
              textAlign="left"
              px={3}
              py={2}
              minHeight="44px"
              cursor="pointer"
              borderWidth="2px"
              borderRadius="10px"
              borderColor={chosen ? 'rim' : 'line'}
              bg="panel"
              boxShadow={chosen ? 'inset 6px 0 0 var(--chakra-colors-rim)' : undefined}
            >
              <Text fontWeight={700} lineHeight={1.25}>
                {option.words}
                {option.id === school.usual && (
                  <Text as="span" fontWeight={400} color="soft">
                    , as a rule
                  </Text>
                )}
              </Text>
              <Text fontSize="small" color="soft" lineHeight={1.3}>
                {option.effect}
              </Text>
            </chakra.button>
          );
        })}
      </Flex>
      <Text fontSize="small" color="soft" mt={2}>
        {school.reason}
      </Text>
    </Box>
  );
}

/** Those of the schools that belong to one bench. */
export function Schools({
  all,
  ids,
  onChoose,
}: {
  all: Schemas['School'][];
  ids: string[];
  onChoose: (school: string, option: string) => void;
}) {
  return (
    <Stack gap={4}>
      {ids
        .flatMap((id) => all.find((school) => school.id === id) ?? [])
        .map((school) => (
          <School key={school.id} school={school} onChoose={(option) => onChoose(school.id, option)} />
        ))}
    </Stack>
  );
}
