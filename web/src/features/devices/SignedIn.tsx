import { Box, Text } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas } from '../../api/client';
import { span } from '../../format/time';
import { Button } from '../../ui/Button';
import { Fault } from '../../ui/states';
import { Listed } from './Listed';

const does: Record<Schemas['DeviceRole'], string> = { cook: 'cooks', look: 'looks only' };

/** The screens that are signed in; each, or all others, signed out with a tap. */
export function SignedIn({ screens }: { screens: Schemas['DeviceLine'][] }) {
  const queries = useQueryClient();
  const onSettled = () => void queries.invalidateQueries({ queryKey: ['devices'] });
  const one = useMutation({ mutationFn: api.signOneOut, onSettled });
  const all = useMutation({ mutationFn: api.signAllOut, onSettled });
  const others = screens.filter(({ here }) => !here);
  if (screens.length === 0) return <Text color="soft">No other screen is in.</Text>;
  return (
    <Box maxW="46rem">
      <Box as="ul" listStyleType="none">
        {screens.map(({ id, name, role, seen_min, here }) => (
          <Listed
            key={id}
            name={name}
            stands={`${does[role]}, ${here ? 'this very one' : seen_min < 2 ? 'here now' : `seen ${span(seen_min)} ago`}`}
          >
            {!here && (
              <Button aria-label={`Sign ${name} out`} disabled={one.isPending} onClick={() => one.mutate(id)}>
                Sign out
              </Button>
            )}
          </Listed>
        ))}
      </Box>
      {others.length > 1 && (
        <Button mt={3} disabled={all.isPending} onClick={() => all.mutate()}>
          Sign all others out
        </Button>
      )}
      {[one, all].map((change, i) => change.isError && <Fault key={i} error={change.error} />)}
    </Box>
  );
}
