import { useSyncExternalStore } from 'react';
import { ApiFault, api, kitchenNow, type Schemas } from './client';

type Event = Schemas['Event'];

/** A tap that is on its way to the kitchen, with its own time and id from the moment of the tap. */
export type Waiting = {
  cook: string;
  event: Event;
  /** Why the kitchen refused it; it waits for the cook to try again or let it go. */
  refused?: string;
};

const KEY = 'ergastic-outbox';
/** Only one page of a browser sends at a time. */
const LOCK = 'ergastic-outbox';
const AGAIN_MS = [500, 1000, 2000, 4000, 8000];

let waiting: Waiting[] = read();
let sending = false;
let tries = 0;
let timer: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();
const takers = new Set<(cook: Schemas['CookAnswer']) => void>();

function read(): Waiting[] {
  try {
    const text = localStorage.getItem(KEY);
    // It was written by `put`.
    return text ? (JSON.parse(text) as Waiting[]) : [];
  } catch {
    return [];
  }
}

function show(next: Waiting[]) {
  waiting = next;
  listeners.forEach((tell) => tell());
}

function put(next: Waiting[]) {
  try {
    localStorage.setItem(KEY, JSON.stringify(next));
  } catch {
    // What can't be written down still waits here.
  }
  show(next);
}

const isIt = (a: Waiting) => (b: Waiting) => b.event.id === a.event.id;

/** Puts a tap on its way. It is kept until the kitchen has it, through a lost connection and a page that is left. */
export function tap(cook: string, happened: Schemas['Happened']): Event {
  const event = { id: crypto.randomUUID(), at: new Date(kitchenNow()).toISOString(), happened };
  put([...read(), { cook, event }]);
  void send();
  return event;
}

/** Lets a refused tap go. */
export const letGo = (one: Waiting) => put(read().filter((other) => !isIt(one)(other)));

/** Tries what waits again, now. */
export function tryAgain() {
  tries = 0;
  put(read().map(({ cook, event }) => ({ cook, event })));
  void send();
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

async function sendAll() {
  for (;;) {
    const all = read();
    const first = all.find((one) => !one.refused);
    if (waiting.length !== all.length) show(all);
    if (!first) return;
    const ofCook = all.filter((one) => one.cook === first.cook && !one.refused);
    try {
      const cook = await api.append(
        first.cook,
        ofCook.map((one) => one.event),
      );
      tries = 0;
      takers.forEach((take) => take(cook));
      put(read().filter((one) => !ofCook.some(isIt(one))));
    } catch (fault) {
      if (fault instanceof ApiFault && fault.status >= 400 && fault.status < 500) {
        // One that can't be stored does not hold up those after it.
        if (ofCook.length > 1) await one(first);
        else put(read().map((other) => (isIt(first)(other) ? { ...other, refused: fault.message } : other)));
      } else {
        timer = setTimeout(() => void send(), AGAIN_MS[Math.min(tries, AGAIN_MS.length - 1)]);
        tries += 1;
        listeners.forEach((tell) => tell());
        return;
      }
    }
  }
}

/** Sends one alone, to tell which of several was refused. */
async function one(first: Waiting) {
  try {
    const cook = await api.append(first.cook, [first.event]);
    takers.forEach((take) => take(cook));
    put(read().filter((other) => !isIt(first)(other)));
  } catch (fault) {
    const refused = fault instanceof Error ? fault.message : String(fault);
    if (fault instanceof ApiFault && fault.status >= 400 && fault.status < 500)
      put(read().map((other) => (isIt(first)(other) ? { ...other, refused } : other)));
  }
}

/** Hands each cook on as the kitchen answers it. */
export function onAnswered(take: (cook: Schemas['CookAnswer']) => void): () => void {
  takers.add(take);
  return () => takers.delete(take);
}

if (typeof window !== 'undefined') {
  window.addEventListener('online', tryAgain);
  window.addEventListener('storage', (event) => {
    // Only looked at: what another page wrote is not written over with what was read of it.
    if (event.key === KEY) show(read());
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
