import type { Schemas } from '../../api/client';
import type { Bench } from './bench';

const MARINADE: Record<string, Schemas['Marinade']> = {
  wine: { of: 'wine', hours: 12, ml: 500, kept: true },
  acid: { of: 'acid', hours: 6, ml: 200, kept: false },
  spice: { of: 'spice', hours: 12, ml: 100, kept: false },
  soy: { of: 'soy', hours: 6, ml: 200, kept: true },
};

/** What choosing an answer changes at the bench. */
export function choose(school: string, option: string): Partial<Bench> {
  const yes = option === 'yes';
  switch (school) {
    case 'sear':
      return { sear: option as Schemas['Sear'] };
    case 'surface':
      return { surface: option as Schemas['Surface'] };
    case 'wine':
      return { wine: option as Schemas['Wine'] };
    case 'flour':
      return { flour: yes };
    case 'temper':
      return { temper_min: Number(option) };
    case 'rinse':
      return { rinse: yes };
    // A clear broth is not browned and starts from fresh water; going back to a braise brings both back.
    case 'clear':
      return { clear: yes, sear: yes ? 'none' : 'hard', base: yes ? 'water' : 'unsalted_stock' };
    case 'day_before':
      return { day_before: yes };
    case 'marinade':
      // It comes out of a marinade wet until somebody pats it dry.
      return { marinade: MARINADE[option], sugared: option === 'soy' };
    default:
      return {};
  }
}
