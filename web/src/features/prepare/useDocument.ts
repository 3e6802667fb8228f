import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { api, type Schemas } from '../../api/client';
import { PlanDocument, type Kept } from './PlanDocument';

/** The document of a plan for as long as its page is open. */
export function useDocument(id: string, first: Kept, newest: Schemas['PlanView'] | undefined) {
  const queries = useQueryClient();
  const document = useMemo(
    () =>
      new PlanDocument(first, {
        save: async (version, plan) => {
          const kept = await api.savePlan(id, version, plan);
          queries.setQueryData(['plans', id], kept);
          void queries.invalidateQueries({ queryKey: ['plans', id, 'versions'] });
          return kept;
        },
        read: () => api.plan(id),
      }),
    // The document outlives what is read of it: later versions arrive below.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [id, queries],
  );
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
