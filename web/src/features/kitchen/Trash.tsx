import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api } from '../../api/client';
import { useTrash, usePutAway } from '../../api/queries';
import { date } from '../../format/time';
import { Button } from '../../ui/Button';
import { Fault } from '../../ui/states';

/** What was put away: taken out again, or gone for good. */
export function Trash({ zone }: { zone: string }) {
  const queries = useQueryClient();
  const bin = useTrash();
  const putAway = usePutAway();
  const empty = useMutation({
    mutationFn: api.emptyTrash,
    onSettled: () => void queries.invalidateQueries(),
  });
  const things = bin.data ?? [];
  return (
    <Box as="section" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        The bin
      </Heading>
      {bin.isLoadingError && <Fault error={bin.error} retry={() => void bin.refetch()} />}
      {things.length === 0 && !bin.isLoadingError && (
        <Text color="soft">Nothing is in it. Plans and cooks that are put away wait here.</Text>
      )}
      <Box as="ul" listStyleType="none" maxW="44rem">
        {things.map(({ kind, id, name, deleted_at }) => (
          <Flex
            as="li"
            key={`${kind} ${id}`}
            align="center"
            gap={4}
            borderTopWidth="1px"
            borderColor="line"
            py={1}
          >
            <Text flex="1" minW={0}>
              {name || 'Without a name'}{' '}
              <Text as="span" color="soft">
                {kind === 'plan' ? 'a plan' : 'a cook'}, put away {date(deleted_at, zone)}
              </Text>
            </Text>
            <Button onClick={() => putAway.mutate({ kind, id, back: true })}>Take out</Button>
          </Flex>
        ))}
      </Box>
      {things.length > 0 && (
        <Flex mt={3} gap={4} align="center" wrap="wrap">
          <Button disabled={empty.isPending} onClick={() => empty.mutate()}>
            Empty the bin for good
          </Button>
          <Text color="soft" fontSize="small">
            What is emptied can only come back from a copy.
          </Text>
        </Flex>
      )}
      {[putAway, empty].map((change, i) => change.isError && <Fault key={i} error={change.error} />)}
    </Box>
  );
}
