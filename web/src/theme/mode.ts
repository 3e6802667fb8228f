import { useSyncExternalStore } from 'react';

export type Mode = 'light' | 'dark';

const KEY = 'ergastic-mode';
const darkPreferred = () => globalThis.matchMedia?.('(prefers-color-scheme: dark)').matches ?? false;
const listeners = new Set<() => void>();

function current(): Mode {
  const chosen = globalThis.localStorage?.getItem(KEY);
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

export function setMode(mode: Mode) {
  localStorage.setItem(KEY, mode);
  applyMode();
  listeners.forEach((tell) => tell());
}

export function useMode(): Mode {
  return useSyncExternalStore((tell) => {
    listeners.add(tell);
    return () => listeners.delete(tell);
  }, current);
}
