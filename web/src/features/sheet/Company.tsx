import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Fault } from '../../ui/states';

type Props = {
  meals: Schemas['MealEntry'][];
  here: { id: string; plans: string[] };
  onOut?: (planId: string) => void;
};

/** Which dishes land together: others are brought in, and taken out again. */
export function Company({ meals, here, onOut }: Props) {
  const queries = useQueryClient();
  const bring = useMutation({
    mutationFn: (planId: string) => api.bringDish(here.id, planId),
    onSettled: () => queries.invalidateQueries({ queryKey: ['plans'] }),
  });
  const others = meals
    .filter((meal) => meal.id !== here.id && meal.dishes.length === 1)
    .flatMap((meal) => meal.dishes)
    .filter((dish) => !dish.cook_id && !here.plans.includes(dish.plan_id));
  const own = meals.find((meal) => meal.id === here.id);
  if (others.length === 0 && here.plans.length < 2) return null;
  return (
    <Box as="section" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        On the same table
      </Heading>
      {onOut &&
        here.plans.length > 1 &&
        own?.dishes.map((dish) => (
          <Flex key={dish.plan_id} align="center" gap={3} py={1}>
            <Text flex="1">{dish.name}</Text>
            <Button onClick={() => onOut(dish.plan_id)}>Take out</Button>
          </Flex>
        ))}
      {others.map((dish) => (
        <Flex key={dish.plan_id} align="center" gap={3} py={1}>
          <Text flex="1" color="soft">
            {dish.name}
          </Text>
          <Button onClick={() => bring.mutate(dish.plan_id)} disabled={bring.isPending}>
            Bring in
          </Button>
        </Flex>
      ))}
      {bring.error && <Fault error={bring.error} />}
    </Box>
  );
}
