import { useMayChange } from '../../api/role';
import { useEffect, useRef, useSyncExternalStore } from 'react';

/** What can be taken back and put back just now, and what it is called. */
export type Undoing = {
  undo?: () => void;
  undoes?: string;
  redo?: () => void;
  redoes?: string;
};

let now: Undoing = {};
const listeners = new Set<() => void>();

function set(next: Undoing) {
  now = next;
  listeners.forEach((tell) => tell());
}

/** Puts a place's undo in its corner, for as long as the place is open. */
export function useUndoCorner({ undo, undoes, redo, redoes }: Undoing) {
  const held = useRef<Undoing>({});
  useEffect(() => {
    held.current = { undo, redo };
  });
  const may = useMayChange();
  const [canUndo, canRedo] = [may && !!undo, may && !!redo];
  useEffect(() => {
    set({
      undo: canUndo ? () => held.current.undo?.() : undefined,
      undoes,
      redo: canRedo ? () => held.current.redo?.() : undefined,
      redoes,
    });
    return () => set({});
  }, [canUndo, canRedo, undoes, redoes]);
}

export const useUndoing = () =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => now,
  );
