import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { lay } from '../../drawings/PanFromAbove';
import { depthOf, litresAt } from '../../format/between';
import { corner, kitchen as lodge, open, typed } from '../../test-kitchen';
import { places, type Plan } from './bench';
import { differences } from './Difference';
import { PreparePlace } from './PreparePlace';
import { prepared } from './prepared.fixture';

const ID = '00000000-0000-4000-8000-000000000001';
const plan: Plan = {
  name: 'Lake-ice shin',
  people: 8,
  serve_at: '2099-02-06T16:30:00Z',
  forecast: { cut: 'shin', mass_kg: 2.4, pieces: 3, method: 'braise', heat: { source: 'oven', set_c: 150 } },
  prepare: { salt_pct: 1.25, ingredients: [{ what: 'red_wine', ml: 400 }], later: [] },
};
const kitchen = { version: 1, kitchen: lodge() };
const facts = (what: Schemas['Larder'], liquid: boolean, instead: Schemas['Larder'] | null) =>
  ({
    what,
    name: what.replace('_', ' '),
    liquid,
    instead,
    offered: true,
    puts: { what, g: 150 },
  }) as unknown as Schemas['OnTheShelf'];
const larder = [
  facts('unsalted_stock', true, 'water'),
  facts('red_wine', true, 'unsalted_stock'),
  facts('onion', false, 'celery'),
];

let kept: { version: number; plan: Plan };
const saved: Plan[] = [];
let grownFrom: number[];
let refuse: string | undefined;
let refuseToSave: string | undefined;
let comesTo: Schemas['OnTheBench'];

beforeEach(() => {
  kept = { version: 1, plan };
  saved.length = 0;
  grownFrom = [];
  refuse = undefined;
  refuseToSave = undefined;
  comesTo = prepared;
  const view = () => ({ id: ID, saved_at: '2027-02-04T07:10:00Z', ...kept });
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url).pathname;
    const text = await request.text();
    const body = (text ? JSON.parse(text) : undefined) as Plan & { version: number; plan: Plan };
    const answers: Record<string, () => unknown> = {
      '/api/kitchen': () => kitchen,
      '/api/larder': () => larder,
      '/api/cuts': () => [],
      '/api/plans': () => [view()],
      '/api/prepare/people': () => {
        const { people, plan: base } = body as unknown as Schemas['ForPeople'];
        grownFrom.push(base.people ?? 0);
        const by = people / (base.people ?? 1);
        const { mass_kg, pieces } = base.forecast;
        return {
          ...base,
          people,
          forecast: { ...base.forecast, mass_kg: by * (mass_kg ?? 0), pieces: by * (pieces ?? 0) },
        };
      },
      [`/api/plans/${ID}/versions/1`]: () => ({ id: ID, saved_at: '2027-02-04T07:10:00Z', version: 1, plan }),
      [`/api/plans/${ID}/versions`]: () => [{ version: kept.version, saved_at: '2027-02-04T07:10:00Z' }],
      [`/api/plans/${ID}`]: () => {
        if (request.method === 'PUT') {
          saved.push(body.plan);
          kept = { version: kept.version + 1, plan: body.plan };
        }
        return view();
      },
      // The kitchen answers with what was poured, so that the line can be seen to follow.
      '/api/prepare/plan': () => ({
        ...comesTo,
        pot: comesTo.pot && { ...comesTo.pot, liquid_l: body.forecast.liquid_l ?? comesTo.pot.liquid_l },
      }),
    };
    const refused =
      path === '/api/prepare/plan' ? refuse : request.method === 'PUT' ? refuseToSave : undefined;
    const problem = refused !== undefined;
    return new Response(JSON.stringify(problem ? { detail: refused } : answers[path]?.()), {
      status: problem ? 422 : 200,
      headers: { 'content-type': 'application/json' },
    });
  });
});
afterEach(() => vi.unstubAllGlobals());

const at = (bench: string) => {
  open(
    <Routes>
      <Route path="prepare/:planId" element={<PreparePlace />} />
    </Routes>,
    `/prepare/${ID}?bench=${bench}`,
  );
};

