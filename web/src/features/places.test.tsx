import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import {
  answering,
  at,
  broken,
  cook,
  corner,
  event,
  kitchenView,
  line,
  open,
  summary,
  task,
  typed,
} from '../test-kitchen';
import { CookPlace } from './cook/CookPlace';
import { Cooks } from './cook/Cooks';
import { KitchenPlace } from './kitchen/KitchenPlace';
import { brings } from './kitchen/TakeAlong';
import { Log } from './log/Log';
import { Meals } from './sheet/Meals';

const kitchen = kitchenView();
const usual = {
  '/api/kitchen': () => ({ body: kitchen }),
  '/api/plans': () => ({ body: [] }),
  '/api/meals': () => ({ body: [] }),
  '/api/cooks': () => ({ body: [] }),
  '/api/now': () => ({ body: { now: new Date().toISOString(), dishes: [], hand_over: [], asleep: false } }),
  '/api/probes': () => ({ body: [] }),
  '/api/log': () => ({ body: { cooks: [], all: 0 } }),
  '/api/trash': () => ({ body: [] }),
};
let { answers, bodies, asked, setApart } = answering(usual);
beforeEach(() => {
  ({ answers, bodies, asked, setApart } = answering(usual));
});
afterEach(() => vi.unstubAllGlobals());

const id = cook().id;
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
      event('a', '2027-02-06T12:00:00Z', { kind: 'on_the_heat' }, 'met heat'),
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
    setApart(-7_200_000);
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

describe('the log', () => {
  it('sets what was foretold beside what came', async () => {
    const closed = summary({
      status: 'closed',
      tender_at: '2027-02-06T14:45:00Z',
      outcome: { ate_as: 'fork', cooked_kg: 1.05, change: 'more stock' },
      prediction: {
        predicted_min: [150, 180, 220],
        took_min: 165,
        quicker: 0.3,
        words: 'Tender after 2 h 45: inside the band.',
      },
      tasks: [{ task: task(), state: 'passed', taken: [], taken_words: '' }],
    });
    answers['/api/log'] = () => ({ body: { cooks: [closed], all: 1 } });
    at(<Log />, '/log', '/log');
    expect(await screen.findByText('Tender after 2 h 45: inside the band.')).toBeInTheDocument();
    expect(screen.getByText(/Predicted 2 h 30 to 3 h 40/)).toBeInTheDocument();
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
    answers[`/api/trash/cooks/${id}`] = () => ((away = false), { status: 204, body: null });
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
          serve_at: '2027-02-06T16:30:00Z',
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
      const { searchParams } = new URL(asked.mock.calls.at(-1)?.[2] as string);
      const [from, count] = ['from', 'count'].map((name) => Number(searchParams.get(name)));
      const some = Array.from({ length: Math.min(count ?? 0, 60 - (from ?? 0)) }, (_, i) => ({
        ...summary({ status: 'closed' }),
        id: `${(from ?? 0) + i}`,
      }));
      return { body: { cooks: some, all: 60 } };
    };
    at(<Log />, '/log', '/log');
    expect(await screen.findAllByRole('article')).toHaveLength(25);
    await userEvent.click(screen.getByRole('button', { name: 'Older cooks (35)' }));
    await waitFor(() => expect(screen.getAllByRole('article')).toHaveLength(50));
    await userEvent.click(screen.getByRole('button', { name: 'Older cooks (10)' }));
    await waitFor(() => expect(screen.getAllByRole('article')).toHaveLength(60));
    expect(screen.queryByRole('button', { name: /Older/ }), 'however many there are').toBeNull();
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
    expect(await screen.findByText('Saved')).toBeInTheDocument();
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

  it('asks of a thing what its kind is described by, in words of its own and with how it is measured', async () => {
    let kept = kitchenView();
    answers['/api/kitchen'] = (body) => {
      if (body !== undefined) {
        const { version, kitchen: sent } = body as Schemas['KitchenView'];
        kept = { version: version + 1, kitchen: sent };
      }
      return { body: kept };
    };
    open(<KitchenPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'Put something in the kitchen' }));
    await screen.findByRole('menuitem', { name: 'oven' });
    await userEvent.keyboard('ov{Enter}');
    const dialog = within(await screen.findByRole('dialog'));
    expect(dialog.getByLabelText('Shelf width')).toHaveValue('45');
    expect(dialog.getByText('Measure it inside.')).toBeInTheDocument();
    await userEvent.click(dialog.getByText('runs'));
    await waitFor(() =>
      expect(kept.kitchen.ovens[1]).toMatchObject({ id: 'ovens_2', measures: { width_cm: 45, fan: true } }),
    );
  });

  it('asks a round pot for what is across, and one with sides for both', async () => {
    open(<KitchenPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'Blue pot: open' }));
    const dialog = within(await screen.findByRole('dialog'));
    expect(dialog.getByLabelText('Across')).toHaveValue('26');
    expect(dialog.queryByLabelText('Length')).not.toBeInTheDocument();
    await userEvent.click(dialog.getByText('tin or dish'));
    expect(await dialog.findByLabelText('Length')).toHaveValue('26');
    expect(dialog.queryByLabelText('Across')).not.toBeInTheDocument();
  });
});
