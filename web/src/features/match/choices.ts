import type { Schemas } from '../../api/client';

/** Every choice of an answer by its name. */
export function choicesOf(matched: Schemas['Matched']): Schemas['Choice'][] {
  return [...matched.ways.flatMap((way) => [way, ...way.variants]), ...matched.two_stage];
}
