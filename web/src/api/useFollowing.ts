import { useEffect, useRef, useState } from 'react';

/** What was asked last, and what came of it; the last good answer stays while a question is refused. */
export type Followed<A> = { text: string; answer?: A; error?: unknown };

/**
 * Answers for something under the hand. One question is out at a time and the newest is asked next, so that the answer
 * keeps following a hand that never rests; `undefined` asks nothing.
 */
export function useFollowing<A>(
  text: string | undefined,
  ask: (text: string) => Promise<A>,
): Followed<A> | undefined {
  const [followed, setFollowed] = useState<Followed<A>>();
  const newest = useRef(text);
  const busy = useRef(false);
  // The hand rested: what was answered then is not shown when it moves again.
  if (text === undefined && followed) setFollowed(undefined);
  useEffect(() => {
    newest.current = text;
    if (text === undefined || busy.current) return;
    busy.current = true;
    void (async () => {
      let asked: string | undefined;
      // Read anew each time: it moves on while an answer is waited for.
      const wanted = () => newest.current;
      for (let next = wanted(); next !== undefined && next !== asked; next = wanted()) {
        asked = next;
        const [answer, error] = await ask(asked).then(
          (found) => [found, undefined] as const,
          (fault: unknown) => [undefined, fault] as const,
        );
        if (wanted() === undefined) continue;
        const question = asked;
        setFollowed((before) => ({ text: question, answer: answer ?? before?.answer, error }));
      }
      busy.current = false;
    })();
  }, [text, ask]);
  return text === undefined ? undefined : followed;
}
