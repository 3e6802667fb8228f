import type { Kitchen, Schemas } from '../../api/client';

const kits: { value: Schemas['Kit']; label: string }[] = [
  { value: 'oven', label: 'oven' },
  { value: 'hob', label: 'hob' },
  { value: 'pressure_pot', label: 'pressure pot' },
  { value: 'slow_cooker', label: 'slow cooker' },
  { value: 'pit', label: 'pit' },
  { value: 'water_bath', label: 'water bath' },
  { value: 'coals', label: 'coals' },
];

/** The things of a kitchen that belong to a kind of kit. */
function things(kitchen: Kitchen, kit: Schemas['Kit']): { lent: boolean }[] {
  switch (kit) {
    case 'oven':
      return kitchen.ovens;
    case 'hob':
      return kitchen.burners;
    case 'pressure_pot':
      return kitchen.pressure_pots;
    case 'slow_cooker':
      return kitchen.slow_cookers;
    case 'pit':
      return kitchen.pits;
    case 'water_bath':
      return kitchen.baths;
    case 'coals':
      return kitchen.coals;
  }
}

/** What of a kitchen can be cooked on now. */
export const kitsOf = (kitchen: Kitchen) =>
  kits.filter(({ value }) => things(kitchen, value).some((thing) => !thing.lent));
