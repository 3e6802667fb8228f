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

/** `16:52` in the kitchen's zone. */
export function clock(instant: string | number, zone: string): string {
  const { hour, minute } = parts(instant, zone);
  return `${hour}:${minute}`;
}

/** `16:50`: a time nobody should read to the minute. */
export const about = (instant: string | number, zone: string) =>
  clock(Math.round(new Date(instant).getTime() / 300_000) * 300_000, zone);

/** `Sat` */
export const weekday = (instant: string | number, zone: string) => parts(instant, zone).weekday ?? '';

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

/** The text a `datetime-local` field takes and gives. */
export const localText = (instant: string | number, zone: string) =>
  `${day(instant, zone)}T${clock(instant, zone)}`;

/** The next time a clock shows an hour, at least so many hours ahead. */
export function nextAt(hour: number, aheadHours: number, zone: string, now: number): string {
  for (let date = now; ; date += 3_600_000) {
    const text = `${day(date, zone)}T${String(hour).padStart(2, '0')}:00`;
    const { hour: h } = parts(date, zone);
    if (Number(h) <= hour && date + aheadHours * 3_600_000 <= date + (hour - Number(h)) * 3_600_000)
      return text;
    if (date > now + 72 * 3_600_000) return text;
  }
}

/** `Wed 25 Nov` */
export const date = (instant: string | number, zone: string) =>
  new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    weekday: 'short',
    day: 'numeric',
    month: 'short',
  }).format(new Date(instant));

/** The instant that a `datetime-local` text means in a zone; undefined if it is not a time. */
export function instantOf(text: string, zone: string): string | undefined {
  const wanted = /^\d{4}-\d\d-\d\dT\d\d:\d\d$/.test(text) ? Date.parse(`${text}:00Z`) : NaN;
  if (Number.isNaN(wanted)) return undefined;
  // What the zone shows at a guess tells how far the guess is off; a second look settles a change of clocks.
  let guess = wanted;
  for (let i = 0; i < 2; i++) guess += wanted - Date.parse(`${localText(guess, zone)}:00Z`);
  return new Date(guess).toISOString();
}
