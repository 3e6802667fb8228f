import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { chanceWithin, rungAt } from '../../format/between';
import { fields, kitchenView, open, plan as planned, typed } from '../../test-kitchen';
import { Buy } from './Buy';
import { CutField, search } from './CutField';
import { CutsPlace } from './CutsPlace';
import { Match } from './Match';

const kitchen = kitchenView({ altitude_m: 0, prices: { chuck: 11 } });
const cut = (name: string, key: string, suitable = true) => ({
  cut: key,
  name,
  also: key === 'shin' ? ['shank', 'gravy beef'] : ['shoulder'],
  tell: 'From the leg.',
  suitable,
  toughness: 1,
  toughness_ln_sigma: 0.18,
  thickness_sigma: 0.07,
  collagen_pct: 1.5,
  fat_pct: 15,
  bone_pct: 0,
  trim_pct: 6,
  dry_risk: 'low',
  softens: 'softens as most do',
  dries: 'stays juicy',
  refused: suitable ? null : 'Tender already: fry it.',
  eaten_as: 'fork',
  aspect: [1.7, 2.3],
  piece_kg: 1.4,
});
const at = (minutes: number) => new Date(Date.UTC(2099, 1, 6, 0, minutes)).toISOString();
/** A way drawn from where its first task begins. */
const drawn = (begins: string): Schemas['DrawnHours'] => {
  const [hours, minutes] = begins.split(':').map(Number) as [number, number];
  const from = hours * 60 + minutes + 30;
  return {
    begins: at(from - 30),
    on_the_heat: at(from),
    ready: { p10: at(from + 150), p50: at(from + 180), p90: at(from + 220) },
    overcooked: { p10: at(from + 400), p50: at(from + 450), p90: at(from + 500) },
    lift: at(from + 325),
    plates: at(from + 360),
  };
};

const choice = (
  id: string,
  name: string,
  verdict: Schemas['Verdict'],
  chance_ready: number,
): Schemas['Choice'] => ({
  id,
  name,
  method: 'braise',
  heat: {},
  shape: 'whole',
  verdict,
  chance_ready,
  chance_left_on: 0.8,
  start_by: '2099-02-06T10:00:00Z',
  heat_on_at: '2099-02-06T09:00:00Z',
  lift_at: '2099-02-06T15:55:00Z',
  ready_min: { p10: 150, p50: 180, p90: 220 },
  overcooked_min: { p10: 400, p50: 450, p90: 500 },
  ready_at_min: Array.from({ length: 19 }, (_, i) => 140 + 5 * i),
  lead_min: 30,
  hands_on_min: 95,
  finishing_min: 35,
  hold_min: 40,
  yield_kg: 0.9,
  gives_up: 0,
  portions: 5.4,
  grams_a_head: 225,
  cost_per_portion: 2.8,
  cost_a_head: 3.85,
  sauce_l: 1.2,
  body_pct: 2,
  sauce_body: 'some body',
  bark: false,
  fuel: { kwh: 2, solid_kg: 0, words: 'about 2 kWh' },
  washing_up: { things: 2, words: 'the pan, the pot' },
  clashes: [],
  why: `Why ${name}.`,
  trade: '',
  cautions: [],
  slack_min: 90,
  latest: drawn('10:00'),
  soonest: drawn('08:30'),
  plan: planned({
    name: 'Braised chuck',
    people: 4,
    serve_at: '2099-02-06T16:30:00Z',
    forecast: { cut: 'chuck', method: 'braise' },
  }),
});

const matched = (over: Partial<Schemas['Matched']> = {}): Schemas['Matched'] => ({
  suitable: true,
  people: 4,
  served: 'plate',
  kit: ['oven', 'hob', 'pit'],
  verdict_from: { fits: 0.9, tight: 0.5 },
  on_the_block: {
    mass_kg: 1.4,
    pieces: 1,
    bone_pct: 0,
    thickness_mm: 70,
    measured: false,
    eaten_as: 'fork',
  },
  price_per_kg: 11,
  why: '',
  ways: [
    {
      ...choice('braise.oven_150.whole', 'Oven 150 °C', 'fits', 0.97),
      variants: [
        { ...choice('braise.oven_150.halved', 'Halved oven', 'fits', 0.99), trade: '20 min sooner' },
      ],
    },
    {
      ...choice('smoke.pit.whole', 'Slow pit', 'too_late', 0.1),
      method: 'smoke',
      bark: true,
      sauce_l: 0,
      variants: [],
    },
    {
      ...choice('stew.hob', 'Stew', 'unsuitable', 0),
      method: 'stew',
      why: 'Cubes are not slices.',
      variants: [],
    },
  ],
  two_stage: [],
  sort: 'surest',
  sort_rule: 'Those that fit first.',
  ask: null,
  warnings: [],
  substitutes: [{ cut: 'shin', name: 'Shin, boneless', why: '55 min longer', mass_kg: 1.52, ready_min: 200 }],
  buy: [],
  recipe: null,
  twice: null,
  serve_at: '2099-02-06T16:30:00Z',
  now: '2099-02-06T08:30:00Z',
  certainty: 0.9,
  portion_g: 165,
  mass_kg: 1.4,
  assumed: [],
  notes: [],
  ...over,
});