describe('Prepare', () => {
  it('has a bench for each step of the work, and every one draws', async () => {
    at('meat');
    await screen.findByRole('heading', { name: 'Lake-ice shin' });
    for (const { label, value } of places) {
      await userEvent.click(await screen.findByRole('tab', { name: new RegExp(`^${label}`) }));
      for (const sentence of prepared.because[value])
        expect((await screen.findAllByText(sentence.replace(/\s+/g, ' '))).length).toBeGreaterThan(0);
    }
    expect(screen.getByRole('link', { name: 'Work it back from the bell' })).toHaveAttribute(
      'href',
      `/sheet/${ID}`,
    );
  });

  it('moves the line in the pot by key, saves it, tells the difference and takes it back', async () => {
    at('pot');
    const line = await screen.findByRole('slider', { name: 'Liquid' });
    const was = Number(line.getAttribute('aria-valuenow'));
    fireEvent.keyDown(line, { key: 'ArrowUp' });
    fireEvent.keyDown(line, { key: 'ArrowUp', shiftKey: true });
    expect(Number(line.getAttribute('aria-valuenow'))).toBeCloseTo(was + 0.3, 2);
    expect(await screen.findByText('liquid in')).toBeInTheDocument();
    await waitFor(() => expect(saved.at(-1)?.forecast.liquid_l).toBeCloseTo(was + 0.3, 2));
    await screen.findByText('Saved');
    act(() => corner.undo?.());
    await screen.findByText('Saved');
    expect(saved.at(-1)?.forecast.liquid_l).toBeUndefined();
    // A named level gives the litres back to the vessel.
    await userEvent.click(screen.getByRole('radio', { name: 'covered' }));
    await waitFor(() => expect(saved.at(-1)?.prepare?.level).toBe('covered'));
  });

  it('swaps an ingredient, leaves one out, and puts another in', async () => {
    at('pot');
    await userEvent.click(
      await screen.findByRole('button', { name: 'Take unsalted stock instead of red wine' }),
    );
    await waitFor(() =>
      expect(saved.at(-1)?.prepare?.ingredients).toEqual([{ what: 'unsalted_stock', ml: 400 }]),
    );
    await pick('Put in', 'onion')();
    await waitFor(() => expect(saved.at(-1)?.prepare?.ingredients).toHaveLength(2));
    await userEvent.click(screen.getByRole('button', { name: 'Take unsalted stock out' }));
    await waitFor(() => expect(saved.at(-1)?.prepare?.ingredients).toEqual([{ what: 'onion', g: 150 }]));
  });

  it('offers both schools with what they do, and keeps the one chosen', async () => {
    at('salt');
    await userEvent.click(await screen.findByRole('radio', { name: /^wine/ }));
    await waitFor(() => expect(saved.at(-1)?.prepare?.marinade).toMatchObject({ of: 'wine', kept: true }));
  });

  it('scales from what the dish was, not from each figure typed', async () => {
    at('list');
    await type('For how many', '16')();
    await waitFor(() =>
      expect(saved.at(-1)).toMatchObject({ people: 16, forecast: { mass_kg: 4.8, pieces: 6 } }),
    );
    // The 1 on the way to 16 was asked of the same dish, and left nothing behind.
    expect(grownFrom).toEqual([8, 8]);
  });

  it('keeps the last good picture where a figure is refused, and says why', async () => {
    at('heat');
    await screen.findByRole('radiogroup', { name: 'The dial' });
    refuse = 'forecast.heat.set_c: it must be 60 to 300';
    await slide('Oven')();
    expect(await screen.findByText(/it must be 60 to 300/)).toBeInTheDocument();
    expect(screen.getByRole('radiogroup', { name: 'The dial' })).toBeInTheDocument();
  });
});

/** Presses what is called so: a button, or one of a few words. */
const press = (role: 'button' | 'radio', name: string | RegExp) => async () =>
  userEvent.click(await screen.findByRole(role, { name }));
