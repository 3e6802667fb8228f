import { useCallback, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { Kitchen, Schemas } from '../../api/client';

type Request = Schemas['ForecastRequest'];

/** A forecast to be explained, with the name of its dish. */
export type Asked = { request: Request; dish?: string };

const usual: Request = { cut: 'chuck', mass_kg: 1.4, method: 'braise' };

/** The address of the place where a forecast is explained: the whole request stands in it. */
export function whyAddress(request: Request, dish?: string): string {
  const given = Object.entries(request).filter(([, value]) => value !== null && value !== undefined);
  const params = new URLSearchParams({ f: JSON.stringify(Object.fromEntries(given)) });
  if (dish) params.set('dish', dish);
  return `/why?${params.toString()}`;
}

/** A plan's forecast as the kitchen computes it: at its altitude, and in its pot where it stands in one. */
export function inKitchen(request: Request, kitchen: Kitchen): Request {
  const inPot = request.method === 'braise' || request.method === 'stew';
  return {
    ...request,
    altitude_m: request.altitude_m ?? kitchen.altitude_m,
    vessel: request.vessel ?? (inPot ? kitchen.pot : undefined),
  };
}

const isRequest = (found: unknown): found is Request =>
  typeof found === 'object' && found !== null && !Array.isArray(found);

/** What is asked stands in the address; one that can't be read is said, not guessed at. */
export function useAsked() {
  const [params, setParams] = useSearchParams();
  const text = params.get('f');
  const dish = params.get('dish') ?? undefined;
  const asked = useMemo<Asked | undefined>(() => {
    if (text === null) return { request: usual, dish };
    try {
      const found: unknown = JSON.parse(text);
      return isRequest(found) ? { request: found, dish } : undefined;
    } catch {
      return undefined;
    }
  }, [text, dish]);
  const ask = useCallback(
    (request: Request) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          next.set('f', JSON.stringify(request));
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );
  return { asked, ask };
}

/** A way to try instead, with what it sets; the meat stays. */
export type Way = { key: string; label: string; sets: Pick<Request, 'method' | 'heat' | 'stages'> };

export const ways: Way[] = [
  { key: 'oven', label: 'Braise, oven', sets: { method: 'braise', heat: { source: 'oven', set_c: 150 } } },
  {
    key: 'cool',
    label: 'Braise, cool oven',
    sets: { method: 'braise', heat: { source: 'oven', set_c: 100 } },
  },
  { key: 'hob', label: 'Braise, hob', sets: { method: 'braise', heat: { source: 'hob', simmer: 'gentle' } } },
  {
    key: 'coals',
    label: 'Braise, coals',
    sets: { method: 'braise', heat: { source: 'coals', under: 8, over: 16 } },
  },
  { key: 'stew', label: 'Stew', sets: { method: 'stew', heat: { source: 'hob', simmer: 'gentle' } } },
  { key: 'pressure', label: 'Pressure', sets: { method: 'pressure', heat: { level: 'high' } } },
  { key: 'low', label: 'Slow cooker, low', sets: { method: 'slow_cooker', heat: { setting: 'low' } } },
  { key: 'pit', label: 'Pit, bare', sets: { method: 'smoke', heat: { pit_c: 110 } } },
  {
    key: 'wrapped',
    label: 'Pit, then paper',
    sets: { method: 'smoke', heat: { pit_c: 110, wrap: { in: 'paper', at_core_c: 70 } } },
  },
  { key: 'fat', label: 'Under fat', sets: { method: 'confit', heat: { fat_c: 90 } } },
  { key: 'bath', label: 'Water bath', sets: { method: 'water_bath', heat: { bath_c: 82 } } },
  {
    key: 'smoke_bag',
    label: 'Pit, then bag',
    sets: {
      stages: [
        { method: 'smoke', heat: { pit_c: 110 }, until: { min: 240 } },
        { method: 'water_bath', heat: { bath_c: 82 } },
      ],
    },
  },
  {
    key: 'day_before',
    label: 'Day before',
    sets: {
      stages: [
        { method: 'braise', heat: { source: 'oven', set_c: 150 }, until: { min: 120 } },
        { method: 'chill', until: { core_c: 5 } },
        { method: 'reheat', heat: { to_c: 80 } },
      ],
    },
  },
];

/** Which of the ways a request is, as far as method and the heat's kind go. */
export function wayOf(request: Request): string {
  if (request.stages) {
    const methods = (of: Request['stages']) => of?.map((stage) => stage.method).join();
    return ways.find((way) => methods(way.sets.stages) === methods(request.stages))?.key ?? 'other';
  }
  const heat = request.heat ?? {};
  switch (request.method) {
    case 'braise':
      if (heat.source === 'hob' || heat.source === 'coals') return heat.source;
      return (heat.set_c ?? 150) <= 115 ? 'cool' : 'oven';
    case 'stew':
      return 'stew';
    case 'pressure':
      return 'pressure';
    case 'slow_cooker':
      return 'low';
    case 'smoke':
      return heat.wrap ? 'wrapped' : 'pit';
    case 'confit':
      return 'fat';
    case 'water_bath':
      return 'bath';
    default:
      return 'other';
  }
}

/** What belongs to the meat and the kitchen, whatever the way. */
const meat = [
  'cut',
  'parts',
  'mass_kg',
  'pieces',
  'size_mm',
  'thickness_mm',
  'start_c',
  'age',
  'grass_fed',
  'eaten_as',
  'altitude_m',
  'known',
] as const;

/** The same meat another way: what belongs to the old way alone is left behind. */
export function another(request: Request, way: Way): Request {
  const given = meat.filter((name) => request[name] != null).map((name) => [name, request[name]] as const);
  return { ...(Object.fromEntries(given) as Request), ...way.sets };
}