type Answer = { status?: number; body: unknown };
let answers: Record<string, (body: unknown) => Answer>;
const nothing = (): Answer => ({ body: {} });
const asked = vi.fn();

beforeEach(() => {
  asked.mockReset();
  answers = {
    '/api/kitchen': () => ({ body: kitchen }),
    '/api/fields': () => ({ body: fields() }),
    '/api/cuts': () => ({
      body: [cut('Chuck', 'chuck'), cut('Shin, boneless', 'shin'), cut('Fillet', 'fillet', false)],
    }),
    '/api/match': () => ({ body: matched() }),
    '/api/forecast': () => ({ status: 500, body: {} }),
  };
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url).pathname;
    const text = await request.text();
    const body: unknown = text ? JSON.parse(text) : undefined;
    asked(request.method, path, body);
    const answer = (answers[path] ?? nothing)(body);
    return new Response(JSON.stringify(answer.body), {
      status: answer.status ?? 200,
      headers: { 'content-type': 'application/json' },
    });
  });
});
afterEach(() => vi.unstubAllGlobals());

const lastMatch = () =>
  asked.mock.calls.filter((call) => call[1] === '/api/match').at(-1)?.[2] as Schemas['MatchRequest'];

describe('Match', () => {
  it('opens on an answer, the best way first, with its reason and what it comes to', async () => {
    open(<Match />, '/match?serve_at=2099-02-06T16:30');
    expect(await screen.findByText('Why Oven 150 °C.')).toBeInTheDocument();
    const rows = screen.getAllByRole('radio', { name: /oven 150/i });
    expect(rows[0]).toBeChecked();
    expect(screen.getAllByText(/97 in 100/).length).toBeGreaterThan(0);
    expect(screen.getByText('3.85 a head, 2.80 a portion')).toBeInTheDocument();
    expect(screen.getByText('Cubes are not slices.')).toBeInTheDocument();
    expect(lastMatch()).toMatchObject({ cut: 'chuck', serve_at: '2099-02-06T16:30' });
  });

  it('keeps what is on the block in its address, and asks again as it changes', async () => {
    const { router } = open(
      <Match />,
      '/match?serve_at=2099-02-06T16:30&cut=shin&kg=2.4&as=pull&age=mature&also=chuck:0.9:60',
    );
    await screen.findByText('Why Oven 150 °C.');
    expect(lastMatch()).toMatchObject({
      parts: [
        { cut: 'shin', mass_kg: 2.4 },
        { cut: 'chuck', mass_kg: 0.9, thickness_mm: 60 },
      ],
      eaten_as: 'pull',
      age: 'mature',
    });
    await userEvent.click(screen.getByText('More about the meat'));
    const thick = await screen.findByRole('slider', { name: /How thick/ });
    act(() => thick.focus());
    await userEvent.keyboard('{End}');
    await waitFor(() => expect(lastMatch().parts?.[0]).toMatchObject({ thickness_mm: 140 }));
    await waitFor(() => expect(router.state.location.search).toContain('mm=140'));
  });

  it('shows another way and its reason, and the variants of a way one tap away', async () => {
    const { router } = open(<Match />, '/match?serve_at=2099-02-06T16:30');
    await userEvent.click(await screen.findByRole('radio', { name: /Slow pit/ }));
    expect(await screen.findByText('Why Slow pit.')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('radio', { name: /Oven 150/ }));
    fireEvent.click(await screen.findByRole('button', { name: /1 more: Halved oven/ }));
    await userEvent.click(screen.getByRole('radio', { name: /Halved oven.*20 min sooner/ }));
    expect(await screen.findByText('Why Halved oven.')).toBeInTheDocument();
    expect(router.state.location.search).toContain('way=braise.oven_150.halved');
  });

  it('moves the bell by key and says the new chance at once', async () => {
    const { router } = open(<Match />, '/match?serve_at=2099-02-06T16:30');
    const serveAt = await screen.findByRole('slider', { name: 'The bell' });
    answers['/api/match'] = () => ({ status: 500, body: {} });
    for (let i = 0; i < 4; i++) fireEvent.keyDown(serveAt, { key: 'ArrowLeft', shiftKey: true });
    await waitFor(() => expect(router.state.location.search).toContain('serve_at=2099-02-06T12'));
    expect(serveAt).toHaveAttribute('aria-valuetext', 'Fri 12:30');
    expect(screen.getByRole('radio', { name: /Oven 150.*(tight|too late)/ })).toBeInTheDocument();
  });

  it('asks the one question that narrows most, and lets it be passed over', async () => {
    const ask = { field: 'thickness_mm', question: 'How thick is it?', how: 'a ruler', narrows_min: 17 };
    answers['/api/match'] = () => ({ body: matched({ ask }) });
    open(<Match />, '/match?serve_at=2099-02-06T16:30');
    expect(await screen.findByText('How thick is it?')).toBeInTheDocument();
    expect(screen.getByText(/narrow the band by some 15 min. a ruler/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Don’t know' }));
    expect(screen.queryByText('How thick is it?')).not.toBeInTheDocument();
  });

  it('lays up to three side by side', async () => {
    const { router } = open(<Match />, '/match?serve_at=2099-02-06T16:30');
    fireEvent.click(await screen.findByRole('button', { name: 'Compare it with others' }));
    await userEvent.click(screen.getByRole('radio', { name: /Slow pit/ }));
    fireEvent.click(await screen.findByRole('button', { name: 'Compare it with others' }));
    const table = await screen.findByRole('region', { name: 'Side by side' });
    expect(within(table).getAllByRole('columnheader')).toHaveLength(3);
    expect(within(table).getByText('a bark')).toBeInTheDocument();
    fireEvent.click(within(table).getByRole('button', { name: 'Take away Slow pit' }));
    expect(router.state.location.search).toContain('beside=braise.oven_150.whole');
  });

  it('says back what it guessed of a recipe, and tries it otherwise', async () => {
    const checked = {
      text: '3 hours',
      understood: {
        stages: [],
        words: '3 h in a 150 °C oven',
        guesses: [
          {
            text: 'in a lidded pot in a 150 °C oven',
            instead: [{ words: 'at high pressure', recipe: '3 hours at high pressure' }],
          },
        ],
      },
      min: 180,
      lands: { not_done: 0, slice: 0, fork: 1, probe: 0, pull: 0, spoon: 0 },
      tenderness: [1.9, 2.1, 2.3],
      goal: [2.2, 5.7],
      chance: 0.9,
      not_yet: 0.1,
      overcooked: 0,
      words: 'That should do.',
      equivalents: [],
      request: { cut: 'chuck', method: 'braise' },
    } as unknown as Schemas['Checked'];
    answers['/api/match'] = (body) => ({
      body: matched({ recipe: (body as Schemas['MatchRequest']).recipe ? checked : null }),
    });
    open(<Match />, '/match?serve_at=2099-02-06T16:30');
    await userEvent.type(await screen.findByLabelText(/Its words/), '3 hours');
    fireEvent.click(screen.getByRole('button', { name: 'Try it' }));
    expect(await screen.findByText('in a lidded pot in a 150 °C oven')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'at high pressure' }));
    await waitFor(() => expect(lastMatch()).toMatchObject({ recipe: '3 hours at high pressure' }));
    expect(screen.getByLabelText(/Its words/)).toHaveValue('3 hours at high pressure');
  });

  it('tries a recipe on the piece, and puts what it can not read at its field', async () => {
    answers['/api/match'] = (body) =>
      (body as Schemas['MatchRequest']).recipe
        ? { status: 422, body: { detail: 'recipe: say how long', field: 'recipe' } }
        : { body: matched() };
    open(<Match />, '/match?serve_at=2099-02-06T16:30');
    await userEvent.type(await screen.findByLabelText(/Its words/), 'until done');
    fireEvent.click(screen.getByRole('button', { name: 'Try it' }));
    expect(await screen.findByText('recipe: say how long')).toBeInTheDocument();
    expect(screen.getByLabelText(/Its words/)).toHaveValue('until done');
    expect(lastMatch()).toMatchObject({ recipe: 'until done' });
  });

  it('takes a substitute with its weight', async () => {
    const { router } = open(<Match />, '/match?serve_at=2099-02-06T16:30');
    fireEvent.click(await screen.findByRole('button', { name: 'Shin, boneless' }));
    expect(router.state.location.search).toMatch(/cut=shin.*kg=1.5/);
  });

  it('puts a refusal at the field it names and keeps what was typed', async () => {
    answers['/api/match'] = () => ({
      status: 422,
      body: { status: 422, title: '', type: '', detail: 'mass_kg: 9999 can’t be used', field: 'mass_kg' },
    });
    open(<Match />, '/match?serve_at=2099-02-06T16:30&kg=9999');
    expect(await screen.findByText('mass_kg: 9999 can’t be used')).toBeInTheDocument();
    expect(screen.getByLabelText('Weight, kg')).toHaveValue('9999');
    expect(screen.getByLabelText('Weight, kg')).toHaveAttribute('aria-invalid', 'true');
  });

  it('refuses a tender cut kindly and offers another', async () => {
    answers['/api/match'] = (body) =>
      (body as Schemas['MatchRequest']).cut === 'fillet'
        ? {
            body: matched({
              suitable: false,
              why: 'Fillet has almost no collagen.',
              ways: [],
            }),
          }
        : { body: matched() };
    open(<Match />, '/match?serve_at=2099-02-06T16:30&cut=fillet');
    expect(await screen.findByText('Fillet is not for this job')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Shin, boneless instead' }));
    expect(await screen.findByText('Why Oven 150 °C.')).toBeInTheDocument();
  });

  it('saves the plan under the name it was given and opens it in Prepare', async () => {
    const { router } = open(<Match />, '/match?serve_at=2099-02-06T16:30');
    const name = await screen.findByLabelText('Call the dish');
    await userEvent.clear(name);
    await userEvent.type(name, 'Saturday chuck');
    fireEvent.click(screen.getByRole('button', { name: 'Plan it this way' }));
    await waitFor(() => expect(router.state.location.pathname).toMatch(/^\/prepare\/[0-9a-f-]{36}$/));
    const saved = asked.mock.calls.find((call) => call[0] === 'PUT')?.[2] as {
      version: number;
      plan: Schemas['Plan'];
    };
    expect(saved).toMatchObject({ version: 0, plan: { name: 'Saturday chuck', forecast: { cut: 'chuck' } } });
  });

  it('says so when the kitchen does not answer', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('refused')));
    open(<Match />, '/match?serve_at=2099-02-06T16:30');
    expect(await screen.findByText(/The kitchen does not answer/)).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Try again' })).toBeInTheDocument();
  });
});

