import { useEffect, useRef, useState } from 'react';
import { useReach } from '../../api/reach';
import { applyMode } from '../../theme/mode';

/** A page that hangs on a wall for weeks is loaded anew once a day. */
const ANEW_MS = 24 * 3_600_000;
/** It is looked so often whether that is due, ms. */
const LOOK_MS = 60_000;

/** Loads the page anew where that hinders nobody: once a day, or for a newer build; never while something rings, or without the kitchen. */
export function useFresh(quiet: boolean) {
  const { lost, newer } = useReach();
  const [since] = useState(() => Date.now());
  useEffect(() => {
    if (!quiet || lost !== undefined) return;
    const look = () => {
      if (newer || Date.now() - since > ANEW_MS) globalThis.location.reload();
    };
    const timer = setInterval(look, LOOK_MS);
    return () => clearInterval(timer);
  }, [quiet, lost, newer, since]);
}

/** Lets the wall give hardly any light while the kitchen sleeps. */
export function useDimmed(dim: boolean) {
  useEffect(() => {
    if (!dim) return;
    const page = document.documentElement.classList;
    page.remove('light');
    page.add('dark', 'night');
    return () => {
      page.remove('night');
      applyMode();
    };
  }, [dim]);
}

/** The room that is left for something, px: alarms come and go beside it. */
export function useRoom<T extends HTMLElement>() {
  const ref = useRef<T>(null);
  const [room, setRoom] = useState({ width: 1200, height: 560 });
  useEffect(() => {
    const shown = ref.current;
    if (!shown) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setRoom({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    observer.observe(shown);
    return () => observer.disconnect();
  }, []);
  return { ref, ...room };
}
