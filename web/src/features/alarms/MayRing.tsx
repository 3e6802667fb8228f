import { Box, Flex, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { allowRinging, keepQuiet, ring } from './sounds';
import { useKeepsQuiet, useMayRing } from './useAlarms';

const sounds: { sound: Schemas['Sound']; words: string }[] = [
  { sound: 'work', words: 'Something to do' },
  { sound: 'look', words: 'A look is due' },
  { sound: 'trouble', words: 'Trouble' },
];

const notices = () => (typeof Notification === 'undefined' ? 'none' : Notification.permission);

/** Whether this page may ring and notify, said plainly, with the test. */
export function MayRing({ awake }: { awake: string }) {
  const may = useMayRing();
  const quiet = useKeepsQuiet();
  const [allowed, setAllowed] = useState(notices);
  useEffect(() => {
    // A page that was tapped before may have its sound already.
    if ('userActivation' in navigator && navigator.userActivation.hasBeenActive) void allowRinging();
  }, []);
  return (
    <Box as="section" aria-label="Alarms" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Text fontFamily="heading" fontSize="lead" fontWeight={700} mb={1}>
        Alarms
      </Text>
      <Text color={may === 'yes' ? undefined : 'caution'} fontWeight={may === 'yes' ? 400 : 600}>
        {quiet
          ? 'This screen keeps quiet: it shows what is due and does not ring.'
          : may === 'yes'
            ? 'This page rings when something is due.'
            : may === 'never'
              ? 'This browser makes no sound: keep the screen in sight.'
              : 'This page is silent: the browser lets it ring only after a tap on it.'}
      </Text>
      <Flex gap={2} wrap="wrap" mt={2}>
        {may === 'not yet' && (
          <Button forAll weight="first" onClick={() => void allowRinging().then(() => ring('work'))}>
            Let it ring, and hear it
          </Button>
        )}
        {may === 'yes' &&
          !quiet &&
          sounds.map(({ sound, words }) => (
            <Button key={sound} forAll onClick={() => ring(sound)} fontSize="small" px={3}>
              Hear: {words}
            </Button>
          ))}
        <Button forAll onClick={() => keepQuiet(!quiet)} fontSize="small" px={3}>
          {quiet ? 'Let this screen ring' : 'Keep this screen quiet'}
        </Button>
        {allowed === 'default' && (
          <Button
            forAll
            onClick={() => void Notification.requestPermission().then(setAllowed)}
            fontSize="small"
            px={3}
          >
            Notify me when the page is behind others
          </Button>
        )}
      </Flex>
      <Text fontSize="small" color="soft" mt={2}>
        {allowed === 'denied' ? 'The browser lets this page send no notices. ' : ''}
        {awake}
      </Text>
    </Box>
  );
}
