import { Box, Flex, Grid, Heading, Stack, Text, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Redo2, Undo2 } from 'lucide-react';
import { memo, useEffect, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api, type Kitchen, type Schemas } from '../../api/client';
import { useCuts, useKitchen, useLarder, usePlan } from '../../api/queries';
import { useFollowing } from '../../api/useFollowing';
import { BenchCurve } from '../../drawings/BenchCurve';
import { clock, clockDay } from '../../format/time';
import { format } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Because } from '../../ui/Because';
import { Button } from '../../ui/Button';
import { SelectField } from '../../ui/fields';
import { Caution, Fault, Waiting } from '../../ui/states';
import { ThumbBar } from '../../ui/ThumbBar';
import { takeInHand } from '../shell/inHand';
import { whyAddress } from '../why/state';
import { warningsOf } from './warnings';
import {
  places,
  without,
  type Bench,
  type BenchPlace,
  type BenchProps,
  type Plan,
  type Prepared,
} from './bench';
import { Difference, differences } from './Difference';
import { HeatBench } from './HeatBench';
import { LaterBench } from './LaterBench';
import { ListBench } from './ListBench';
import { MeatBench } from './MeatBench';
import { PotBench } from './PotBench';
import { SaltBench } from './SaltBench';
import { SearBench } from './SearBench';
import { useDocument } from './useDocument';

const readBench = (text: string) => api.bench(JSON.parse(text) as Plan);

/** One dish on the bench, from the board to the lid: pictures that compute, and every change at once in the forecast. */
export function PreparePlace() {
  const { planId } = useParams();
  const plan = usePlan(planId);
  const kitchen = useKitchen();
  const larder = useLarder();
  useEffect(() => {
    if (planId && plan.data) takeInHand({ planId });
  }, [planId, plan.data]);
  const failed = plan.error ?? kitchen.error ?? larder.error;
  if (failed && !plan.data) return <Fault error={failed} retry={() => void plan.refetch()} />;
  if (!planId || !plan.data || !kitchen.data || !larder.data)
    return <Waiting height="60vh" what="Laying it on the bench" />;
  return <OnTheBench key={planId} id={planId} kept={plan.data} kitchen={kitchen.data} larder={larder.data} />;
}

