import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Kitchen, Schemas } from '../../api/client';
import { open } from '../../test-kitchen';
import { another, inKitchen, wayOf, ways, whyAddress } from './state';
import { WhyPlace } from './WhyPlace';

const point = (min: number, core_c: number): Schemas['CurvePoint'] => ({
  min,
  core_c,
  surface_c: 90,
  medium_c: 96,
  tender_h: min / 100,
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
  too_far_min: { p10: 400, p50: 450, p90: 500 },
  curve: [point(0, 5), point(100, 70), point(200, 92)],
  stages: [{ method: 'braise', words: 'a 150 °C oven', from_min: 0, to_min: null }],
  explained: {
    bands: [band(100, 70), band(200, 92)],
    width_min: 70,
    narrows: [
      { fact: 'thickness', how: 'Measure it at its thickest.', share: 0.6, width_min: 45 },
      { fact: 'animal', how: 'Fork it.', share: 0.3, width_min: 60 },
    ],
    rules: [{ figure: 'middle', rule: 'Heat creeps in.', numbers: '70 mm from 5 °C', sure: 'Within 7 %.' }],
  },
  inside: {
    radius: [0.5, 1],
    sides_mm: [70, 120, 160],
    frames: [
      { min: 0, celsius: [5, 5], tenderness: [0, 0] },
      { min: 200, celsius: [92, 95], tenderness: [1.8, 2] },
    ],
  },
  enough_tender_h: 1.6,
  too_far_tender_h: 4.5,
  resistance: 1,
  mass_kg: 1.4,
  thumb: [{ rule: 'an hour a pound', min: 185, why: 'it agrees here' }],
  cautions: [],
  notes: [],
  assumed: [{ field: 'altitude_m', value: '0 m', why: 'at the sea' }],
};

const asked = vi.fn<(body: Schemas['ForecastRequest']) => void>();
let answer: () => { status?: number; body: unknown };

beforeEach(() => {
  asked.mockReset();
  answer = () => ({ body: forecast });
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    let found: { status?: number; body: unknown } = { body: {} };
    if (pathname === '/api/kitchen')
      found = { body: { units: 'metric', zone: 'UTC', altitude_m: 120, pot: {} } };
    if (pathname === '/api/cuts') found = { body: [{ cut: 'chuck', name: 'Chuck' }] };
    if (pathname === '/api/forecast') {
      asked((await request.json()) as Schemas['ForecastRequest']);
      found = answer();
    }
    return new Response(JSON.stringify(found.body), {
      status: found.status ?? 200,
      headers: { 'content-type': 'application/json' },
    });
  });
});

describe('the place where a time is explained', () => {
  it('explains the forecast in its address, in this kitchen, and cooks as it is scrubbed', async () => {
    open(<WhyPlace />, whyAddress({ cut: 'chuck', method: 'braise' }, 'Ice-road chuck'));
    await screen.findByRole('heading', { name: 'Why 3 h?' });
    expect(asked).toHaveBeenCalledWith(
      expect.objectContaining({ cut: 'chuck', altitude_m: 120, inside: true, explain: true }),
    );
    expect(screen.getByText(/Ice-road chuck, 1.4 kg: eight in ten/)).toBeVisible();
    fireEvent.change(screen.getByLabelText('Scrub through the cook'), { target: { value: '200' } });
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

  it('asks again for another way and keeps the meat', async () => {
    const { router } = open(
      <WhyPlace />,
      whyAddress({ cut: 'chuck', mass_kg: 2, method: 'braise', liquid_l: 1 }),
    );
    await screen.findByRole('heading', { name: 'Why 3 h?' });
    await userEvent.selectOptions(screen.getByLabelText('Another way?'), 'bath');
    await waitFor(() => expect(asked.mock.lastCall?.[0].method).toBe('water_bath'));
    expect(asked.mock.lastCall?.[0]).toMatchObject({ cut: 'chuck', mass_kg: 2, heat: { bath_c: 82 } });
    expect(asked.mock.lastCall?.[0].liquid_l).toBeUndefined();
    expect(decodeURIComponent(router.state.location.search)).toContain('water_bath');
  });

  it('says what is wrong with a forecast, and with an address that is cut short', async () => {
    answer = () => ({ status: 422, body: { detail: 'heat.pit_c: 900 can’t be used', field: 'heat.pit_c' } });
    open(<WhyPlace />, whyAddress({ cut: 'chuck', method: 'smoke', heat: { pit_c: 900 } }));
    expect(await screen.findByText(/900 can’t be used/)).toBeVisible();
    expect(screen.getByLabelText('Another way?')).toBeVisible();
    open(<WhyPlace />, '/why?f={"cut');
    expect(await screen.findByText(/cut short/)).toBeVisible();
  });
});

describe('the ways', () => {
  it('are each told from their request', () => {
    for (const way of ways) expect(wayOf(another({ cut: 'shin' }, way))).toBe(way.key);
    expect(wayOf({ cut: 'shin', method: 'keep_warm' })).toBe('other');
  });

  it('stand in the kitchen’s own pot only where they stand in a pot', () => {
    const kitchen = { altitude_m: 300, pot: { diameter_cm: 28 } } as Kitchen;
    expect(inKitchen({ method: 'braise' }, kitchen).vessel).toEqual({ diameter_cm: 28 });
    expect(inKitchen({ method: 'smoke', altitude_m: 0 }, kitchen)).toMatchObject({
      altitude_m: 0,
      vessel: undefined,
    });
  });
});
