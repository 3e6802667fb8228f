import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { clockDay, countdown, millis } from '../../format/time';
import { useNow } from '../../format/useNow';
import { Button } from '../../ui/Button';
import { Caution } from '../../ui/states';

type Props = {
  cook: Schemas['CookAnswer'];
  zone: string;
  onHappened: (...happened: Schemas['Happened'][]) => void;
  busy: boolean;
};

/** The one thing to do now, with its timer; what comes next under it. */
export function NowCard({ cook, zone, onHappened, busy }: Props) {
  const { view } = cook;
  const now = useNow(1000);
  const task = view.tasks.find((found) => found.task.id === view.now_task)?.task;
  const next = view.tasks.find((found) => found.task.id === view.next_task)?.task;
  if (view.status === 'closed' || !task) return <Over cook={cook} />;
  const waiting = ['braise', 'hold', 'rest'].includes(task.kind);
  const startsIn = waiting ? 0 : (millis(task.start) - now) / 1000;
  const until = waiting && next ? millis(next.start) : millis(task.end);
  const seconds = startsIn > 0 ? startsIn : (until - now) / 1000;
  const over = seconds < 0;
  return (
    <Box
      borderWidth="3px"
      borderColor="rim"
      borderRadius="18px"
      bg="panel"
      p={{ base: 4, md: 6 }}
      aria-live="polite"
    >
      <Flex justify="space-between" gap={4} align="flex-start" wrap="wrap">
        <Box flex="1" minW="15rem">
          <Text color="soft" fontWeight={600}>
            {startsIn > 0
              ? `At ${clockDay(task.start, zone, now)}`
              : waiting
                ? 'Now: nothing for the hands'
                : 'Now'}
          </Text>
          <Text
            fontFamily="heading"
            fontSize={{ base: 'title', md: 'large' }}
            fontWeight={700}
            lineHeight={1.15}
          >
            {task.what}
          </Text>
          <Text mt={2} fontSize={{ base: 'text', md: 'lead' }}>
            {task.why}
          </Text>
        </Box>
        <Box textAlign={{ base: 'left', md: 'right' }}>
          <Text
            fontFamily="heading"
            fontSize={{ base: 'large', md: 'far' }}
            fontWeight={700}
            lineHeight={1}
            color={over ? 'caution' : 'rim'}
            fontVariantNumeric="tabular-nums"
          >
            {countdown(Math.abs(seconds))}
          </Text>
          <Text color="soft">
            {startsIn > 0
              ? 'until it starts'
              : over
                ? 'over the time planned'
                : waiting
                  ? 'until the next thing'
                  : 'left for it'}
          </Text>
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
        {task.kind === 'simmer' && !view.met_heat_at ? (
          <Button
            weight="first"
            size="large"
            disabled={busy}
            onClick={() => onHappened({ kind: 'met_heat' })}
          >
            The meat is in: start the clock
          </Button>
        ) : task.kind === 'check' ? null : task.kind === 'sauce' || task.kind === 'skim' ? (
          <>
            <Button weight="first" size="large" asChild>
              <Link to={`/finish/${cook.id}`}>Work out the sauce</Link>
            </Button>
            <Button
              size="large"
              disabled={busy}
              onClick={() => onHappened({ kind: 'task_done', task: task.id })}
            >
              Done
            </Button>
          </>
        ) : task.kind === 'serve' ? (
          <Button weight="first" size="large" asChild>
            <Link to={`/finish/${cook.id}#close`}>Served: close the cook</Link>
          </Button>
        ) : (
          !['braise', 'hold', 'rest'].includes(task.kind) && (
            <Button
              weight="first"
              size="large"
              disabled={busy}
              onClick={() => onHappened({ kind: 'task_done', task: task.id })}
            >
              {task.kind === 'simmer' && task.lane === 'hob' ? 'It simmers' : 'Done'}
            </Button>
          )
        )}
        {view.status === 'tender' &&
          task.kind !== 'lift' &&
          !view.tasks.some((found) => found.task.kind === 'lift' && found.state === 'done') && (
            <Button
              size="large"
              disabled={busy}
              onClick={() => onHappened({ kind: 'task_done', task: 'lift' })}
            >
              Lift it now
            </Button>
          )}
        {next && (
          <Text fontSize="lead">
            <Text as="span" color="soft">
              Next {clockDay(next.start, zone, now)}:{' '}
            </Text>
            {next.what}
          </Text>
        )}
      </Flex>
    </Box>
  );
}

function Over({ cook }: { cook: Schemas['CookAnswer'] }) {
  return (
    <Box borderWidth="3px" borderColor="rim" borderRadius="18px" bg="panel" p={{ base: 4, md: 6 }}>
      <Text fontFamily="heading" fontSize={{ base: 'title', md: 'large' }} fontWeight={700} lineHeight={1.15}>
        {cook.view.status === 'closed' ? 'This cook is closed' : 'Everything on the sheet is done'}
      </Text>
      <Text mt={2} fontSize="lead">
        {cook.view.prediction.words}
      </Text>
      <Flex mt={4} gap={3}>
        <Button weight="first" size="large" asChild>
          <Link to={cook.view.status === 'closed' ? `/log/${cook.id}` : `/finish/${cook.id}#close`}>
            {cook.view.status === 'closed' ? 'See it in the log' : 'Close the cook'}
          </Link>
        </Button>
      </Flex>
    </Box>
  );
}
