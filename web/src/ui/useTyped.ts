import { useCallback, useEffect, useRef, useState } from 'react';

/** As long as this nothing more is typed, ms: then it is kept. */
const PAUSE = 700;

/** What is typed over a kept value: kept after a pause in the typing, or when the field is left. What can't be kept stays typed. */
export function useTyped<T>(kept: T, keep: (value: T) => void, can: (value: T) => boolean = () => true) {
  const [typed, setTyped] = useState<T>();
  const sent = useRef<T | undefined>(undefined);
  const keeper = useRef(keep);
  useEffect(() => {
    keeper.current = keep;
  });
  const wanted = typed !== undefined && typed !== kept && can(typed) ? typed : undefined;
  const send = useCallback((value: T) => {
    // Once, however long the answer takes.
    if (sent.current === value) return;
    sent.current = value;
    keeper.current(value);
  }, []);
  useEffect(() => {
    if (wanted === undefined) return;
    const pause = setTimeout(() => send(wanted), PAUSE);
    return () => clearTimeout(pause);
  }, [wanted, send]);
  return {
    value: typed ?? kept,
    type: (value: T) => {
      sent.current = undefined;
      setTyped(value);
    },
    leave: () => {
      if (wanted !== undefined) send(wanted);
      setTyped(undefined);
    },
  };
}
