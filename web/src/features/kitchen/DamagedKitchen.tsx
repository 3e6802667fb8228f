import { Box, Flex, Text, chakra } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Fault, stripes } from '../../ui/states';

/** A kitchen's document that can't be read: its text as it is kept, and the ways on. */
export function DamagedKitchen({
  damaged,
  view,
}: {
  damaged: Schemas['Damaged'];
  view: Schemas['KitchenView'];
}) {
  const queries = useQueryClient();
  const goOn = useMutation({
    mutationFn: () => api.saveKitchen(view.version, view.kitchen, true),
    onSuccess: () => queries.invalidateQueries(),
  });
  return (
    <Box role="alert" borderLeftWidth="8px" css={stripes} bg="panel" px={4} py={3}>
      <Text fontWeight={700} color="caution">
        The kitchen’s document is damaged
      </Text>
      <Text my={2}>{damaged.words}. Nothing is saved over it until you say so.</Text>
      <chakra.details my={3}>
        <chakra.summary minHeight="44px" cursor="pointer">
          The document as it is kept
        </chakra.summary>
        <Box
          as="pre"
          tabIndex={0}
          aria-label="The document as it is kept"
          maxHeight="16rem"
          overflow="auto"
          whiteSpace="pre-wrap"
          overflowWrap="anywhere"
          fontSize="small"
        >
          {damaged.text}
        </Box>
      </chakra.details>
      <Flex gap={3} wrap="wrap">
        <Button disabled={goOn.isPending} onClick={() => goOn.mutate()}>
          Go on with the kitchen shown here
        </Button>
        <Button asChild>
          <a
            href={`data:text/plain;charset=utf-8,${encodeURIComponent(damaged.text)}`}
            download="kitchen-damaged.txt"
          >
            Save the document
          </a>
        </Button>
      </Flex>
      {goOn.error && <Fault error={goOn.error} />}
    </Box>
  );
}
