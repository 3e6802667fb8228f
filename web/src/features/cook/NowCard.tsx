import { Box, Flex, Stack, Text, VisuallyHidden } from '@chakra-ui/react';
import { useEffect } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { clockDay, countdown, millis } from '../../format/time';
import { useNow } from '../../format/useNow';
import { Button } from '../../ui/Button';
import { Caution } from '../../ui/states';
import { ThumbBar } from '../../ui/ThumbBar';
import { Actions } from './Actions';
import { InHand } from './InHand';

type Props = {
  cook: Schemas['CookAnswer'];
  zone: string;
  onHappened: (happened: Schemas['Happened']) => void;
};

/** What a clock counts to, in words. */
export const counts = (startsIn: number, over: boolean, waits: boolean) =>
  startsIn > 0
    ? 'until it starts'
    : over
      ? 'over the time planned'
      : waits
        ? 'until the next thing'
        : 'left for it';

/** The clock of what is in hand: seconds to where it begins, or to what it counts to. */
export function clockOf(
  { from, until, waits }: { from: string; until: string; waits: boolean },
  now: number,
) {
  const startsIn = waits ? 0 : (millis(from) - now) / 1000;
  const seconds = startsIn > 0 ? startsIn : (millis(until) - now) / 1000;
  return { startsIn, seconds, over: startsIn <= 0 && seconds < 0 };
}

/** The one thing to do now, its clock largest of all; what comes next and later under it. */
export function NowCard({ cook, zone, onHappened }: Props) {
  const { view } = cook;
  const now = useNow(1000);
  const found = (id?: string | null) => view.tasks.find((one) => one.task.id === id)?.task;
  const [task, next] = [found(view.now_task), found(view.next_task)];
  // While it goes on by itself, what comes next is somebody's.
  const inHand = view.tasks.find(
    ({ task: one }) => one.id === (view.now?.waits ? view.next_task : view.now_task),
  );
  const clock = view.now ? clockOf(view.now, now) : undefined;
  const title = view.now && clock ? `${countdown(Math.abs(clock.seconds))} ${view.now.act}` : undefined;
  useEffect(() => {
    if (title) document.title = `${title} · Ergastic`;
  }, [title]);
  if (!view.now || !task || !clock) return <Over cook={cook} />;
  const { waits } = view.now;
  const later = view.tasks.find(
    ({ task: one, state }) =>
      state === 'open' &&
      one.hands_on &&
      next &&
      one.id !== next.id &&
      one.id !== task.id &&
      one.start >= next.start,
  )?.task;
  return (
    <Box borderWidth="3px" borderColor="rim" borderRadius="18px" bg="panel" p={{ base: 4, md: 6 }}>
      {/* A reader hears what there is to do when it changes, and not every second of the clock. */}
      <VisuallyHidden role="status">{view.now.act}</VisuallyHidden>
      <Flex
        direction={{ base: 'column-reverse', md: 'row' }}
        justify="space-between"
        gap={{ base: 2, md: 6 }}
        align="flex-start"
      >
        <Box flex="1" minW={0}>
          <Text color="soft" fontWeight={600}>
            {clock.startsIn > 0
              ? `At ${clockDay(task.start, zone, now)}`
              : waits
                ? 'Now: nothing for the hands'
                : 'Now'}
          </Text>
          <Text
            fontFamily="heading"
            fontSize={{ base: 'title', md: 'large' }}
            fontWeight={700}
            lineHeight={1.12}
          >
            {view.now.act}
          </Text>
          <Text mt={2} fontSize={{ base: 'text', md: 'lead' }}>
            {task.why}
          </Text>
        </Box>
        <Box textAlign={{ base: 'left', md: 'right' }} role="timer" aria-live="off">
          <Text
            fontFamily="heading"
            fontSize={{ base: 'far', md: 'across' }}
            fontWeight={700}
            lineHeight={0.95}
            letterSpacing="-0.03em"
            color={clock.over ? 'caution' : 'rim'}
            fontVariantNumeric="tabular-nums"
          >
            {countdown(Math.abs(clock.seconds))}
          </Text>
          <Text color="soft">{counts(clock.startsIn, clock.over, waits)}</Text>
        </Box>
      </Flex>
      {task.cautions.length > 0 && (
        <Stack mt={3} gap={2}>
          {task.cautions.map((caution) => (
            <Caution key={caution.id}>{caution.text}</Caution>
          ))}
        </Stack>
      )}
      <Flex mt={4} gap={4} align="center" wrap="wrap">
        {view.now.actions.length > 0 && (
          <ThumbBar>
            <Flex gap={3} wrap="wrap" css={{ '& > *': { flex: '1 1 auto' } }}>
              <Actions cook={cook.id} actions={view.now.actions} onHappened={onHappened} />
            </Flex>
          </ThumbBar>
        )}
        {next && (
          <Box>
            <Text fontSize="lead">
              <Text as="span" color="soft">
                Next {clockDay(next.start, zone, now)}:{' '}
              </Text>
              {next.what}
            </Text>
            {later && (
              <Text color="soft">
                Later {clockDay(later.start, zone, now)}: {later.what}
              </Text>
            )}
          </Box>
        )}
        {inHand && <InHand task={inHand} onHappened={onHappened} />}
      </Flex>
    </Box>
  );
}

function Over({ cook }: { cook: Schemas['CookAnswer'] }) {
  const closed = cook.view.status === 'closed';
  const leftOpen = Boolean(cook.view.left_open_since);
  return (
    <Box borderWidth="3px" borderColor="rim" borderRadius="18px" bg="panel" p={{ base: 4, md: 6 }}>
      <Text fontFamily="heading" fontSize={{ base: 'title', md: 'large' }} fontWeight={700} lineHeight={1.15}>
        {closed ? 'This cook is closed' : leftOpen ? cook.view.words : 'Everything on the sheet is done'}
      </Text>
      <Text mt={2} fontSize="lead">
        {cook.view.prediction.words}
      </Text>
      <Flex mt={4} gap={3}>
        <ThumbBar>
          <Button weight="first" size="large" asChild>
            <Link to={closed ? `/log/${cook.id}` : `/finish/${cook.id}#close`}>
              {closed ? 'See it in the log' : 'Close the cook'}
            </Link>
          </Button>
        </ThumbBar>
      </Flex>
    </Box>
  );
}
