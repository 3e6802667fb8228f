import { useEffect, useState } from 'react';

/** Keeps the screen awake while a page is shown, where the browser can; answers what is so, in words. */
export function useAwake(): string {
  const can = 'wakeLock' in navigator;
  const [held, setHeld] = useState(false);
  useEffect(() => {
    if (!can) return;
    let lock: WakeLockSentinel | undefined;
    let gone = false;
    const take = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (gone) return void lock.release();
        setHeld(true);
        lock.onrelease = () => setHeld(false);
      } catch {
        setHeld(false);
      }
    };
    void take();
    // It is let go whenever the page is hidden.
    document.addEventListener('visibilitychange', take);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, [can]);
  return held
    ? 'The screen stays awake while this page is in front.'
    : 'This browser does not keep the screen awake: set that in the device itself.';
}
