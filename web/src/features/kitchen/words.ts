import type { Schemas } from '../../api/client';

/** What things are made of, and what heats them, in a word. */
export const materials: { value: Schemas['Material']; label: string }[] = [
  { value: 'iron', label: 'iron' },
  { value: 'steel', label: 'steel' },
  { value: 'aluminium', label: 'aluminium' },
  { value: 'ceramic', label: 'ceramic' },
  { value: 'glass', label: 'glass' },
];

export const panMaterials = materials.filter(({ value }) => value !== 'glass');

export const hobs: { value: Schemas['HobKind']; label: string }[] = [
  { value: 'gas', label: 'gas' },
  { value: 'ceramic', label: 'ceramic' },
  { value: 'induction', label: 'induction' },
];
