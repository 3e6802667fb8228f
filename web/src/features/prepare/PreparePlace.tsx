import { Box, Flex, Grid, Heading, Stack, Tabs, Text } from '@chakra-ui/react';
import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { memo, useEffect, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api, type Kitchen, type Schemas } from '../../api/client';
import { patched } from '../../api/merge';
import { useCuts, useKitchen, useLarder, usePlan } from '../../api/queries';
import { useFollowing } from '../../api/useFollowing';
import { usePlanDocument } from '../../api/useLive';
import { BenchCurve } from '../../drawings/BenchCurve';
import { clock, clockDay } from '../../format/time';
import { format } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Because } from '../../ui/Because';
import { Button } from '../../ui/Button';
import { Elsewhere } from '../../ui/Elsewhere';
import { Keeping } from '../../ui/Keeping';
import { PageHeading } from '../../ui/PageHeading';
import { SelectField } from '../../ui/SelectField';
import { Caution, Fault, Waiting } from '../../ui/states';
import { TextField } from '../../ui/TextField';
import { ThumbBar } from '../../ui/ThumbBar';
import { takeInHand } from '../shell/inHand';
import { useUndoCorner } from '../shell/undo';
import { whyOf } from '../why/address';
import {
  places,
  without,
  type Bench,
  type BenchPlace,
  type BenchProps,
  type Changed,
  type Plan,
} from './bench';
import { Difference, differences } from './Difference';
import { HeatBench } from './HeatBench';
import { LaterBench } from './LaterBench';
import { ListBench } from './ListBench';
import { MeatBench } from './MeatBench';
import { PotBench } from './PotBench';
import { SaltBench } from './SaltBench';
import { SearBench } from './SearBench';
import { TableOf } from './TableOf';

const readBench = (text: string) =>
  // Written by `JSON.stringify` of the plan, a few lines below.
  api.bench(JSON.parse(text) as Plan);

/** One dish on the bench, from the board to the lid: pictures that compute, and every change at once in the forecast. */
export function PreparePlace() {
  const { planId } = useParams();
  const plan = usePlan(planId);
  const kitchen = useKitchen();
  const larder = useLarder();
  useEffect(() => {
    if (planId && plan.data) takeInHand({ planId });
  }, [planId, plan.data]);
  const failed = [plan, kitchen, larder].find((query) => query.isLoadingError);
  if (failed)
    return (
      <>
        <PageHeading title="Prepare" srOnly />
        <Fault error={failed.error} retry={() => void failed.refetch()} />
      </>
    );
  if (!plan.data || !kitchen.data || !larder.data)
    return <Waiting height="60vh" what="Laying it on the bench" />;
  return <OnTheBench key={planId} kept={plan.data} kitchen={kitchen.data} larder={larder.data} />;
}

