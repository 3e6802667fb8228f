import { useEffect, useState } from 'react';
import { kitchenNow } from '../api/client';

/** The kitchen's clock in ms, read every so often. */
export function useNow(everyMs: number): number {
  const [now, setNow] = useState(kitchenNow);
  useEffect(() => {
    const timer = setInterval(() => setNow(kitchenNow()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}
