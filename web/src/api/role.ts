import { useSyncExternalStore } from 'react';
import type { components } from './generated';

type Role = components['schemas']['DeviceRole'];

/** Where it is kept: a page that is opened while the kitchen does not answer still knows what it may do. */
const KEY = 'ergastic-role';
/** The role it came in with last, also after it was signed out. */
const BEFORE = 'ergastic-role-before';

let role: Role | undefined = read(KEY);
let before: Role | undefined = read(BEFORE);
const listeners = new Set<() => void>();
const changers = new Set<() => void>();

function read(key: string): Role | undefined {
  try {
    const kept = localStorage.getItem(key);
    return kept === 'cook' || kept === 'look' ? kept : undefined;
  } catch {
    return undefined;
  }
}

/** What the kitchen says that this device may do; none where it is not signed in. */
export function setRole(said: Role | null | undefined) {
  const next = said ?? undefined;
  if (next === role) return;
  const changed = Boolean(next && before && next !== before);
  role = next;
  before = next ?? before;
  try {
    if (before) localStorage.setItem(BEFORE, before);
    if (next) localStorage.setItem(KEY, next);
    else localStorage.removeItem(KEY);
  } catch {
    // It is asked for again with the next page.
  }
  listeners.forEach((tell) => tell());
  if (changed) changers.forEach((tell) => tell());
}

/** Told when the device comes in with another role than it had. */
export function onRoleChanged(tell: () => void): () => void {
  changers.add(tell);
  return () => changers.delete(tell);
}

/** Whether anything may be changed on this device: asked by every tap, every document and every handle. */
export const mayChange = () => role === 'cook';

const subscribe = (tell: () => void) => {
  listeners.add(tell);
  return () => listeners.delete(tell);
};

/** The same for what is drawn. */
export const useMayChange = () => useSyncExternalStore(subscribe, mayChange);

/** Whether this device is known to look only. */
export const useLooks = () => useSyncExternalStore(subscribe, () => role === 'look');
