import { Box, Flex, Stack, Text, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
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

/** Where a meal is laid out: a dish alone on its own sheet. */
export const sheetOf = ({ id, dishes }: Schemas['MealEntry']) =>
  dishes.length > 1 ? `/sheet/meal/${encodeURIComponent(id)}` : `/sheet/${dishes[0]?.plan_id ?? id}`;

/** The meals to come on one strip, and each beneath it by its bell. */
export function Meals() {
  const meals = useMeals();
  const plans = usePlans();
  const kitchen = useKitchen();
  const now = useNow(60_000);
  const [away, setAway] = useState<Away>();
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
      <PageHeading title="Meals to come" />
      <WeekStrip meals={meals.data} zone={zone} now={now} />
      <TakeBack thing={away} onBack={() => setAway(undefined)} />
      <Box as="ul" listStyleType="none" maxW="64rem">
        {meals.data.map((meal) => (
          <Flex
            as="li"
            key={meal.id}
            align="center"
            borderTopWidth="1px"
            borderColor="line"
            _hover={{ bg: 'panel' }}
          >
            <chakra.a asChild flex="1" minHeight="72px">
              <Link to={sheetOf(meal)}>
                <Flex align="center" gap={5} py={3} px={2}>
                  <Text
                    fontSize="title"
                    fontWeight={700}
                    color="rim"
                    minW={{ base: '6.6rem', md: '9.5rem' }}
                    fontVariantNumeric="tabular-nums"
                    lineHeight={1.1}
                  >
                    {clockDay(meal.bell, zone, now)}
                  </Text>
                  <Box>
                    <Text fontSize="lead" fontWeight={600}>
                      {meal.name}
                    </Text>
                    <Text color="soft">
                      for {meal.people}
                      {meal.dishes.length > 1 && `: ${meal.dishes.map((dish) => dish.name).join(', ')}`}
                      {meal.dishes.some((dish) => dish.cook_id) && ', being cooked'}
                    </Text>
                  </Box>
                </Flex>
              </Link>
            </chakra.a>
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
