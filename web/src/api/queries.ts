import { keepPreviousData, skipToken, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { hearChanges } from './changes';
import { showHoursOf } from '../format/time';
import { api, NOT_KEPT, type Schemas } from './client';
import { onAnswered } from './outbox';
import { setProgress } from './progress';

/** The kitchen with its version, for who changes it. */
export const useKitchenView = () => useQuery({ queryKey: ['kitchen'], queryFn: api.kitchen });

/** The kitchen; every clock on the page shows its hours. */
export const useKitchen = () =>
  useQuery({
    queryKey: ['kitchen'],
    queryFn: api.kitchen,
    select: ({ kitchen }) => {
      showHoursOf(kitchen.units);
      return kitchen;
    },
  });
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
  useQuery({ queryKey: ['plans', id], queryFn: id ? () => api.plan(id) : skipToken });

/** The scale from firm to spoon. */
export const useScale = () => useQuery({ queryKey: ['scale'], queryFn: api.scale, staleTime: Infinity });

export const useLarder = () => useQuery({ queryKey: ['larder'], queryFn: api.larder, staleTime: Infinity });

/** The meals to come, by their bell. */
export const useMeals = () => useQuery({ queryKey: ['plans', 'meals'], queryFn: api.meals });

/** A meal worked back from its bell; again every minute, because it starts from now. */
export const useMeal = (id: string | undefined) =>
  useQuery({
    queryKey: ['plans', 'meals', id],
    queryFn: id ? () => api.meal(id) : skipToken,
    refetchInterval: 60_000,
  });

/** A cook as it stands; read again every half minute, because time moves it. */
export const useCook = (id: string | undefined) =>
  useQuery({
    queryKey: ['cooks', id],
    queryFn: id ? () => api.cook(id) : skipToken,
    refetchInterval: 30_000,
  });

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

/** Keeps every open page the same: what changed elsewhere is read again here, and what a tap made of a cook is shown. */
export function useChanges() {
  const queries = useQueryClient();
  useEffect(
    () =>
      onAnswered((cook) => {
        queries.setQueryData(['cooks', cook.id], cook);
        void queries.invalidateQueries({ queryKey: ['cooks'], exact: true });
      }),
    [queries],
  );
  useEffect(() => {
    if (typeof EventSource === 'undefined') return;
    return hearChanges((change) => {
      if (change.what === 'progress') {
        setProgress(change.task, { done: change.done, of: change.of ?? undefined });
        return;
      }
      // What was read before the stream was there may have changed in between.
      if (change.what === 'hello') {
        for (const queryKey of [['plans'], ['cooks']]) void queries.invalidateQueries({ queryKey });
        return;
      }
      const keys =
        change.what === 'plan' ? [['plans'], ['bin']] : change.what === 'cook' ? [['cooks'], ['bin']] : [[]];
      for (const queryKey of keys) void queries.invalidateQueries({ queryKey });
    });
  }, [queries]);
}
