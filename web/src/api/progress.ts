import { useSyncExternalStore } from 'react';
import type { Schemas } from './client';

type Traffic = Schemas['Traffic'];
export type Progress = { done: number; of?: number };

/** How far a file that goes out or comes in has got, as the kitchen last told. */
let known: Partial<Record<Traffic, Progress>> = {};
const listeners = new Set<() => void>();

export function setProgress(task: Traffic, progress: Progress | undefined) {
  known = { ...known, [task]: progress };
  listeners.forEach((tell) => tell());
}

export const useProgress = (task: Traffic) =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => known[task],
  );
