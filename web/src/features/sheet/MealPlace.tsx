import { Box, Flex, Grid, Heading, Stack, Text, chakra } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useKitchen, useMeal, useMeals } from '../../api/queries';
import { MealStrip } from '../../drawings/MealStrip';
import { about, clockDay, instantOf, localText, span } from '../../format/time';
import { useNow } from '../../format/useNow';
import { Because } from '../../ui/Because';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { PageHeading } from '../../ui/PageHeading';
import { Caution, Fault, Waiting } from '../../ui/states';
import { TextField } from '../../ui/TextField';
import { useTyped } from '../../ui/useTyped';
import { WhenField } from '../../ui/WhenField';
import type { Units } from '../../format/units';
import { takeInHand } from '../shell/inHand';
import { whyOf } from '../why/address';
import { Amiss } from './Amiss';
import { Company } from './Company';
import { Files } from './Files';
import { MealList } from './MealList';
import { Printed } from './Printed';
import { Sides } from './Sides';
import { StartDish } from './StartDish';
import { Things } from './Things';
import { useMealChanges } from './useMealChanges';
import { useReflow } from './useReflow';

/** A meal worked back from its bell: several dishes, or one alone. */
export function MealPlace() {
  const { mealId } = useParams();
  const meal = useMeal(mealId);
  const kitchen = useKitchen();
  const failed = [meal, kitchen].find((query) => query.isLoadingError);
  if (failed)
    return (
      <>
        <PageHeading title="Sheet" srOnly />
        <Fault error={failed.error} retry={() => void failed.refetch()} />
      </>
    );
  if (!meal.data || !kitchen.data) return <Waiting height="60vh" what="Working back from the bell" />;
  return <MealOf answer={meal.data} units={kitchen.data.units} key={mealId} />;
}

