import { Box } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api } from '../../api/client';
import { useMeals } from '../../api/queries';
import { useNow } from '../../format/useNow';
import { Fault } from '../../ui/states';
import { OWN_TABLE, TableField } from '../../ui/TableField';
import type { Plan } from './bench';

/** With which dishes it lands: it can be brought to a meal to come, and taken out again. */
export function TableOf({
  id,
  plan,
  zone,
  flush,
}: {
  id: string;
  plan: Plan;
  zone: string;
  flush: () => Promise<void>;
}) {
  const meals = useMeals();
  const queries = useQueryClient();
  const now = useNow(60_000);
  const move = useMutation({
    mutationFn: async (mealId: string) => {
      await flush();
      if (mealId !== OWN_TABLE) {
        await api.bringDish(mealId, id);
        return;
      }
      const { version, plan: stands } = await api.plan(id);
      await api.savePlan(id, version, { ...stands, meal: undefined });
    },
    onSettled: () => queries.invalidateQueries({ queryKey: ['plans'] }),
  });
  // Itself, alone, is no other table.
  const others = meals.data?.filter((meal) => meal.id !== id || meal.dishes.length > 1) ?? [];
  if (others.length === 0) return null;
  return (
    <Box>
      <TableField
        meals={others}
        value={plan.meal?.id ?? OWN_TABLE}
        onChange={(mealId) => move.mutate(mealId)}
        zone={zone}
        now={now}
      />
      {move.error && <Fault error={move.error} />}
    </Box>
  );
}