const pick = (name: string, value: string) => async () => {
  fireEvent.change(await screen.findByRole('combobox', { name }), { target: { value } });
};
/** To the end of its track, and how much that is. */
const slide = (name: string | RegExp) => async () => {
  const thumb = await screen.findByRole('slider', { name });
  act(() => thumb.focus());
  await userEvent.keyboard('{End}');
  return Number(thumb.getAttribute('aria-valuemax'));
};
const type = (name: string, value: string) => async () => {
  const field = await screen.findByRole('spinbutton', { name });
  await userEvent.clear(field);
  await typed(field, value);
};

describe('what is touched at a bench is what is kept', () => {
  const bench = (prepare: Partial<Schemas['Prepare']>) => ({ prepare });
  const forecast = (changed: Partial<Plan['forecast']>) => ({ forecast: changed });
  it.each<[string, string, () => Promise<unknown>, object | ((end: number) => object)]>([
    ['meat', 'cubes', press('radio', 'cubes'), forecast({ size_mm: [40, 40, 40] })],
    ['meat', 'how thick', slide('How thick'), (end) => forecast({ thickness_mm: end })],
    ['meat', 'how many', type('How many', '5'), forecast({ pieces: 5 })],
    ['meat', 'a close trim', press('radio', 'close'), bench({ trim: 'close' })],
    ['meat', 'sinew', press('radio', /into the pot/), bench({ sinew_in_pot: true })],
    ['meat', 'strings', type('Strings', '4'), bench({ strings: 4 })],
    ['salt', 'less of it', press('radio', 'low'), bench({ salt_pct: 0.7 })],
    ['salt', 'a brine', press('radio', 'brine'), bench({ brine: { water_l: 2, hours: 24 } })],
    ['salt', 'flakes', press('radio', 'flakes'), bench({ crystal: 'flake' })],
    ['salt', 'hours ahead', slide('Hours ahead'), (end) => bench({ salt_h: end })],
    ['sear', 'two pans', press('radio', 'two pans'), bench({ sear_in: 'two_pans' })],
    ['sear', 'fewer at once', press('button', 'fewer'), bench({ per_batch: 2 })],
    ['sear', 'another pan', type('Pan across', '24'), bench({ pan: { diameter_cm: 24 } })],
    ['sear', 'induction', pick('Hob', 'induction'), bench({ hob: { kind: 'induction' } })],
    ['sear', 'bacon', press('radio', /^bacon/), bench({ fat: 'bacon' })],
    ['sear', 'not at all', press('radio', /^not at all/), bench({ sear: 'none' })],
    ['pot', 'a looser lid', press('radio', 'ajar'), forecast({ vessel: { lid: 'ajar' } })],
    ['pot', 'a tin', press('radio', 'tin or dish'), forecast({ vessel: { width_cm: 25, length_cm: 35 } })],
    ['pot', 'water', pick('The rest of it is', 'red_wine'), bench({ base: 'red_wine' })],
    ['heat', 'a dial', press('radio', /^120/), forecast({ heat: { set_c: 120 } })],
    ['heat', 'the hob', press('radio', 'the hob'), forecast({ heat: { source: 'hob', simmer: 'gentle' } })],
    ['later', 'peas', pick('Put in later', 'peas'), bench({ later: [{ what: 'peas', g: 960 }] })],
  ])('%s: %s', async (place, _, touch, expected) => {
    at(place);
    const end = await touch();
    const wanted = (typeof expected === 'function' ? expected(Number(end)) : expected) as object;
    await waitFor(() => expect(saved.at(-1)).toMatchObject(wanted));
  });

  it('a crust for the last half hour is a stage of its own, and is taken back whole', async () => {
    at('heat');
    await press('radio', /uncovered/)();
    await waitFor(() => expect(saved.at(-1)?.forecast.stages).toHaveLength(2));
    const [first, last] = saved.at(-1)?.forecast.stages ?? [];
    expect(first).toMatchObject({ method: 'braise', heat: { set_c: 150 } });
    expect(last).toEqual({ lid: 'none' });
    expect(saved.at(-1)?.forecast.method).toBeUndefined();
    act(() => corner.undo?.());
    await waitFor(() =>
      expect(saved.at(-1)?.forecast).toMatchObject({ method: 'braise', heat: { set_c: 150 } }),
    );
    expect(saved.at(-1)?.forecast.stages).toBeUndefined();
  });

  it('an earlier version is compared with, and gone back to', async () => {
    at('salt');
    await slide('Salt, of the trimmed meat')();
    await screen.findByText('Saved');
    comesTo = { ...prepared, salt: { ...prepared.salt, liquid_g_per_kg: 9 } };
    await press('radio', 'flakes')();
    expect(await screen.findByText('salt in the liquid')).toBeInTheDocument();
    await press('button', 'Go back')();
    await waitFor(() => expect(saved.at(-1)?.prepare?.salt_pct).toBe(1.25));
  });

  it('what can not be saved stays under the hand, with the reason', async () => {
    at('meat');
    refuseToSave = 'plan.prepare.strings: 99 can’t be used; it must be 0 to 60';
    await type('Strings', '99')();
    expect(await screen.findByText(/it must be 0 to 60/)).toBeInTheDocument();
    expect(screen.getByText('Not saved')).toBeInTheDocument();
    expect(screen.getByRole('spinbutton', { name: 'Strings' })).toHaveValue('99');
    refuseToSave = undefined;
    await type('Strings', '9')();
    await screen.findByText('Saved');
  });

  it('a stewing batch and a pot that is too small are said where they are', async () => {
    comesTo = {
      ...prepared,
      sear: {
        ...prepared.sear,
        stews: true,
        pan_low_c: 118,
        wait_to_brown_min: 9,
        batches: 2,
        per_batch: 2,
        most: 1,
        words: 'batches of 2, 1',
      },
      minds: {
        ...prepared.minds,
        sear: [{ id: 'stews', text: 'This batch will stew: the pan falls to 118 °C.' }],
        pot: [{ id: 'too_small', text: 'This vessel is too small.' }],
      },
    };
    at('sear');
    expect(await screen.findByText(/This batch will stew/)).toBeInTheDocument();
    expect(screen.getByText('batches of 2, 1')).toBeInTheDocument();
    expect(screen.getByText('left to boil itself dry, brown after')).toBeInTheDocument();
    expect(screen.queryByText(/too small/)).not.toBeInTheDocument();
    await userEvent.click(screen.getByRole('tab', { name: /^Pot/ }));
    expect(await screen.findByText(/too small/)).toBeInTheDocument();
  });
});

