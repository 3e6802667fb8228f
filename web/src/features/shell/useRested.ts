import { useEffect, useState } from 'react';

/** Whether nobody has touched the page for so long, or it is not in front. */
export function useRested(ms: number): boolean {
  const [rested, setRested] = useState(() => document.hidden);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const touched = () => {
      setRested(document.hidden);
      clearTimeout(timer);
      timer = setTimeout(() => setRested(true), ms);
    };
    const kinds = ['pointerdown', 'keydown', 'visibilitychange'] as const;
    for (const kind of kinds) document.addEventListener(kind, touched);
    touched();
    return () => {
      clearTimeout(timer);
      for (const kind of kinds) document.removeEventListener(kind, touched);
    };
  }, [ms]);
  return rested;
}
