import { useSyncExternalStore } from 'react';

/** The dish in hand: what the places along the top lead on with. */
export type InHand = { planId?: string; cookId?: string };

const KEY = 'ergastic-in-hand';
const listeners = new Set<() => void>();
let held: InHand = read();

function read(): InHand {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '{}') as InHand;
  } catch {
    return {};
  }
}

export function takeInHand(next: InHand) {
  if (next.planId === held.planId && next.cookId === held.cookId) return;
  held = next;
  localStorage.setItem(KEY, JSON.stringify(next));
  listeners.forEach((tell) => tell());
}

export const useInHand = () =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => held,
  );
