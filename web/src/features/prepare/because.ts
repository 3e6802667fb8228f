import type { Schemas } from '../../api/client';
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
  scorch_under_pressure: 'pot',
  boils_dry: 'pot',
  own_juice: 'pot',
  over_level: 'pot',
  sugar_catches: 'pot',
  later_waits: 'later',
  dried_beans: 'later',
};

export const warningsOf = (prepared: Prepared, place: BenchPlace) =>
  prepared.warnings.filter((warning) => (belongs[warning.id] ?? 'heat') === place);

/** What the dial decides, by the way. */
const dials: Partial<Record<Schemas['Method'], string>> = {
  braise:
    'Under a lid a pot boils in almost any oven; the dial decides how much water goes. Hotter is sooner, drier, and rougher on the pieces.',
  pressure: 'Over the boil everything softens two to six times as fast; what is lost is the look on the way.',
  smoke: 'Hotter shortens the stall and thickens the bark; a wrap keeps the water in and ends both.',
  confit: 'The fat only carries the heat: cooler is slower and moister, and it must never fry.',
  water_bath:
    'Nothing leaves the bag: a cooler bath keeps more juice and takes a day; hotter is a braise in its own juice.',
  slow_cooker: 'High and low end within a few kelvin of each other; high only gets there sooner.',
};

/** Two or three sentences on what rules this bench. */
export function because(place: BenchPlace, prepared: Prepared, method?: Schemas['Method'] | null): string[] {
  const { sear, pot, salt, trimmed, forecast } = prepared;
  switch (place) {
    case 'meat':
      return [
        'Thickness rules the hours, mass the litres: half as thick is done much sooner, twice the pieces at the same thickness are not.',
        trimmed.sinew_kg > 0.005
          ? `About ${Math.round(trimmed.sinew_kg * 1000)} g of the trimmings are sinew: in the pot they give body, so there is less to reduce.`
          : 'Nothing comes off it that would give body to the pot.',
      ];
    case 'salt':
      return [
        `Salt walks in with the square root of time: four times the hours, twice as deep. The rest evens out in the pot.`,
        salt.from_ingredients_g > 1
          ? `The ingredients bring ${Math.round(salt.from_ingredients_g)} g on top of the meat’s own.`
          : 'Nothing else in the pot brings salt to speak of.',
      ];
    case 'sear':
      return sear.batches === 0
        ? ['Browning makes flavour and colour; it does not seal anything in.']
        : [
            'A piece browns only where its water has boiled off, and that heat comes out of the pan faster than the burner gives it.',
            `Up to ${sear.most} at once keep this pan above 150 °C; it starts at ${Math.round(sear.start_c)} °C.`,
          ];
    case 'pot':
      return pot
        ? [
            `What the meat does not take up, the liquid does: ${Math.round(pot.meat_l * 10) / 10} L of meat in a pot of ${Math.round(pot.holds_l * 10) / 10} L.`,
            'Read the marks on a skewer pushed to the floor, or weigh the pot.',
          ]
        : [];
    case 'heat':
      return [dials[method ?? 'braise'] ?? dials.braise!, forecast.why];
    case 'later':
      return [
        'Each has its own time to be done and to be mush; a cooler pot softens roots more slowly.',
        'Vegetables that flavoured the pot are spent: a fresh set is served.',
      ];
    case 'list':
      return ['All of it follows from the bench: change a litre there and it changes here.'];
  }
}
