import { Box, Flex, Stack, Text, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import type { Schemas } from '../../api/client';
import { useKitchen, useMeals, usePlans } from '../../api/queries';
import { WeekStrip } from '../../drawings/WeekStrip';
import { clockDay } from '../../format/time';
import { useNow } from '../../format/useNow';
import { Broken } from '../../ui/Broken';
import { Button } from '../../ui/Button';
import { PageHeading } from '../../ui/PageHeading';
import { PutAway, TakeBack, type Away } from '../../ui/PutAway';
import { Empty, Fault, Waiting } from '../../ui/states';

/** The meals to come on one strip, and each beneath it by its bell; at the bench, with each of its dishes. */
export function Meals() {
  const meals = useMeals();
  const plans = usePlans();
  const kitchen = useKitchen();
  const now = useNow(60_000);
  const [away, setAway] = useState<Away>();
  const atTheBench = useLocation().pathname.startsWith('/prepare');
  const failed = [meals, plans, kitchen].find((query) => query.isLoadingError);
  if (failed) return <Fault error={failed.error} retry={() => void failed.refetch()} />;
  if (!meals.data || !plans.data || !kitchen.data)
    return <Waiting height="50vh" what="Laying out the sheets" />;
  const broken = plans.data.filter((plan) => plan.broken);
  const { zone } = kitchen.data;
  if (meals.data.length === 0 && broken.length === 0 && !away) {
    return (
      <Empty
        title="No dish is planned"
        action={
          <Button asChild weight="first" size="large">
            <Link to="/match">Match a cut</Link>
          </Button>
        }
      >
        <Text>
          Here a dish, or a whole meal, is worked back from its bell: salt, sear, simmer, looks, hold, sauce,
          plates. Start from what is on the block.
        </Text>
      </Empty>
    );
  }
  return (
    <Stack gap={4}>
      <PageHeading title={atTheBench ? 'Dishes to prepare' : 'Meals to come'} />
      <WeekStrip meals={meals.data} zone={zone} now={now} />
      <TakeBack thing={away} onBack={() => setAway(undefined)} />
      <Box as="ul" listStyleType="none" maxW="64rem">
        {meals.data.map((meal) => (
          <Flex
            as="li"
            key={meal.id}
            align="center"
            gap={5}
            px={2}
            borderTopWidth="1px"
            borderColor="line"
            _hover={{ bg: 'panel' }}
          >
            <Text
              fontSize="title"
              fontWeight={700}
              color="rim"
              minW={{ base: '6.6rem', md: '9.5rem' }}
              fontVariantNumeric="tabular-nums"
              lineHeight={1.1}
            >
              {clockDay(meal.serve_at, zone, now)}
            </Text>
            <Box flex="1" minW={0}>
              {atTheBench ? (
                meal.dishes.map((dish) => (
                  <Line
                    key={dish.plan_id}
                    to={`/prepare/${dish.plan_id}`}
                    name={dish.name}
                    said={`for ${dish.people}${meal.dishes.length > 1 ? `, ${meal.name}` : ''}${dish.cook_id ? ', being cooked' : ''}`}
                  />
                ))
              ) : (
                <Line to={`/sheet/${encodeURIComponent(meal.id)}`} name={meal.name} said={company(meal)} />
              )}
            </Box>
            {meal.dishes.length === 1 && meal.dishes[0] && !meal.dishes[0].cook_id && (
              <PutAway
                thing={{ kind: 'plan', id: meal.dishes[0].plan_id, name: meal.name }}
                onAway={setAway}
              />
            )}
          </Flex>
        ))}
      </Box>
      {broken.map(({ id, broken }) => (
        <Broken key={id} thing={{ kind: 'plan', id, name: '' }} why={broken ?? ''} onAway={setAway} />
      ))}
    </Stack>
  );
}

const company = ({ people, dishes }: Schemas['MealEntry']) =>
  [
    `for ${people}`,
    dishes.length > 1 && `: ${dishes.map((dish) => dish.name).join(', ')}`,
    dishes.some((dish) => dish.cook_id) && ', being cooked',
  ]
    .filter(Boolean)
    .join('');

function Line({ to, name, said }: { to: string; name: string; said: string }) {
  return (
    <chakra.a asChild display="flex" flexDirection="column" justifyContent="center" minHeight="72px" py={2}>
      <Link to={to}>
        <Text fontSize="lead" fontWeight={600}>
          {name}
        </Text>
        <Text color="soft">{said}</Text>
      </Link>
    </chakra.a>
  );
}
