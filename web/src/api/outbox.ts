import { useSyncExternalStore } from 'react';
import { ApiFault, api, kitchenNow, type Schemas } from './client';
import { mayChange } from './role';

type Event = Schemas['Event'];

/** A tap that is on its way to the kitchen, with its own time and id from the moment of the tap. */
export type Waiting = {
  cook: string;
  event: Event;
  /** Why the kitchen refused it; it waits for the cook to try again or let it go. */
  refused?: string;
  /** This browser would not write it down: it is lost when the page is loaded again. */
  unwritten?: boolean;
};

const KEY = 'ergastic-outbox';
/** Only one page of a browser sends at a time. */
const LOCK = 'ergastic-outbox';
const AGAIN_MS = [500, 1000, 2000, 4000, 8000];
/** The same pressed again within this time is the same tap: a finger that bounces, a key that is held. */
const SAME_TAP_MS = 600;

/** Every tap that this page knows of, written down or not. */
let waiting: Waiting[] = stored() ?? [];
let sending = false;
let tries = 0;
let timer: ReturnType<typeof setTimeout> | undefined;
let last: { cook: string; event: Event; said: string; at: number } | undefined;
const listeners = new Set<() => void>();
const takers = new Set<(cook: Schemas['CookAnswer']) => void>();

/** What is written down; none where this browser can't be read. */
function stored(): Waiting[] | undefined {
  try {
    const text = localStorage.getItem(KEY);
    // It was written by `put`.
    return text ? (JSON.parse(text) as Waiting[]) : [];
  } catch {
    return undefined;
  }
}

/** All that waits: what is written down, by whichever page, and what only this page knows. */
function all(): Waiting[] {
  const written = stored();
  return written ? [...written, ...waiting.filter((one) => one.unwritten)] : waiting;
}

function show(next: Waiting[]) {
  waiting = next;
  listeners.forEach((tell) => tell());
}

function put(next: Waiting[]) {
  const marked = (unwritten: boolean) => next.map((one) => ({ ...one, unwritten: unwritten || undefined }));
  let written = true;
  try {
    if (next.length > 0) localStorage.setItem(KEY, JSON.stringify(marked(false)));
    else localStorage.removeItem(KEY);
  } catch {
    written = false;
  }
  show(marked(!written));
}

const isIt = (a: Waiting) => (b: Waiting) => b.event.id === a.event.id;
/** What will never be taken, however often it comes; all else may be taken later. */
const isRefusal = (fault: unknown): fault is ApiFault =>
  fault instanceof ApiFault && [400, 403, 404, 413, 422].includes(fault.status);

/** Puts a tap on its way. It is kept until the kitchen has it, through a lost connection and a page that is left. */
export function tap(cook: string, happened: Schemas['Happened']): Event {
  const now = Date.now();
  const said = JSON.stringify(happened);
  const again = last && last.cook === cook && last.said === said && now - last.at < SAME_TAP_MS;
  const event =
    again && last
      ? last.event
      : { id: crypto.randomUUID(), at: new Date(kitchenNow()).toISOString(), happened };
  if (!mayChange()) return event;
  last = { cook, event, said, at: now };
  if (again) return event;
  put([...all(), { cook, event }]);
  void send();
  return event;
}

/** Lets a refused tap go. */
export const letGo = (one: Waiting) => put(all().filter((other) => !isIt(one)(other)));

/** Lets all that waits go: this browser is somebody else's now. */
export function forgetTaps() {
  clearTimeout(timer);
  put([]);
}

/** Whether any tap waits. */
export const tapsWait = () => all().length > 0;

/** Tries what waits again, now; whether all of it has come. */
export async function tryAgain(): Promise<boolean> {
  tries = 0;
  put(all().map(({ cook, event }) => ({ cook, event })));
  await send();
  return !tapsWait();
}

/** Sends what waits, in its order: each event has its own id, so that the kitchen takes it once however often it comes. */
async function send() {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  try {
    if ('locks' in navigator) await navigator.locks.request(LOCK, sendAll);
    else await sendAll();
  } finally {
    sending = false;
  }
}

/** Sends some taps of one cook; whether the next may go. */
async function sent(cook: string, some: Waiting[]): Promise<boolean> {
  try {
    const answer = await api.append(
      cook,
      some.map((one) => one.event),
    );
    tries = 0;
    takers.forEach((take) => take(answer));
    put(all().filter((one) => !some.some(isIt(one))));
    return true;
  } catch (fault) {
    if (!isRefusal(fault)) {
      const wait = AGAIN_MS[Math.min(tries, AGAIN_MS.length - 1)] ?? 0;
      const asked = fault instanceof ApiFault ? fault.retryAfterMs : undefined;
      timer = setTimeout(() => void send(), Math.max(wait, asked ?? 0));
      tries += 1;
      listeners.forEach((tell) => tell());
      return false;
    }
    const [first, ...others] = some;
    // One that can't be stored does not hold up those after it: each alone tells which of several it is.
    if (first && others.length > 0) return sent(cook, [first]);
    put(all().map((other) => (first && isIt(first)(other) ? { ...other, refused: fault.message } : other)));
    return true;
  }
}

async function sendAll() {
  for (;;) {
    const now = all();
    if (waiting.length !== now.length) show(now);
    const first = now.find((one) => !one.refused);
    if (!first) return;
    const ofCook = now.filter((one) => one.cook === first.cook && !one.refused);
    if (!(await sent(first.cook, ofCook))) return;
  }
}

/** Hands each cook on as the kitchen answers it. */
export function onAnswered(take: (cook: Schemas['CookAnswer']) => void): () => void {
  takers.add(take);
  return () => takers.delete(take);
}

if (typeof window !== 'undefined') {
  window.addEventListener('online', () => void tryAgain());
  window.addEventListener('storage', (event) => {
    // Only looked at: what another page wrote is not written over with what was read of it.
    if (event.key === KEY) show(all());
  });
  // What was left waiting when the page was closed goes on.
  if (waiting.length > 0) setTimeout(() => void send(), 0);
}

/** What waits, of all cooks. */
export const useOutbox = () =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => waiting,
  );
