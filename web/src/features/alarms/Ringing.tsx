import { Box, Flex, Text, chakra } from '@chakra-ui/react';
import { Link } from 'react-router';
import { tap } from '../../api/outbox';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { stripes } from '../../ui/states';
import { allowRinging } from './sounds';
import { useDue, useMayRing, useRinging, type Due } from './useAlarms';

/** So many are shown under the first: who answers those is shown the others. */
const MORE = 2;

/** What rings, above every place, until somebody answers; on every screen, and answered on one it is silent on all. */
export function Ringing() {
  const due = useDue();
  useRinging(due);
  if (due.length === 0) return null;
  const [first, ...rest] = due;
  const shown = rest.slice(0, MORE);
  return (
    <Box
      role="alert"
      className="no-print"
      bg="panel"
      borderBottomWidth="3px"
      borderColor="rim"
      borderLeftWidth="12px"
      css={first?.alarm.sound === 'trouble' ? stripes : undefined}
      px={{ base: 4, md: 6 }}
      py={3}
    >
      {first && <One due={first} large />}
      {shown.map((one) => (
        <One key={`${one.cook}${one.alarm.id}`} due={one} />
      ))}
      {rest.length > shown.length && (
        <Text color="soft">And {rest.length - shown.length} more after these.</Text>
      )}
      <Silent />
    </Box>
  );
}

function One({ due: { cook, dish, alarm }, large = false }: { due: Due; large?: boolean }) {
  const answer = ({ happened }: Schemas['Action']) => {
    // The tap that answers is also one that lets the page ring.
    void allowRinging();
    if (happened) tap(cook, happened);
  };
  return (
    <Flex gap={large ? 2 : 4} align="center" wrap="wrap" py={large ? 1 : 2}>
      <Box flex={large ? '1 1 100%' : '1'} minW="16rem">
        <Text color={alarm.sound === 'trouble' ? 'caution' : 'soft'} fontWeight={700}>
          <chakra.a asChild textDecoration="underline" textUnderlineOffset="4px">
            <Link to={`/cook/${cook}`}>{dish}</Link>
          </chakra.a>
        </Text>
        <Text fontFamily="heading" fontSize={large ? 'title' : 'lead'} fontWeight={700} lineHeight={1.15}>
          {alarm.words}
        </Text>
        {large && <Text>{alarm.why}</Text>}
      </Box>
      <Flex gap="8px" wrap="wrap">
        <Button weight="first" size={large ? 'large' : 'normal'} onClick={() => answer(alarm.hear)}>
          {alarm.hear.words}
        </Button>
        {(large ? alarm.later : alarm.later.slice(0, 1)).map((later) => (
          <Button key={later.id} onClick={() => answer(later)} fontSize="small" px={3}>
            {later.words}
          </Button>
        ))}
      </Flex>
    </Flex>
  );
}

/** That the browser holds the sound back, and the way to let it go. */
function Silent() {
  const may = useMayRing();
  if (may === 'yes') return null;
  return (
    <Flex gap={3} align="center" wrap="wrap" mt={1}>
      <Text color="caution" fontWeight={600}>
        {may === 'never'
          ? 'This browser makes no sound: watch the screen.'
          : 'This should ring, but the browser holds the sound back until the page is tapped.'}
      </Text>
      {may === 'not yet' && (
        <Button forAll onClick={() => void allowRinging()}>
          Let it ring
        </Button>
      )}
    </Flex>
  );
}
