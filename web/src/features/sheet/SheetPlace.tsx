import { Box, Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useQueryClient } from '@tanstack/react-query';
import { ApiFault, api, type Kitchen, type Schemas } from '../../api/client';
import { useCooks, useKitchen, usePlan, useSheet } from '../../api/queries';
import { DayStrip } from '../../drawings/DayStrip';
import { about, clockDay, inHundred, instantOf, localText, span } from '../../format/time';
import { format } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Because } from '../../ui/Because';
import { Button } from '../../ui/Button';
import { NumberField, TextField } from '../../ui/fields';
import { ThumbBar } from '../../ui/ThumbBar';
import { Caution, Fault, Waiting } from '../../ui/states';
import { whyAddress } from '../why/state';
import { takeInHand } from '../shell/inHand';
import { Remedies } from './Remedies';
import { TaskList } from './TaskList';

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
  if (failed) return <Fault error={failed.error} retry={() => void failed.refetch()} />;
  if (!plan.data || !worked.data || !kitchen.data)
    return <Waiting height="60vh" what="Working back from the bell" />;
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
  const ready = sheet.ready[0]!;
  const changer = useChange(stored);
  return (
    <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 320px' }} gap={{ base: 5, lg: 7 }}>
      <Stack gap={4} minW={0}>
        <Flex align="baseline" gap={4} wrap="wrap">
          <Heading as="h1" fontFamily="heading" fontSize={{ base: 'title', md: 'large' }} lineHeight={1.1}>
            {stored.plan.name}
          </Heading>
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
            onTake={(plan) => void changer.save(plan)}
          />
        )}
        <TaskList tasks={sheet.tasks} zone={zone} chosen={chosen} />
      </Stack>
      <Stack gap={5} className="no-print">
        <Start planId={stored.id} cook={cook} sheet={sheet} zone={zone} now={now} />
        <Because
          why={whyAddress(stored.plan.forecast, stored.plan.name)}
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
          <Text>
            Tender between <strong>{about(ready.p10 ?? sheet.lift_at, zone)}</strong> and{' '}
            <strong>{about(ready.p90 ?? sheet.lift_at, zone)}</strong>; {inHundred(ready.chance)} in 100 are,
            when it is lifted at {about(sheet.lift_at, zone)}.
          </Text>
          {sheet.cautions.map((caution) => (
            <Caution key={caution.id}>{caution.text}</Caution>
          ))}
        </Because>
        <Change stored={stored} zone={zone} changer={changer} />
      </Stack>
    </Grid>
  );
}

function useChange(stored: Schemas['PlanView']) {
  const queries = useQueryClient();
  const [fault, setFault] = useState<unknown>();
  const save = async (plan: Schemas['Plan']) => {
    setFault(undefined);
    try {
      const saved = await api.savePlan(stored.id, stored.version, plan);
      queries.setQueryData(['plans', stored.id], saved);
      await queries.invalidateQueries({ queryKey: ['plans'] });
    } catch (error) {
      setFault(error);
      if (error instanceof ApiFault && error.status === 409)
        await queries.invalidateQueries({ queryKey: ['plans', stored.id] });
    }
  };
  return { save, fault };
}

function Change({
  stored,
  zone,
  changer,
}: {
  stored: Schemas['PlanView'];
  zone: string;
  changer: ReturnType<typeof useChange>;
}) {
  const { plan } = stored;
  const [bell, setBell] = useState(localText(plan.bell, zone));
  const [people, setPeople] = useState<number | undefined>(plan.people ?? 4);
  const changed = bell !== localText(plan.bell, zone) || people !== plan.people;
  const save = async () => {
    await changer.save({
      ...plan,
      people: Math.round(people ?? plan.people ?? 4),
      bell: instantOf(bell, zone) ?? plan.bell,
    });
  };
  const conflict = changer.fault instanceof ApiFault && changer.fault.status === 409;
  return (
    <Box as="section" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Change it
      </Heading>
      <Stack gap={3}>
        <TextField label="Bell" type="datetime-local" value={bell} onChange={setBell} />
        <NumberField label="People" value={people} onChange={setPeople} unit="" step={1} />
        {changed && <Button onClick={() => void save()}>Work it back again</Button>}
        {conflict && (
          <Text role="alert">
            This dish was changed on another screen just now; that newer version is shown. Make your change
            once more if you still want it.
          </Text>
        )}
        {changer.fault !== undefined && !conflict && <Fault error={changer.fault} />}
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
}: {
  planId: string;
  cook?: Schemas['CookLine'];
  sheet: Schemas['Sheet'];
  zone: string;
  now: number;
}) {
  const navigate = useNavigate();
  const [fault, setFault] = useState<unknown>();
  const start = async () => {
    try {
      const id = cook?.id ?? crypto.randomUUID();
      if (!cook) await api.openCook(id, planId);
      await navigate(`/cook/${id}`);
    } catch (error) {
      setFault(error);
    }
  };
  const first = sheet.tasks.find((task) => task.hands_on) ?? sheet.tasks[0];
  return (
    <Stack gap={2}>
      <ThumbBar>
        <Button weight="first" size="large" onClick={() => void start()}>
          {cook ? 'Go on cooking' : 'Start this cook'}
        </Button>
      </ThumbBar>
      {!cook && first && (
        <Text color="soft" fontSize="small">
          First: {clockDay(first.start, zone, now)}, {first.what}. Starting only opens the cook; nothing has
          to be hot yet.
        </Text>
      )}
      {fault !== undefined && <Fault error={fault} />}
    </Stack>
  );
}
