import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';

/** Opens the cook of one dish of a meal, or goes on with it. */
export function StartDish({ dish, first }: { dish: Schemas['MealDish']; first: boolean }) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  // Made once: however often it is pressed, one cook is opened.
  const [id] = useState(() => crypto.randomUUID());
  const start = useMutation({
    mutationFn: async () => dish.cook_id ?? (await api.openCook(id, dish.plan_id)).id,
    onSuccess: (opened) => {
      void queries.invalidateQueries({ queryKey: ['cooks'] });
      return navigate(`/cook/${opened}`);
    },
  });
  return (
    <Button weight={first ? 'first' : undefined} onClick={() => start.mutate()} disabled={start.isPending}>
      {dish.cook_id ? 'Go on' : 'Start'}
    </Button>
  );
}
