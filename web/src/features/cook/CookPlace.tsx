import { Box, Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Suspense, lazy } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { api, type Kitchen, type Schemas } from '../../api/client';
import { usePutAway } from '../../api/queries';
import { CourseOfCook } from '../../drawings/CourseOfCook';
import { bandTimes, ReadyBand, TimeAxis } from '../../drawings/ReadyBand';
import { SliceOfPiece } from '../../drawings/SliceOfPiece';
import { TendernessBar } from '../../drawings/TendernessBar';
import { useWidth } from '../../drawings/useWidth';
import { about, clockDay, millis, span } from '../../format/time';
import { type Units } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Because } from '../../ui/Because';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { PageHeading } from '../../ui/PageHeading';
import { Fault, Waiting } from '../../ui/states';
import { MayRing } from '../alarms/MayRing';
import { useAwake } from '../alarms/useAwake';
import { whyOf } from '../why/address';
import { Happenings } from './Happenings';
import { LogIt } from './LogIt';
import { NowCard } from './NowCard';
import { useCookInHand } from './useCookInHand';
import { useTaps } from './useTaps';

const WhatIf = lazy(async () => ({ default: (await import('./WhatIf')).WhatIf }));
const GoneWrong = lazy(async () => ({ default: (await import('./GoneWrong')).GoneWrong }));
const Probes = lazy(async () => ({ default: (await import('./Probes')).Probes }));

