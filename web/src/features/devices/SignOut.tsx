import { Flex, Stack, Text } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../api/client';
import { forgetEverything } from '../../api/leaving';
import { tryAgain, useOutbox } from '../../api/outbox';
import { signedOut } from '../../api/reach';
import { setRole } from '../../api/role';
import { Button } from '../../ui/Button';
import { Fault } from '../../ui/states';

/** Signs this device out: nothing of the kitchen stays on it. Taps that have not come yet are sent or let go, as its cook says. */
export function SignOut() {
  const waiting = useOutbox().length;
  const [asks, setAsks] = useState(false);
  const leave = useMutation({
    mutationFn: async (send: boolean) => {
      if (send && !(await tryAgain())) return false;
      await api.signOut();
      return true;
    },
    onSuccess: (gone) => {
      if (!gone) return;
      forgetEverything();
      setRole(undefined);
      signedOut();
    },
  });
  const taps = waiting === 1 ? 'One tap has' : `${waiting} taps have`;
  return (
    <Stack gap={3} align="flex-start">
      {asks && waiting > 0 ? (
        <>
          <Text role="status">{taps} not reached the kitchen yet. Send or forget?</Text>
          <Flex gap={3} wrap="wrap">
            <Button forAll weight="first" disabled={leave.isPending} onClick={() => leave.mutate(true)}>
              Send, then sign out
            </Button>
            <Button forAll disabled={leave.isPending} onClick={() => leave.mutate(false)}>
              Forget and sign out
            </Button>
          </Flex>
          {leave.data === false && (
            <Text color="caution">They can’t be sent now. Try again, or forget them.</Text>
          )}
        </>
      ) : (
        <Button
          forAll
          disabled={leave.isPending}
          onClick={() => (waiting > 0 ? setAsks(true) : leave.mutate(false))}
        >
          Sign this screen out
        </Button>
      )}
      {leave.error && <Fault error={leave.error} />}
    </Stack>
  );
}
