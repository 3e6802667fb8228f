import {
  fromAbsolute,
  parseDateTime,
  toCalendarDateTime,
  toZoned,
  ZonedDateTime,
} from '@internationalized/date';
import { hourCycle, type Hours } from './units';

/** A span of minutes as a cook says it: `3 h 20`. */
export function span(minutes: number): string {
  const rounded = Math.max(0, Math.round(minutes));
  const [hours, rest] = [Math.floor(rounded / 60), rounded % 60];
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, '0')}`;
}

/** A chance as a cook reads it: nobody is surer than 99 in 100, nor less sure than 1. */
export const inHundred = (chance: number) => Math.min(99, Math.max(1, Math.round(chance * 100)));

/** A countdown that changes every second: `1:04:09` or `4:09`. */
export function countdown(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds));
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor((whole % 3600) / 60), whole % 60];
  const two = (value: number) => String(value).padStart(2, '0');
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}

export const millis = (instant: string) => new Date(instant).getTime();
const at = (instant: string | number) => (typeof instant === 'number' ? instant : millis(instant));

/** Whether the kitchen counts its hours to twelve; in sentences and pictures alike. */
let toTwelve = false;

/** Every clock on the page shows hours as this kitchen does: to 24 or to 12. */
export const showHoursOf = (kitchen: Hours) => {
  toTwelve = hourCycle(kitchen) === 12;
};

/** How many hours the clocks on the page count to. */
export const hoursCounted = (): 12 | 24 => (toTwelve ? 12 : 24);

const formatters = new Map<string, Intl.DateTimeFormat>();

/** Making a formatter costs a hundred times what using one does. */
function formatter(zone: string): Intl.DateTimeFormat {
  let found = formatters.get(zone);
  if (!found) {
    found = new Intl.DateTimeFormat('en-GB', {
      timeZone: zone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
      weekday: 'short',
    });
    formatters.set(zone, found);
  }
  return found;
}

const parts = (instant: string | number, zone: string) =>
  Object.fromEntries(
    formatter(zone)
      .formatToParts(new Date(instant))
      .map((part) => [part.type, part.value]),
  );

/** Hours and minutes of a day in the zone. */
export function hourAndMinute(instant: string | number, zone: string): [number, number] {
  const { hour, minute } = parts(instant, zone);
  return [Number(hour), Number(minute)];
}

/** `16:52`, or `4:52 pm`, in the kitchen's zone. */
export function clock(instant: string | number, zone: string): string {
  const [hour, minute] = hourAndMinute(instant, zone);
  const two = String(minute).padStart(2, '0');
  if (!toTwelve) return `${String(hour).padStart(2, '0')}:${two}`;
  return `${hour % 12 === 0 ? 12 : hour % 12}:${two} ${hour < 12 ? 'am' : 'pm'}`;
}

/** A whole hour on an axis: `16:00`, or `4 pm`. */
export const hourMark = (instant: string | number, zone: string) =>
  toTwelve ? clock(instant, zone).replace(':00', '') : clock(instant, zone);

/** `16:50`: a time nobody should read to the minute. */
export const about = (instant: string | number, zone: string) =>
  clock(Math.round(at(instant) / 300_000) * 300_000, zone);

/** `Sat` */
export const weekday = (instant: string | number, zone: string) => parts(instant, zone).weekday ?? '';

/** `Saturday` */
export const weekdayInFull = (instant: string | number, zone: string) =>
  new Intl.DateTimeFormat('en-GB', { timeZone: zone, weekday: 'long' }).format(new Date(instant));

/** `2027-02-06` */
export function day(instant: string | number, zone: string): string {
  const { year, month, day: date } = parts(instant, zone);
  return `${year}-${month}-${date}`;
}

/** `Sat 18:30`, or `18:30` when it is today. */
export function clockDay(instant: string | number, zone: string, now: number): string {
  const time = clock(instant, zone);
  return day(instant, zone) === day(now, zone) ? time : `${weekday(instant, zone)} ${time}`;
}

/** `Wed 25 Nov` */
export const date = (instant: string | number, zone: string) =>
  new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    weekday: 'short',
    day: 'numeric',
    month: 'short',
  }).format(new Date(instant));

const zoned = (instant: string | number, zone: string): ZonedDateTime => fromAbsolute(at(instant), zone);

/** `2027-02-06T18:30` in a zone: how a local time is asked of the kitchen. */
export const localText = (instant: string | number, zone: string) =>
  toCalendarDateTime(zoned(instant, zone)).toString().slice(0, 16);

/** The instant that such a text means in a zone; undefined if it is not a time. */
export function instantOf(text: string, zone: string): string | undefined {
  try {
    return toZoned(parseDateTime(text), zone).toDate().toISOString();
  } catch {
    return undefined;
  }
}

/** The next time a clock shows an hour, at least so many hours ahead. */
export function nextAt(hour: number, aheadHours: number, zone: string, now: number): string {
  const today = zoned(now, zone).set({ hour, minute: 0, second: 0, millisecond: 0 });
  const soonEnough = today.toDate().getTime() - now >= aheadHours * 3_600_000;
  return localText((soonEnough ? today : today.add({ days: 1 })).toDate().getTime(), zone);
}
