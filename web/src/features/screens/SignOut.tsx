import { Box } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api } from '../../api/client';
import { signedOut } from '../../api/reach';
import { Button } from '../../ui/Button';
import { Fault } from '../../ui/states';

/** Signs this screen out: nothing of the kitchen stays on it. */
export function SignOut() {
  const queries = useQueryClient();
  const leave = useMutation({
    mutationFn: api.signOut,
    onSuccess: () => {
      signedOut();
      queries.clear();
    },
  });
  return (
    <Box>
      <Button disabled={leave.isPending} onClick={() => leave.mutate()}>
        Sign this screen out
      </Button>
      {leave.error && <Fault error={leave.error} />}
    </Box>
  );
}
