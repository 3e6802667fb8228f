import { useSyncExternalStore } from 'react';

export type Mode = 'light' | 'dark';

const KEY = 'ergastic-mode';
const darkPreferred = () => matchMedia('(prefers-color-scheme: dark)').matches;
const listeners = new Set<() => void>();

function current(): Mode {
  const chosen = localStorage.getItem(KEY);
  if (chosen === 'light' || chosen === 'dark') return chosen;
  return darkPreferred() ? 'dark' : 'light';
}

/** Puts the mode on the page; called before the first paint and on every change. */
export function applyMode() {
  const mode = current();
  document.documentElement.classList.toggle('dark', mode === 'dark');
  document.documentElement.classList.toggle('light', mode === 'light');
  document.documentElement.style.colorScheme = mode;
}

function changed() {
  applyMode();
  listeners.forEach((tell) => tell());
}

export function setMode(mode: Mode) {
  localStorage.setItem(KEY, mode);
  changed();
}

/** Follows the system as evening falls, as long as nobody has chosen. */
export const followSystem = () =>
  matchMedia('(prefers-color-scheme: dark)').addEventListener('change', changed);

export function useMode(): Mode {
  return useSyncExternalStore((tell) => {
    listeners.add(tell);
    return () => listeners.delete(tell);
  }, current);
}