describe('The cut field', () => {
  const cuts = [cut('Chuck', 'chuck'), cut('Shin, boneless', 'shin')] as Schemas['AtTheCounter'][];

  it('finds a muscle by any name it is sold under', () => {
    expect(search(cuts, 'gravy')).toMatchObject([{ facts: { cut: 'shin' }, sold: 'gravy beef' }]);
    expect(search(cuts, 'SHÍN bone')).toMatchObject([{ facts: { cut: 'shin' } }]);
    expect(search(cuts, '')).toHaveLength(2);
    expect(search(cuts, 'unicorn')).toEqual([]);
  });

  it('leaves open which muscle is meant where a name is sold as several', async () => {
    const both = [cut('Shin, bone in', 'shin'), { ...cut('Shin, off the bone', 'shin'), cut: 'heel' }];
    const chosen = vi.fn();
    open(<CutField label="Cut" cuts={both as Schemas['AtTheCounter'][]} value="chuck" onChange={chosen} />);
    const field = screen.getByRole('combobox', { name: 'Cut' });
    await typed(field, 'shank');
    await screen.findByText(/More than one muscle/);
    await userEvent.keyboard('{Enter}');
    expect(chosen).not.toHaveBeenCalled();
    expect(field).not.toHaveValue('');
    expect(await screen.findByText(/More than one muscle/)).toBeVisible();
    await userEvent.keyboard('{ArrowDown}{Enter}');
    expect(chosen).toHaveBeenCalledTimes(1);
  });
});

