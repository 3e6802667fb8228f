import { useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { kitchenNow, type Schemas } from '../../api/client';
import type { Kit } from './kits';
import { nextAt } from '../../format/time';

/** Another cut or size in the same pot. */
export type Company = { cut: Schemas['Cut']; kg: number; mm?: number };

export type Block = {
  cut: Schemas['Cut'];
  kg?: number;
  mm?: number;
  pieces?: number;
  bone?: number;
  age?: Schemas['Age'];
  frozen?: boolean;
  also: Company[];
  as?: Schemas['EatenAs'];
  people?: number;
  served?: Schemas['Served'];
  serve_at: string;
  kit?: Kit[];
  /** Away from and to, as `datetime-local` text. */
  away?: string;
  back?: string;
  price?: number;
  sure?: number;
  sort?: Schemas['Sort'];
  recipe?: string;
  /** The chosen way, and those compared. */
  way?: string;
  beside: string[];
};

/** How it is eaten. */
export const eaten: { value: Schemas['EatenAs']; label: string }[] = [
  { value: 'slice', label: 'slice' },
  { value: 'fork', label: 'fork' },
  { value: 'probe', label: 'probe' },
  { value: 'pull', label: 'pull' },
  { value: 'spoon', label: 'spoon' },
];

/** How it comes to the table. */
export const served: { value: Schemas['Served']; label: string }[] = [
  { value: 'plate', label: 'on a plate' },
  { value: 'bread', label: 'in bread' },
  { value: 'noodles', label: 'with noodles' },
  { value: 'soup', label: 'in soup' },
  { value: 'rich_glaze', label: 'glazed' },
];

const DEFAULT_CUT = 'chuck';
/** How many are compared side by side. */
export const MAX_BESIDE = 3;
/** What stays with the evening when another cut is laid on the block. */
export const otherCut = (cut: Schemas['Cut']): Partial<Block> => ({
  cut,
  as: undefined,
  kg: undefined,
  mm: undefined,
  pieces: undefined,
  bone: undefined,
  age: undefined,
  way: undefined,
  beside: [],
});

const readCompany = (text: string): Company | undefined => {
  const [cut, kg, mm] = text.split(':');
  const mass = Number(kg);
  if (!cut || !Number.isFinite(mass)) return undefined;
  return { cut: cut as Schemas['Cut'], kg: mass, mm: mm ? Number(mm) : undefined };
};

const writeCompany = ({ cut, kg, mm }: Company) => [cut, Number(kg.toFixed(3)), mm ?? ''].join(':');

const list = (text: string | null) => text?.split(',').filter(Boolean) ?? [];

/** How a field stands in the address. */
function written(name: string, value: unknown): string {
  if (name === 'also') return (value as Company[]).map(writeCompany).join(',');
  if (Array.isArray(value)) return value.join(',');
  if (typeof value === 'number') return String(Number(value.toFixed(3)));
  return String(value);
}

/** Changes what is on the block; a `step` is one that back goes back over, a figure under the hand is not. */
export type Change = (changed: Partial<Block>, how?: 'step') => void;

/** What is on the block stands in the address, so that it can be linked, reloaded and gone back to. */
export function useBlock(zone: string) {
  const [params, setParams] = useSearchParams();
  const [dinner] = useState(() => nextAt(19, 7, zone, kitchenNow()));
  const block = useMemo<Block>(() => {
    const figure = (name: string) => {
      const text = params.get(name);
      const value = Number(text);
      return text && Number.isFinite(value) ? value : undefined;
    };
    // What stands in an address is anybody's: the kitchen reads it, and names what it does not know.
    const word = (name: string) => params.get(name) ?? undefined;
    return {
      cut: (word('cut') as Schemas['Cut'] | undefined) ?? DEFAULT_CUT,
      kg: figure('kg'),
      mm: figure('mm'),
      pieces: figure('pieces'),
      bone: figure('bone'),
      age: word('age') as Schemas['Age'] | undefined,
      frozen: params.get('frozen') === 'true' || undefined,
      also: list(params.get('also')).flatMap((text) => readCompany(text) ?? []),
      as: word('as') as Schemas['EatenAs'] | undefined,
      people: figure('people'),
      served: word('served') as Schemas['Served'] | undefined,
      serve_at: params.get('serve_at') ?? dinner,
      kit: params.has('kit') ? (list(params.get('kit')) as Kit[]) : undefined,
      away: word('away'),
      back: word('back'),
      price: figure('price'),
      sure: figure('sure'),
      sort: word('sort') as Schemas['Sort'] | undefined,
      recipe: word('recipe'),
      way: word('way'),
      beside: list(params.get('beside')).slice(0, MAX_BESIDE),
    };
  }, [params, dinner]);
  const change = useCallback<Change>(
    (changed, how) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          for (const [name, value] of Object.entries<unknown>(changed)) {
            const text = value === undefined || value === false ? '' : written(name, value);
            if (value === undefined || (text === '' && name !== 'kit')) next.delete(name);
            else next.set(name, text);
          }
          return next;
        },
        { replace: how !== 'step', preventScrollReset: true },
      ),
    [setParams],
  );
  return { block, change };
}

/** What is asked of the kitchen. */
export function matchRequest(block: Block, zone: string): Schemas['MatchRequest'] {
  const meat: Schemas['MatchRequest'] = block.also.length
    ? {
        parts: [
          {
            cut: block.cut,
            mass_kg: block.kg,
            thickness_mm: block.mm,
            pieces: block.pieces,
            bone_pct: block.bone,
          },
          ...block.also.map(({ cut, kg, mm }) => ({ cut, mass_kg: kg, thickness_mm: mm })),
        ],
      }
    : {
        cut: block.cut,
        mass_kg: block.kg,
        thickness_mm: block.mm,
        pieces: block.pieces,
        bone_pct: block.bone,
      };
  return {
    ...meat,
    age: block.age,
    frozen: block.frozen,
    eaten_as: block.as,
    people: block.people && Math.round(block.people),
    served: block.served,
    serve_at: block.serve_at,
    zone,
    kit: block.kit,
    away: block.away && block.back ? [[block.away, block.back]] : undefined,
    price_per_kg: block.price,
    certainty: block.sure,
    sort: block.sort,
  };
}
