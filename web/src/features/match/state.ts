import { useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { nextAt } from '../../format/time';

export type Block = {
  cut: Schemas['Cut'];
  kg?: number;
  mm?: number;
  as?: Schemas['EatenAs'];
  people: number;
  bell: string;
  price?: number;
};

const DEFAULT_CUT = 'chuck';

/** What is on the block stands in the address, so that it can be linked, reloaded and gone back to. */
export function useBlock(zone: string) {
  const [params, setParams] = useSearchParams();
  const [dinner] = useState(() => nextAt(19, 7, zone, Date.now()));
  const block = useMemo<Block>(() => {
    const figure = (name: string) => {
      const text = params.get(name);
      const value = Number(text);
      return text && Number.isFinite(value) ? value : undefined;
    };
    return {
      cut: (params.get('cut') ?? DEFAULT_CUT) as Schemas['Cut'],
      kg: figure('kg'),
      mm: figure('mm'),
      as: (params.get('as') as Schemas['EatenAs'] | null) ?? undefined,
      people: figure('people') ?? 4,
      bell: params.get('bell') ?? dinner,
      price: figure('price'),
    };
  }, [params, dinner]);
  const change = useCallback(
    (changed: Partial<Block>) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          for (const [name, value] of Object.entries(changed)) {
            if (value === undefined || value === '') next.delete(name);
            else next.set(name, String(typeof value === 'number' ? Number(value.toFixed(3)) : value));
          }
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );
  return { block, change };
}

export const matchRequest = (block: Block, zone: string): Schemas['MatchRequest'] => ({
  cut: block.cut,
  mass_kg: block.kg,
  thickness_mm: block.mm,
  eaten_as: block.as,
  people: Math.round(block.people),
  bell: block.bell,
  zone,
  price_per_kg: block.price,
});
