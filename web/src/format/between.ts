import type { Schemas } from '../api/client';
import { millis } from './time';

/*
 * What must answer under a finger before the kitchen can, read between the points of an answer's own table. Nothing is
 * worked out here: the kitchen's answer replaces it a moment later. This is the only file of the page that does so.
 */

type Depth = Schemas['Depth'];
type Choice = Schemas['Choice'];
type Drawn = Schemas['DrawnHours'];

function between<P>(points: readonly P[], x: (point: P) => number, y: (point: P) => number, at: number) {
  const after = points.findIndex((point) => x(point) >= at);
  const [b, a] = [points[after < 0 ? points.length - 1 : after], points[Math.max(0, after - 1)]];
  if (!a || !b) return 0;
  if (after <= 0 || x(b) === x(a)) return y(b);
  return y(a) + ((y(b) - y(a)) * (at - x(a))) / (x(b) - x(a));
}

/** The litres at a depth of the pot's own table. */
export const litresAt = (depths: readonly Depth[], mm: number) =>
  between(
    depths,
    (point) => point.mm,
    (point) => point.l,
    mm,
  );

/** The depth of so many litres in the pot's own table. */
export const depthOf = (depths: readonly Depth[], litres: number) =>
  between(
    depths,
    (point) => point.l,
    (point) => point.mm,
    litres,
  );

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

const moved = (instant: string, ms: number) => new Date(millis(instant) + ms).toISOString();

function drawnLater(drawn: Drawn, ms: number): Drawn {
  const all = ({ p10, p50, p90 }: Schemas['Instants']) => ({
    p10: p10 && moved(p10, ms),
    p50: p50 && moved(p50, ms),
    p90: p90 && moved(p90, ms),
  });
  return {
    begins: moved(drawn.begins, ms),
    on_the_heat: moved(drawn.on_the_heat, ms),
    ready: all(drawn.ready),
    overcooked: all(drawn.overcooked),
    lift: moved(drawn.lift, ms),
    plates: moved(drawn.plates, ms),
  };
}

/** The choice with the bell rung at another time. */
export function rungAt(choice: Choice, serveAt: number, from: Schemas['VerdictFrom'], now: number): Choice {
  const by = serveAt - millis(choice.plan.serve_at);
  if (by === 0) return choice;
  const lift_at = moved(choice.lift_at, by);
  const chance = chanceWithin(choice, (millis(lift_at) - millis(choice.heat_on_at)) / 60_000);
  const verdict = chance >= from.fits ? 'fits' : chance >= from.tight ? 'tight' : 'too_late';
  const later = choice.latest && drawnLater(choice.latest, by);
  const latest = later && millis(later.begins) >= now ? later : null;
  return {
    ...choice,
    lift_at,
    latest,
    slack_min: latest ? (millis(latest.begins) - now) / 60_000 : 0,
    start_by: choice.start_by && moved(choice.start_by, by),
    chance_ready: chance,
    verdict: choice.verdict === 'unsuitable' ? 'unsuitable' : verdict,
    plan: { ...choice.plan, serve_at: new Date(serveAt).toISOString() },
  };
}

/** A whole answer with the bell rung at another time. */
export function rungAll(
  matched: Schemas['Matched'] | undefined,
  serveAt: number | undefined,
): Schemas['Matched'] | undefined {
  if (!matched?.suitable || serveAt === undefined) return matched;
  const now = millis(matched.now);
  const rung = (choice: Choice) => rungAt(choice, serveAt, matched.verdict_from, now);
  return {
    ...matched,
    ways: matched.ways.map((way) => ({ ...rung(way), variants: way.variants.map(rung) })),
    two_stage: matched.two_stage.map(rung),
  };
}

/** The values of a band along a curve at a minute. */
export function bandAt(
  bands: readonly Schemas['BandPoint'][],
  minute: number,
  of: 'core_c' | 'tenderness',
): [number, number, number] {
  const value = (i: 0 | 1 | 2) =>
    between(
      bands,
      (point) => point.min,
      (point) => point[of][i],
      minute,
    );
  return [value(0), value(1), value(2)];
}
