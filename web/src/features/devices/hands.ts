import { useSyncExternalStore } from 'react';
import { useKitchen, useDevice } from '../../api/queries';

/** Whose hands hold this screen, as its cook has said; kept in the browser. */
const KEY = 'ergastic-hands';
const listeners = new Set<() => void>();

const chosen = () => {
  try {
    return localStorage.getItem(KEY) ?? '';
  } catch {
    return '';
  }
};

export function setHands(name: string) {
  localStorage.setItem(KEY, name);
  listeners.forEach((tell) => tell());
}

export const useChosenHands = () =>
  useSyncExternalStore((tell) => {
    listeners.add(tell);
    window.addEventListener('storage', tell);
    return () => {
      listeners.delete(tell);
      window.removeEventListener('storage', tell);
    };
  }, chosen);

/** Who takes a task in hand on this screen: the chosen hands; else the first of the kitchen's at its own machine, and elsewhere the screen by its name. */
export function useHands(): string {
  const device = useDevice();
  const kitchen = useKitchen();
  const usual = device.data?.machine ? kitchen.data?.hands[0]?.name : device.data?.name;
  return useChosenHands() || usual || 'Somebody';
}
