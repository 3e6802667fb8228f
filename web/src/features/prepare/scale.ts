import { without, type Plan } from './bench';

const to = (value: number, step: number) => Number((Math.round(value / step) * step).toFixed(3));

/**
 * The dish for another number of people: meat, pieces, ingredients and what goes in later by as much, each piece as
 * thick as it was. The liquid follows from the vessel again, and so do batches, heat-up and times: they do not scale.
 */
export function forPeople(plan: Plan, people: number, massKg: number): Plan {
  const ratio = people / Math.max(1, plan.people ?? 4);
  const { forecast, prepare } = plan;
  const more = (value: number | null | undefined, step: number) =>
    value == null ? undefined : Math.max(step, to(value * ratio, step));
  const parts = forecast.parts?.map((part) =>
    without({
      ...part,
      mass_kg: more(part.mass_kg, 0.05),
      pieces: part.pieces ? Math.max(1, Math.round(part.pieces * ratio)) : undefined,
    }),
  );
  return {
    ...plan,
    people,
    forecast: without({
      ...forecast,
      parts,
      mass_kg: parts ? undefined : more(forecast.mass_kg ?? massKg, 0.05),
      pieces: forecast.pieces ? Math.max(1, Math.round(forecast.pieces * ratio)) : undefined,
      liquid_l: undefined,
    }),
    prepare: prepare && {
      ...prepare,
      ingredients: prepare.ingredients?.map((thing) =>
        without({ ...thing, ml: more(thing.ml, 5), g: more(thing.g, 5) }),
      ),
      later: prepare.later?.map((thing) => ({ ...thing, g: more(thing.g, 10)! })),
    },
  };
}