/** Now, next and later, readable across the kitchen; the band moves with what is found. */
export function CookPlace() {
  const { cookId, cook, kitchen } = useCookInHand();
  const failed = cook.isLoadingError ? cook : kitchen.isLoadingError ? kitchen : undefined;
  if (failed)
    return (
      <>
        <PageHeading title="Cook" srOnly />
        {failed === cook && cookId ? (
          <CantBeShown id={cookId} error={cook.error} retry={() => void cook.refetch()} />
        ) : (
          <Fault error={failed.error} retry={() => void failed.refetch()} />
        )}
      </>
    );
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

const shows = [
  { value: 'inside', label: 'How tender' },
  { value: 'what-if', label: 'What if now' },
  { value: 'wrong', label: 'Gone wrong' },
  { value: 'probes', label: 'Probes' },
] as const;
type Shows = (typeof shows)[number]['value'];

function CookOf({ cook, kitchen, stale }: Of) {
  const { view } = cook;
  const { units, zone } = kitchen;
  const taps = useTaps(cook);
  const awake = useAwake();
  const [asked, ask] = useSearchParams();
  const shown: Shows = shows.find(({ value }) => value === asked.get('show'))?.value ?? 'inside';
  const span = useSpanOf(cook);
  const closed = view.status === 'closed';
  return (
    <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 340px' }} gap={{ base: 5, lg: 7 }}>
      <Stack gap={5} minW={0}>
        <PageHeading title={`Cook ${cook.plan.name}`} srOnly />
        {stale && (
          <Text role="alert" color="caution" fontWeight={600}>
            The kitchen does not answer just now; this is how it stood at{' '}
            {clockDay(cook.now, zone, millis(cook.now))}.
          </Text>
        )}
        {cook.unread && (
          <Text role="alert" color="caution" fontWeight={600}>
            {cook.unread}
          </Text>
        )}
        <NowCard cook={cook} zone={zone} onHappened={taps.log} />
        <Band cook={cook} zone={zone} units={units} span={span} />
        {!closed && (
          <Choice
            label="Shown below"
            hideLabel
            value={shown}
            options={shows}
            onChange={(show) => ask({ show }, { replace: true, preventScrollReset: true })}
          />
        )}
        {shown === 'inside' && (
          <Grid templateColumns={{ base: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' }} gap={5}>
            {view.tenderness && (
              <Box as="section" aria-label="How tender it is">
                <Heading as="h2" fontFamily="heading" fontSize="lead">
                  How tender by now
                </Heading>
                <TendernessBar tenderness={view.tenderness} goal={view.goal} />
              </Box>
            )}
            <InsideNow cook={cook} units={units} />
          </Grid>
        )}
        <Suspense fallback={<Waiting height={300} what="Working it out" />}>
          {!closed && shown === 'what-if' && <WhatIf {...{ cook, zone, ...span }} onHappened={taps.log} />}
          {!closed && shown === 'wrong' && <GoneWrong cook={cook} onHappened={taps.log} />}
          {!closed && shown === 'probes' && <Probes {...{ cook, zone, units }} onHappened={taps.log} />}
        </Suspense>
      </Stack>
      <Stack gap={5}>
        {!closed && <LogIt asks={view.asks} units={units} onHappened={taps.log} />}
        <Because rule={<Rule view={view} />} why={whyOf('cook', cook.id)}>
          <Text>{view.words}</Text>
        </Because>
        {!closed && <MayRing awake={awake} />}
        <Happenings cook={cook} zone={zone} taps={taps} />
        {!closed && (
          <Flex gap={2} wrap="wrap">
            <Button asChild>
              <Link to="/night">The night</Link>
            </Button>
            <Button asChild>
              <Link to="/cook/hand-over">Hand over</Link>
            </Button>
          </Flex>
        )}
      </Stack>
    </Grid>
  );
}

/** The one time axis of everything that shares it on this page. */
function useSpanOf({ view }: Schemas['CookAnswer']) {
  const start = millis(view.heat_on_at ?? view.planned_heat_on_at);
  const p90 = view.band.ready.p90 ? millis(view.band.ready.p90) : 0;
  return {
    from: start - 20 * 60_000,
    to: Math.max(millis(view.serve_at), millis(view.served_at), p90) + 40 * 60_000,
  };
}

function Band({
  cook,
  zone,
  units,
  span: { from, to },
}: {
  cook: Schemas['CookAnswer'];
  zone: string;
  units: Units;
  span: { from: number; to: number };
}) {
  const { ref, width } = useWidth<HTMLDivElement>(720);
  const { view, plan } = cook;
  const clockNow = useNow(15_000);
  const serveAt = millis(view.serve_at);
  const start = millis(view.heat_on_at ?? view.planned_heat_on_at);
  const ready = bandTimes(view.band.ready);
  const closed = view.status === 'closed';
  const now = closed ? undefined : clockNow;
  const checks = view.log.filter((line) => !line.undone && line.event.happened.kind === 'check');
  const marks = [
    ...checks.map((line) => ({ at: millis(line.at), word: 'check' })),
    ...(view.tender_at ? [{ at: millis(view.tender_at), word: 'tender' }] : []),
  ];
  const old = view.before_latest ?? (view.findings > 0 ? view.predicted.ready : undefined);
  return (
    <Box as="section" aria-label="When it is tender" ref={ref}>
      <TimeAxis from={from} to={to} width={width} zone={zone} serveAt={serveAt} now={now} />
      <ReadyBand
        {...{ from, to, width, zone, start, serveAt, now, ready, marks }}
        tooFar={bandTimes(view.band.overcooked)}
        ghost={old && bandTimes(old)}
        label={plan.name}
      />
      {view.course.length > 0 && (
        <CourseOfCook
          {...{ from, to, width, zone, units, now, serveAt }}
          course={view.course}
          probes={view.probes}
        />
      )}
      <Stack gap={1} mt={2}>
        {view.moved_words && (
          <Text fontSize="lead" fontWeight={700}>
            {view.moved_words}
          </Text>
        )}
        {view.moved.map((moved) => (
          <Text key={moved.found}>{moved.words}</Text>
        ))}
        {view.look && <Text fontWeight={600}>{view.look.words}</Text>}
        {view.lift_out.map((part) => (
          <Text key={part.name}>
            {part.order}. {part.words}
          </Text>
        ))}
        <Text fontSize="small" color="soft">
          {old ? 'Dashed: the band before the latest finding. ' : ''}
          {view.tender_at
            ? `Found tender at ${about(view.tender_at, zone)}.`
            : view.probes.length > 0
              ? 'Thick: what the probe read. Dashed ink: the middle as foretold, with its doubt.'
              : 'Thick ink line: a look you logged.'}
        </Text>
      </Stack>
    </Box>
  );
}

function InsideNow({ cook, units }: { cook: Schemas['CookAnswer']; units: Units }) {
  const now = useNow(30_000);
  const { view } = cook;
  const worked = useQuery({
    queryKey: ['inside', cook.plan],
    queryFn: ({ signal }) => api.inside(cook.plan, signal),
    staleTime: Infinity,
  });
  const inside = worked.data?.inside;
  if (!view.heat_on_at) return null;
  const until = view.status === 'closed' && view.tender_at ? millis(view.tender_at) : now;
  const minute = (until - millis(view.heat_on_at)) / 60_000;
  return (
    <Box as="section" aria-label="Inside the piece now">
      <Heading as="h2" fontFamily="heading" fontSize="lead">
        Inside, after {span(minute)}
      </Heading>
      {inside ? (
        <SliceOfPiece inside={inside} units={units} at={minute} height={150} />
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
        predicted it; {Math.round(view.effective)} still carry weight after {view.findings}{' '}
        {view.findings === 1 ? 'finding' : 'findings'}.
      </Text>
      <Text>{view.prediction.words}</Text>
    </>
  );
}
