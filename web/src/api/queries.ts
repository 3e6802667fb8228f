import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { hearChanges } from './changes';
import { api, kitchenNow, NOT_KEPT, type Schemas } from './client';
import { setProgress } from './progress';

export const useKitchen = () => useQuery({ queryKey: ['kitchen'], queryFn: api.kitchen });
export const useCuts = () => useQuery({ queryKey: ['cuts'], queryFn: api.cuts, staleTime: Infinity });
export const usePlans = () => useQuery({ queryKey: ['plans'], queryFn: api.plans });
export const useCooks = () => useQuery({ queryKey: ['cooks'], queryFn: api.cooks });

/** The latest of the cooks that are over; more of them keep what is shown until they are there. */
export const useLog = (count: number) =>
  useQuery({
    queryKey: ['cooks', 'log', count],
    queryFn: () => api.log(count),
    placeholderData: keepPreviousData,
  });

export const usePlan = (id: string | undefined) =>
  useQuery({ queryKey: ['plans', id], queryFn: () => api.plan(id!), enabled: !!id });

export const useLarder = () => useQuery({ queryKey: ['larder'], queryFn: api.larder, staleTime: Infinity });

/** The sheet of a plan; worked back again every minute, because it starts from now. */
export const useSheet = (id: string | undefined) =>
  useQuery({
    queryKey: ['plans', id, 'sheet'],
    queryFn: () => api.sheet(id!),
    enabled: !!id,
    refetchInterval: 60_000,
  });

/** A cook as it stands; read again every half minute, because time moves it. */
export const useCook = (id: string | undefined) =>
  useQuery({ queryKey: ['cooks', id], queryFn: () => api.cook(id!), enabled: !!id, refetchInterval: 30_000 });

export const useMatch = (request: Schemas['MatchRequest'], enabled = true) =>
  useQuery({
    queryKey: ['match', request],
    enabled,
    queryFn: ({ signal }) => api.match(request, signal),
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    retry: false,
  });

export const useSauce = (request: Schemas['SauceRequest'], enabled: boolean) =>
  useQuery({
    queryKey: ['sauce', request],
    queryFn: ({ signal }) => api.sauce(request, signal),
    placeholderData: keepPreviousData,
    enabled,
    retry: false,
  });

/** Appends what happened and takes the cook as it then stands. Each event has its own id, so a retry does nothing twice. */
export function useAppend(id: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (happened: Schemas['Happened'][]) =>
      append(
        id,
        happened.map((what) => ({
          id: crypto.randomUUID(),
          at: new Date(kitchenNow()).toISOString(),
          happened: what,
        })),
      ),
    onSuccess: (cook) => {
      queries.setQueryData(['cooks', id], cook);
      void queries.invalidateQueries({ queryKey: ['cooks'], exact: true });
    },
  });
}

async function append(id: string, events: Schemas['Event'][]) {
  try {
    return await api.append(id, events);
  } catch (fault) {
    if (!(fault instanceof Error) || (fault as { status?: number }).status !== 0) throw fault;
    // The connection dropped: whether it was stored is not known, and sending the same ids again is harmless.
    await new Promise((done) => setTimeout(done, 800));
    return api.append(id, events);
  }
}

/** Whether anything can be kept in the kitchen; looked at again when something could not be. */
export function useHealth() {
  const queries = useQueryClient();
  useEffect(() => {
    const look = () => void queries.invalidateQueries({ queryKey: ['health'] });
    window.addEventListener(NOT_KEPT, look);
    return () => window.removeEventListener(NOT_KEPT, look);
  }, [queries]);
  return useQuery({ queryKey: ['health'], queryFn: api.health, refetchInterval: 30_000, retry: false });
}

export const useBin = () => useQuery({ queryKey: ['bin'], queryFn: api.bin });

/** Puts a plan or a cook in the bin, or takes it out again; `onDone` is told also when what it stood on has gone by then. */
export function usePutAway(onDone?: () => void) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ kind, id, back }: { kind: Schemas['BinnedKind']; id: string; back?: boolean }) =>
      back ? api.takeOut(kind, id) : api.putAway(kind, id),
    onSuccess: onDone,
    onSettled: () => {
      for (const queryKey of [['plans'], ['cooks'], ['bin']]) void queries.invalidateQueries({ queryKey });
    },
  });
}

/** Keeps every open page the same: what changed elsewhere is read again here. */
export function useChanges() {
  const queries = useQueryClient();
  useEffect(() => {
    if (typeof EventSource === 'undefined') return;
    return hearChanges((change) => {
      if (change.what === 'hello') return;
      if (change.what === 'progress') {
        setProgress(change.task, { done: change.done, of: change.of ?? undefined });
        return;
      }
      const keys =
        change.what === 'plan' ? [['plans'], ['bin']] : change.what === 'cook' ? [['cooks'], ['bin']] : [[]];
      for (const queryKey of keys) void queries.invalidateQueries({ queryKey });
    });
  }, [queries]);
}
