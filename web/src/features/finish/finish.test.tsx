import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { answering, at, cook, kitchenView, stand, task, typed } from '../../test-kitchen';
import { Finish } from './Finish';

const leg = (over: Partial<Schemas['SauceLeg']> = {}): Schemas['SauceLeg'] => ({
  move: { kind: 'thicken', with: 'cornflour', to_body: 1 },
  words: 'Thicken it with cornflour',
  why: 'a third at a time',
  min: 7,
  done: false,
  curve: [
    [1.2, 0.3],
    [1.2, 1],
  ],
  after: stand({ at_min: 7, body: 1, spoon: 'coats' }),
  stopped: false,
  bends: { least: 0.3, most: 3 },
  ...over,
});
const tastes: Schemas['TasteAdvice'][] = (['right', 'weak'] as const).map((taste) => ({
  taste,
  name: taste,
  reads: 'By the figures.',
  helps: [{ words: 'Boil it down by a quarter', move: { kind: 'reduce', to_l: 0.9, meat_in: false } }],
  worse: 'Starch.',
}));
const sauce = (over: Partial<Schemas['Sauce']> = {}): Schemas['Sauce'] => ({
  steps: [],
  fat_mm: 2,
  fat_left_l: 0.01,
  reduce_min: 0,
  final_l: 1.2,
  final_salt_g_per_kg: 5,
  final_gelatin_pct: 2.5,
  thickener_g: 24,
  water_g: 46,
  cooling: [],
  thirds: [8, 8, 8],
  because: 'It ends well salted.',
  rule: 'A sauce bears so much.',
  warnings: [],
  from: stand(),
  path: [leg()],
  moves: [leg().move],
  left_min: 7,
  targets: [{ target: 'coat', body: 1 }],
  skims: [],
  thickeners: [],
  more: [],
  spoons: [],
  tastes,
  ...over,
});

const after: Schemas['Afterwards'] = {
  meat: {
    kg: 1.7,
    weighed: false,
    a_head_kg: 0.21,
    plate_kg: [0.15, 0.18],
    portions: '1.7 kg for 8: 210 g a head.',
    keep_warm: 'Covered, on a warm plate.',
    slicing: {
      thickness_mm: 6,
      words: 'Slice straight across the grain.',
      angles: [10, 20, 30, 40, 50, 60, 70, 80, 90].map((angle_deg) => ({
        angle_deg,
        fibre_mm: 600 / angle_deg,
        words: `eaten at ${angle_deg}`,
      })) as Schemas['Slicing']['angles'],
    },
  },
  in_time: {
    work_min: 50,
    left_min: 20,
    short: true,
    words: 'Thirty minutes too long.',
    quicker: [
      { words: 'Thicken it instead: 9 min', ends: '9 g', min: 9, choices: { thickener: 'flour', moves: [] } },
    ],
  },
  beside: [{ wants: 'acid', name: 'Sharp', what: 'pickled beetroot', why: 'It is rich.', has: false }],
  hold: [
    {
      hold_in: 'oven',
      name: 'In the oven',
      at_c: 75,
      overcooked_h: 3,
      how: 'Under a lid.',
      lasts: '3 h, then too far',
    },
    { hold_in: 'box', name: 'In a box', at_c: 90, safe_h: 5, how: 'Wrapped.', lasts: '5 h above 63 °C' },
  ],
  party: 'A dish at a time.',
  cautions: [{ id: 'hot_hold', text: 'Hold it at 63 °C or above.' }],
  cool_left: [
    {
      cool_in: 'trays',
      name: 'In trays, in the fridge',
      words: 'One tray, 2 cm deep: 40 min to 21 °C, 2 h 10 to 5 °C.',
      ends: '2 h 10 min',
      to_cool_min: 40,
      to_cold_min: 130,
      danger_min: 100,
      in_time: true,
      trays: 1,
      depth_mm: 20,
    },
  ],
  cool_all: [
    {
      cool_in: 'pot',
      name: 'In its pot, on the counter',
      words: 'Never safe: 10 h between 60 and 5 °C, in a room of 20 °C.',
      ends: 'never',
      to_cool_min: 200,
      to_cold_min: 700,
      danger_min: 600,
      in_time: false,
      depth_mm: 90,
    },
  ],
  reheat: [{ warmed_as: 'chunks', name: 'In chunks', thick_mm: 35, min: 30, how: 'Gently.' }],
  day_after: {
    steps: [{ words: 'Lift the fat off cold', why: 'Cleanest.', min: 5 }],
    begin_min: 45,
    words: 'Begin.',
  },
  cold: [
    {
      made_up: 'bound',
      name: 'Bound in a tin',
      how: 'Flake it.',
      chill_min: 300,
      pieces: 12,
      serve: 'Hot.',
      heat_min: 25,
    },
  ],
  left_over: [
    {
      what: 'broth',
      name: '1 L of thin liquid',
      litres: 1,
      strength: '9 g of salt a kilo',
      uses: 'The next braise.',
      keeps: '3 days.',
      starts: {
        id: 'cook-broth',
        name: 'Shin: broth',
        puts: { what: 'kept_broth', ml: 1000, salt_pct: 0.9, gelatin_pct: 1.4 },
        until: '2027-02-09T12:00:00Z',
      },
    },
  ],
};

