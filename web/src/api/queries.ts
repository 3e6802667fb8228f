import { keepPreviousData, skipToken, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { hearChanges, type Change } from './changes';
import { showHoursOf } from '../format/time';
import { api, kitchenNow, kitchenSpeed, NOT_KEPT, type Schemas } from './client';
import { onForgotten } from './leaving';
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
      showHoursOf(kitchen);
      return kitchen;
    },
  });
export const useCuts = () => useQuery({ queryKey: ['cuts'], queryFn: api.cuts, staleTime: Infinity });
export const usePlans = () => useQuery({ queryKey: ['plans'], queryFn: api.plans });
export const useCooks = () => useQuery({ queryKey: ['cooks'], queryFn: api.cooks });

export const usePlan = (id: string | undefined) =>
  useQuery({ queryKey: ['plans', id], queryFn: id ? () => api.plan(id) : skipToken });

/** What forms ask of each kind of thing, and the ways that are compared. */
export const useFields = (asked = true) =>
  useQuery({ queryKey: ['kitchen', 'fields'], queryFn: asked ? api.fields : skipToken, staleTime: Infinity });

/** The scale from firm to spoon. */
export const useScale = () => useQuery({ queryKey: ['scale'], queryFn: api.scale, staleTime: Infinity });

/** What there is to put in; what is kept from earlier cooks stands in the kitchen. */
export const useLarder = () =>
  useQuery({ queryKey: ['kitchen', 'larder'], queryFn: api.larder, staleTime: Infinity });

/** Every caution, under the code that the kitchen has chosen. */
export const useSafety = () => useQuery({ queryKey: ['kitchen', 'safety'], queryFn: api.safety });

/** The meals to come, by their bell. */
export const useMeals = () => useQuery({ queryKey: ['plans', 'meals'], queryFn: api.meals });

/** A meal worked back from its bell; again every minute, because it starts from now. */
export const useMeal = (id: string | undefined) =>
  useQuery({
    queryKey: ['plans', 'meals', id],
    queryFn: id ? () => api.meal(id) : skipToken,
    refetchInterval: 60_000,
  });

/** How often what time moves is read again, ms: oftener where the kitchen's clock runs faster, but not without end. */
const often = (ms: number) => () => Math.max(2500, ms / kitchenSpeed());

/** A cook as it stands; read again every half minute, because time moves it. */
export const useCook = (id: string | undefined) =>
  useQuery({
    queryKey: ['cooks', id],
    queryFn: id ? () => api.cook(id) : skipToken,
    refetchInterval: often(30_000),
    // An alarm has to ring in a page that nobody looks at.
    refetchIntervalInBackground: true,
  });

/** Every dish on the heat and what rings; on every page, whether it is looked at or not. */
export const useAtWork = () =>
  useQuery({
    queryKey: ['cooks', 'now'],
    queryFn: api.now,
    refetchInterval: often(20_000),
    refetchIntervalInBackground: true,
  });

/** What could be done now, each with where it leads; worked out only where it is looked at. */
export const useWhatIf = (cook: Schemas['CookAnswer']) =>
  useQuery({
    queryKey: ['cooks', cook.id, 'what-if'],
    queryFn: () => api.whatIf(cook.id),
    refetchInterval: often(60_000),
  });

/** What may have gone wrong, each with what to do about it in this pot. */
export const useGoneWrong = (cook: Schemas['CookAnswer']) =>
  useQuery({
    queryKey: ['cooks', cook.id, 'gone-wrong'],
    queryFn: () => api.goneWrong(cook.id),
    refetchInterval: often(60_000),
  });

/** What comes after the sauce of a cook, as it stands. */
export const useAfterwards = (cook: Schemas['CookAnswer']) =>
  useQuery({
    queryKey: ['cooks', cook.id, 'afterwards', cook.view.sauce, cook.view.pot.meat_kg, cook.view.serve_at],
    queryFn: () => api.afterwards(cook.id),
    refetchInterval: often(60_000),
    placeholderData: keepPreviousData,
  });

/** Answers go with all else that this browser knew of the kitchen. */
export function useForgetting() {
  const queries = useQueryClient();
  useEffect(() => onForgotten(() => queries.clear()), [queries]);
}

/** What this screen is called and may do. */
export const useDevice = () => useQuery({ queryKey: ['screen'], queryFn: api.device, staleTime: 60_000 });

/** The kitchen's screens, keys and addresses. */
export const useDevices = () =>
  useQuery({ queryKey: ['devices'], queryFn: api.devices, refetchInterval: 15_000, retry: false });

