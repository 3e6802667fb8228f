import { scaleLinear } from 'd3-scale';
import { clock, day, weekday } from '../format/time';

const HOUR = 3_600_000;

/** Instants (ms) to pixels; every row that shares it lines up. */
export const timeScale = (from: number, to: number, width: number) =>
  scaleLinear().domain([from, to]).range([0, width]);

export type Tick = { at: number; label: string; day?: string };

/** Whole hours in the kitchen's zone, as many as there is room for; the first of a day carries its name. */
export function hourTicks(from: number, to: number, width: number, zone: string): Tick[] {
  const room = Math.max(2, Math.floor(width / 64));
  const step = [1, 2, 3, 4, 6, 12, 24].find((hours) => (to - from) / HOUR / hours <= room) ?? 24;
  const ticks: Tick[] = [];
  let named = day(from, zone);
  for (let at = Math.ceil(from / HOUR) * HOUR; at <= to; at += HOUR) {
    const label = clock(at, zone);
    if (Number(label.slice(0, 2)) % step !== 0) continue;
    const today = day(at, zone);
    ticks.push({ at, label, day: today === named ? undefined : weekday(at, zone) });
    named = today;
  }
  return ticks;
}
