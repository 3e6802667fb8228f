import { Field, Flex, Input, Stack, Text } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type SyntheticEvent } from 'react';
import { api } from '../../api/client';
import { useDevice } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Fault } from '../../ui/states';

/** Another passphrase: every other screen then signs in anew. */
export function Passphrase() {
  const queries = useQueryClient();
  const device = useDevice();
  const [before, setBefore] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const set = useMutation({
    mutationFn: api.setPassphrase,
    onSuccess: () => {
      setBefore('');
      setPassphrase('');
      void queries.invalidateQueries({ queryKey: ['devices'] });
    },
  });
  const asksBefore = device.data?.machine === false;
  const send = (event: SyntheticEvent) => {
    event.preventDefault();
    set.mutate({ passphrase, ...(asksBefore && { before }) });
  };
  return (
    <form onSubmit={send}>
      <Stack gap={3} maxW="34rem">
        {asksBefore && (
          <Secret label="The one of now" value={before} onChange={setBefore} complete="current-password" />
        )}
        <Secret label="A new one" value={passphrase} onChange={setPassphrase} complete="new-password" />
        <Text color="soft">
          Four or five words that do not belong together. Every other screen signs in anew.
        </Text>
        <Flex gap={3} align="center" wrap="wrap">
          <Button type="submit" disabled={set.isPending || !passphrase || (asksBefore && !before)}>
            Set the passphrase
          </Button>
          {set.isSuccess && <Text role="status">It is set.</Text>}
        </Flex>
        {set.error && <Fault error={set.error} />}
      </Stack>
    </form>
  );
}

function Secret({
  label,
  value,
  onChange,
  complete,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  complete: string;
}) {
  return (
    <Field.Root>
      <Field.Label>{label}</Field.Label>
      <Input
        type="password"
        autoComplete={complete}
        value={value}
        maxLength={128}
        onChange={(event) => onChange(event.target.value)}
      />
    </Field.Root>
  );
}
