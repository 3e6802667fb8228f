import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Fault } from '../../ui/states';
import { ThumbBar } from '../../ui/ThumbBar';

/** Opens the cook of a dish, or goes on with it: alone it is the one thing to do next, in a meal one of several. */
export function StartDish({ dish, alone }: { dish: Schemas['DishOfMeal']; alone: boolean }) {
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
  const button = (name: string, large: boolean) => (
    <Button
      weight={large ? 'first' : undefined}
      size={large ? 'large' : undefined}
      onClick={() => start.mutate()}
      disabled={start.isPending}
    >
      {name}
    </Button>
  );
  return (
    <>
      {alone ? (
        <ThumbBar>{button(dish.cook_id ? 'Go on cooking' : 'Start this cook', true)}</ThumbBar>
      ) : (
        button(dish.cook_id ? 'Go on' : 'Start', false)
      )}
      {start.error && <Fault error={start.error} />}
    </>
  );
}
