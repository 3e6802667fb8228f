import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { merge } from '../../api/merge';
import { useUndoCorner } from '../shell/undo';

type Plan = Schemas['Plan'];
/** Plans as they were, or as they become, by their id. */
type Step = { id: string; plan: Plan }[];

/**
 * Changes of a meal's plans: each saved over the version that stands, and each taken back and put back as a whole. A plan keeps all
 * its versions, so taking back is saving what was.
 */
export function useMealChanges(meal: Schemas['MealAnswer'] | undefined) {
  const queries = useQueryClient();
  const [before, setBefore] = useState<Step[]>([]);
  const [after, setAfter] = useState<Step[]>([]);
  const shown = (id: string) => {
    const at = meal?.meal.dishes.findIndex((dish) => dish.plan_id === id) ?? -1;
    return meal?.plans[at];
  };
  const saving = useMutation({
    mutationFn: async (step: Step) => {
      for (const { id, plan } of step) {
        const { version, plan: stands } = await api.plan(id);
        // What was changed elsewhere meanwhile stays changed.
        await api.savePlan(id, version, merge(shown(id) ?? stands, plan, stands));
      }
    },
    onSettled: () => queries.invalidateQueries({ queryKey: ['plans'] }),
  });
  const now = (step: Step): Step =>
    step.flatMap(({ id }) => {
      const plan = shown(id);
      return plan ? [{ id, plan }] : [];
    });
  const go = (step: Step, keep: (was: Step) => void, settled?: () => void) => {
    const was = now(step);
    saving.mutate(step, { onSuccess: () => keep(was), onSettled: settled });
  };
  const [undone, redone] = [before.at(-1), after.at(-1)];
  useUndoCorner({
    undo: undone
      ? () =>
          go(undone, (was) => {
            setBefore((steps) => steps.slice(0, -1));
            setAfter((steps) => [...steps, was]);
          })
      : undefined,
    redo: redone
      ? () =>
          go(redone, (was) => {
            setAfter((steps) => steps.slice(0, -1));
            setBefore((steps) => [...steps, was]);
          })
      : undefined,
    undoes: '',
  });
  /** `settled` once it is kept and laid out anew, or can't be. */
  const change = (step: Step, settled?: () => void) =>
    go(
      step,
      (was) => {
        setBefore((steps) => [...steps, was]);
        setAfter([]);
      },
      settled,
    );
  return { change, busy: saving.isPending, error: saving.error };
}
