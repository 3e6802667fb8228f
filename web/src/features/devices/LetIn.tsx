import { Box, Flex, Image, Stack, Text } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { span } from '../../format/time';
import { Button } from '../../ui/Button';
import { Fault } from '../../ui/states';
import { RoleChoice } from './RoleChoice';

/** A picture that a phone's camera reads and is let in by, once; and the addresses for who types them. */
export function LetIn({ addresses, fingerprint }: { addresses: string[]; fingerprint?: string }) {
  const [role, setRole] = useState<Schemas['DeviceRole']>('cook');
  const invite = useMutation({ mutationFn: api.invite });
  const { data, reset } = invite;
  useEffect(() => {
    if (!data) return;
    // What no longer lets anybody in is not shown.
    const timer = setTimeout(reset, data.holds_min * 60_000);
    return () => clearTimeout(timer);
  }, [data, reset]);
  return (
    <Flex gap={6} wrap="wrap" align="flex-start">
      <Stack gap={4} flex="1" minW="18rem" maxW="34rem">
        <RoleChoice
          value={role}
          onChange={(chosen) => {
            setRole(chosen);
            reset();
          }}
        />
        <Box>
          <Button weight="first" disabled={invite.isPending} onClick={() => invite.mutate(role)}>
            {data ? 'Another invitation' : 'Invite a screen'}
          </Button>
        </Box>
        <Text>Or type one of these into its browser, and give the passphrase there:</Text>
        <Stack as="ul" listStyleType="none" gap={1}>
          {addresses.map((address) => (
            <Text as="li" key={address} fontWeight={700} fontSize="lead" overflowWrap="anywhere">
              {address}
            </Text>
          ))}
        </Stack>
        <Text color="soft">
          The browser warns once that it does not know the kitchen’s certificate. Its fingerprint:
        </Text>
        <Text fontSize="small" fontFamily="monospace" overflowWrap="anywhere">
          {fingerprint}
        </Text>
        {invite.error && <Fault error={invite.error} />}
      </Stack>
      {data && (
        <Box width="280px">
          <Image
            src={`data:image/svg+xml;utf8,${encodeURIComponent(data.picture)}`}
            alt="The invitation, for a phone’s camera"
            width="280px"
            height="280px"
            borderWidth="3px"
            borderColor="rim"
            borderRadius="14px"
          />
          <Text mt={2}>
            Point a phone’s camera at it. It lets one screen in, within {span(data.holds_min)}.
          </Text>
        </Box>
      )}
    </Flex>
  );
}
