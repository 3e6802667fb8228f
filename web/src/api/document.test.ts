import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { ApiFault, type Schemas } from './client';
import { LiveDocument, type Kept } from './LiveDocument';
import { changed, merge, patched } from './merge';
import { setRole } from './role';

type Plan = Schemas['Plan'];

const shin: Plan = {
  name: 'Lake-ice shin',
  people: 8,
  serve_at: '2027-02-06T16:30:00Z',
  forecast: { cut: 'shin', mass_kg: 2.4, pieces: 3, method: 'braise' },
  prepare: {
    salt_pct: 1.25,
    ingredients: [{ what: 'red_wine', ml: 400 }],
    later: [{ what: 'potato', g: 1200 }],
  },
};

/** A kitchen with one plan in it, which another page may change as well. */
function kitchen() {
  const kept: Kept<Plan> = { version: 1, value: shin };
  const shelf = { kept, refuses: undefined as ApiFault | undefined, saves: 0 };
  return {
    name: 'plan',
    shelf,
    change(next: (plan: Plan) => Plan) {
      shelf.kept = { version: shelf.kept.version + 1, value: next(shelf.kept.value) };
      return shelf.kept;
    },
    save(version: number, value: Plan): Promise<Kept<Plan>> {
      shelf.saves += 1;
      if (shelf.refuses) return Promise.reject(shelf.refuses);
      if (version !== shelf.kept.version) return Promise.reject(new ApiFault('saved over', 409));
      shelf.kept = { version: version + 1, value };
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
  const document = new LiveDocument(shop.shelf.kept, shop);
  for (const pct of [1.3, 1.4, 1.5]) document.change('salt', salted(pct));
  expect(document.snapshot().state).toBe('waiting');
  await settle();
  expect(shop.shelf).toMatchObject({ saves: 1, kept: { version: 2, value: { prepare: { salt_pct: 1.5 } } } });
  expect(document.snapshot()).toMatchObject({ state: 'saved', version: 2, canUndo: true });
  document.undo();
  expect(document.snapshot().value.prepare?.salt_pct).toBe(1.25);
  document.redo();
  await settle();
  expect(document.snapshot()).toMatchObject({ value: { prepare: { salt_pct: 1.5 } }, canRedo: false });
});

test('a step is taken back without what another page did meanwhile', async () => {
  const shop = kitchen();
  const document = new LiveDocument(shop.shelf.kept, shop);
  document.change('salt', salted(2));
  await settle();
  document.arrived(shop.change(named('Auger shin')));
  expect(document.snapshot()).toMatchObject({ value: { name: 'Auger shin' }, elsewhere: ['name'] });
  document.undo();
  await settle();
  expect(shop.shelf.kept.value).toMatchObject({ name: 'Auger shin', prepare: { salt_pct: 1.25 } });
});

test('what a document that is as it came is given first is no change of another page', () => {
  const shop = { ...kitchen(), asItCame: (plan: Plan) => plan.name === 'Lake-ice shin' };
  const document = new LiveDocument(shop.shelf.kept, shop);
  document.arrived(shop.change(named('Auger shin')));
  expect(document.snapshot()).toMatchObject({ value: { name: 'Auger shin' }, elsewhere: [] });
  document.arrived(shop.change(named('Ridge shin')));
  expect(document.snapshot()).toMatchObject({ value: { name: 'Ridge shin' }, elsewhere: ['name'] });
});

test('a save that was overtaken is brought together and saved again', async () => {
  const shop = kitchen();
  const document = new LiveDocument(shop.shelf.kept, shop);
  shop.change(named('Auger shin'));
  document.change('salt', salted(2));
  await settle();
  expect(shop.shelf.kept).toMatchObject({
    version: 3,
    value: { name: 'Auger shin', prepare: { salt_pct: 2 } },
  });
  expect(document.snapshot()).toMatchObject({ state: 'saved', elsewhere: ['name'] });
  document.seen();
  expect(document.snapshot().elsewhere).toEqual([]);
});

test('what is refused stays as it was typed; a lost connection is tried again', async () => {
  const shop = kitchen();
  const document = new LiveDocument(shop.shelf.kept, shop);
  shop.shelf.refuses = new ApiFault('it must be 0 to 5 %', 422, 'plan.prepare.salt_pct');
  document.change('salt', salted(50));
  await settle();
  expect(document.snapshot()).toMatchObject({ state: 'refused', value: { prepare: { salt_pct: 50 } } });
  expect(shop.shelf.saves).toBe(1);
  for (const status of [0, 401, 429, 503]) {
    shop.shelf.refuses = new ApiFault('not now', status);
    document.change('salt', salted(1 + status / 1000));
    await vi.advanceTimersByTimeAsync(1000);
    expect(document.snapshot().state).toBe('away');
    shop.shelf.refuses = undefined;
    await settle();
    expect(document.snapshot()).toMatchObject({ state: 'saved' });
  }
  expect(shop.shelf.kept.value.prepare?.salt_pct).toBeCloseTo(1.503);
});

test('entries of a list are brought together by what they are', () => {
  const [wine, onion, stock] = [
    { what: 'red_wine', ml: 400 },
    { what: 'onion', g: 200 },
    { what: 'stock', ml: 500 },
  ];
  expect(merge([wine, onion], [{ ...wine, ml: 300 }, onion], [onion, wine, stock])).toEqual([
    onion,
    { ...wine, ml: 300 },
    stock,
  ]);
  expect(merge([wine, onion], [onion], [wine, onion, stock])).toEqual([onion, stock]);
  const oven = { id: 'oven_1', name: 'Left', lent: false };
  const pin = (said: object) => ({ task: 'sear_1', ...said });
  expect(merge<object[]>([], [pin({ min: 31 })], [pin({ at: '20:09' })])).toEqual([
    pin({ min: 31, at: '20:09' }),
  ]);
  expect(merge([oven], [{ ...oven, lent: true }], [{ ...oven, name: 'Right' }])).toEqual([
    { id: 'oven_1', name: 'Right', lent: true },
  ]);
});

test('a change that is offered puts in what it names, takes out what it holds nothing for, and leaves the rest', () => {
  const next = patched(shin, {
    forecast: { pieces: null, heat: { source: 'hob' } },
    prepare: { salt_pct: undefined, later: [] },
  });
  expect(next).toEqual({
    ...shin,
    forecast: { cut: 'shin', mass_kg: 2.4, method: 'braise', heat: { source: 'hob' } },
    prepare: { ingredients: [{ what: 'red_wine', ml: 400 }], later: [] },
  });
});

test('what is not saved yet when the page is left is there when it is opened again', async () => {
  const shop = kitchen();
  const left = new LiveDocument(shop.shelf.kept, shop);
  left.change('salt', salted(2));
  // The page is gone before it was saved, and another changes the plan meanwhile.
  vi.clearAllTimers();
  shop.change(named('Auger shin'));
  const again = new LiveDocument(shop.shelf.kept, shop);
  expect(again.snapshot()).toMatchObject({ state: 'waiting', value: { name: 'Auger shin' } });
  await settle();
  expect(shop.shelf.kept.value).toMatchObject({ name: 'Auger shin', prepare: { salt_pct: 2 } });
  expect(Object.keys(localStorage).filter((key) => key.includes('draft'))).toEqual([]);
});

test('who leaves waits until all of it is saved', async () => {
  const shop = kitchen();
  const document = new LiveDocument(shop.shelf.kept, shop);
  document.change('salt', salted(2));
  await document.flush();
  expect(shop.shelf).toMatchObject({ saves: 1, kept: { value: { prepare: { salt_pct: 2 } } } });
});

test('two pages of one browser keep two drafts; one that is gone leaves its own to the next', async () => {
  const shop = kitchen();
  const { keepDraft } = await import('./drafts');
  // Another page, gone by now, had named it and not saved.
  localStorage.setItem(
    'ergastic-draft:plan:another',
    JSON.stringify({ base: shin, value: named('Auger shin')(shin) }),
  );
  keepDraft('plan', { base: shin, value: salted(2)(shin) });
  const document = new LiveDocument(shop.shelf.kept, shop);
  expect(document.snapshot().value).toMatchObject({ name: 'Auger shin', prepare: { salt_pct: 2 } });
  await settle();
  expect(shop.shelf.kept.value).toMatchObject({ name: 'Auger shin', prepare: { salt_pct: 2 } });
});

test('a step can be taken back after another place, and after the page is loaded again', async () => {
  const shop = kitchen();
  const left = new LiveDocument(shop.shelf.kept, shop);
  left.change('salt', salted(2));
  left.change('name', named('Auger shin'));
  await settle();
  const again = new LiveDocument(shop.shelf.kept, shop);
  expect(again.snapshot()).toMatchObject({ state: 'saved', canUndo: true });
  again.undo();
  again.undo();
  await settle();
  expect(shop.shelf.kept.value).toMatchObject({ name: shin.name, prepare: { salt_pct: 1.25 } });
  const third = new LiveDocument(shop.shelf.kept, shop);
  expect(third.snapshot()).toMatchObject({ canUndo: false, canRedo: true });
});

test('where the browser keeps nothing what is typed is still saved, and it says so until it is', async () => {
  const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  const shop = kitchen();
  const document = new LiveDocument(shop.shelf.kept, shop);
  document.change('salt', salted(2));
  expect(document.snapshot().unwritten).toBe(true);
  await settle();
  expect(document.snapshot()).toMatchObject({ state: 'saved', unwritten: false });
  full.mockRestore();
});

test('a device that only looks changes no document and takes nothing back', async () => {
  const shop = kitchen();
  const document = new LiveDocument(shop.shelf.kept, shop);
  document.change('salt', salted(2));
  await settle();
  setRole('look');
  document.change('salt', salted(3));
  document.undo();
  await settle();
  expect(shop.shelf).toMatchObject({ saves: 1, kept: { value: { prepare: { salt_pct: 2 } } } });
  expect(document.snapshot().value.prepare?.salt_pct).toBe(2);
});
