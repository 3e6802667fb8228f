import { Box, Flex, RadioGroup, Stack, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';

type Choose = (key: string, option: { change: unknown }) => void;

/** A question on which cooks disagree: what each answer does here, the usual one and its reason. */
function School({ school, onChoose }: { school: Schemas['School']; onChoose: Choose }) {
  return (
    <Box as="section" aria-label={school.question} borderTopWidth="1px" borderColor="line" pt={3}>
      <RadioGroup.Root
        value={school.chosen}
        onValueChange={({ value }) => {
          const option = school.options.find((found) => found.id === value);
          if (option) onChoose(school.id, option);
        }}
        display="block"
      >
        <RadioGroup.Label fontWeight={700} fontSize="text" color="ink">
          {school.question}
        </RadioGroup.Label>
        <Flex gap={2} wrap="wrap" mt={2}>
          {school.options.map((option) => (
            <RadioGroup.Item
              key={option.id}
              value={option.id}
              display="block"
              flex="1 1 168px"
              maxW="320px"
              py={2}
              bg="panel"
              color="ink"
              _checked={{
                bg: 'panel',
                color: 'ink',
                borderColor: 'rim',
                boxShadow: 'inset 6px 0 0 var(--chakra-colors-rim)',
              }}
            >
              <RadioGroup.ItemHiddenInput />
              <Text fontWeight={700} lineHeight={1.25}>
                {option.words}
                {option.id === school.usual && (
                  <Text as="span" fontWeight={400} color="soft">
                    , as a rule
                  </Text>
                )}
              </Text>
              <Text fontSize="small" fontWeight={400} color="soft" lineHeight={1.3}>
                {option.effect}
              </Text>
            </RadioGroup.Item>
          ))}
        </Flex>
      </RadioGroup.Root>
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
  onChoose: Choose;
}) {
  return (
    <Stack gap={4}>
      {ids
        .flatMap((id) => all.find((school) => school.id === id) ?? [])
        .map((school) => (
          <School key={school.id} school={school} onChoose={onChoose} />
        ))}
    </Stack>
  );
}
