import { useSyncExternalStore } from 'react';
import { KEPT_AT } from '../worker/kept';

/** How this page stands to the kitchen. */
export type Reach = {
  /** Since when the kitchen has not answered, and what is shown is of an earlier hour; ms by this device's clock. */
  lost?: number;
  /** The oldest of what is shown, ms by this device's clock, while the kitchen does not answer. */
  asOf?: number;
  /** This screen has not signed in, or no longer is. */
  signedOut: boolean;
  /** The kitchen ships another build of the page than this one. */
  newer: boolean;
};

/** The build that this page is: the name of its first script, which is made of what is in it. */
const build =
  typeof document === 'undefined'
    ? undefined
    : document
        .querySelector<HTMLScriptElement>('script[type=module][src*="/assets/"]')
        ?.src.split('/')
        .at(-1);

let reach: Reach = { signedOut: false, newer: false };
let heard = Date.now();
const listeners = new Set<() => void>();

function show(next: Partial<Reach>) {
  const changed = (Object.keys(next) as (keyof Reach)[]).some((key) => next[key] !== reach[key]);
  if (!changed) return;
  reach = { ...reach, ...next };
  listeners.forEach((tell) => tell());
}

/** What an answer says of the way to the kitchen. */
export function answered(response: Response) {
  const kept = Number(response.headers.get(KEPT_AT));
  if (kept) {
    const asOf = Math.min(kept, reach.asOf ?? kept);
    show({ lost: reach.lost ?? Date.now(), asOf });
    return;
  }
  heard = Date.now();
  const theirs = response.headers.get('kitchen-build');
  show({ lost: undefined, asOf: undefined, newer: Boolean(build && theirs && theirs !== build) });
  if (response.status === 401) {
    show({ signedOut: true });
    forget();
  }
}

/** That this screen has signed in. */
export const signedIn = () => show({ signedOut: false });

/** That it no longer is: nothing of the kitchen stays in this browser. */
export function signedOut() {
  forget();
  show({ signedOut: true });
}

/** That nothing answered, neither the kitchen nor what is kept of it. */
export const unanswered = () => show({ lost: reach.lost ?? Date.now(), asOf: reach.asOf ?? heard });

/** Lets go what is kept of the kitchen in this browser. */
export function forget() {
  if ('serviceWorker' in navigator) navigator.serviceWorker.controller?.postMessage('forget');
}

export const useReach = () =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => reach,
  );
