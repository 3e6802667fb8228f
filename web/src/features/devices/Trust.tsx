import { Box, Heading, Stack, Text } from '@chakra-ui/react';
import type { Keeping } from '../shell/keeping';
import { useKeeping } from '../shell/keeping';
import { Button } from '../../ui/Button';
import { Folded } from '../../ui/Folded';

/** What this browser does for the kitchen where it trusts its certificate, and what not where it does not. */
const does = (keeping: Keeping) => [
  {
    what: 'Is there without the network',
    so: keeping === 'yes',
    else:
      keeping === 'refused'
        ? 'This device does not trust the kitchen’s certificate: without the network the page does not open. One that is open goes on.'
        : 'This browser keeps no page for later. One that is open goes on without the network.',
  },
  {
    what: 'Keeps the screen awake',
    so: 'wakeLock' in navigator,
    else: 'Set the device itself to stay awake.',
  },
  {
    what: 'Notifies when the page is behind others',
    so:
      typeof Notification !== 'undefined' &&
      globalThis.isSecureContext &&
      Notification.permission !== 'denied',
    else: 'Keep the page in front: it rings and shakes there.',
  },
];

/** What works on this screen, said plainly, and the steps to more of it. */
export function Trust({ fingerprint }: { fingerprint?: string }) {
  const keeping = useKeeping();
  const all = does(keeping);
  const here = ['localhost', '127.0.0.1', '[::1]'].includes(globalThis.location.hostname);
  return (
    <Box as="section" aria-label="What works on this screen">
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        What works on this screen
      </Heading>
      <Stack as="ul" listStyleType="none" gap={1}>
        {all.map(({ what, so, else: otherwise }) => (
          <Text as="li" key={what}>
            <Text as="span" fontWeight={700}>
              {what}: {so ? 'yes' : 'no'}.
            </Text>{' '}
            {!so && otherwise}
          </Text>
        ))}
      </Stack>
      {!here && (
        <Folded title="Let this device trust the kitchen">
          <Stack gap={3}>
            <Text>
              The kitchen vouches for itself. A device that trusts it opens the page without a warning, also
              when the network is away. It vouches for addresses of your own network only.
            </Text>
            <Box>
              <Button asChild>
                <a href="/authority.crt" download="this-kitchen.crt">
                  Fetch the kitchen’s certificate
                </a>
              </Button>
            </Box>
            <Text>
              Before you trust it, compare its SHA-256 fingerprint with the one that the kitchen’s own machine
              shows under Screens{fingerprint ? ':' : '.'}
            </Text>
            {fingerprint && (
              <Text fontSize="small" fontFamily="monospace" overflowWrap="anywhere">
                {fingerprint}
              </Text>
            )}
            <Text>
              <strong>iPhone, iPad:</strong> open the file, then Settings, Profile downloaded, Install. Then
              General, About, Certificate trust settings: switch it on.
            </Text>
            <Text>
              <strong>Android:</strong> Settings, Security, Encryption and credentials, Install a certificate,
              CA certificate; choose the file.
            </Text>
            <Text>
              <strong>Laptop:</strong> open the file and add it to the certificates that this user trusts for
              websites; some browsers keep their own list in their settings.
            </Text>
          </Stack>
        </Folded>
      )}
    </Box>
  );
}
