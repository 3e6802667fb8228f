import { useEffect, useState } from 'react';

/** The wall clock, read every so often; `ahead` is how far the server's clock is ahead of this machine's. */
export function useNow(everyMs: number, ahead = 0): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now + ahead;
}