function MealOf({ answer, units }: { answer: Schemas['MealAnswer']; units: Units }) {
  const { meal, plans } = answer;
  const now = useNow(30_000);
  const [chosen, setChosen] = useState<string>();
  const meals = useMeals();
  const { change, busy, error } = useMealChanges(meal.id, answer);
  const reflow = useReflow(meal.id);
  const sheet = reflow.sheet ?? answer.sheet;
  const { zone } = sheet;
  const ids = meal.dishes.map((dish) => dish.plan_id);
  const alone = meal.dishes.length === 1;
  const all = (changed: (was: Schemas['Plan']) => Partial<Schemas['Plan']>) =>
    change(plans.flatMap((was, i) => (ids[i] ? [{ id: ids[i], plan: { ...was, ...changed(was) } }] : [])));
  const terms: Schemas['MealOf'] = plans[0]?.meal ?? { id: meal.id, name: meal.name };
  const agreed = (changed: Partial<Schemas['MealOf']>) => all(() => ({ meal: { ...terms, ...changed } }));
  const call = (name: string) => (alone && !plans[0]?.meal ? all(() => ({ name })) : agreed({ name }));
  const take = (way: Schemas['WayOut']) => {
    const { change: taken } = way;
    if (taken.what === 'serve_at') all(() => ({ serve_at: taken.serve_at }));
    if (taken.what === 'borrow') agreed({ borrowed: [...(terms.borrowed ?? []), taken.thing] });
    if (taken.what === 'sleep') agreed({ less_sleep_min: (terms.less_sleep_min ?? 0) + taken.minutes });
    if (taken.what === 'dish') {
      const id = ids[taken.number - 1];
      if (id) change([{ id, plan: taken.plan }]);
    }
  };
  // What is said of a task is kept with its dish, in place of what was said of it before.
  const say = (task: Schemas['MealTask'], said: Omit<Schemas['PlanPin'], 'task'> | undefined) => {
    const [id, was] = [ids[task.number - 1], plans[task.number - 1]];
    if (!id || !was) return;
    const others = was.pins.filter((pin) => pin.task !== task.step);
    const before = was.pins.find((pin) => pin.task === task.step);
    const pins = said ? [...others, { ...before, ...said, task: task.step }] : others;
    change([{ id, plan: { ...was, pins } }], reflow.settle);
  };
  const first = meal.dishes[0];
  useEffect(() => {
    if (first) takeInHand({ planId: first.plan_id, cookId: first.cook_id ?? undefined });
  }, [first]);
  const next = sheet.tasks.find((task) => task.hands_on && !task.done);
  return (
    <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 300px' }} gap={{ base: 5, lg: 6 }}>
      <Stack gap={4} minW={0}>
        <Flex align="baseline" columnGap={4} wrap="wrap" className="no-print">
          <PageHeading title={`Sheet of ${meal.name}`} fontSize={{ base: 'title', md: 'large' }}>
            {meal.name}
          </PageHeading>
          <Text fontSize="lead" color={sheet.late_min > 0 ? 'caution' : 'ink'} fontWeight={600}>
            {sheet.late_min > 0
              ? `plates ${span(sheet.late_min)} late, at ${clockDay(sheet.served_at, zone, now)}`
              : `plates ${clockDay(sheet.served_at, zone, now)}`}
          </Text>
        </Flex>
        {next && (
          <Text fontSize={{ base: 'lead', md: 'title' }} lineHeight={1.25} className="no-print">
            Next: <strong>{clockDay(next.start, zone, now)}</strong> {!alone && `${next.dish}: `}
            {next.what}
          </Text>
        )}
        <Box css={{ '@media print': { zoom: 0.72 } }}>
          <MealStrip
            sheet={sheet}
            now={now}
            chosen={chosen}
            onChoose={setChosen}
            onTry={(task, said) => reflow.tryOut({ task: task.id, ...said })}
            onSay={say}
          />
        </Box>
        <Printed name={meal.name} sheet={sheet} />
        <Stack gap={4} className="no-print">
          {sheet.clock_changes.map((changed) => (
            <Caution key={changed.at}>{changed.text}</Caution>
          ))}
          {sheet.gave_way.map((gave) => (
            <Text key={gave.number}>{gave.text}</Text>
          ))}
          <Amiss sheet={sheet} now={now} busy={busy} onTake={take} />
          {error && <Fault error={error} />}
          <MealList sheet={sheet} units={units} now={now} chosen={chosen} onChoose={setChosen} onSay={say} />
        </Stack>
      </Stack>
      <Stack gap={5} className="no-print">
        <Box as="section" aria-label="Dishes">
          {meal.dishes.map((dish) => (
            <Flex
              key={dish.plan_id}
              align="center"
              gap={3}
              wrap="wrap"
              borderTopWidth="1px"
              borderColor="line"
              py={2}
            >
              <chakra.a asChild flex="1" minH="44px" display="flex" alignItems="center">
                <Link to={`/prepare/${dish.plan_id}`}>
                  <Text as="span">
                    <strong>{dish.name}</strong> for {dish.people}
                  </Text>
                </Link>
              </chakra.a>
              <StartDish dish={dish} alone={alone} />
            </Flex>
          ))}
          {alone && first && !first.cook_id && (
            <Text color="soft" fontSize="small">
              Starting only opens the cook; nothing has to be hot yet.
            </Text>
          )}
        </Box>
        <Because why={alone && first ? whyOf('plan', first.plan_id) : undefined}>
          <Text>{sheet.why}</Text>
          {sheet.ready.map((ready, i) => (
            <Text key={ready.dish}>
              {alone ? (
                <strong>{ready.dish}</strong>
              ) : (
                <chakra.a asChild fontWeight={700} textDecoration="underline" textUnderlineOffset="4px">
                  <Link to={whyOf('plan', ids[i] ?? '')}>{ready.dish}</Link>
                </chakra.a>
              )}
              {ready.p10 && ready.p90
                ? ` is tender between ${about(ready.p10, zone)} and ${about(ready.p90, zone)}`
                : ' may never be tender'}
              {sheet.dishes[i] && `, lifted ${clockDay(sheet.dishes[i].lift_at, zone, now)}`}.
            </Text>
          ))}
          {alone &&
            sheet.dishes[0]?.cautions.map((caution) => <Caution key={caution.id}>{caution.text}</Caution>)}
        </Because>
        <Box as="section" borderTopWidth="2px" borderColor="rim" pt={3}>
          <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
            Change it
          </Heading>
          <NameAndServing
            meal={meal}
            zone={zone}
            units={units}
            onName={call}
            onServeAt={(serveAt) => all(() => ({ serve_at: serveAt }))}
            onPeople={(people) => all(() => ({ people }))}
          />
          <Agreed
            terms={terms}
            onBack={(thing) => {
              const borrowed = [...(terms.borrowed ?? [])];
              borrowed.splice(borrowed.indexOf(thing), 1);
              agreed({ borrowed });
            }}
            onSleep={() => agreed({ less_sleep_min: 0 })}
          />
        </Box>
        <Sides
          sides={plans.map((plan) => plan.sides)}
          onSides={(dish, sides) => {
            const [id, was] = [ids[dish], plans[dish]];
            if (id && was) change([{ id, plan: { ...was, sides } }]);
          }}
        />
        <Things sheet={sheet} now={now} />
        <Company
          meals={meals.data ?? []}
          here={{ id: meal.id, plans: ids }}
          onOut={(planId) => {
            const plan = plans[ids.indexOf(planId)];
            if (plan) change([{ id: planId, plan: { ...plan, meal: undefined } }]);
          }}
        />
        <Files id={meal.id} dishes={meal.dishes} />
      </Stack>
    </Grid>
  );
}

