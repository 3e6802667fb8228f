import { scaleLinear } from 'd3-scale';
import { day, hourAndMinute, hourMark, weekday } from '../format/time';

const HOUR = 3_600_000;
const QUARTER = HOUR / 4;

/** Instants (ms) to pixels; every row that shares it lines up. */
export const timeScale = (from: number, to: number, width: number) =>
  scaleLinear().domain([from, to]).range([0, width]);

export type Tick = { at: number; label: string; day?: string };

/** Whole hours in the kitchen's zone, as many as there is room for; the first of a day carries its name. */
export function hourTicks(from: number, to: number, width: number, zone: string): Tick[] {
  // Every row of a chart asks for the same ticks, and naming hours in a zone is slow: the last answer is kept.
  const asked = [from, to, width, zone].join();
  if (lastTicks.asked !== asked) lastTicks = { asked, ticks: makeTicks(from, to, width, zone) };
  return lastTicks.ticks;
}

let lastTicks: { asked: string; ticks: Tick[] } = { asked: '', ticks: [] };

function makeTicks(from: number, to: number, width: number, zone: string): Tick[] {
  const room = Math.max(2, Math.floor(width / 64));
  const hours = (to - from) / HOUR;
  const step =
    [1, 2, 3, 4, 6, 12].find((every) => hours / every <= room) ?? 24 * Math.ceil(hours / 24 / room);
  const onStep = (at: number) => {
    const [hour, minute] = hourAndMinute(at, zone);
    return minute === 0 && hour % Math.min(step, 24) === 0;
  };
  const ticks: Tick[] = [];
  let named = day(from, zone);
  // Walked in quarters to the first, because some zones stand a half or three quarters of an hour off, and
  // again after a change of clocks; otherwise from step to step.
  for (let at = Math.ceil(from / QUARTER) * QUARTER; at <= to;) {
    if (!onStep(at)) {
      at += QUARTER;
      continue;
    }
    const today = day(at, zone);
    ticks.push({ at, label: hourMark(at, zone), day: today === named ? undefined : weekday(at, zone) });
    named = today;
    at += step * HOUR;
  }
  return ticks;
}
