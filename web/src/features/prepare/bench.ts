import type { Schemas } from '../../api/client';
import type { Units } from '../../format/units';

export type Plan = Schemas['Plan'];
export type Bench = Schemas['Prepare'];
export type Prepared = Schemas['Prepared'];

/** What every bench is given: the plan, what it comes to, and how it is changed. */
export type BenchProps = {
  plan: Plan;
  bench: Bench;
  prepared: Prepared;
  units: Units;
  /** Changes what is done at the bench. */
  setBench: (key: string, changed: Partial<Bench>) => void;
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
  Object.fromEntries(Object.entries(value).filter(([, field]) => field !== undefined)) as T;
