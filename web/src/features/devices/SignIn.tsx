import { Box, Field, Flex, Input, Stack, Text } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type SyntheticEvent } from 'react';
import { api, type Schemas } from '../../api/client';
import { tryAgain } from '../../api/outbox';
import { signedIn } from '../../api/reach';
import { setRole as setMayChange } from '../../api/role';
import { Button } from '../../ui/Button';
import { PageHeading } from '../../ui/PageHeading';
import { Fault } from '../../ui/states';
import { TextField } from '../../ui/TextField';
import { RoleChoice } from './RoleChoice';
import { Trust } from './Trust';

/** The code of an invitation stands after the #: it is never sent with an address. */
const invitation = () =>
  globalThis.location.pathname === '/in' ? globalThis.location.hash.slice(1) || undefined : undefined;

/** What such a device is usually called in a kitchen. */
function usualName(): string {
  const touch = matchMedia('(pointer: coarse)').matches;
  if (!touch) return 'Laptop';
  return Math.min(screen.width, screen.height) < 600 ? 'Phone' : 'Tablet';
}

/** The way in for a screen that the kitchen does not know: by an invitation, or by the passphrase. */
export function SignIn() {
  const queries = useQueryClient();
  const [code, setCode] = useState(invitation);
  const [name, setName] = useState(usualName);
  const [passphrase, setPassphrase] = useState('');
  const [shown, setShown] = useState(false);
  const [role, setRole] = useState<Schemas['DeviceRole']>('cook');
  const enter = useMutation({
    mutationFn: api.signIn,
    onSuccess: async (screen) => {
      setMayChange(screen.role);
      signedIn();
      // What this device's cook tapped before goes on by itself.
      void tryAgain();
      setPassphrase('');
      await queries.invalidateQueries();
    },
    // An invitation holds once: what is left is the passphrase.
    onError: () => setCode(undefined),
  });
  const send = (event: SyntheticEvent) => {
    event.preventDefault();
    enter.mutate(code ? { name: name.trim(), invitation: code } : { name: name.trim(), passphrase, role });
  };
  return (
    <Box as="main" maxW="34rem" mx="auto" px={4} py={{ base: 5, md: 8 }}>
      <Flex align="center" gap={2} mb={4}>
        <img src="/mark.svg" alt="" width="44" height="44" />
        <Text fontFamily="heading" fontSize="lead" fontWeight={800}>
          Ergastic
        </Text>
      </Flex>
      <PageHeading title="Come in">
        {code ? 'You are invited in' : 'This kitchen asks who is there'}
      </PageHeading>
      <form onSubmit={send}>
        <Stack gap={5} mt={5}>
          <TextField
            forAll
            label="What is this screen called?"
            hint="So that the others see whose tap it was: Apron phone, Wall, Office."
            value={name}
            maxLength={40}
            onChange={setName}
          />
          {!code && (
            <>
              <Field.Root>
                <Field.Label>The kitchen’s passphrase</Field.Label>
                <Flex gap={2} width="100%">
                  <Input
                    type={shown ? 'text' : 'password'}
                    autoComplete="current-password"
                    value={passphrase}
                    maxLength={128}
                    onChange={(event) => setPassphrase(event.target.value)}
                  />
                  <Button forAll type="button" aria-pressed={shown} onClick={() => setShown(!shown)}>
                    {shown ? 'Hide' : 'Show'}
                  </Button>
                </Flex>
              </Field.Root>
              <RoleChoice value={role} onChange={setRole} />
            </>
          )}
          {enter.error && <Fault error={enter.error} />}
          <Button
            forAll
            type="submit"
            weight="first"
            size="large"
            disabled={enter.isPending || !name.trim() || (!code && !passphrase)}
          >
            {enter.isPending ? 'Asking …' : 'Come in'}
          </Button>
          <Text color="soft">
            The passphrase is set at the kitchen’s own machine. A screen that is in already can invite this
            one: Kitchen, then Phones, the wall, and who may enter.
          </Text>
          <Trust />
        </Stack>
      </form>
    </Box>
  );
}