const lent: Record<Schemas['Borrowed'], string> = {
  hands: 'A helper comes',
  pan: 'A second pan is borrowed',
  burner: 'A burner is borrowed',
  oven: 'An oven is borrowed',
};

/** What was agreed for this meal beyond the kitchen's own, and the way back. */
function Agreed({
  terms,
  onBack,
  onSleep,
}: {
  terms: Schemas['MealOf'];
  onBack: (thing: Schemas['Borrowed']) => void;
  onSleep: () => void;
}) {
  const line = (key: string, said: string, back: string, onClick: () => void) => (
    <Flex key={key} align="center" gap={3} pt={2}>
      <Text flex="1">{said}</Text>
      <Button onClick={onClick}>{back}</Button>
    </Flex>
  );
  return (
    <>
      {terms.borrowed?.map((thing, i) =>
        line(`${thing}${i}`, lent[thing], 'Do without', () => onBack(thing)),
      )}
      {!!terms.less_sleep_min &&
        line('sleep', `${span(terms.less_sleep_min)} less sleep at either end`, 'Sleep in full', onSleep)}
    </>
  );
}

/** What the meal is called, when it is on the table, for how many. */
function NameAndServing({
  meal,
  zone,
  units,
  onName,
  onServeAt,
  onPeople,
}: {
  meal: Schemas['MealEntry'];
  zone: string;
  units: Units;
  onName: (name: string) => void;
  onServeAt: (serve_at: string) => void;
  onPeople: (people: number) => void;
}) {
  const name = useTyped(
    meal.name,
    (name) => onName(name.trim()),
    (name) => name.trim() !== '',
  );
  const serveAt = useTyped(
    localText(meal.serve_at, zone),
    (text) => onServeAt(instantOf(text, zone) ?? meal.serve_at),
    (text) => instantOf(text, zone) !== undefined,
  );
  const people = useTyped<number | undefined>(
    meal.people,
    (people) => onPeople(Math.round(people ?? meal.people)),
    (people) => people !== undefined && people >= 1,
  );
  return (
    <Stack gap={3}>
      <Box onBlur={name.leave}>
        <TextField label="Call the meal" value={name.value} maxLength={80} onChange={name.type} />
      </Box>
      <Box
        onBlur={(event) => {
          // From the day to the hour it is still the same field.
          if (!event.currentTarget.contains(event.relatedTarget)) serveAt.leave();
        }}
      >
        <WhenField label="Bell" value={serveAt.value} units={units} onChange={serveAt.type} />
      </Box>
      <Box onBlur={people.leave}>
        <NumberField label="People" value={people.value} unit="" onChange={people.type} />
      </Box>
    </Stack>
  );
}
