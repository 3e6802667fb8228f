import { act, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { kitchenView, open, scale } from '../../test-kitchen';
import { whyOfPlan, whyOfQuestion } from './address';
import { WhyPlace } from './WhyPlace';

const point = (min: number, core_c: number): Schemas['CurvePoint'] => ({
  min,
  core_c,
  surface_c: 90,
  medium_c: 96,
  air_c: 150,
  softening_h: min / 100,
  liquid_l: 1.1,
  steam_kg: min / 1000,
  juice_kg: min / 1000,
  fat_l: 0.02,
  gelatin_g: 12,
  salt_g: 3,
  yield_kg: 1 - min / 1000,
  stage: 0,
});
const band = (min: number, core: number): Schemas['BandPoint'] => ({
  min,
  core_c: [core - 5, core, core + 5],
  tenderness: [min / 120, min / 100, min / 80],
  liquid_l: [1, 1.1, 1.2],
});
const forecast = {
  suitable: true,
  why: 'Chuck is sinewy; half of all such pieces are fork-tender by 3 h.',
  ready_min: { p10: 150, p50: 180, p90: 220 },
  overcooked_min: { p10: 400, p50: 450, p90: 500 },
  curve: [point(0, 5), point(100, 70), point(200, 92)],
  stages: [{ method: 'braise', words: 'a 150 °C oven', from_min: 0, to_min: null }],
  explained: {
    goal: [1.6, 4.5],
    bands: [band(100, 70), band(200, 92)],
    width_min: 70,
    narrows: [
      {
        fact: 'thickness',
        name: 'Its thickness',
        how: 'Measure it at its thickest.',
        share: 0.6,
        width_min: 45,
      },
      { fact: 'animal', name: 'The animal', how: 'Fork it.', share: 0.3, width_min: 60 },
    ],
    rules: [{ figure: 'middle', rule: 'Heat creeps in.', numbers: '70 mm from 5 °C', sure: 'Within 7 %.' }],
  },
  inside: {
    radius: [0.5, 1],
    sides_mm: [70, 120, 160],
    enough: 1.6,
    frames: [
      { min: 0, celsius: [5, 5], tenderness: [0, 0], words: 'raw' },
      { min: 200, celsius: [92, 95], tenderness: [1.8, 2], words: 'soft right through' },
    ],
  },
  enough_softening_h: 1.6,
  overcooked_softening_h: 4.5,
  toughness: 1,
  mass_kg: 1.4,
  thumb: [{ rule: 'an hour a pound', min: 185, why: 'it agrees here' }],
  cautions: [],
  notes: [],
  assumed: [{ field: 'altitude_m', name: 'altitude', value: '0 m', why: 'at the sea' }],
};

const bath: Schemas['ForecastRequest'] = {
  cut: 'chuck',
  mass_kg: 2,
  method: 'water_bath',
  heat: { bath_c: 82 },
};
const why = (request: object) => ({
  name: 'Ice-road chuck',
  request,
  eaten_as: 'fork',
  ways: [
    { id: 'oven', words: 'braised in the oven', chosen: true, request: { cut: 'chuck', method: 'braise' } },
    { id: 'bath', words: 'in the water bath', chosen: false, request: bath },
  ],
  forecast,
});
const ID = '00000000-0000-4000-8000-000000000001';

/** What was asked of which address. */
const asked = vi.fn<(path: string, body: unknown) => void>();
let answer: (body: unknown) => { status?: number; body: unknown };

beforeEach(() => {
  asked.mockReset();
  answer = (body) => ({ body: why(body as object) });
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    const answers: Record<string, unknown> = {
      '/api/kitchen': kitchenView({ altitude_m: 120 }),
      '/api/cuts': [{ cut: 'chuck', name: 'Chuck' }],
      '/api/scale': scale,
    };
    let found: { status?: number; body: unknown } = { body: answers[pathname] ?? [] };
    if (pathname.includes('/why')) {
      const text = await request.text();
      const body: unknown = text ? JSON.parse(text) : {};
      asked(pathname, body);
      found = answer(body);
    }
    return new Response(JSON.stringify(found.body), {
      status: found.status ?? 200,
      headers: { 'content-type': 'application/json' },
    });
  });
});

const at = (address: string) =>
  open(
    <Routes>
      <Route path="/why" element={<WhyPlace />} />
      <Route path="/why/:kind/:id" element={<WhyPlace />} />
    </Routes>,
    address,
  );

describe('the place where a time is explained', () => {
  it('explains the very plan it was opened from, and cooks as it is scrubbed', async () => {
    at(`/why/plan/${ID}`);
    await screen.findByRole('heading', { name: 'Why 3 h?' });
    expect(asked.mock.calls).toEqual([[`/api/plans/${ID}/why`, {}]]);
    expect(screen.getByText(/Ice-road chuck, 1.4 kg: eight in ten/)).toBeVisible();
    const scrub = await screen.findByRole('slider', { name: 'Scrub through the cook' });
    act(() => scrub.focus());
    await userEvent.keyboard('{End}');
    expect(screen.getByText('After 3 h 20')).toBeVisible();
    expect(screen.getByText('middle 92 °C (87 to 97)')).toBeVisible();
    expect(screen.getByLabelText(/soft right through/)).toBeVisible();
    const facts = within(screen.getByRole('region', { name: 'What would narrow it' }));
    expect(facts.getByText(/The band is 1 h 10 wide/)).toBeVisible();
    expect(facts.getAllByRole('listitem')).toHaveLength(2);
    const rules = within(screen.getByRole('region', { name: 'Rules and numbers' }));
    expect(rules.getByText('70 mm from 5 °C')).toBeVisible();
    expect(rules.getByText(/altitude: 0 m, at the sea/)).toBeVisible();
  });

  it('asks about a plan that is not kept by the whole of it', async () => {
    const plan = { name: 'x', serve_at: '2099-02-06T16:30:00Z', forecast: { cut: 'chuck' as const } };
    at(whyOfPlan(plan));
    await screen.findByRole('heading', { name: 'Why 3 h?' });
    expect(asked.mock.lastCall).toEqual(['/api/why/plan', plan]);
  });

  it('asks the other way as the kitchen gave it, all of it in the address', async () => {
    const { router } = at(whyOfQuestion({ cut: 'chuck', mass_kg: 2, method: 'braise', liquid_l: 1 }));
    await screen.findByRole('heading', { name: 'Why 3 h?' });
    await userEvent.selectOptions(screen.getByLabelText('Another way?'), 'bath');
    await waitFor(() => expect(asked.mock.lastCall).toEqual(['/api/why', bath]));
    const { search } = router.state.location;
    expect(JSON.parse(new URLSearchParams(search).get('f') ?? '')).toEqual(bath);
  });

  it('says what is wrong with a forecast, and with an address that is cut short', async () => {
    answer = () => ({ status: 422, body: { detail: 'heat.pit_c: 900 can’t be used', field: 'heat.pit_c' } });
    at(whyOfQuestion({ cut: 'chuck', method: 'smoke', heat: { pit_c: 900 } }));
    expect(await screen.findByText(/900 can’t be used/)).toBeVisible();
    at('/why?f={"cut');
    expect(await screen.findByText(/can’t be read/)).toBeVisible();
  });
});