describe('the drawings of the bench', () => {
  it('lay every piece in the pan, squeezed where it is crowded', () => {
    for (const count of [1, 6, 14, 40]) {
      const { places: found, w, h } = lay(140, [60, 100], count);
      expect(found).toHaveLength(count);
      for (const { x, y } of found)
        expect(Math.hypot(Math.abs(x) + w / 2, Math.abs(y) + h / 2)).toBeLessThan(175);
    }
    expect(lay(140, [60, 100], 2).w).toBe(100);
    expect(lay(140, [60, 100], 40).w).toBeLessThan(60);
  });

  it('read litres from a depth and back, with the meat in it', () => {
    const pot = prepared.pot!;
    for (const litres of [0.2, 1, 2, 5])
      expect(litresAt(pot.depths, depthOf(pot.depths, litres))).toBeCloseTo(litres, 6);
    expect(depthOf(pot.depths, pot.liquid_l)).toBeCloseTo(pot.level_mm, 0);
  });

  it('tell only what a cook would notice', () => {
    expect(differences(prepared, prepared, 'metric')).toEqual([]);
    const drier = { ...prepared, pot: { ...prepared.pot!, loss_l: prepared.pot!.loss_l + 0.4 } };
    expect(differences(prepared, drier, 'us').map((line) => line.word)).toEqual(['lost as steam']);
  });
});
