import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { api, type Kitchen, type Schemas } from './client';
import { LiveDocument, type Keeper, type Kept } from './LiveDocument';

/** A document for as long as its page is open. */
function useLive<T extends object>(first: Kept<T>, newest: Kept<T> | undefined, keeper: () => Keeper<T>) {
  // The document outlives what is read of it: later versions arrive below.
  const [document] = useState(() => new LiveDocument(first, keeper()));
  const state = useSyncExternalStore(document.subscribe, document.snapshot);
  useEffect(() => {
    if (newest) document.arrived(newest);
  }, [document, newest]);
  useEffect(() => {
    const leave = () => void document.flush();
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [document]);
  return { document, ...state };
}

const planKept = ({ version, plan }: Schemas['PlanView']): Kept<Schemas['Plan']> => ({
  version,
  value: plan,
});

/** A plan under the hand. Its page is keyed by its id. */
export function usePlanDocument(view: Schemas['PlanView']) {
  const queries = useQueryClient();
  const { id } = view;
  const [first] = useState(() => planKept(view));
  return useLive(first, planKept(view), () => ({
    name: `ergastic-plan-${id}`,
    read: async () => planKept(await api.plan(id)),
    save: async (version, plan) => {
      const kept = await api.savePlan(id, version, plan);
      queries.setQueryData(['plans', id], kept);
      void queries.invalidateQueries({ queryKey: ['plans'] });
      return planKept(kept);
    },
  }));
}

const kitchenKept = ({ version, kitchen }: Schemas['KitchenView']): Kept<Kitchen> => ({
  version,
  value: kitchen,
});

/** The kitchen under the hand. */
export function useKitchenDocument(view: Schemas['KitchenView']) {
  const queries = useQueryClient();
  const [first] = useState(() => kitchenKept(view));
  return useLive(first, kitchenKept(view), () => ({
    asItCame: (kitchen) => kitchen.as_it_came,
    name: 'ergastic-kitchen',
    read: async () => kitchenKept(await api.kitchen()),
    save: async (version, kitchen) => {
      const kept = await api.saveKitchen(version, kitchen);
      queries.setQueryData(['kitchen'], kept);
      for (const queryKey of [
        ['plans'],
        ['cooks'],
        ['match'],
        ['bench'],
        ['kitchen', 'larder'],
        ['kitchen', 'safety'],
      ])
        void queries.invalidateQueries({ queryKey });
      return kitchenKept(kept);
    },
  }));
}
