import type { Schemas } from '../../api/client';
import { millis } from '../../format/time';

type Choice = Schemas['Choice'];

/** The chance of being tender within some minutes of meeting the heat, from the choice's own spread. */
export function chanceWithin(choice: Choice, minutes: number): number {
  const at = choice.ready_at_min;
  let [below, share] = [0, 0];
  for (const [i, ready] of at.entries()) {
    if (ready == null) return share;
    const next = (i + 1) * 0.05;
    if (minutes < ready)
      return ready > below ? share + ((next - share) * (minutes - below)) / (ready - below) : share;
    [below, share] = [ready, next];
  }
  // Beyond P95 the last of them come in as slowly as the ones before.
  const [p90, p95] = [at[17] ?? below, at[18] ?? below];
  const step = Math.max(1, p95 - p90);
  return Math.min(1, share + (0.05 * (minutes - below)) / (2 * step));
}

/** The choice with the bell rung at another time: what can be known at once, before the kitchen answers. */
export function rungAt(choice: Choice, bell: number, certainty: number): Choice {
  const moved = bell - millis(choice.plan.bell);
  if (moved === 0) return choice;
  const later = (instant: string) => new Date(millis(instant) + moved).toISOString();
  const lift_at = later(choice.lift_at);
  const chance = chanceWithin(choice, (millis(lift_at) - millis(choice.met_heat_at)) / 60_000);
  const verdict = chance >= certainty ? 'fits' : chance >= 0.5 ? 'tight' : 'too_late';
  return {
    ...choice,
    lift_at,
    start_by: choice.start_by && later(choice.start_by),
    chance_ready: chance,
    verdict: choice.verdict === 'unsuitable' ? 'unsuitable' : verdict,
    plan: { ...choice.plan, bell: new Date(bell).toISOString() },
  };
}

/** A whole answer with the bell rung at another time. */
export function rungAll(
  matched: Schemas['Matched'] | undefined,
  bell: number | undefined,
): Schemas['Matched'] | undefined {
  if (!matched?.suitable || bell === undefined) return matched;
  const rung = (choice: Choice) => rungAt(choice, bell, matched.certainty);
  return {
    ...matched,
    ways: matched.ways.map((way) => ({ ...rung(way), variants: way.variants.map(rung) })),
    two_stage: matched.two_stage.map(rung),
  };
}

/** Every choice of an answer by its name. */
export function choicesOf(matched: Schemas['Matched']): Choice[] {
  return [...matched.ways.flatMap((way) => [way as Choice, ...way.variants]), ...matched.two_stage];
}
