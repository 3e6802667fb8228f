import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import {
  broken,
  cook,
  corner,
  event,
  kitchenView,
  line,
  open,
  stand,
  summary,
  task,
  typed,
} from '../test-kitchen';
import { CookPlace } from './cook/CookPlace';
import { Cooks } from './cook/Cooks';
import { Finish } from './finish/Finish';
import { KitchenPlace } from './kitchen/KitchenPlace';
import { brings } from './kitchen/TakeAlong';
import { Log } from './log/Log';
import { Meals } from './sheet/Meals';
import { Routes, Route } from 'react-router';

const kitchen = kitchenView();
const leg = (over: Partial<Schemas['Leg']> = {}): Schemas['Leg'] => ({
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

type Handler = (body: unknown) => { status?: number; body: unknown };
let answers: Record<string, Handler>;
/** How far the kitchen's clock is from this machine's, ms. */
let apart = 0;
const asked = vi.fn();
const nothing: Handler = () => ({
  status: 404,
  body: { status: 404, title: '', type: '', detail: 'there is no such thing' },
});
const bodies = (path: string) =>
  asked.mock.calls.filter((call) => call[0] === path).map((call) => call[1] as unknown);

beforeEach(() => {
  asked.mockReset();
  apart = 0;
  answers = {
    '/api/kitchen': () => ({ body: kitchen }),
    '/api/plans': () => ({ body: [] }),
    '/api/meals': () => ({ body: [] }),
    '/api/cooks': () => ({ body: [] }),
    '/api/now': () => ({ body: { now: new Date().toISOString(), dishes: [], hand_over: [] } }),
    '/api/probes': () => ({ body: [] }),
    '/api/log': () => ({ body: { cooks: [], all: 0 } }),
    '/api/bin': () => ({ body: [] }),
  };
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url).pathname;
    const text = await request.text();
    // A file that was chosen is sent as it is; here it is only seen that it is.
    const body: unknown = /^[{["]/.test(text) ? JSON.parse(text) : undefined;
    asked(path, body, request.url);
    const answer = (answers[path] ?? nothing)(body);
    return new Response(answer.status === 204 ? null : JSON.stringify(answer.body), {
      status: answer.status ?? 200,
      headers: { 'content-type': 'application/json', 'kitchen-clock': `${Date.now() + apart} 1` },
    });
  });
});
afterEach(() => vi.unstubAllGlobals());

const id = cook().id;
const at = (place: React.ReactNode, path: string, address: string) =>
  open(
    <Routes>
      <Route path={path} element={place} />
      <Route path="*" element={<p>elsewhere</p>} />
    </Routes>,
    address,
  );

describe('places with nothing in them yet', () => {
  it.each([
    [<Meals key="s" />, 'No dish is planned', 'Match a cut'],
    [<Cooks key="c" />, 'Nothing is on the heat', 'Choose a planned dish'],
    [<Log key="l" />, 'No cook is closed yet', 'Choose a planned dish'],
  ])('say what will be there and offer the one step', async (place, words, step) => {
    open(place);
    expect(await screen.findByRole('heading', { name: words })).toBeInTheDocument();
    expect(screen.getByRole('link', { name: step })).toBeInTheDocument();
  });
});

describe('a cook', () => {
  it('takes back the last thing that stands', async () => {
    const log = [
      event('a', '2027-02-06T12:00:00Z', { kind: 'met_heat' }, 'met heat'),
      event('b', '2027-02-06T12:30:00Z', { kind: 'check', found: 'slice' }, 'check (slice)'),
      event('c', '2027-02-06T12:40:00Z', { kind: 'note', text: 'x' }, 'note', 'd'),
    ];
    answers[`/api/cooks/${id}`] = () => ({ body: cook({ log }) });
    answers[`/api/cooks/${id}/events`] = () => ({ body: cook({ log }) });
    at(<CookPlace />, '/cook/:cookId', `/cook/${id}`);
    await screen.findByText('check (slice)');
    expect(corner.undoes).toBe('the check (slice)');
    act(() => corner.undo?.());
    await waitFor(() => expect(bodies(`/api/cooks/${id}/events`)).toHaveLength(1));
    expect(bodies(`/api/cooks/${id}/events`)[0]).toMatchObject([
      { happened: { kind: 'undone', event: 'b' } },
    ]);
  });

  it('sends the same event again, with the same id, when the connection drops', async () => {
    answers[`/api/cooks/${id}`] = () => ({ body: cook() });
    let dropped = false;
    answers[`/api/cooks/${id}/events`] = () => {
      if (dropped) return { body: cook() };
      dropped = true;
      throw new TypeError('connection reset');
    };
    at(<CookPlace />, '/cook/:cookId', `/cook/${id}`);
    fireEvent.click(await screen.findByRole('button', { name: 'fork: fork' }));
    await waitFor(() => expect(bodies(`/api/cooks/${id}/events`)).toHaveLength(2), { timeout: 3000 });
    const [first, second] = bodies(`/api/cooks/${id}/events`);
    expect(second).toEqual(first);
  });

  it('is told the time by the kitchen’s clock, not by this machine’s', async () => {
    apart = -7_200_000;
    answers[`/api/cooks/${id}`] = () => ({ body: cook() });
    answers[`/api/cooks/${id}/events`] = () => ({ body: cook() });
    at(<CookPlace />, '/cook/:cookId', `/cook/${id}`);
    fireEvent.click(await screen.findByRole('button', { name: 'fork: fork' }));
    await waitFor(() => expect(bodies(`/api/cooks/${id}/events`)).toHaveLength(1));
    const [sent] = bodies(`/api/cooks/${id}/events`)[0] as Schemas['Event'][];
    expect(Math.abs(Date.parse(sent?.at ?? '') - (Date.now() - 7_200_000))).toBeLessThan(5000);
  });

  it('that is not in this kitchen says so', async () => {
    at(<CookPlace />, '/cook/:cookId', '/cook/nonsense');
    expect(await screen.findByText('Not in this kitchen')).toBeInTheDocument();
  });
});

describe('finishing', () => {
  beforeEach(() => {
    answers[`/api/cooks/${id}`] = () => ({ body: cook() });
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
});

describe('the log', () => {
  it('sets what was foretold beside what came', async () => {
    const closed = summary({
      status: 'closed',
      tender_at: '2027-02-06T14:45:00Z',
      outcome: { ate_as: 'fork', cooked_kg: 1.05, change: 'more stock' },
      prediction: {
        foretold_min: [150, 180, 220],
        took_min: 165,
        quicker: 0.3,
        words: 'Tender after 2 h 45: inside the band.',
      },
      tasks: [{ task: task(), state: 'passed' }],
    });
    answers['/api/log'] = () => ({ body: { cooks: [closed], all: 1 } });
    at(<Log />, '/log', '/log');
    expect(await screen.findByText('Tender after 2 h 45: inside the band.')).toBeInTheDocument();
    expect(screen.getByText(/Foretold 2 h 30 to 3 h 40/)).toBeInTheDocument();
    expect(screen.getByText('Next time: more stock')).toBeInTheDocument();
    expect(screen.getAllByRole('article')).toHaveLength(1);
  });
});

describe('what is broken or put away', () => {
  const id = '00000000-0000-4000-8000-0000000000bb';

  it('stands beside the others with its reason, can be put away, and taken back', async () => {
    let away = false;
    answers['/api/cooks'] = () => ({
      body: away ? [line({ status: 'closed' })] : [line({ status: 'closed' }), broken(id, 'Cold bath')],
    });
    answers['/api/log'] = () => ({ body: { cooks: [summary({ status: 'closed' })], all: 1 } });
    answers[`/api/cooks/${id}`] = () => ((away = true), { status: 204, body: null });
    answers[`/api/bin/cooks/${id}`] = () => ((away = false), { status: 204, body: null });
    at(<Log />, '/log', '/log');
    expect(await screen.findByText(/this heat can’t be used/)).toBeInTheDocument();
    expect(screen.getAllByRole('article')).toHaveLength(1);
    await userEvent.click(screen.getByRole('button', { name: 'Put Cold bath away' }));
    expect(await screen.findByText('Cold bath is in the bin.')).toBeInTheDocument();
    expect(screen.queryByText(/this heat can’t be used/)).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Take it back' }));
    expect(await screen.findByText(/this heat can’t be used/)).toBeInTheDocument();
  });

  it('is no end of the road at its own address', async () => {
    answers[`/api/cooks/${id}`] = () => ({
      status: 422,
      body: { status: 422, title: '', type: '', detail: 'a stored document can’t be read' },
    });
    at(<CookPlace />, '/cook/:cookId', `/cook/${id}`);
    expect(await screen.findByText('a stored document can’t be read')).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Put this cook away' })).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'The other cooks' })).toHaveAttribute('href', '/cook');
  });

  it('hinders no other plan', async () => {
    answers['/api/meals'] = () => ({
      body: [
        {
          id: cook().plan_id,
          name: 'Lake-ice shin',
          bell: '2027-02-06T16:30:00Z',
          people: 8,
          dishes: [{ plan_id: cook().plan_id, version: 1, name: 'Lake-ice shin', people: 8 }],
        },
      ],
    });
    answers['/api/plans'] = () => ({
      body: [
        { id, version: 1, saved_at: '2027-02-05T12:00:00Z', plan: null, broken: 'missing field `bell`' },
      ],
    });
    open(<Meals />);
    expect(await screen.findByText('Lake-ice shin')).toBeInTheDocument();
    expect(screen.getByText(/missing field `bell`/)).toBeInTheDocument();
  });

  it('draws a long log some at a time', async () => {
    answers['/api/log'] = () => {
      const count = Number(new URL(asked.mock.calls.at(-1)?.[2] as string).searchParams.get('count'));
      const some = Array.from({ length: count }, (_, i) => ({
        ...summary({ status: 'closed' }),
        id: `${i}`,
      }));
      return { body: { cooks: some, all: 60 } };
    };
    at(<Log />, '/log', '/log');
    expect(await screen.findAllByRole('article')).toHaveLength(25);
    await userEvent.click(screen.getByRole('button', { name: 'Older cooks (35)' }));
    await waitFor(() => expect(screen.getAllByRole('article')).toHaveLength(50));
  });
});

describe('a file that comes in', () => {
  const nothingNew = {
    kitchen: false,
    new_plans: 0,
    changed_plans: 0,
    versions: 0,
    new_cooks: 0,
    changed_cooks: 0,
    events: 0,
    readings: 0,
    repeated: 0,
  };

  it('says what it would bring before it brings it', async () => {
    const brought = { ...nothingNew, new_plans: 2, new_cooks: 1, readings: 12_000 };
    answers['/api/import/preview'] = () => ({ body: brought });
    answers['/api/import'] = () => ({ body: brought });
    open(<KitchenPlace />);
    const file = new File(['{"ergastic": 1}'], 'lodge.json', { type: 'application/json' });
    await userEvent.upload(await screen.findByLabelText('Bring a file in'), file);
    const said = await screen.findByText(/would bring 2 new plans, 1 new cook and 12,000 readings/);
    expect(said).toHaveTextContent('What is here stays.');
    await userEvent.click(screen.getByRole('button', { name: 'Bring it in' }));
    expect(await screen.findByText(/lodge.json is in/)).toBeInTheDocument();
  });

  it('is said in words', () => {
    expect(brings(nothingNew)).toBe('nothing that is not here already');
    expect(brings({ ...nothingNew, kitchen: true })).toBe('a kitchen in place of this one’s settings');
    expect(brings({ ...nothingNew, changed_cooks: 1, readings: 1 })).toBe(
      '1 cook that went on and 1 reading',
    );
  });
});

describe('the kitchen', () => {
  it('is saved as you go, in SI, and puts a refusal at its field', async () => {
    answers['/api/kitchen'] = (body) => {
      if (body === undefined) return { body: kitchenView({ units: 'us' }) };
      const { version, kitchen: sent } = body as Schemas['KitchenView'];
      return sent.altitude_m > 6000
        ? {
            status: 422,
            body: {
              status: 422,
              title: '',
              type: '',
              detail: 'kitchen.altitude_m: it must be -430 to 6000 m',
              field: 'kitchen.altitude_m',
            },
          }
        : { body: { version: version + 1, kitchen: sent } };
    };
    open(<KitchenPlace />);
    const field = await screen.findByLabelText('Above the sea');
    expect(field).toHaveValue('688.98');
    await userEvent.clear(field);
    await typed(field, '1000');
    await waitFor(() => {
      const sent = bodies('/api/kitchen').at(-1) as Schemas['KitchenView'];
      expect(sent.kitchen.altitude_m).toBeCloseTo(304.8, 1);
    });
    expect(await screen.findByText('saved')).toBeInTheDocument();
    await userEvent.clear(field);
    await typed(field, '99999');
    expect(await screen.findByText(/it must be -430 to 6000 m/, {}, { timeout: 3000 })).toBeInTheDocument();
    expect(field).toHaveValue('99999');
  });

  it('has each thing by its name, to be measured, lent out and taken away', async () => {
    let kept = kitchenView();
    answers['/api/kitchen'] = (body) => {
      if (body !== undefined) {
        const { version, kitchen: sent } = body as Schemas['KitchenView'];
        kept = { version: version + 1, kitchen: sent };
      }
      return { body: kept };
    };
    open(<KitchenPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'Blue pot: open' }));
    const dialog = within(await screen.findByRole('dialog', { name: /Blue pot/ }));
    const name = dialog.getByLabelText('It is called');
    await userEvent.clear(name);
    await userEvent.type(name, 'Stew pot');
    await userEvent.click(dialog.getByRole('checkbox', { name: /[Ll]ent/ }));
    await waitFor(() => expect(kept.kitchen.pots[0]).toMatchObject({ name: 'Stew pot', lent: true }));
    expect(kept.kitchen.pots[0]?.measures).toEqual({ diameter_cm: 26, height_cm: 13 });
  });
});
