import { Box, Flex, Heading, Stack, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useKitchen, useDevice, useDevices } from '../../api/queries';
import { Button } from '../../ui/Button';
import { PageHeading } from '../../ui/PageHeading';
import { SelectField } from '../../ui/SelectField';
import { Fault, Waiting } from '../../ui/states';
import { LetIn } from './LetIn';
import { Passphrase } from './Passphrase';
import { ProbeKeys } from './ProbeKeys';
import { SignedIn } from './SignedIn';
import { SignOut } from './SignOut';
import { Trust } from './Trust';
import { setHands, useChosenHands } from './hands';

/** The kitchen's other screens: let in, named, signed out; this one, and what works on it; the keys of probes. */
export function DevicesPlace() {
  const device = useDevice();
  if (device.isLoadingError) return <Fault error={device.error} retry={() => void device.refetch()} />;
  if (!device.data) return <Waiting height="50vh" what="Asking who is there" />;
  return (
    <Stack gap={6}>
      <Flex align="baseline" justify="space-between" gap={4} wrap="wrap">
        <PageHeading title="Screens">
          {device.data.machine ? 'Screens' : `This is ${device.data.name}`}
        </PageHeading>
        <Button asChild>
          <Link to="/wall">Show the wall</Link>
        </Button>
      </Flex>
      {device.data.role === 'cook' && <Others />}
      <Here screen={device.data} />
    </Stack>
  );
}

/** What only a screen that cooks may see and change. */
function Others() {
  const devices = useDevices();
  if (devices.isLoadingError) return <Fault error={devices.error} retry={() => void devices.refetch()} />;
  if (!devices.data) return <Waiting height="12rem" what="Asking who is there" />;
  const { addresses, authority, devices: signedIn, keys } = devices.data;
  return (
    <>
      {addresses.length > 0 ? (
        <Part title="Let another screen in">
          <LetIn addresses={addresses} fingerprint={authority?.fingerprint} />
        </Part>
      ) : (
        <Part title="Other screens can’t come in yet">
          <Text maxW="44rem">
            This kitchen answers on its own machine only. To read it on a phone or a wall, start it with the
            address of this machine on your network, and a passphrase:
          </Text>
          <Box
            as="pre"
            bg="panel"
            borderWidth="2px"
            borderColor="line"
            borderRadius="10px"
            p={3}
            mt={3}
            overflowX="auto"
          >
            ergastic passphrase{'\n'}ergastic serve --host 0.0.0.0
          </Box>
        </Part>
      )}
      <Part title="Signed in">
        <SignedIn screens={signedIn} />
      </Part>
      <Part title="Keys of probes">
        <ProbeKeys keys={keys} />
      </Part>
      <Part title="The passphrase">
        <Passphrase />
      </Part>
    </>
  );
}

/** This screen: whose hands hold it, and what works on it. */
function Here({ screen }: { screen: Schemas['ThisDevice'] }) {
  const kitchen = useKitchen();
  const devices = useDevices();
  const hands = useChosenHands();
  const named = kitchen.data?.hands.map(({ name }) => name) ?? [];
  const options = [...new Set([...named, ...(hands ? [hands] : [])])].map((name) => ({
    value: name,
    label: name,
  }));
  return (
    <Part title="This screen">
      <Stack gap={5} maxW="44rem">
        {screen.role === 'cook' && (
          <SelectField
            label="Whose hands hold it?"
            hint="“I have it” on a task says this name on every other screen. Hands get their names in Kitchen."
            value={hands}
            first={screen.machine ? (named[0] ?? 'whoever is at it') : screen.name}
            options={options}
            onChange={setHands}
          />
        )}
        <Trust fingerprint={devices.data?.authority?.fingerprint} />
        {!screen.machine && <SignOut />}
      </Stack>
    </Part>
  );
}

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <Box as="section" aria-label={title} borderTopWidth="2px" borderColor="rim" pt={3}>
    <Heading as="h2" fontFamily="heading" fontSize="lead" mb={3}>
      {title}
    </Heading>
    {children}
  </Box>
);
