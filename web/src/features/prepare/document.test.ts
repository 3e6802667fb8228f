import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { ApiFault, type Schemas } from '../../api/client';
import { changed, merge } from './merge';
import { PlanDocument, type Kept } from './PlanDocument';
import { forPeople } from './scale';

type Plan = Schemas['Plan'];

const shin: Plan = {
  name: 'Lake-ice shin',
  people: 8,
  bell: '2027-02-06T16:30:00Z',
  forecast: { cut: 'shin', mass_kg: 2.4, pieces: 3, method: 'braise' },
  prepare: {
    salt_pct: 1.25,
    ingredients: [{ what: 'red_wine', ml: 400 }],
    later: [{ what: 'potato', g: 1200 }],
  },
};

/** A kitchen with one plan in it, which another page may change as well. */
function kitchen() {
  const kept: Kept = { version: 1, plan: shin };
  const shelf = { kept, refuses: undefined as ApiFault | undefined, saves: 0 };
  return {
    shelf,
    change(next: (plan: Plan) => Plan) {
      shelf.kept = { version: shelf.kept.version + 1, plan: next(shelf.kept.plan) };
      return shelf.kept;
    },
    save(version: number, plan: Plan): Promise<Kept> {
      shelf.saves += 1;
      if (shelf.refuses) return Promise.reject(shelf.refuses);
      if (version !== shelf.kept.version) return Promise.reject(new ApiFault('saved over', 409));
      shelf.kept = { version: version + 1, plan };
      return Promise.resolve(shelf.kept);
    },
    read: () => Promise.resolve(shelf.kept),
  };
}

const salted = (salt_pct: number) => (plan: Plan) => ({ ...plan, prepare: { ...plan.prepare, salt_pct } });
const named = (name: string) => (plan: Plan) => ({ ...plan, name });
const settle = () => vi.advanceTimersByTimeAsync(5000);

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

test('two changes of one document are brought together field by field', () => {
  const base = { a: 1, b: { c: 2, d: 3 }, list: [1, 2] };
  const mine = { a: 9, b: { c: 2, d: 4 }, list: [1, 2] };
  const theirs = { a: 1, b: { c: 5, d: 7 }, list: [1, 2, 3] };
  expect(merge<unknown>(base, mine, theirs)).toEqual({ a: 9, b: { c: 5, d: 4 }, list: [1, 2, 3] });
  expect(merge<unknown>({ a: 1, b: 2 }, { a: 1 }, { a: 3, b: 2 })).toEqual({ a: 3 });
  expect(changed(base, mine)).toEqual(['a', 'b.d']);
  expect(changed({ a: 1, b: undefined }, { a: 1, c: null })).toEqual([]);
});

test('it is saved as it is changed, a slide in one go', async () => {
  const shop = kitchen();
  const document = new PlanDocument(shop.shelf.kept, shop);
  for (const pct of [1.3, 1.4, 1.5]) document.change('salt', salted(pct));
  expect(document.snapshot().state).toBe('waiting');
  await settle();
  expect(shop.shelf).toMatchObject({ saves: 1, kept: { version: 2, plan: { prepare: { salt_pct: 1.5 } } } });
  expect(document.snapshot()).toMatchObject({ state: 'saved', version: 2, canUndo: true });
  document.undo();
  expect(document.snapshot().plan.prepare?.salt_pct).toBe(1.25);
  document.redo();
  await settle();
  expect(document.snapshot()).toMatchObject({ plan: { prepare: { salt_pct: 1.5 } }, canRedo: false });
});

test('a step is taken back without what another page did meanwhile', async () => {
  const shop = kitchen();
  const document = new PlanDocument(shop.shelf.kept, shop);
  document.change('salt', salted(2));
  await settle();
  document.arrived(shop.change(named('Auger shin')));
  expect(document.snapshot()).toMatchObject({ plan: { name: 'Auger shin' }, elsewhere: ['name'] });
  document.undo();
  await settle();
  expect(shop.shelf.kept.plan).toMatchObject({ name: 'Auger shin', prepare: { salt_pct: 1.25 } });
});

test('a save that was overtaken is brought together and saved again', async () => {
  const shop = kitchen();
  const document = new PlanDocument(shop.shelf.kept, shop);
  shop.change(named('Auger shin'));
  document.change('salt', salted(2));
  await settle();
  expect(shop.shelf.kept).toMatchObject({
    version: 3,
    plan: { name: 'Auger shin', prepare: { salt_pct: 2 } },
  });
  expect(document.snapshot()).toMatchObject({ state: 'saved', elsewhere: ['name'] });
  document.seen();
  expect(document.snapshot().elsewhere).toEqual([]);
});

test('what is refused stays as it was typed; a lost connection is tried again', async () => {
  const shop = kitchen();
  const document = new PlanDocument(shop.shelf.kept, shop);
  shop.shelf.refuses = new ApiFault('it must be 0 to 5 %', 422, 'plan.prepare.salt_pct');
  document.change('salt', salted(50));
  await settle();
  expect(document.snapshot()).toMatchObject({ state: 'refused', plan: { prepare: { salt_pct: 50 } } });
  expect(shop.shelf.saves).toBe(1);
  shop.shelf.refuses = new ApiFault('no answer', 0);
  document.change('salt', salted(1));
  await vi.advanceTimersByTimeAsync(1000);
  expect(document.snapshot().state).toBe('refused');
  shop.shelf.refuses = undefined;
  await settle();
  expect(document.snapshot()).toMatchObject({ state: 'saved', plan: { prepare: { salt_pct: 1 } } });
});

test('a dish for more people grows by as much, its pieces as thick as they were', () => {
  const twice = forPeople(shin, 16, 2.4);
  expect(twice).toMatchObject({
    people: 16,
    forecast: { mass_kg: 4.8, pieces: 6 },
    prepare: { ingredients: [{ what: 'red_wine', ml: 800 }], later: [{ what: 'potato', g: 2400 }] },
  });
  expect(
    forPeople({ ...shin, forecast: { ...shin.forecast, liquid_l: 1.2 } }, 4, 2.4).forecast.liquid_l,
  ).toBeUndefined();
  const mixed: Plan = {
    ...shin,
    forecast: {
      parts: [
        { cut: 'shin', mass_kg: 1 },
        { cut: 'chuck', mass_kg: 2, pieces: 2 },
      ],
    },
  };
  expect(forPeople(mixed, 4, 3).forecast.parts).toEqual([
    { cut: 'shin', mass_kg: 0.5 },
    { cut: 'chuck', mass_kg: 1, pieces: 1 },
  ]);
});