/** The probes that have been seen. */
export const useProbes = () =>
  useQuery({ queryKey: ['probes'], queryFn: api.probes, refetchInterval: often(20_000) });

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

export const useTrash = () => useQuery({ queryKey: ['bin'], queryFn: api.bin });

/** Puts a plan or a cook in the bin, or takes it out again; `onDone` is told also when what it stood on has gone by then. */
export function usePutAway(onDone?: () => void) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ kind, id, back }: { kind: Schemas['DeletedKind']; id: string; back?: boolean }) =>
      back ? api.takeOut(kind, id) : api.putAway(kind, id),
    onSuccess: onDone,
    onSettled: () => {
      for (const queryKey of [['plans'], ['cooks'], ['bin']]) void queries.invalidateQueries({ queryKey });
    },
  });
}

/** A cook is worked out anew this often for what its probes read, ms of the kitchen's time. */
const READ_AGAIN_MS = 15_000;

type Reading = Extract<Change, { what: 'reading' }>;
type AboutCooks = Partial<Schemas['CookAnswer'] & Schemas['KitchenNow']>;

const shownOf = ({ at, celsius }: Reading) => ({ at, celsius });

/** The probes that an answer about cooks is made with. */
function probesOf(data: unknown): Schemas['ProbeNow'][] {
  const answer = data as AboutCooks | undefined;
  return [answer?.view, ...(answer?.dishes ?? [])].flatMap((view) => view?.probes ?? []);
}

/** The same answer with what a probe has read since; how far that is believed is told when it is asked for again. */
function withReading(data: unknown, reading: Reading): unknown {
  const answer = data as AboutCooks;
  const newer = <T extends { probes: Schemas['ProbeNow'][] }>(view: T): T => ({
    ...view,
    probes: view.probes.map((one) => (one.probe === reading.probe ? { ...one, ...shownOf(reading) } : one)),
  });
  return {
    ...answer,
    ...(answer.view && { view: newer(answer.view) }),
    ...(answer.dishes && { dishes: answer.dishes.map(newer) }),
  };
}

/** Keeps every open page the same: what changed elsewhere is read again here, and what a tap made of a cook is shown. */
export function useChanges() {
  const queries = useQueryClient();
  useEffect(
    () =>
      onAnswered((cook) => {
        queries.setQueryData(['cooks', cook.id], cook);
        // What was answered must not ring again before all the dishes are read again.
        queries.setQueryData<Schemas['KitchenNow']>(['cooks', 'now'], (now) => {
          const { alarms } = cook.view;
          return (
            now && {
              ...now,
              dishes: now.dishes.map((one) => (one.id === cook.id ? { ...one, alarms } : one)),
            }
          );
        });
        void queries.invalidateQueries({ queryKey: ['cooks'], exact: true });
      }),
    [queries],
  );
  useEffect(() => {
    if (typeof EventSource === 'undefined') return;
    let asked = 0;
    const read = (reading: Reading) => {
      const now = kitchenNow();
      queries.setQueryData<Schemas['ProbeSeen'][]>(['probes'], (seen) =>
        seen?.map((one) => (one.name === reading.probe ? { ...one, ...shownOf(reading) } : one)),
      );
      const uses = queries
        .getQueryCache()
        .findAll({ queryKey: ['cooks'] })
        .filter(({ state: { data } }) => probesOf(data).some((probe) => probe.probe === reading.probe));
      for (const { queryKey } of uses) queries.setQueryData(queryKey, (data) => withReading(data, reading));
      if (uses.length === 0 || Math.abs(now - asked) < READ_AGAIN_MS) return;
      asked = now;
      for (const { queryKey } of uses) void queries.invalidateQueries({ queryKey, exact: true });
    };
    return hearChanges((change) => {
      if (change.what === 'progress') {
        setProgress(change.task, { done: change.done, of: change.of ?? undefined });
        return;
      }
      // What a probe reads is shown at once; what it means is worked out for a cook every so often.
      if (change.what === 'reading') {
        read(change);
        return;
      }
      // What was read before the stream was there may have changed in between.
      if (change.what === 'hello') {
        for (const queryKey of [['plans'], ['cooks']]) void queries.invalidateQueries({ queryKey });
        return;
      }
      const keys =
        change.what === 'plan'
          ? [['plans'], ['bin']]
          : change.what === 'cook'
            ? [['cooks'], ['plans', 'meals'], ['bin']]
            : [[]];
      for (const queryKey of keys) void queries.invalidateQueries({ queryKey });
    });
  }, [queries]);
}
