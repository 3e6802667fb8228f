import type { Kitchen } from '../../api/client';

/** The lists of things that a kitchen holds. */
export type List =
  | 'hands'
  | 'ovens'
  | 'burners'
  | 'pots'
  | 'pans'
  | 'pressure_pots'
  | 'slow_cookers'
  | 'pits'
  | 'baths'
  | 'coals'
  | 'probes';

/** What a kind is called, and what one is like until it is measured. */
export const kinds: { list: List; word: string }[] = [
  { list: 'ovens', word: 'oven' },
  { list: 'burners', word: 'burner' },
  { list: 'pits', word: 'pit' },
  { list: 'coals', word: 'place for coals' },
  { list: 'pots', word: 'pot or dish' },
  { list: 'pressure_pots', word: 'pressure pot' },
  { list: 'slow_cookers', word: 'slow cooker' },
  { list: 'baths', word: 'water bath' },
  { list: 'pans', word: 'pan' },
  { list: 'probes', word: 'thermometer' },
  { list: 'hands', word: 'pair of hands' },
];

/** A thing of any kind, with its place in the kitchen. */
export type Placed = { [L in List]: { list: L; thing: Kitchen[L][number] } }[List];

/** Everything that stands in a kitchen. */
export function all(kitchen: Kitchen): Placed[] {
  return [
    ...kitchen.ovens.map((thing) => ({ list: 'ovens' as const, thing })),
    ...kitchen.burners.map((thing) => ({ list: 'burners' as const, thing })),
    ...kitchen.pits.map((thing) => ({ list: 'pits' as const, thing })),
    ...kitchen.coals.map((thing) => ({ list: 'coals' as const, thing })),
    ...kitchen.pots.map((thing) => ({ list: 'pots' as const, thing })),
    ...kitchen.pressure_pots.map((thing) => ({ list: 'pressure_pots' as const, thing })),
    ...kitchen.slow_cookers.map((thing) => ({ list: 'slow_cookers' as const, thing })),
    ...kitchen.baths.map((thing) => ({ list: 'baths' as const, thing })),
    ...kitchen.pans.map((thing) => ({ list: 'pans' as const, thing })),
    ...kitchen.probes.map((thing) => ({ list: 'probes' as const, thing })),
    ...kitchen.hands.map((thing) => ({ list: 'hands' as const, thing })),
  ];
}

/** The kitchen with a list of its things changed. */
const withList = <L extends List>(kitchen: Kitchen, list: L, things: Kitchen[L]): Kitchen => ({
  ...kitchen,
  [list]: things,
});

/** The kitchen with a thing in the place of the one with its id. */
export function put(kitchen: Kitchen, { list, thing }: Placed): Kitchen {
  const things = kitchen[list].map((other) => (other.id === thing.id ? thing : other));
  // `Placed` holds a thing of the very list that it names.
  return withList(kitchen, list, things as Kitchen[typeof list]);
}

/** The kitchen without a thing. */
export function takeOut(kitchen: Kitchen, { list, thing }: Placed): Kitchen {
  const things = kitchen[list].filter((other) => other.id !== thing.id);
  return withList(kitchen, list, things as Kitchen[typeof list]);
}

/** A name that nothing else in the kitchen has. */
function freeId(kitchen: Kitchen, list: List): string {
  const taken = new Set(all(kitchen).map(({ thing }) => thing.id));
  let number = kitchen[list].length + 1;
  while (taken.has(`${list}_${number}`)) number += 1;
  return `${list}_${number}`;
}

/** A new thing of a kind, as the last one of it is: usually there is another like it. */
export function another(kitchen: Kitchen, list: List, word: string): Placed {
  const of = { id: freeId(kitchen, list), name: `Another ${word}`, lent: false };
  const last = <T>(things: readonly { measures: T }[], usual: T): T => things.at(-1)?.measures ?? usual;
  switch (list) {
    case 'hands':
    case 'coals':
      return { list, thing: { ...of, measures: {} } };
    case 'ovens':
      return { list, thing: { ...of, measures: last(kitchen.ovens, { width_cm: 45, fan: false }) } };
    case 'burners':
      return { list, thing: { ...of, measures: last(kitchen.burners, { watts: 1800, kind: 'gas' }) } };
    case 'pots':
      return { list, thing: { ...of, measures: last(kitchen.pots, { diameter_cm: 26, height_cm: 13 }) } };
    case 'pans':
      return { list, thing: { ...of, measures: last(kitchen.pans, { diameter_cm: 28, material: 'iron' }) } };
    case 'pressure_pots':
      return {
        list,
        thing: {
          ...of,
          measures: last(kitchen.pressure_pots, { diameter_cm: 22, height_cm: 16, watts: 1000 }),
        },
      };
    case 'slow_cookers':
      return {
        list,
        thing: { ...of, measures: last(kitchen.slow_cookers, { diameter_cm: 24, height_cm: 13 }) },
      };
    case 'pits':
      return { list, thing: { ...of, measures: last(kitchen.pits, { width_cm: 55, holds_itself: true }) } };
    case 'baths':
      return { list, thing: { ...of, measures: last(kitchen.baths, { litres: 12 }) } };
    case 'probes':
      return { list, thing: { ...of, measures: { probe: of.id } } };
  }
}

/** How a thing is drawn: cm across and high. */
export function sizeOf(placed: Placed): { across: number; high: number } {
  switch (placed.list) {
    case 'ovens':
      return { across: placed.thing.measures.width_cm, high: 0.72 * placed.thing.measures.width_cm };
    case 'burners': {
      const across = 12 + placed.thing.measures.watts / 180;
      return { across, high: across };
    }
    case 'pits':
      return { across: placed.thing.measures.width_cm, high: 0.7 * placed.thing.measures.width_cm };
    case 'coals':
      return { across: 36, high: 14 };
    case 'pots': {
      const { diameter_cm, length_cm, width_cm, height_cm } = placed.thing.measures;
      return { across: length_cm ?? width_cm ?? diameter_cm ?? 26, high: height_cm ?? 13 };
    }
    case 'pressure_pots':
    case 'slow_cookers':
      return { across: placed.thing.measures.diameter_cm, high: placed.thing.measures.height_cm };
    case 'baths': {
      // A bath is drawn as a box twice as long as it is deep.
      const deep = Math.cbrt((placed.thing.measures.litres * 1000) / 2.5);
      return { across: 1.6 * deep, high: deep };
    }
    case 'pans':
      // Seen from the side, with its handle.
      return { across: 1.55 * placed.thing.measures.diameter_cm, high: 6 };
    case 'probes':
      return { across: 8, high: 22 };
    case 'hands':
      return { across: 16, high: 22 };
  }
}