describe('Reckoning with another bell', () => {
  it('reads the chance from the spread and moves what hangs on the bell', () => {
    const one = choice('a', 'A', 'fits', 1);
    expect(chanceWithin(one, 0)).toBe(0);
    expect(chanceWithin(one, 185)).toBeCloseTo(0.5);
    expect(chanceWithin(one, 1000)).toBe(1);
    expect(
      chanceWithin({ ...one, ready_at_min: one.ready_at_min.map((at, i) => (i < 10 ? at : null)) }, 1000),
    ).toBe(0.5);
    const from = { fits: 0.9, tight: 0.5 };
    const now = Date.parse('2099-02-06T06:00:00Z');
    const sooner = rungAt(one, Date.parse('2099-02-06T13:00:00Z'), from, now);
    expect(sooner).toMatchObject({ verdict: 'tight', start_by: '2099-02-06T06:30:00.000Z' });
    expect(sooner.chance_ready).toBeGreaterThan(0.5);
    // Drawn sooner by as much; of the room, what is left from now.
    expect(sooner.latest).toMatchObject({
      begins: '2099-02-06T06:30:00.000Z',
      plates: '2099-02-06T13:00:00.000Z',
    });
    expect(sooner.slack_min).toBe(30);
    expect(rungAt(one, Date.parse('2099-02-06T12:00:00Z'), from, now).latest).toBeNull();
  });
});

