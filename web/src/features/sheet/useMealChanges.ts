import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { keepList, listOf } from '../../api/drafts';
import { merge } from '../../api/merge';
import { useUndoCorner } from '../shell/undo';

type Plan = Schemas['Plan'];
/** Plans as they were, or as they become, by their id. */
type Step = { id: string; plan: Plan }[];

/** A step, what it is made over, and what is done once it is kept, and once it is laid out anew or can't be. */
type Change = { step: Step; was: Step; keep: (was: Step) => void; settled?: () => void };

/**
 * Changes of a meal's plans: each saved over the version that stands, and each taken back and put back as a whole. A plan keeps all
 * its versions, so taking back is saving what was.
 */
export function useMealChanges(id: string, meal: Schemas['MealAnswer'] | undefined) {
  const queries = useQueryClient();
  const name = `meal-${id}`;
  const [before, setBefore] = useState(() => listOf<Step>(`${name}-before`));
  const [after, setAfter] = useState(() => listOf<Step>(`${name}-after`));
  // What can be taken back outlives the place and the page.
  useEffect(() => keepList(`${name}-before`, before), [name, before]);
  useEffect(() => keepList(`${name}-after`, after), [name, after]);
  const shown = (plan: string) => {
    const at = meal?.meal.dishes.findIndex((dish) => dish.plan_id === plan) ?? -1;
    return meal?.plans[at];
  };
  const saving = useMutation({
    // One after the other: each is made of what the one before it left.
    scope: { id: 'meal' },
    mutationFn: async ({ step, was }: Change) => {
      for (const { id, plan } of step) {
        const { version, plan: stands } = await api.plan(id);
        // What was changed elsewhere meanwhile stays changed.
        await api.savePlan(
          id,
          version,
          merge(was.find((one) => one.id === id)?.plan ?? stands, plan, stands),
        );
      }
    },
    onSuccess: (_, { was, keep }) => keep(was),
    onSettled: async (_, __, { settled }) => {
      await queries.invalidateQueries({ queryKey: ['plans'] });
      settled?.();
    },
  });
  const go = (step: Step, keep: (was: Step) => void, settled?: () => void) =>
    saving.mutate({
      step,
      was: step.flatMap(({ id }) => {
        const plan = shown(id);
        return plan ? [{ id, plan }] : [];
      }),
      keep,
      settled,
    });
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
