import { useEffect, useRef, useSyncExternalStore } from 'react';

/** A key and what it does: one list that the keyboard obeys and the sheet of keys shows. */
export type Shortcut = {
  /** As it is printed on the sheet. */
  keys: string;
  does: string;
  /** A single letter or figure: these can be turned off, for those who speak to their machine. */
  single: boolean;
  matches: (event: KeyboardEvent) => boolean;
  run: (event: KeyboardEvent) => void;
};

const KEY = 'ergastic-single-keys';
const registry = new Set<{ current: Shortcut }>();
const listeners = new Set<() => void>();
let listed: readonly Shortcut[] = [];
let singleKeys = localStorage.getItem(KEY) !== 'off';

function changed() {
  const seen = new Map<string, Shortcut>();
  for (const { current } of registry) seen.set(current.keys, current);
  listed = [...seen.values()];
  listeners.forEach((tell) => tell());
}

const subscribe = (tell: () => void) => {
  listeners.add(tell);
  return () => listeners.delete(tell);
};

/** Whether what is pressed is typed into something: a line, a part of a date, an open list. A slider is none of them. */
function typing(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target instanceof HTMLInputElement)
    return !['range', 'radio', 'checkbox', 'button'].includes(target.type);
  return !!target.closest(
    'textarea, select, [contenteditable], [role=spinbutton], [role=menu], [role=dialog]',
  );
}

/** Obeys the registry; once, for the whole page. */
export function useKeyboard() {
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (typing(event.target) || event.defaultPrevented) return;
      for (const { current } of [...registry].reverse()) {
        if ((current.single && !singleKeys) || !current.matches(event)) continue;
        event.preventDefault();
        current.run(event);
        return;
      }
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, []);
}

/** A plain key with neither control nor alt. */
export const plainKey =
  (...keys: string[]) =>
  (event: KeyboardEvent) =>
    !event.ctrlKey && !event.metaKey && !event.altKey && keys.includes(event.key.toLowerCase());

/** A key with control, or command. */
export const controlKey = (key: string, shift?: boolean) => (event: KeyboardEvent) =>
  (event.ctrlKey || event.metaKey) &&
  event.key.toLowerCase() === key &&
  (shift === undefined || event.shiftKey === shift);

/** Adds a shortcut for as long as its place is open. */
export function useShortcut(shortcut: Shortcut) {
  const held = useRef(shortcut);
  useEffect(() => {
    held.current = shortcut;
  });
  const { keys, does } = shortcut;
  useEffect(() => {
    registry.add(held);
    changed();
    return () => {
      registry.delete(held);
      changed();
    };
  }, [keys, does]);
}

/** Every shortcut that works just now. */
export const useShortcuts = () => useSyncExternalStore(subscribe, () => listed);

/** Whether single keys do something, and the switch. */
export function useSingleKeys(): [boolean, (on: boolean) => void] {
  const on = useSyncExternalStore(subscribe, () => singleKeys);
  const set = (next: boolean) => {
    singleKeys = next;
    localStorage.setItem(KEY, next ? 'on' : 'off');
    changed();
  };
  return [on, set];
}
