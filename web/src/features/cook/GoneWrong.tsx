import { Box, Flex, Stack, Text, chakra } from '@chakra-ui/react';
import { useGoneWrong } from '../../api/queries';
import type { Schemas } from '../../api/client';
import { Caution, Fault, Waiting } from '../../ui/states';
import { Actions } from './Actions';

/** What may have gone wrong, the likely first and open; two lines each, from this very pot. */
export function GoneWrong({
  cook,
  onHappened,
}: {
  cook: Schemas['CookAnswer'];
  onHappened: (happened: Schemas['Happened']) => void;
}) {
  const found = useGoneWrong(cook);
  if (found.isLoadingError) return <Fault error={found.error} retry={() => void found.refetch()} />;
  if (!found.data) return <Waiting height={300} what="Working it out for this pot" />;
  if (found.data.length === 0)
    return (
      <Text color="soft">
        Once the meat is over the heat, this says what to do when something goes wrong.
      </Text>
    );
  return (
    <Stack gap={0}>
      {found.data.map((trouble) => (
        <chakra.details
          key={trouble.id}
          open={trouble.likely}
          borderTopWidth="1px"
          borderColor="line"
          css={{ '&[open] > summary': { color: 'var(--chakra-colors-ink)' } }}
        >
          <chakra.summary
            minHeight="52px"
            display="flex"
            alignItems="center"
            gap={3}
            cursor="pointer"
            fontSize="lead"
            fontWeight={700}
            color="rim"
          >
            {trouble.name}
            {trouble.likely && (
              <Text as="span" color="caution" fontSize="small">
                it looks so
              </Text>
            )}
          </chakra.summary>
          <Box pb={4}>
            <Text>{trouble.first}</Text>
            <Text mt={1}>{trouble.then}</Text>
            <Stack gap={2} mt={2}>
              {trouble.cautions.map((caution) => (
                <Caution key={caution.id}>{caution.text}</Caution>
              ))}
            </Stack>
            <Flex gap={3} mt={3} wrap="wrap">
              <Actions cook={cook.id} actions={trouble.actions} onHappened={onHappened} plain />
            </Flex>
          </Box>
        </chakra.details>
      ))}
    </Stack>
  );
}
