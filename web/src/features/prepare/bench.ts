import type { Schemas } from '../../api/client';
import type { Units } from '../../format/units';

export type Plan = Schemas['Plan'];
export type Bench = Schemas['Prepare'];
/** A plan at the bench: what it comes to, with everything filled in, and what may be chosen next. */
export type Prepared = Schemas['OnTheBench'];

/** Some fields of a thing, and of the things in it. */
export type Changed<T> = { [K in keyof T]?: T[K] extends unknown[] | undefined ? T[K] : Changed<T[K]> };

/** What every bench is given: what the plan comes to, and how it is changed. */
export type BenchProps = {
  prepared: Prepared;
  units: Units;
  /** Puts a change that the kitchen offers into the plan. */
  choose: (key: string, offer: { change: unknown }) => void;
  /** Changes what is done at the bench, and of that only the fields given: the plan under the hand may be ahead of its answer. */
  setBench: (key: string, changed: Changed<Bench>) => void;
  /** Changes the meat and its way. */
  setForecast: (key: string, changed: Partial<Plan['forecast']>) => void;
  setPlan: (key: string, next: (plan: Plan) => Plan) => void;
};

/** The places at the bench, in the order of the work. */
export const places = [
  { value: 'meat', label: 'Meat' },
  { value: 'salt', label: 'Salt' },
  { value: 'sear', label: 'Sear' },
  { value: 'pot', label: 'Pot' },
  { value: 'heat', label: 'Heat' },
  { value: 'later', label: 'Later' },
  { value: 'list', label: 'List' },
] as const;

export type BenchPlace = (typeof places)[number]['value'];

/** Drops what is not set, so that the document stays as short as what was said. */
export const without = <T extends object>(value: T): T =>
  // The same fields, but for those that hold nothing.
  Object.fromEntries(Object.entries(value).filter(([, field]) => field !== undefined)) as T;
