import { useDeferredValue, useMemo, useState } from 'react';
import { ApiFault, type Schemas } from '../../api/client';
import { tap } from '../../api/outbox';
import { useSauce } from '../../api/queries';
import { useLastGood } from '../../ui/useLastGood';

type Choices = Schemas['SauceChoices'];
type Move = Schemas['Move'];

/** A move with another figure. */
export function withFigure(move: Move, figure: number): Move {
  switch (move.kind) {
    case 'reduce':
      return { ...move, to_l: figure };
    case 'set_aside':
      return { ...move, litres: figure };
    case 'thicken':
      return { ...move, to_body: figure };
    case 'pour_in':
    case 'salt':
      return { ...move, grams: figure };
    default:
      return move;
  }
}

/** The sauce of a cook under the hand: what is bent is answered at once, and kept when it is let go. */
export function useSauceInHand(cook: Schemas['CookAnswer']) {
  const from = cook.view.sauce;
  // What is under the hand, or on its way to the kitchen; what the kitchen says of the same takes its place.
  const { skim, taste, target, thickener, share, done, moves: laid } = from;
  const said = JSON.stringify({ skim, taste, target, thickener, share, done, laid });
  const [held, setHeld] = useState<{ said: string; over: Partial<Schemas['SauceRequest']> }>();
  const over = held?.said === said ? held.over : undefined;
  const wanted = useMemo<Schemas['SauceRequest']>(() => ({ ...from, ...over }), [from, over]);
  const asked = useDeferredValue(wanted);
  const query = useSauce(asked, true);
  const sauce = useLastGood(query.data);
  const lay = (next: Partial<Schemas['SauceRequest']>) => setHeld({ said, over: { ...over, ...next } });
  /** Chooses something; the way to it is laid anew unless it says how it goes. */
  const choose = (next: Choices) => {
    const { skim, taste, target, thickener, share } = wanted;
    const chosen: Choices = { skim, taste, target, thickener, share, ...next };
    lay({ ...chosen, moves: chosen.moves ?? undefined } as Partial<Schemas['SauceRequest']>);
    tap(cook.id, { kind: 'sauce_chosen', sauce: chosen });
  };
  // A hand may be quicker than the kitchen: then it bends what was asked for, not what was answered before.
  const answered = asked === wanted && !query.isPlaceholderData;
  const moves = (answered ? sauce?.moves : (wanted.moves ?? sauce?.moves)) ?? [];
  return {
    wanted,
    sauce,
    query,
    fault: query.error instanceof ApiFault ? query.error : undefined,
    choose,
    /** A move of those to do gets another figure. */
    bend: (place: number, figure: number, done: boolean) => {
      const bent = moves.map((move, i) => (i === place ? withFigure(move, figure) : move));
      if (done) choose({ moves: bent });
      else lay({ moves: bent });
    },
    add: (move: Move) => choose({ moves: [...moves, move] }),
    take: (place: number) => choose({ moves: moves.filter((_, i) => i !== place) }),
    sooner: (place: number) => {
      const next = [...moves];
      const [one] = next.splice(place, 1);
      if (one) next.splice(place - 1, 0, one);
      choose({ moves: next });
    },
    done: (place: number) => {
      const did = moves[place];
      if (!did) return;
      const then = moves.filter((_, i) => i !== place);
      lay({ done: [...(wanted.done ?? []), did], moves: then });
      tap(cook.id, { kind: 'sauce_done', did, then });
    },
  };
}

export type SauceInHand = ReturnType<typeof useSauceInHand>;
