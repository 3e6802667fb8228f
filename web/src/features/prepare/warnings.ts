import type { BenchPlace, Prepared } from './bench';

/** Which bench a warning belongs to; what is not named here is of the heat. */
const belongs: Record<string, BenchPlace> = {
  corned_salt: 'salt',
  salted_again: 'salt',
  salty: 'salt',
  salt_stop: 'salt',
  mealy: 'salt',
  no_more: 'salt',
  raw_meat: 'salt',
  marinade: 'salt',
  pierced: 'meat',
  stews: 'sear',
  scorches: 'sear',
  drain: 'sear',
  frozen_start: 'sear',
  too_small: 'pot',
  pressure_full: 'pot',
  pressure_dry: 'pot',
  pressure_little: 'pot',
  scorch_under_pressure: 'pot',
  boils_dry: 'pot',
  own_juice: 'pot',
  over_level: 'pot',
  sugar_catches: 'pot',
  later_waits: 'later',
  dried_beans: 'later',
};

/** What has to be minded at this bench. */
export const warningsOf = (prepared: Prepared, place: BenchPlace) =>
  prepared.warnings.filter((warning) => (belongs[warning.id] ?? 'heat') === place);
