import type { Kitchen, Schemas } from '../../api/client';
import { all, type Kind } from '../kitchen/things';

/** What can be cooked on or in. */
export type Kit = Schemas['Kit'];

/** What of a kitchen can be cooked on now. */
export const kitsOf = (kitchen: Kitchen, kinds: Kind[]): { value: Kit; label: string }[] => {
  const free = new Set(all(kitchen, kinds).flatMap(({ kind, thing }) => (thing.lent ? [] : [kind.kind])));
  return kinds
    .filter(({ kind, heats }) => heats && free.has(kind))
    .map(({ kind, word }) => ({ value: kind as Kit, label: word }));
};
