import { Box, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type Kitchen, type Schemas } from '../../api/client';
import { useAppend, usePutAway } from '../../api/queries';
import { bandTimes, ReadyBand, TimeAxis } from '../../drawings/ReadyBand';
import { SliceOfPiece } from '../../drawings/SliceOfPiece';
import { TendernessBar } from '../../drawings/TendernessBar';
import { useWidth } from '../../drawings/useWidth';
import { about, clockDay, millis, span } from '../../format/time';
import { type Units } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Because } from '../../ui/Because';
import { Button } from '../../ui/Button';
import { Fault, Waiting } from '../../ui/states';
import { whyAddress } from '../why/state';
import { Happenings } from './Happenings';
import { LogIt } from './LogIt';
import { NowCard } from './NowCard';
import { useCookInHand } from './useCookInHand';

/** Now, next and later, readable across the kitchen; the band moves with what is found. */
export function CookPlace() {
  const { cookId, cook, kitchen } = useCookInHand();
  if (cook.isLoadingError && cookId)
    return <CantBeShown id={cookId} error={cook.error} retry={() => void cook.refetch()} />;
  if (kitchen.isLoadingError) return <Fault error={kitchen.error} retry={() => void kitchen.refetch()} />;
  if (!cook.data || !kitchen.data) return <Waiting height="60vh" what="Lifting the lid" />;
  return <CookOf cook={cook.data} kitchen={kitchen.data} stale={cook.isError} key={cookId} />;
}

/** A cook that can't be worked out or read: the others go on without it. */
function CantBeShown({ id, error, retry }: { id: string; error: unknown; retry: () => void }) {
  const navigate = useNavigate();
  const putAway = usePutAway(() => void navigate('/log'));
  return (
    <Fault error={error} retry={retry}>
      <Button onClick={() => putAway.mutate({ kind: 'cook', id })}>Put this cook away</Button>
      <Button asChild>
        <Link to="/cook">The other cooks</Link>
      </Button>
    </Fault>
  );
}

type Of = { cook: Schemas['CookAnswer']; kitchen: Kitchen; stale: boolean };