function OnTheBench({
  id,
  kept,
  kitchen,
  larder,
}: {
  id: string;
  kept: Schemas['PlanView'];
  kitchen: Kitchen;
  larder: Schemas['OnTheShelf'][];
}) {
  const { units, zone } = kitchen;
  const [params, setParams] = useSearchParams();
  const now = useNow(60_000);
  const cuts = useCuts();
  const [opened] = useState(kept);
  const open = useDocument(id, opened, kept);
  const { document, plan } = open;
  const [against, setAgainst] = useState(opened);
  const followed = useFollowing(JSON.stringify(plan), readBench);
  const prepared = followed?.answer;
  const before = useQuery({
    queryKey: ['bench', JSON.stringify(against.plan)],
    queryFn: () => api.bench(against.plan),
    staleTime: Infinity,
    retry: false,
  });
  const place = places.find(({ value }) => value === params.get('bench'))?.value ?? 'meat';
  const go = (next: BenchPlace) =>
    setParams(
      (was) => {
        const to = new URLSearchParams(was);
        to.set('bench', next);
        return to;
      },
      { replace: true },
    );
  useUndoKeys(document.undo, document.redo);
  const cut = cuts.data?.find((found) => found.cut === plan.forecast.cut);
  const next = places[places.findIndex(({ value }) => value === place) + 1];
  const lines = useMemo(
    () => (prepared && before.data ? differences(before.data, prepared, units) : []),
    [prepared, before.data, units],
  );
  const setters = useMemo(
    () => ({
      setPlan: (key: string, change: (was: Plan) => Plan) => document.change(key, change),
      setBench: (key: string, changed: Partial<Bench>) =>
        document.change(key, (was) => ({ ...was, prepare: without({ ...was.prepare, ...changed }) })),
      setForecast: (key: string, changed: Partial<Plan['forecast']>) =>
        document.change(key, (was) => ({ ...was, forecast: without({ ...was.forecast, ...changed }) })),
    }),
    [document],
  );
  return (
    <Stack gap={4}>
      <Flex gap={4} wrap="wrap" align="flex-end" justify="space-between">
        <Box minW={0}>
          <Heading as="h1" fontFamily="heading" fontSize="title" lineHeight={1.15}>
            {plan.name}
          </Heading>
          <Text color="soft">
            {prepared && format('mass', prepared.trimmed.raw_kg, units)}{' '}
            {cut?.name.toLowerCase() ?? 'mixed pot'}, for {plan.people ?? 4}, plates{' '}
            {clockDay(plan.bell, zone, now)}
          </Text>
        </Box>
        <Flex gap={2} align="center" className="no-print">
          <Text fontSize="small" color={open.state === 'refused' ? 'caution' : 'soft'} role="status">
            {
              {
                saved: `saved, version ${open.version}`,
                waiting: 'saving …',
                saving: 'saving …',
                refused: 'not saved yet',
              }[open.state]
            }
          </Text>
          <Button aria-label="Undo" title="Undo" onClick={document.undo} disabled={!open.canUndo}>
            <Undo2 size={20} aria-hidden />
          </Button>
          <Button aria-label="Redo" title="Redo" onClick={document.redo} disabled={!open.canRedo}>
            <Redo2 size={20} aria-hidden />
          </Button>
        </Flex>
      </Flex>
      <Flex as="nav" aria-label="The bench" gap="2px" overflowX="auto" className="no-print" mx={-1}>
        {places.map(({ value, label }) => {
          const minded = prepared ? warningsOf(prepared, value).length : 0;
          return (
            <chakra.button
              key={value}
              onClick={() => go(value)}
              aria-current={value === place ? 'step' : undefined}
              minHeight="44px"
              px={{ base: 3, md: 4 }}
              fontWeight={600}
              cursor="pointer"
              whiteSpace="nowrap"
              color={value === place ? 'ink' : 'soft'}
              borderBottomWidth="4px"
              borderColor={value === place ? 'rim' : 'line'}
              css={{ '&[aria-current]': { fontWeight: 700 } }}
            >
              {label}
              {minded > 0 && (
                <Text as="span" color="caution" fontWeight={700} aria-label={`, ${minded} to mind`}>
                  {' '}
                  {minded}
                </Text>
              )}
            </chakra.button>
          );
        })}
      </Flex>
      {open.fault && <Fault error={open.fault} retry={() => void document.flush()} />}
      {!open.fault && followed?.error !== undefined && <Fault error={followed.error} />}
      {open.elsewhere.length > 0 && (
        <Flex gap={3} align="center" borderLeftWidth="6px" borderColor="liquid" pl={3} wrap="wrap">
          <Text fontSize="small" flex="1" minW="16rem">
            Changed on another page meanwhile, and kept with what you changed: {fieldWords(open.elsewhere)}.
          </Text>
          <Button weight="quiet" onClick={document.seen}>
            Good
          </Button>
        </Flex>
      )}
      {!prepared && followed?.error === undefined && <Waiting height={420} what="Laying it on the bench" />}
      {prepared && (
        <Grid
          templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 312px' }}
          gap={{ base: 5, lg: 7 }}
        >
          <Stack gap={5} minW={0}>
            <BenchOf
              {...setters}
              {...{ place, plan, units, prepared, kitchen, larder }}
              bench={plan.prepare ?? noBench}
            />
          </Stack>
          <Stack gap={5} className="no-print">
            <ThumbBar>
              {next ? (
                <Button weight="first" size="large" onClick={() => go(next.value)}>
                  {next.value === 'later'
                    ? 'On to what goes in later'
                    : `On to the ${next.label.toLowerCase()}`}
                </Button>
              ) : (
                <Button asChild weight="first" size="large">
                  <Link to={`/sheet/${id}`}>Work it back from the bell</Link>
                </Button>
              )}
            </ThumbBar>
            <Because why={whyAddress(plan.forecast, plan.name)}>
              {prepared.because[place].map((sentence) => (
                <Text key={sentence}>{sentence}</Text>
              ))}
              {warningsOf(prepared, place).map((warning) => (
                <Caution key={warning.id}>{warning.text}</Caution>
              ))}
            </Because>
            <Box as="section" aria-label="The cook it leads to" borderTopWidth="2px" borderColor="rim" pt={3}>
              <Heading as="h2" fontFamily="heading" fontSize="lead" mb={1}>
                The cook it leads to
              </Heading>
              <BenchCurve
                forecast={prepared.forecast}
                before={lines.length > 0 ? before.data?.forecast : undefined}
                units={units}
              />
              <Versions
                id={id}
                version={open.version}
                against={against}
                onAgainst={setAgainst}
                onBack={() => document.change('go back', () => against.plan)}
                zone={zone}
                different={lines.length > 0}
              />
              <Difference lines={lines} />
            </Box>
          </Stack>
        </Grid>
      )}
    </Stack>
  );
}

