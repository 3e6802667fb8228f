import { Box, Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import { api, type Kitchen, type Schemas } from '../../api/client';
import { useCooks, useKitchen, useMeals, usePlan, useSheet } from '../../api/queries';
import { usePlanDocument } from '../../api/useLive';
import { DayStrip } from '../../drawings/DayStrip';
import { about, clockDay, inHundred, instantOf, localText, span, weekdayInFull } from '../../format/time';
import { format, type Units } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Because } from '../../ui/Because';
import { Button } from '../../ui/Button';
import { Elsewhere } from '../../ui/Elsewhere';
import { NumberField } from '../../ui/NumberField';
import { PageHeading } from '../../ui/PageHeading';
import { Caution, Fault, Waiting } from '../../ui/states';
import { ThumbBar } from '../../ui/ThumbBar';
import { WhenField } from '../../ui/WhenField';
import { takeInHand } from '../shell/inHand';
import { useUndoCorner } from '../shell/undo';
import { whyOf } from '../why/address';
import { Company } from './Company';
import { Files } from './Files';
import { Remedies } from './Remedies';
import { TaskList } from './TaskList';
import { Things } from './Things';

/** One dish worked back from its bell. */
export function SheetPlace() {
  const { planId } = useParams();
  const plan = usePlan(planId);
  const worked = useSheet(planId);
  const kitchen = useKitchen();
  const cooks = useCooks();
  const cook = cooks.data?.find((found) => found.plan_id === planId);
  const cookId = cook?.id;
  const found = plan.data !== undefined;
  useEffect(() => {
    if (found) takeInHand({ planId, cookId });
  }, [found, planId, cookId]);
  const failed = [plan, worked, kitchen].find((query) => query.isLoadingError);
  if (failed)
    return (
      <>
        <PageHeading title="Sheet" srOnly />
        <Fault error={failed.error} retry={() => void failed.refetch()} />
      </>
    );
  if (!plan.data || !worked.data || !kitchen.data)
    return <Waiting height="60vh" what="Working back from the bell" />;
  // What lands together with others is laid out with them.
  const meal = plan.data.plan.meal;
  if (meal) return <Navigate to={`/sheet/meal/${encodeURIComponent(meal.id)}`} replace />;
  return <SheetOf stored={plan.data} worked={worked.data} kitchen={kitchen.data} cook={cook} key={planId} />;
}

type Of = {
  stored: Schemas['PlanView'];
  worked: Schemas['Worked'];
  kitchen: Kitchen;
  cook?: Schemas['CookLine'];
};

function SheetOf({ stored, worked, kitchen, cook }: Of) {
  const { sheet, forecast } = worked;
  const { units, zone } = kitchen;
  const now = useNow(30_000);
  const [chosen, setChosen] = useState<string>();
  const meals = useMeals();
  const ready = sheet.ready[0];
  const open = usePlanDocument(stored);
  const { document } = open;
  useUndoCorner({
    undo: open.canUndo ? document.undo : undefined,
    redo: open.canRedo ? document.redo : undefined,
    undoes: '',
  });
  return (
    <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 320px' }} gap={{ base: 5, lg: 7 }}>
      <Stack gap={4} minW={0}>
        <Flex align="baseline" gap={4} wrap="wrap">
          <PageHeading title={`Sheet of ${open.value.name}`} fontSize={{ base: 'title', md: 'large' }}>
            {open.value.name}
          </PageHeading>
          <Text fontSize="lead" color={sheet.late_min > 0 ? 'caution' : 'ink'} fontWeight={600}>
            {sheet.late_min > 0
              ? `plates ${span(sheet.late_min)} late, at ${clockDay(sheet.serve_at, zone, now)}`
              : `plates ${clockDay(sheet.serve_at, zone, now)}`}
          </Text>
        </Flex>
        <DayStrip
          tasks={sheet.tasks}
          ready={ready}
          bell={sheet.bell}
          zone={zone}
          now={now}
          chosen={chosen}
          onChoose={setChosen}
        />
        {sheet.late_min > 0 && !cook && (
          <Remedies
            sheet={sheet}
            zone={zone}
            now={now}
            onTake={(plan) => document.change('remedy', () => plan)}
          />
        )}
        <TaskList tasks={sheet.tasks} zone={zone} chosen={chosen} />
      </Stack>
      <Stack gap={5} className="no-print">
        <Start planId={stored.id} cook={cook} sheet={sheet} zone={zone} now={now} before={document.flush} />
        <Because
          why={whyOf('plan', stored.id)}
          before={document.flush}
          rule={
            <>
              <Text>
                Softening runs with temperature: an hour at {format('temperature', 95, units)} is one
                tender-hour. Here {forecast.enough_tender_h.toFixed(1)} are enough, the median piece has them
                after {span(forecast.ready_min.p50 ?? 0)}.
              </Text>
              {forecast.thumb.map((thumb) => (
                <Text key={thumb.rule}>
                  Rule of thumb, {thumb.rule}: {span(thumb.min)}; {thumb.why}.
                </Text>
              ))}
              {forecast.assumed.map((assumed) => (
                <Text key={assumed.field}>
                  Taken as {assumed.value}: {assumed.why}.
                </Text>
              ))}
            </>
          }
        >
          <Text>{sheet.why}</Text>
          {ready && (
            <Text>
              Tender between <strong>{about(ready.p10 ?? sheet.lift_at, zone)}</strong> and{' '}
              <strong>{about(ready.p90 ?? sheet.lift_at, zone)}</strong>; {inHundred(ready.chance)} in 100
              are, when it is lifted at {about(sheet.lift_at, zone)}.
            </Text>
          )}
          {sheet.cautions.map((caution) => (
            <Caution key={caution.id}>{caution.text}</Caution>
          ))}
        </Because>
        <Change open={open} zone={zone} units={units} />
        <Things sheet={sheet} zone={zone} now={now} />
        {!cook && (
          <Company
            meals={meals.data ?? []}
            here={{
              id: stored.id,
              name: `${weekdayInFull(sheet.bell, zone)}’s table`,
              bell: sheet.bell,
              plans: [stored.id],
            }}
          />
        )}
        <Files id={stored.id} />
      </Stack>
    </Grid>
  );
}