function CookOf({ cook, kitchen, stale }: Of) {
  const { view } = cook;
  const { units, zone } = kitchen;
  const append = useAppend(cook.id);
  const log = (...happened: Schemas['Happened'][]) => append.mutate(happened);
  const last = [...view.log].reverse().find((line) => !line.undone && line.event.happened.kind !== 'undone');
  const undo = () => last && log({ kind: 'undone', event: last.event.id });
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName);
      if (!typing && !event.ctrlKey && !event.metaKey && event.key.toLowerCase() === 'u') undo();
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  });
  const ahead = millis(cook.now);
  return (
    <Grid
      templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 340px' }}
      gap={{ base: 5, lg: 7 }}
      pb={24}
    >
      <Stack gap={5} minW={0}>
        {stale && (
          <Text role="alert" color="caution" fontWeight={600}>
            The kitchen does not answer just now; this is how it stood at {clockDay(cook.now, zone, ahead)}.
          </Text>
        )}
        <NowCard cook={cook} zone={zone} onHappened={log} busy={append.isPending} />
        {append.isError && <Fault error={append.error} />}
        <Band cook={cook} zone={zone} />
        <Grid templateColumns={{ base: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' }} gap={5}>
          {view.tenderness && view.tenderness.length === 3 && (
            <Box as="section" aria-label="How tender it is">
              <Heading as="h2" fontFamily="heading" fontSize="lead">
                How tender by now
              </Heading>
              <TendernessBar
                tenderness={view.tenderness as [number, number, number]}
                goal={view.goal as [number, number]}
              />
            </Box>
          )}
          <InsideNow cook={cook} units={units} />
        </Grid>
      </Stack>
      <Stack gap={5}>
        {view.status !== 'closed' && (
          <LogIt cook={cook} units={units} onHappened={log} busy={append.isPending} />
        )}
        <Because rule={<Rule view={view} />} why={whyAddress(cook.plan.forecast, cook.plan.name)}>
          <Text>{view.words}</Text>
        </Because>
        <Happenings cook={cook} units={units} zone={zone} onHappened={log} />
      </Stack>
      {last && (
        <Box position="fixed" right={{ base: 3, md: 6 }} bottom={{ base: 3, md: 6 }} zIndex={3}>
          <Button onClick={undo} disabled={append.isPending} aria-keyshortcuts="u">
            Undo {nameOf(last.event.happened)}
          </Button>
        </Box>
      )}
    </Grid>
  );
}

/** What an event is called when it is taken back. */
export function nameOf(happened: Schemas['Happened']): string {
  switch (happened.kind) {
    case 'met_heat':
      return 'the start of the clock';
    case 'task_done':
      return `“${happened.task.replaceAll('_', ' ')} done”`;
    case 'core_reading':
      return 'the reading';
    case 'check':
      return `the check (${happened.found})`;
    case 'tasted':
      return `the taste (${happened.salt})`;
    case 'liquid_added':
      return 'the liquid added';
    case 'dipped':
      return 'the dip';
    case 'weighed':
      return 'the weighing';
    case 'note':
      return 'the note';
    case 'closed':
      return 'closing it';
    case 'undone':
      return 'the undo';
  }
}

function Band({ cook, zone }: { cook: Schemas['CookAnswer']; zone: string }) {
  const { ref, width } = useWidth<HTMLDivElement>(720);
  const { view, plan } = cook;
  const now = useNow(15_000);
  const bell = millis(plan.bell);
  const start = millis(view.met_heat_at ?? view.planned_met_heat_at);
  const ready = bandTimes(view.band.ready);
  const closed = view.status === 'closed';
  const from = start - 20 * 60_000;
  const to = Math.max(bell, millis(view.serve_at), ready.p90 ?? 0) + 40 * 60_000;
  const checks = view.log.filter((line) => !line.undone && line.event.happened.kind === 'check');
  const marks = [
    ...checks.map((line) => ({ at: millis(line.event.at), word: 'check' })),
    ...(view.tender_at ? [{ at: millis(view.tender_at), word: 'tender' }] : []),
  ];
  return (
    <Box as="section" aria-label="When it is tender" ref={ref}>
      <TimeAxis from={from} to={to} width={width} zone={zone} bell={bell} now={closed ? undefined : now} />
      <ReadyBand
        from={from}
        to={to}
        width={width}
        zone={zone}
        start={start}
        bell={bell}
        now={closed ? undefined : now}
        ready={ready}
        tooFar={bandTimes(view.band.too_far)}
        ghost={view.findings > 0 ? bandTimes(view.foretold.ready) : undefined}
        marks={marks}
        label={plan.name}
      />
      <Text fontSize="small" color="soft">
        {view.findings > 0 ? 'Dashed: the band before anything was found. ' : ''}
        {view.tender_at
          ? `Found tender at ${about(view.tender_at, zone)}.`
          : 'Thick ink line: a look you logged.'}
      </Text>
    </Box>
  );
}

function InsideNow({ cook, units }: { cook: Schemas['CookAnswer']; units: Units }) {
  const now = useNow(30_000);
  const { view } = cook;
  const worked = useQuery({
    queryKey: ['preview', cook.plan.forecast],
    queryFn: ({ signal }) => api.preview(cook.plan, signal),
    staleTime: Infinity,
  });
  const forecast = worked.data?.forecast;
  if (!view.met_heat_at) return null;
  const until = view.status === 'closed' && view.tender_at ? millis(view.tender_at) : now;
  const minute = (until - millis(view.met_heat_at)) / 60_000;
  return (
    <Box as="section" aria-label="Inside the piece now">
      <Heading as="h2" fontFamily="heading" fontSize="lead">
        Inside, after {span(minute)}
      </Heading>
      {forecast?.inside ? (
        <SliceOfPiece
          inside={forecast.inside}
          enough={forecast.enough_tender_h / forecast.resistance}
          units={units}
          at={minute}
          height={150}
        />
      ) : (
        <Waiting height={150} what="Cutting it open" />
      )}
      <Text fontSize="small" color="soft">
        The median piece, as planned.
      </Text>
    </Box>
  );
}

function Rule({ view }: { view: Schemas['CookView'] }) {
  return (
    <>
      <Text>
        A thousand cooks were simulated before it began. Each reading and check weighs them by how well they
        foretold it; {Math.round(view.effective)} still carry weight after {view.findings}{' '}
        {view.findings === 1 ? 'finding' : 'findings'}.
      </Text>
      <Text>{view.prediction.words}</Text>
    </>
  );
}
