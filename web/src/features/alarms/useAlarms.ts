import { useEffect, useRef, useSyncExternalStore } from 'react';
import { useOutbox } from '../../api/outbox';
import { useAtWork } from '../../api/queries';
import type { Schemas } from '../../api/client';
import { millis } from '../../format/time';
import { useNow } from '../../format/useNow';
import { keepsQuiet, mayRing, onMayRing, ring } from './sounds';

export type Due = { cook: string; dish: string; alarm: Schemas['Alarm'] };

/** Rung again until it is answered, ms of real time. */
const AGAIN_MS = 12_000;

/** What rings now, of all dishes: the kitchen says when each is due, so it rings also while the kitchen can't be reached. */
export function useDue(): Due[] {
  const work = useAtWork();
  const waiting = useOutbox();
  const now = useNow(1000);
  const answered = new Set(
    waiting.flatMap(({ event: { happened }, refused }) =>
      !refused && (happened.kind === 'heard' || happened.kind === 'later') ? [happened.alarm] : [],
    ),
  );
  return (work.data?.dishes ?? []).flatMap((dish) =>
    dish.alarms
      .filter((alarm) => !alarm.heard && millis(alarm.rings_at) <= now && !answered.has(alarm.id))
      .map((alarm) => ({ cook: dish.id, dish: dish.name, alarm })),
  );
}

export const useMayRing = () => useSyncExternalStore(onMayRing, mayRing);

export const useKeepsQuiet = () => useSyncExternalStore(onMayRing, keepsQuiet);

const worst = (due: Due[]): Schemas['Sound'] =>
  due.some(({ alarm }) => alarm.sound === 'trouble')
    ? 'trouble'
    : due.some(({ alarm }) => alarm.sound === 'work')
      ? 'work'
      : 'look';

/** Sounds, shakes and notifies for as long as something is due. */
export function useRinging(due: Due[]) {
  const keys = due.map(({ cook, alarm }) => `${cook} ${alarm.id} ${alarm.rings_at}`).join('|');
  const may = useMayRing();
  const rung = useRef(new Set<string>());
  const sound = due.length > 0 ? worst(due) : undefined;
  useEffect(() => {
    if (!sound) return;
    ring(sound);
    const timer = setInterval(() => ring(sound), AGAIN_MS);
    return () => clearInterval(timer);
    // A new alarm rings at once.
  }, [keys, sound, may]);
  useEffect(() => {
    if (
      !document.hidden ||
      keepsQuiet() ||
      typeof Notification === 'undefined' ||
      Notification.permission !== 'granted'
    )
      return;
    for (const { cook, dish, alarm } of due) {
      const key = `${cook} ${alarm.id} ${alarm.rings_at}`;
      if (rung.current.has(key)) continue;
      rung.current.add(key);
      const said = [`${dish}: ${alarm.words}`, { body: alarm.why, tag: alarm.id }] as const;
      if ('serviceWorker' in navigator && navigator.serviceWorker.controller) {
        // A phone shows none without its worker.
        void navigator.serviceWorker.ready.then((worker) => worker.showNotification(...said));
        continue;
      }
      try {
        const shown = new Notification(...said);
        shown.onclick = () => {
          window.focus();
          shown.close();
        };
      } catch {
        // A phone's browser shows none without a worker; the sound and the shaking are there.
      }
    }
  });
}