/** A cook whose liquid becomes a sauce. */
const finishing = () =>
  cook({
    tasks: [{ task: task({ id: 'sauce', kind: 'sauce' }), state: 'open', taken: [], taken_words: '' }],
  });
const { id } = finishing();
const usual = {
  '/api/kitchen': () => ({ body: kitchenView() }),
  [`/api/cooks/${id}/afterwards`]: () => ({ body: after }),
};
let { answers, bodies } = answering(usual);
beforeEach(() => {
  ({ answers, bodies } = answering(usual));
});
afterEach(() => vi.unstubAllGlobals());

describe('finishing', () => {
  beforeEach(() => {
    answers[`/api/cooks/${id}`] = () => ({ body: finishing() });
    answers['/api/sauce'] = (body) =>
      (body as Schemas['SauceRequest']).taste === 'weak'
        ? {
            body: sauce({ path: [leg({ words: 'Boil it down, uncovered' })] }),
          }
        : { body: sauce() };
  });

  it('starts from what the forecast says is in the pot and follows what is tasted', async () => {
    at(<Finish />, '/finish/:cookId', `/finish/${id}`);
    expect(await screen.findByText('Thicken it with cornflour')).toBeInTheDocument();
    expect(bodies('/api/sauce')[0]).toMatchObject({
      liquid_l: 1.2,
      fat_l: 0.04,
      salt_g: 6,
      gelatin_g: 30,
      hob_w: 1800,
      meat_kg: 1.1,
      meat_salt_g: 5,
    });
    expect(screen.getByText('It ends well salted.')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('radio', { name: 'weak' }));
    expect(await screen.findByText('Boil it down, uncovered')).toBeInTheDocument();
  });

  it('keeps what is chosen, bent and done as it is done', async () => {
    answers[`/api/cooks/${id}/events`] = () => ({ body: cook() });
    at(<Finish />, '/finish/:cookId', `/finish/${id}`);
    fireEvent.click(await screen.findByRole('radio', { name: 'weak' }));
    await screen.findByText('Boil it down, uncovered');
    fireEvent.click(screen.getByRole('button', { name: /Put it in the path: Boil it down/ }));
    fireEvent.keyDown(screen.getByRole('slider', { name: /Thicken it|Boil it down/ }), { key: 'ArrowUp' });
    fireEvent.click(screen.getByRole('button', { name: /^Done: / }));
    await waitFor(() => expect(bodies(`/api/cooks/${id}/events`).length).toBeGreaterThan(0));
    const told = await waitFor(() => {
      const all = (bodies(`/api/cooks/${id}/events`) as Schemas['Event'][][]).flat();
      expect(all.map((event) => event.happened.kind)).toContain('sauce_done');
      return all.map((event) => event.happened);
    });
    expect(told[0]).toMatchObject({ kind: 'sauce_chosen', sauce: { taste: 'weak', target: 'coat' } });
    expect(told[1]).toMatchObject({ sauce: { moves: [{ kind: 'thicken' }, { kind: 'reduce', to_l: 0.9 }] } });
    expect(told.at(-1)).toMatchObject({ did: { kind: 'thicken' }, then: [{ kind: 'reduce' }] });
  });

  it('keeps what was typed when the kitchen stops answering', async () => {
    const { queries } = at(<Finish />, '/finish/:cookId', `/finish/${id}#close`);
    await userEvent.type(await screen.findByLabelText('What to change next time'), 'more stock');
    answers[`/api/cooks/${id}`] = () => ({ status: 500, body: {} });
    await queries.invalidateQueries({ queryKey: ['cooks', id] });
    expect(queries.getQueryState(['cooks', id])?.status).toBe('error');
    expect(screen.getByLabelText('What to change next time')).toHaveValue('more stock');
  });

  it('closes the cook with what it should remember', async () => {
    answers[`/api/cooks/${id}/events`] = () => ({ body: cook({ status: 'closed' }) });
    const { router } = at(<Finish />, '/finish/:cookId', `/finish/${id}#close`);
    await userEvent.type(await screen.findByLabelText('What to change next time'), 'more stock');
    await userEvent.click(screen.getByRole('radio', { name: 'fork' }));
    fireEvent.click(screen.getByRole('button', { name: 'Close the cook' }));
    await waitFor(() => expect(router.state.location.pathname).toBe(`/log/${id}`));
    expect(bodies(`/api/cooks/${id}/events`)[0]).toMatchObject([
      { happened: { kind: 'closed', outcome: { ate_as: 'fork', change: 'more stock' } } },
    ]);
  });

  it('says what would be quicker where the bell is nearer than the sauce, and does it', async () => {
    answers[`/api/cooks/${id}/events`] = () => ({ body: finishing() });
    at(<Finish />, '/finish/:cookId', `/finish/${id}`);
    expect(await screen.findByText('Thirty minutes too long.')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Do that: Thicken it instead: 9 min' }));
    await waitFor(() =>
      expect(bodies(`/api/cooks/${id}/events`)[0]).toMatchObject([
        { happened: { kind: 'sauce_chosen', sauce: { thickener: 'flour', moves: [] } } },
      ]),
    );
  });

  it('turns the knife over the grain by key, and takes what the scales say', async () => {
    answers[`/api/cooks/${id}/events`] = () => ({ body: finishing() });
    at(<Finish />, '/finish/:cookId', `/finish/${id}#plate`);
    const knife = await screen.findByRole('slider', { name: 'The knife to the grain' });
    fireEvent.keyDown(knife, { key: 'ArrowLeft' });
    expect(await screen.findByText('80° to the grain: eaten at 80')).toBeInTheDocument();
    await typed(screen.getByLabelText('Cooked meat, weighed'), '1.9');
    await userEvent.click(screen.getByRole('button', { name: 'It is so' }));
    await waitFor(() =>
      expect(bodies(`/api/cooks/${id}/events`)[0]).toMatchObject([
        { happened: { kind: 'meat_weighed', kg: 1.9 } },
      ]),
    );
  });

  it('puts what is left over into the larder once, and takes it out again', async () => {
    let version = 1;
    answers['/api/kitchen'] = (body) => ({
      body: body ? { version: ++version, kitchen: (body as Schemas['KitchenView']).kitchen } : kitchenView(),
    });
    at(<Finish />, '/finish/:cookId', `/finish/${id}#away`);
    await typed(await screen.findByLabelText('Shin: broth, measured'), '0.8');
    await userEvent.click(screen.getByRole('button', { name: 'Into the larder: Shin: broth' }));
    const out = await screen.findByRole('button', { name: 'Out of the larder: Shin: broth' });
    const saved = () => bodies('/api/kitchen').filter(Boolean) as Schemas['KitchenView'][];
    await waitFor(() =>
      expect(saved().at(-1)?.kitchen.kept).toMatchObject([{ id: 'cook-broth', puts: { ml: 800 } }]),
    );
    await userEvent.click(out);
    await waitFor(() => expect(saved().at(-1)?.kitchen.kept).toEqual([]));
    await userEvent.click(screen.getByRole('radio', { name: 'all of it' }));
    expect(screen.getByText('never')).toBeInTheDocument();
  });
});
