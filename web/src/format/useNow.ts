import { useEffect, useState } from 'react';
import { kitchenNow, kitchenSpeed } from '../api/client';

/** The kitchen's clock in ms, read every so often. */
export function useNow(everyMs: number): number {
  const [now, setNow] = useState(kitchenNow);
  useEffect(() => {
    // A clock that runs faster is looked at more often, but not more often than an eye would.
    const timer = setInterval(() => setNow(kitchenNow()), Math.max(200, everyMs / kitchenSpeed()));
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}

/** This device's own clock in ms, read every so often: how long something has been so is told by it. */
export function useDeviceNow(everyMs: number): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}
