import type { Kitchen, Schemas } from '../../api/client';

/** A kind of thing, as the kitchen describes it: what is asked of one, and what one is like until it is measured. */
export type Kind = Schemas['ThingFields'];
/** What a thing's measures may hold. */
export type Measure = number | string | boolean | null | undefined;
export type Measures = Record<string, Measure>;
export type Thing = { id: string; name: string; lent: boolean; measures: Measures };

/** A thing with its kind, and so its place in the kitchen. */
export type Placed = { kind: Kind; thing: Thing };

// The lists of a kitchen are named by its kinds.
const listOf = (kitchen: Kitchen, kind: Kind) =>
  (kitchen as unknown as Record<string, Thing[] | undefined>)[kind.list] ?? [];

const withList = (kitchen: Kitchen, kind: Kind, things: Thing[]): Kitchen => ({
  ...kitchen,
  [kind.list]: things,
});

/** Everything that stands in a kitchen, shelf by shelf. */
export const all = (kitchen: Kitchen, kinds: Kind[]): Placed[] =>
  kinds.flatMap((kind) => listOf(kitchen, kind).map((thing) => ({ kind, thing })));

/** The kitchen with a thing in the place of the one with its id. */
export const put = (kitchen: Kitchen, { kind, thing }: Placed): Kitchen =>
  withList(
    kitchen,
    kind,
    listOf(kitchen, kind).map((other) => (other.id === thing.id ? thing : other)),
  );

/** The kitchen with one more thing. */
export const add = (kitchen: Kitchen, { kind, thing }: Placed): Kitchen =>
  withList(kitchen, kind, [...listOf(kitchen, kind), thing]);

/** The kitchen without a thing. */
export const takeOut = (kitchen: Kitchen, { kind, thing }: Placed): Kitchen =>
  withList(
    kitchen,
    kind,
    listOf(kitchen, kind).filter((other) => other.id !== thing.id),
  );

/** A new thing of a kind, as the last one of it is: usually there is another like it. */
export function another(kitchen: Kitchen, kinds: Kind[], kind: Kind): Placed {
  const taken = new Set(all(kitchen, kinds).map(({ thing }) => thing.id));
  const own = listOf(kitchen, kind);
  let number = own.length + 1;
  while (taken.has(`${kind.list}_${number}`)) number += 1;
  const id = `${kind.list}_${number}`;
  const like = own.at(-1)?.measures ?? kind.usual;
  // A thermometer is known by what it sends under: no two by one name.
  const measures = kind.kind === 'probe' ? { probe: id } : { ...like };
  return { kind, thing: { id, name: `Another ${kind.word}`, lent: false, measures } };
}

/** How a thing is drawn: cm across and high. */
export function sizeOf({ kind, thing: { measures } }: Placed): { across: number; high: number } {
  const cm = (name: string, otherwise: number) => {
    const value = measures[name];
    return typeof value === 'number' ? value : otherwise;
  };
  switch (kind.picture) {
    case 'burner': {
      const across = 12 + cm('watts', 1800) / 180;
      return { across, high: across };
    }
    case 'coals':
      return { across: 36, high: 14 };
    case 'pot':
      return { across: cm('length_cm', cm('width_cm', cm('diameter_cm', 26))), high: cm('height_cm', 13) };
    case 'bath': {
      // A bath is drawn as a box twice as long as it is deep.
      const deep = Math.cbrt((cm('litres', 12) * 1000) / 2.5);
      return { across: 1.6 * deep, high: deep };
    }
    case 'pan':
      // Seen from the side, with its handle.
      return { across: 1.55 * cm('diameter_cm', 28), high: 6 };
    case 'probe':
      return { across: 8, high: 22 };
    case 'hands':
      return { across: 16, high: 22 };
    default: {
      const across = cm('width_cm', cm('diameter_cm', 40));
      return { across, high: cm('height_cm', 0.71 * across) };
    }
  }
}
