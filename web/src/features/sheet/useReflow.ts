import { useCallback, useRef, useState } from 'react';
import { api, type Schemas } from '../../api/client';

/**
 * The sheet as it would be with a task put elsewhere, while it is still under the finger. One question at a time: while an answer is
 * on its way only the newest hour waits, so the sheet keeps moving however fast the finger does.
 */
export function useReflow(mealId: string) {
  const [sheet, setSheet] = useState<Schemas['MealSheet']>();
  const asking = useRef(false);
  const wanted = useRef<Schemas['Pin'] | undefined>(undefined);
  const ask = useCallback(async () => {
    if (asking.current) return;
    asking.current = true;
    let pin = wanted.current;
    while (pin) {
      // What can't be is said when it is let go.
      const tried = await api.tryMeal(mealId, pin).catch(() => undefined);
      // Let go meanwhile: what is kept is drawn.
      if (wanted.current) setSheet((before) => tried ?? before);
      pin = wanted.current === pin ? undefined : wanted.current;
    }
    asking.current = false;
  }, [mealId]);
  const tryOut = useCallback(
    (pin: Schemas['Pin']) => {
      wanted.current = pin;
      void ask();
    },
    [ask],
  );
  const settle = useCallback(() => {
    wanted.current = undefined;
    setSheet(undefined);
  }, []);
  return { sheet, tryOut, settle };
}