function OnTheBench({
  kept,
  kitchen,
  larder,
}: {
  kept: Schemas['PlanView'];
  kitchen: Kitchen;
  larder: Schemas['OnTheShelf'][];
}) {
  const { id } = kept;
  const { units, zone } = kitchen;
  const [params, setParams] = useSearchParams();
  const now = useNow(60_000);
  const cuts = useCuts();
  const open = usePlanDocument(kept);
  const { document, value: plan } = open;
  const [against, setAgainst] = useState(kept);
  const followed = useFollowing(JSON.stringify(plan), readBench);
  const prepared = followed?.answer;
  const before = useQuery({
    queryKey: ['bench', against.plan],
    queryFn: () => api.bench(against.plan),
    staleTime: Infinity,
    retry: false,
  });
  const place = places.find(({ value }) => value === params.get('bench'))?.value ?? 'meat';
  const go = (next: string) =>
    setParams(
      (was) => {
        const to = new URLSearchParams(was);
        to.set('bench', next);
        return to;
      },
      { preventScrollReset: true },
    );
  useUndoCorner({
    undo: open.canUndo ? document.undo : undefined,
    redo: open.canRedo ? document.redo : undefined,
    undoes: '',
  });
  const cut = cuts.data?.find((found) => found.cut === plan.forecast.cut);
  const next = places[places.findIndex(({ value }) => value === place) + 1];
  const lines = useMemo(
    () => (prepared && before.data ? differences(before.data, prepared, units) : []),
    [prepared, before.data, units],
  );
  const setters = useMemo(
    () => ({
      setPlan: (key: string, change: (was: Plan) => Plan) => document.change(key, change),
      choose: (key: string, { change }: { change: unknown }) =>
        document.change(key, (was) => patched(was, change)),
      setBench: (key: string, changed: Changed<Bench>) =>
        document.change(key, (was) => patched(was, { prepare: changed })),
      setForecast: (key: string, changed: Partial<Plan['forecast']>) =>
        document.change(key, (was) => ({ ...was, forecast: without({ ...was.forecast, ...changed }) })),
    }),
    [document],
  );
  const minded = (of: BenchPlace) => (prepared && of !== 'list' ? prepared.minds[of] : []);
  return (
    <Stack gap={4}>
      <Flex gap={4} wrap="wrap" align="flex-end" justify="space-between">
        <Box minW={0}>
          <PageHeading title={`Prepare ${plan.name}`}>{plan.name}</PageHeading>
          <Text color="soft">
            {prepared && format('mass', prepared.trimmed.raw_kg, units)}{' '}
            {cut?.name.toLowerCase() ?? 'mixed pot'}
            {prepared && `, for ${prepared.dish.people}`}, plates {clockDay(plan.serve_at, zone, now)}
          </Text>
        </Box>
        <Keeping open={open} />
      </Flex>
      <Tabs.Root value={place} onValueChange={({ value }) => go(value)} activationMode="manual">
        <Tabs.List aria-label="The bench" className="no-print">
          {places.map(({ value, label }) => (
            <Tabs.Trigger key={value} value={value}>
              {label}
              {minded(value).length > 0 && (
                <Text
                  as="span"
                  color="caution"
                  fontWeight={700}
                  aria-label={`, ${minded(value).length} to mind`}
                >
                  {' '}
                  {minded(value).length}
                </Text>
              )}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value={place} pt={4}>
          <Stack gap={4}>
            {open.fault && <Fault error={open.fault} retry={() => void document.flush()} />}
            {!open.fault && followed?.error !== undefined && <Fault error={followed.error} />}
            {open.elsewhere.length > 0 && <Elsewhere fields={open.elsewhere} onSeen={document.seen} />}
            {!prepared && followed?.error === undefined && (
              <Waiting height={420} what="Laying it on the bench" />
            )}
            {prepared && (
              <Grid
                templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 312px' }}
                gap={{ base: 5, lg: 7 }}
              >
                <Stack gap={5} minW={0}>
                  <BenchOf {...setters} {...{ place, plan, units, prepared, larder }} />
                </Stack>
                <Stack gap={5} className="no-print">
                  <ThumbBar>
                    {next ? (
                      <Button forAll weight="first" size="large" onClick={() => go(next.value)}>
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
                  <TableOf id={id} plan={plan} zone={zone} flush={document.flush} />
                  <Because why={whyOf('plan', id)} before={document.flush}>
                    {prepared.because[place].map((sentence) => (
                      <Text key={sentence}>{sentence}</Text>
                    ))}
                    {minded(place).map((warning) => (
                      <Caution key={warning.id}>{warning.text}</Caution>
                    ))}
                  </Because>
                  <Box
                    as="section"
                    aria-label="The cook it leads to"
                    borderTopWidth="2px"
                    borderColor="rim"
                    pt={3}
                  >
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
                  <TextField
                    label="Notes"
                    long
                    maxLength={20_000}
                    value={plan.notes ?? ''}
                    onChange={(notes) => document.change('notes', (was) => ({ ...was, notes }))}
                  />
                </Stack>
              </Grid>
            )}
          </Stack>
        </Tabs.Content>
      </Tabs.Root>
    </Stack>
  );
}

/** Drawn anew only when the plan or what it comes to has changed, not with every word about saving. */
const BenchOf = memo(function BenchOf({
  place,
  ...props
}: BenchProps & { place: BenchPlace; plan: Plan; larder: Schemas['OnTheShelf'][] }) {
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
    placeholderData: keepPreviousData,
  });
  const take = useMutation({
    mutationFn: (wanted: number) => api.version(id, wanted),
    onSuccess: onAgainst,
  });
  const all = versions.data ?? [{ version: against.version, saved_at: against.saved_at }];
  return (
    <Flex gap={2} align="flex-end" my={2}>
      <Box flex="1" minW={0}>
        <SelectField
          label="Dashed: as it was in"
          value={String(against.version)}
          options={all.map((found) => ({
            value: String(found.version),
            label: `version ${found.version}, ${clock(found.saved_at, zone)}`,
          }))}
          onChange={(wanted) => take.mutate(Number(wanted))}
          error={take.error?.message}
        />
      </Box>
      <Button onClick={onBack} disabled={!different}>
        Go back
      </Button>
    </Flex>
  );
}
