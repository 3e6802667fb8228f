import { useDrag } from '@use-gesture/react';
import type { KeyboardEvent } from 'react';
import { mayChange, useMayChange } from '../api/role';

type Dragged<M> = {
  /** What it is like when it is taken; what moves it is told the same all along. */
  take: (at: { x: number; y: number; target: EventTarget | null }) => M;
  /** It is `by` so far from where it was taken, px; `done` when it is let go. */
  move: (taken: M, by: { x: number; y: number }, at: { x: number; y: number }, done: boolean) => void;
  /** It only shows something else: a device that only looks may drag it too. */
  forAll?: boolean;
};

/** Something in a drawing that is dragged, by mouse, pen or finger. */
export function useDragged<M>({ take, move, forAll }: Dragged<M>) {
  const enabled = useMayChange() || forAll;
  return useDrag(
    ({ first, last, canceled, movement: [x, y], xy: [atX, atY], initial: [fromX, fromY], event, memo }) => {
      // The library hands on whatever was answered last: what was taken.
      const taken = first ? take({ x: fromX, y: fromY, target: event.currentTarget }) : (memo as M);
      if (!canceled) move(taken, { x, y }, { x: atX, y: atY }, last);
      return taken;
    },
    { enabled, pointer: { capture: true, keys: false } },
  );
}

/** The steps that an arrow asks for: one, or with shift `large`; none where another key was pressed. */
export function arrowSteps(event: KeyboardEvent, large: number): number {
  if (!mayChange()) return 0;
  const way = ['ArrowRight', 'ArrowUp'].includes(event.key)
    ? 1
    : ['ArrowLeft', 'ArrowDown'].includes(event.key)
      ? -1
      : 0;
  if (way) event.preventDefault();
  return way * (event.shiftKey ? large : 1);
}

/** What makes a handle one of the page's controls; on a device that only looks it is a part of the picture. */
export function useHandle() {
  const may = useMayChange();
  return { role: 'slider', tabIndex: may ? 0 : undefined, 'aria-disabled': may ? undefined : true } as const;
}
