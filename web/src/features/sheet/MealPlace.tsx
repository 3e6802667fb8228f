import { Box, Flex, Grid, Heading, Stack, Text, chakra } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useKitchen, useMeal, useMeals } from '../../api/queries';
import { MealStrip } from '../../drawings/MealStrip';
import { about, clockDay, instantOf, localText, span } from '../../format/time';
import { useNow } from '../../format/useNow';
import { Because } from '../../ui/Because';
import { PageHeading } from '../../ui/PageHeading';
import { Caution, Fault, Waiting } from '../../ui/states';
import { TextField } from '../../ui/TextField';
import { WhenField } from '../../ui/WhenField';
import type { Units } from '../../format/units';
import { takeInHand } from '../shell/inHand';
import { Amiss } from './Amiss';
import { Company } from './Company';
import { Files } from './Files';
import { MealList } from './MealList';
import { StartDish } from './StartDish';
import { useMealChanges } from './useMealChanges';

/** Several dishes worked back from one bell. */
export function MealPlace() {
  const { mealId } = useParams();
  const meal = useMeal(mealId);
  const kitchen = useKitchen();
  const failed = [meal, kitchen].find((query) => query.isLoadingError);
  if (failed)
    return (
      <>
        <PageHeading title="Meal" srOnly />
        <Fault error={failed.error} retry={() => void failed.refetch()} />
      </>
    );
  if (!meal.data || !kitchen.data) return <Waiting height="60vh" what="Working back from the bell" />;
  return <MealOf answer={meal.data} units={kitchen.data.units} key={mealId} />;
}

function MealOf({ answer, units }: { answer: Schemas['MealAnswer']; units: Units }) {
  const { meal, plans, sheet } = answer;
  const { zone } = sheet;
  const now = useNow(30_000);
  const [chosen, setChosen] = useState<string>();
  const meals = useMeals();
  const { change, busy, error } = useMealChanges(answer);
  const ids = meal.dishes.map((dish) => dish.plan_id);
  const all = (changed: Partial<Schemas['Plan']>) =>
    change(plans.flatMap((was, i) => (ids[i] ? [{ id: ids[i], plan: { ...was, ...changed } }] : [])));
  const ring = (bell: string) => all({ bell });
  const call = (name: string) => all({ meal: { id: meal.id, name } });
  const take = (way: Schemas['WayOut']) => {
    if (way.change.what === 'bell') ring(way.change.bell);
    if (way.change.what === 'dish') {
      const id = ids[way.change.number - 1];
      if (id) change([{ id, plan: way.change.plan }]);
    }
  };
  const first = meal.dishes[0];
  useEffect(() => {
    if (first) takeInHand({ planId: first.plan_id, cookId: first.cook_id ?? undefined });
  }, [first]);
  const next = sheet.tasks.find((task) => task.hands_on && Date.parse(task.end) > now);
  return (
    <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 300px' }} gap={{ base: 5, lg: 6 }}>
      <Stack gap={4} minW={0}>
        <Flex align="baseline" columnGap={4} wrap="wrap">
          <PageHeading title={`Sheet of ${meal.name}`} fontSize={{ base: 'title', md: 'large' }}>
            {meal.name}
          </PageHeading>
          <Text fontSize="lead" color={sheet.late_min > 0 ? 'caution' : 'ink'} fontWeight={600}>
            {sheet.late_min > 0
              ? `plates ${span(sheet.late_min)} late, at ${clockDay(sheet.serve_at, zone, now)}`
              : `plates ${clockDay(sheet.serve_at, zone, now)}`}
          </Text>
        </Flex>
        {next && (
          <Text fontSize="lead">
            Next: <strong>{clockDay(next.start, zone, now)}</strong> {next.dish}: {next.what}
          </Text>
        )}
        <MealStrip sheet={sheet} now={now} chosen={chosen} onChoose={setChosen} />
        {sheet.clock_changes.map((changed) => (
          <Caution key={changed.at}>{changed.text}</Caution>
        ))}
        {sheet.gave_way.map((gave) => (
          <Text key={gave.number}>{gave.text}</Text>
        ))}
        <Amiss sheet={sheet} now={now} busy={busy} onTake={take} />
        {error && <Fault error={error} />}
        <MealList tasks={sheet.tasks} zone={zone} now={now} chosen={chosen} />
      </Stack>
      <Stack gap={5} className="no-print">
        <Box as="section" aria-label="Dishes">
          {meal.dishes.map((dish, i) => (
            <Flex key={dish.plan_id} align="center" gap={3} borderTopWidth="1px" borderColor="line" py={2}>
              <chakra.a asChild flex="1" minH="44px" display="flex" alignItems="center">
                <Link to={`/prepare/${dish.plan_id}`}>
                  <Text as="span">
                    <strong>{dish.name}</strong> for {dish.people}
                  </Text>
                </Link>
              </chakra.a>
              <StartDish dish={dish} first={i === 0} />
            </Flex>
          ))}
        </Box>
        <Because>
          <Text>{sheet.why}</Text>
          {sheet.ready.map((ready, i) => (
            <Text key={ready.dish}>
              <strong>{ready.dish}</strong>
              {ready.p10 && ready.p90
                ? ` is tender between ${about(ready.p10, zone)} and ${about(ready.p90, zone)}`
                : ' may never be tender'}
              {sheet.dishes[i] && `, lifted ${clockDay(sheet.dishes[i].lift_at, zone, now)}`}.
            </Text>
          ))}
        </Because>
        <Box as="section" borderTopWidth="2px" borderColor="rim" pt={3}>
          <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
            Change it
          </Heading>
          <NameAndBell meal={meal} zone={zone} units={units} onName={call} onBell={ring} />
        </Box>
        <Company
          meals={meals.data ?? []}
          here={{ id: meal.id, name: meal.name, bell: meal.bell, plans: ids }}
          onOut={(planId) => {
            const plan = plans[ids.indexOf(planId)];
            if (plan) change([{ id: planId, plan: { ...plan, meal: undefined } }]);
          }}
        />
        <Files id={meal.id} />
      </Stack>
    </Grid>
  );
}

/** What the meal is called and when it is on the table: kept when the field is left. */
function NameAndBell({
  meal,
  zone,
  units,
  onName,
  onBell,
}: {
  meal: Schemas['MealEntry'];
  zone: string;
  units: Units;
  onName: (name: string) => void;
  onBell: (bell: string) => void;
}) {
  const [name, setName] = useState<string>();
  const [bell, setBell] = useState<string>();
  return (
    <Stack gap={3}>
      <Box
        onBlur={() => {
          if (name?.trim() && name !== meal.name) onName(name.trim());
          setName(undefined);
        }}
      >
        <TextField label="Call the meal" value={name ?? meal.name} maxLength={80} onChange={setName} />
      </Box>
      <Box
        onBlur={(event) => {
          // From the day to the hour it is still the same field.
          if (event.currentTarget.contains(event.relatedTarget)) return;
          const at = bell && instantOf(bell, zone);
          if (at && at !== meal.bell) onBell(at);
          setBell(undefined);
        }}
      >
        <WhenField label="Bell" value={bell ?? localText(meal.bell, zone)} units={units} onChange={setBell} />
      </Box>
    </Stack>
  );
}