function Change({
  open,
  zone,
  units,
}: {
  open: ReturnType<typeof usePlanDocument>;
  zone: string;
  units: Units;
}) {
  const { document, value: plan, fault, elsewhere } = open;
  const named = (field: string) => (fault?.field === `plan.${field}` ? fault.message : undefined);
  return (
    <Box as="section" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Change it
      </Heading>
      <Stack gap={3}>
        <WhenField
          label="Bell"
          value={localText(plan.bell, zone)}
          units={units}
          error={named('bell')}
          onChange={(text) => {
            const bell = instantOf(text, zone);
            if (bell) document.change('bell', (was) => ({ ...was, bell }));
          }}
        />
        <NumberField
          label="People"
          value={plan.people}
          unit=""
          error={named('people')}
          onChange={(people) =>
            people !== undefined &&
            document.change('people', (was) => ({ ...was, people: Math.round(people) }))
          }
        />
        {elsewhere.length > 0 && <Elsewhere fields={elsewhere} onSeen={document.seen} />}
        {fault && !named('bell') && !named('people') && (
          <Fault error={fault} retry={() => void document.flush()} />
        )}
      </Stack>
    </Box>
  );
}

function Start({
  planId,
  cook,
  sheet,
  zone,
  now,
  before,
}: {
  planId: string;
  cook?: Schemas['CookLine'];
  sheet: Schemas['Sheet'];
  zone: string;
  now: number;
  /** What is changed on the sheet is saved first. */
  before: () => Promise<void>;
}) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  // Made once: however often it is pressed, one cook is opened.
  const [id] = useState(() => crypto.randomUUID());
  const start = useMutation({
    mutationFn: async () => {
      if (cook) return cook.id;
      await before();
      return (await api.openCook(id, planId)).id;
    },
    onSuccess: (opened) => {
      void queries.invalidateQueries({ queryKey: ['cooks'] });
      return navigate(`/cook/${opened}`);
    },
  });
  const first = sheet.tasks.find((task) => task.hands_on) ?? sheet.tasks[0];
  return (
    <Stack gap={2}>
      <ThumbBar>
        <Button weight="first" size="large" onClick={() => start.mutate()} disabled={start.isPending}>
          {cook ? 'Go on cooking' : 'Start this cook'}
        </Button>
      </ThumbBar>
      {!cook && first && (
        <Text color="soft" fontSize="small">
          First: {clockDay(first.start, zone, now)}, {first.what}. Starting only opens the cook; nothing has
          to be hot yet.
        </Text>
      )}
      {start.error && <Fault error={start.error} />}
    </Stack>
  );
}
