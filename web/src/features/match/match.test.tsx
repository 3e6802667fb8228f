import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { open } from '../../test-kitchen';
import { Match } from './Match';

const kitchen = {
  name: 'Lodge galley',
  zone: 'UTC',
  altitude_m: 0,
  units: 'metric',
  certainty: 0.9,
  pot: {},
  pan_cm: 28,
  hob_w: 1800,
};
const cut = (name: string, key: string, suitable = true) => ({
  cut: key,
  name,
  also: [],
  suitable,
  resistance: 1,
  resistance_ln_sigma: 0.18,
  thickness_sigma: 0.07,
  collagen_pct: 1.5,
  fat_pct: 15,
  bone_pct: 0,
  trim_pct: 6,
  dry_risk: 'low',
  eaten_as: 'fork',
  aspect: [1.7, 2.3],
  piece_kg: 1.4,
});
const way = (name: string, verdict: Schemas['Verdict'], chance_ready: number) => ({
  name,
  method: 'braise',
  heat: {},
  verdict,
  chance_ready,
  start_by: '2099-02-06T10:00:00Z',
  met_heat_at: '2099-02-06T09:00:00Z',
  lift_at: '2099-02-06T15:55:00Z',
  ready_min: { p10: 150, p50: 180, p90: 220 },
  too_far_min: { p10: 400, p50: 450, p90: 500 },
  hands_on_min: 95,
  finishing_min: 35,
  yield_kg: 0.9,
  portions: 5.4,
  sauce_body: 'some body',
  why: `Why ${name}.`,
  cautions: [],
  plan: {
    name: 'Braised chuck',
    people: 4,
    bell: '2099-02-06T16:30:00Z',
    forecast: { cut: 'chuck', method: 'braise' },
  },
});

type Answer = { status?: number; body: unknown };
let answers: Record<string, (body: unknown) => Answer>;
const nothing = (): Answer => ({ body: {} });
const asked = vi.fn();

beforeEach(() => {
  asked.mockReset();
  answers = {
    '/api/kitchen': () => ({ body: kitchen }),
    '/api/cuts': () => ({
      body: [cut('Chuck', 'chuck'), cut('Shin, boneless', 'shin'), cut('Fillet', 'fillet', false)],
    }),
    '/api/match': () => ({
      body: {
        suitable: true,
        why: '',
        ways: [way('Oven 150 °C', 'fits', 0.97), way('Slow oven', 'too_late', 0.1)],
      },
    }),
    '/api/sheet/preview': () => ({ status: 500, body: {} }),
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
  it('opens on an answer, the best way first, with its reason', async () => {
    open(<Match />, '/match');
    expect(await screen.findByText('Why Oven 150 °C.')).toBeInTheDocument();
    const rows = screen.getAllByRole('radio', { name: /oven/i });
    expect(rows[0]).toBeChecked();
    expect(screen.getByText(/fits, 97 in 100/)).toBeInTheDocument();
    expect(lastMatch()).toMatchObject({ cut: 'chuck', zone: 'UTC', people: 4 });
  });

  it('keeps what is on the block in its address, and asks again as it changes', async () => {
    const { router } = open(<Match />, '/match?cut=shin&kg=2.4&as=pull');
    await screen.findByText('Why Oven 150 °C.');
    expect(lastMatch()).toMatchObject({ cut: 'shin', mass_kg: 2.4, eaten_as: 'pull' });
    fireEvent.change(screen.getByRole('slider', { name: /How thick/ }), { target: { value: '80' } });
    await waitFor(() => expect(lastMatch()).toMatchObject({ thickness_mm: 80 }));
    expect(router.state.location.search).toContain('mm=80');
  });

  it('shows another way and its reason when it is chosen', async () => {
    open(<Match />, '/match');
    fireEvent.click(await screen.findByRole('radio', { name: /Slow oven/ }));
    expect(screen.getByText('Why Slow oven.')).toBeInTheDocument();
  });

  it('puts a refusal at the field it names and keeps what was typed', async () => {
    answers['/api/match'] = () => ({
      status: 422,
      body: { status: 422, title: '', type: '', detail: 'mass_kg: 9999 can’t be used', field: 'mass_kg' },
    });
    open(<Match />, '/match?kg=9999');
    expect(await screen.findByText('mass_kg: 9999 can’t be used')).toBeInTheDocument();
    expect(screen.getByLabelText('Raw weight')).toHaveValue('9999');
    expect(screen.getByLabelText('Raw weight')).toHaveAttribute('aria-invalid', 'true');
  });

  it('refuses a tender cut kindly and offers another', async () => {
    answers['/api/match'] = (body) =>
      (body as Schemas['MatchRequest']).cut === 'fillet'
        ? { body: { suitable: false, why: 'Fillet has almost no collagen.', ways: [] } }
        : { body: { suitable: true, why: '', ways: [way('Oven 150 °C', 'fits', 0.97)] } };
    open(<Match />, '/match?cut=fillet');
    expect(await screen.findByText('Fillet is not for this job')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Shin instead' }));
    expect(await screen.findByText('Why Oven 150 °C.')).toBeInTheDocument();
  });

  it('saves the plan under the name it was given and opens its sheet', async () => {
    const { router } = open(<Match />, '/match');
    const name = await screen.findByLabelText('Call the dish');
    await userEvent.clear(name);
    await userEvent.type(name, 'Saturday chuck');
    fireEvent.click(screen.getByRole('button', { name: 'Plan it this way' }));
    await waitFor(() => expect(router.state.location.pathname).toMatch(/^\/sheet\/[0-9a-f-]{36}$/));
    const saved = asked.mock.calls.find((call) => call[0] === 'PUT')?.[2] as {
      version: number;
      plan: Schemas['Plan'];
    };
    expect(saved).toMatchObject({ version: 0, plan: { name: 'Saturday chuck', forecast: { cut: 'chuck' } } });
  });

  it('says so when the kitchen does not answer', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('refused')));
    open(<Match />, '/match');
    expect(await screen.findByText(/The kitchen does not answer/)).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Try again' })).toBeInTheDocument();
  });
});