describe('What to buy', () => {
  it('says what to buy, for what money, and lays it on the block', async () => {
    const buy: Schemas['Buy'] = {
      cut: 'shin',
      name: 'Shin, boneless',
      mass_kg: 2.8,
      pieces: 3,
      cost: 27.44,
      cost_a_head: 3.43,
      eaten_as: 'pull',
      ready_min: { p10: 170, p50: 200, p90: 240 },
      chance_ready: 0.97,
      verdict: 'fits',
      start_by: '2099-02-06T10:00:00Z',
      yield_kg: 1.34,
      why: '48 % of it is eaten.',
    };
    answers['/api/match'] = () => ({
      body: matched({ ways: [], people: 8, buy: [buy], why: 'For 8: 2.8 kg of shin.' }),
    });
    answers['/api/kitchen'] = (body) => ({
      body: body ? { ...(body as Schemas['KitchenView']), version: 2 } : kitchen,
    });
    open(<Buy />, '/match/buy?as=pull');
    expect(await screen.findByText('For 8: 2.8 kg of shin.')).toBeInTheDocument();
    expect(lastMatch()).toMatchObject({ method: 'braise', eaten_as: 'pull', served: 'plate' });
    expect(lastMatch().cut).toBeUndefined();
    expect(screen.getByRole('link', { name: 'Put it on the block' }).getAttribute('href')).toMatch(
      /cut=shin&kg=2.8&people=8&as=pull/,
    );
    fireEvent.click(screen.getByRole('button', { name: '27.44' }));
    await typed(screen.getByLabelText('Price'), '9.5');
    fireEvent.click(screen.getByRole('button', { name: 'Good' }));
    await waitFor(() =>
      expect(asked.mock.calls.find((call) => call[0] === 'PUT')?.[2]).toMatchObject({
        version: 1,
        kitchen: { prices: { chuck: 11, shin: 9.5 } },
      }),
    );
  });
});

describe('The side of beef', () => {
  it('is walked by key and says each muscle', async () => {
    answers['/api/match/overview'] = () => ({
      body: [
        {
          cut: 'chuck',
          name: 'Chuck',
          eaten_as: 'fork',
          ways: [
            { method: 'braise', ready_min: 160, why_not: null },
            { method: 'smoke', ready_min: null, why_not: 'Not in the pit.' },
          ],
        },
      ],
    });
    const { router } = open(<CutsPlace />, '/match/cuts?cut=chuck');
    const chuck = await screen.findByRole('button', { name: /Chuck, 1.5 % collagen/ });
    expect(chuck).toHaveAttribute('aria-pressed', 'true');
    fireEvent.keyDown(chuck, { key: 'ArrowRight', shiftKey: true });
    await waitFor(() => expect(router.state.location.search).not.toBe('?cut=chuck'));
    fireEvent.click(screen.getByRole('button', { name: /Fillet, tender/ }));
    expect(await screen.findByText(/Tender already/)).toBeInTheDocument();
    expect(await screen.findByText('2 h 40')).toBeInTheDocument();
    expect(screen.getByLabelText('Not in the pit.')).toBeInTheDocument();
  });
});
