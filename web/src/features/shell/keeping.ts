import { useSyncExternalStore } from 'react';

/** Whether this browser keeps the page for when the network is not there. */
export type Keeping = 'yes' | 'not here' | 'refused' | 'waiting';

let keeping: Keeping = 'waiting';
const listeners = new Set<() => void>();

function show(next: Keeping) {
  keeping = next;
  listeners.forEach((tell) => tell());
}

/** Asks the browser to keep the page. It does so only where it trusts the kitchen's certificate; the page works without. */
export function keepThePage() {
  if (!('serviceWorker' in navigator)) {
    show('not here');
    return;
  }
  // Not before the page is there: what is kept must not hold up what is shown.
  const begin = () => {
    navigator.serviceWorker
      .register('/worker.js')
      .then(() => navigator.serviceWorker.ready)
      .then(() => show('yes'))
      .catch(() => show('refused'));
  };
  if (document.readyState === 'complete') begin();
  else window.addEventListener('load', begin, { once: true });
}

export const useKeeping = () =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => keeping,
  );