const noBench: Bench = {};

/** Drawn anew only when the plan or what it comes to has changed, not with every word about saving. */
const BenchOf = memo(function BenchOf({
  place,
  ...props
}: BenchProps & {
  place: BenchPlace;
  prepared: Prepared;
  kitchen: Kitchen;
  larder: Schemas['OnTheShelf'][];
}) {
  switch (place) {
    case 'meat':
      return <MeatBench {...props} />;
    case 'salt':
      return <SaltBench {...props} />;
    case 'sear':
      return <SearBench {...props} />;
    case 'pot':
      return <PotBench {...props} />;
    case 'heat':
      return <HeatBench {...props} />;
    case 'later':
      return <LaterBench {...props} />;
    case 'list':
      return <ListBench {...props} />;
  }
});

/** Which version it is compared with, and the way back to it. */
function Versions({
  id,
  version,
  against,
  onAgainst,
  onBack,
  zone,
  different,
}: {
  id: string;
  version: number;
  against: Schemas['PlanView'];
  onAgainst: (kept: Schemas['PlanView']) => void;
  onBack: () => void;
  zone: string;
  different: boolean;
}) {
  const versions = useQuery({
    queryKey: ['plans', id, 'versions', version],
    queryFn: () => api.versions(id),
    placeholderData: (was) => was,
  });
  const take = async (wanted: string) => onAgainst(await api.version(id, Number(wanted)));
  return (
    <Flex gap={2} align="flex-end" my={2}>
      <Box flex="1" minW={0}>
        <SelectField
          label="Dashed: as it was in"
          value={String(against.version)}
          onChange={(wanted) => void take(wanted)}
        >
          {(versions.data ?? [{ version: against.version, saved_at: against.saved_at }]).map((found) => (
            <option key={found.version} value={found.version}>
              version {found.version}, {clock(Date.parse(found.saved_at), zone)}
            </option>
          ))}
        </SelectField>
      </Box>
      <Button onClick={onBack} disabled={!different}>
        Go back
      </Button>
    </Flex>
  );
}

/** Fields in a cook's words: the last name of each path. */
const fieldWords = (paths: string[]) =>
  [
    ...new Set(
      paths.map((path) =>
        path
          .split('.')
          .at(-1)!
          .replace(/_(g|kg|l|mm|c|pct|h|min)$/, '')
          .replace(/_/g, ' '),
      ),
    ),
  ].join(', ');

/** Control or command with Z undoes, with shift or Y redoes; a field being typed in keeps its own. */
function useUndoKeys(undo: () => void, redo: () => void) {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLInputElement &&
        event.target.type !== 'range' &&
        event.target.type !== 'radio';
      if (typing || !(event.ctrlKey || event.metaKey)) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      if (key === 'y' || event.shiftKey) redo();
      else undo();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [undo, redo]);
}
