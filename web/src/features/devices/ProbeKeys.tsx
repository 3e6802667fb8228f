import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { span } from '../../format/time';
import { Button } from '../../ui/Button';
import { Fault } from '../../ui/states';
import { Listed } from './Listed';
import { TextField } from '../../ui/TextField';

/** Keys that probes send their readings with from beyond the kitchen's own machine; each is shown once and can be revoked. */
export function ProbeKeys({ keys }: { keys: Schemas['KeyLine'][] }) {
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const onSettled = () => void queries.invalidateQueries({ queryKey: ['devices'] });
  const make = useMutation({ mutationFn: api.makeKey, onSettled, onSuccess: () => setName('') });
  const revoke = useMutation({ mutationFn: api.revokeKey, onSettled });
  return (
    <Stack gap={3} maxW="46rem">
      <Text color="soft">
        A hub of thermometers on the network sends with a key of its own. It lets it send and read readings,
        and nothing else.
      </Text>
      <Box as="ul" listStyleType="none">
        {keys.map(({ id, name: called, used_min }) => (
          <Listed
            key={id}
            name={called}
            stands={
              used_min == null ? 'not used yet' : used_min < 2 ? 'sends now' : `used ${span(used_min)} ago`
            }
          >
            <Button aria-label={`Revoke the key of ${called}`} onClick={() => revoke.mutate(id)}>
              Revoke
            </Button>
          </Listed>
        ))}
      </Box>
      <Flex gap={3} align="flex-end" wrap="wrap">
        <Box flex="1" minW="14rem" maxW="22rem">
          <TextField label="Name of the probe or hub" value={name} maxLength={40} onChange={setName} />
        </Box>
        <Button disabled={!name.trim() || make.isPending} onClick={() => make.mutate(name.trim())}>
          Make a key
        </Button>
      </Flex>
      {make.data && (
        <Box borderLeftWidth="4px" borderColor="rim" bg="panel" px={4} py={3} role="status">
          <Text fontWeight={700}>Write it into the hub now: it is not shown again.</Text>
          <Text fontFamily="monospace" fontSize="small" overflowWrap="anywhere" mt={1}>
            Authorization: Bearer {make.data.key}
          </Text>
        </Box>
      )}
      {[make, revoke].map((change, i) => change.isError && <Fault key={i} error={change.error} />)}
    </Stack>
  );
}
