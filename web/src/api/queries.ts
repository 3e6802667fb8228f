import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, kitchenNow, type Schemas } from './client';

export const useKitchen = () => useQuery({ queryKey: ['kitchen'], queryFn: api.kitchen });
export const useCuts = () => useQuery({ queryKey: ['cuts'], queryFn: api.cuts, staleTime: Infinity });
export const usePlans = () => useQuery({ queryKey: ['plans'], queryFn: api.plans });
export const useCooks = () => useQuery({ queryKey: ['cooks'], queryFn: api.cooks });

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

/** Keeps every open page the same: what changed elsewhere is read again here. */
export function useChanges() {
  const queries = useQueryClient();
  useEffect(() => {
    if (typeof EventSource === 'undefined') return;
    let source: EventSource | undefined;
    let dropped = false;
    const listen = () => {
      source = new EventSource('/api/events');
      source.onmessage = (message: MessageEvent<string>) => {
        const change = JSON.parse(message.data) as Schemas['Change'];
        if (change.what === 'plan') void queries.invalidateQueries({ queryKey: ['plans'] });
        else if (change.what === 'cook') void queries.invalidateQueries({ queryKey: ['cooks'] });
        else void queries.invalidateQueries();
      };
      source.onerror = () => {
        dropped = true;
      };
      source.onopen = () => {
        if (dropped) void queries.invalidateQueries();
        dropped = false;
      };
    };
    // A page that was left may live on in the browser's memory: it must not keep its connection there.
    const leave = () => source?.close();
    const comeBack = (event: PageTransitionEvent) => {
      if (!event.persisted) return;
      dropped = true;
      listen();
    };
    listen();
    window.addEventListener('pagehide', leave);
    window.addEventListener('pageshow', comeBack);
    return () => {
      window.removeEventListener('pagehide', leave);
      window.removeEventListener('pageshow', comeBack);
      leave();
    };
  }, [queries]);
}
