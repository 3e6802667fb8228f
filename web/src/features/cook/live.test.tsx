import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { api, type Schemas } from '../../api/client';
import { CourseOfCook } from '../../drawings/CourseOfCook';
import { cook, kitchenView, open } from '../../test-kitchen';
import { Cooks } from './Cooks';
import { hoursOf } from './DishBand';
import { GoneWrong } from './GoneWrong';
import { HandOver } from './HandOver';
import { LoggerFile } from './LoggerFile';
import { Night } from './Night';
import { Probes } from './Probes';
import { WhatIf } from './WhatIf';

afterEach(() => vi.restoreAllMocks());

const shin = cook();
const { band } = shin.view;
const span = { from: Date.parse('2027-02-06T11:40:00Z'), to: Date.parse('2027-02-06T17:00:00Z') };

const couldDo = (over: Partial<Schemas['CouldDo']>): Schemas['CouldDo'] => ({
  id: 'as_it_is',
  words: 'Leave it as it is',
  cost: '',
  band,
  lift_at: '2027-02-06T15:55:00Z',
  served_at: '2027-02-06T16:30:00Z',
  late_min: 0,
  yield_kg: 1.1,
  liquid_l: 0.9,
  ...over,
});

const probe = (over: Partial<Schemas['ProbeNow']> = {}): Schemas['ProbeNow'] => ({
  probe: 'galley',
  into: 'meat',
  since: '2027-02-06T12:00:00Z',
  celsius: 71.2,
  at: '2027-02-06T13:00:00Z',
  trust: 'steady',
  trust_since: '2027-02-06T12:00:00Z',
  off_k: null,
  off_since: null,
  words: '3 °C ahead of what was foretold.',
  points: [],
  ...over,
});

describe('what if now', () => {
  it('draws each way with its cost, and does it by one tap', async () => {
    const happened = { kind: 'changed', heat: { set_c: 170 }, halved: false } as const;
    vi.spyOn(api, 'whatIf').mockResolvedValue({
      as_it_is: couldDo({}),
      choices: [
        couldDo({
          id: 'hotter',
          words: 'Oven to 170 °C',
          cost: '20 min sooner; more water leaves.',
          happened,
        }),
      ],
    });
    const log = vi.fn();
    open(<WhatIf cook={shin} zone="UTC" {...span} onHappened={log} />);
    expect(await screen.findByText(/20 min sooner; more water leaves/)).toBeInTheDocument();
    expect(screen.getAllByRole('img')).toHaveLength(2);
    fireEvent.click(screen.getByRole('button', { name: 'Do it: Oven to 170 °C' }));
    expect(log).toHaveBeenCalledWith(happened);
  });
});

describe('gone wrong', () => {
  it('opens what is likely, and logs what it offers', async () => {
    const pour = { kind: 'liquid_added', litres: 0.5 } as const;
    const trouble = (id: string, likely: boolean): Schemas['GoneWrong'] => ({
      id,
      name: id === 'dry' ? 'The pot is dry' : 'The power is out',
      likely,
      first: `First of ${id}`,
      then: `Then of ${id}`,
      cautions: [{ id: 'steam', text: 'Mind the steam.' }],
      actions: [{ id: 'pour', words: `Poured for ${id}`, happened: pour }],
    });
    vi.spyOn(api, 'goneWrong').mockResolvedValue([trouble('dry', true), trouble('power', false)]);
    const log = vi.fn();
    open(<GoneWrong cook={shin} onHappened={log} />);
    const dry = await screen.findByText('The pot is dry');
    expect(dry.closest('details')).toHaveAttribute('open');
    expect(screen.getByText('The power is out').closest('details')).not.toHaveAttribute('open');
    fireEvent.click(screen.getByRole('button', { name: 'Poured for dry' }));
    expect(log).toHaveBeenCalledWith(pour);
  });
});

describe('probes', () => {
  it('are put where they are, and back where they were when they fell out', async () => {
    vi.spyOn(api, 'probes').mockResolvedValue([{ name: 'spare', at: '2027-02-06T13:00:00Z', celsius: 22 }]);
    const log = vi.fn();
    const out = probe({ trust: 'pulled_out', words: 'It fell to 24 °C: its tip is out.' });
    open(<Probes cook={cook({ probes: [out] })} zone="UTC" units="metric" onHappened={log} />);
    expect(screen.getByText(/its tip is out/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'It is back: in the middle of the meat' }));
    expect(log).toHaveBeenLastCalledWith({ kind: 'probe_put', probe: 'galley', into: 'meat' });
    expect(await screen.findByText('spare')).toBeInTheDocument();
    fireEvent.click(screen.getAllByRole('button', { name: 'In the liquid' })[1] as HTMLElement);
    expect(log).toHaveBeenLastCalledWith({ kind: 'probe_put', probe: 'spare', into: 'pot' });
  });

  it('are drawn with what is believed of them, and in rings with what is not', () => {
    const at = (minute: number) => new Date(span.from + minute * 60_000).toISOString();
    const points = [0, 1, 2, 3].map((i) => ({ at: at(30 + i), celsius: 40 + i, believed: i < 2 }));
    const course = [0, 60, 120].map((minute) => ({
      at: at(minute),
      core_c: [20 + minute / 3, 25 + minute / 3, 30 + minute / 3] as [number, number, number],
      medium_c: 98,
    }));
    open(
      <CourseOfCook
        {...span}
        width={600}
        zone="UTC"
        units="metric"
        course={course}
        probes={[probe({ points })]}
      />,
    );
    const drawing = screen.getByRole('img', { name: /galley reads 71 °C/ });
    expect(drawing.querySelectorAll('circle')).toHaveLength(2);
  });
});

describe('a logger’s file', () => {
  it('shows what each column seems to hold, lets it be put right, and brings it in', async () => {
    vi.spyOn(api, 'kitchen').mockResolvedValue(kitchenView());
    vi.spyOn(api, 'readLogger').mockResolvedValue({
      rows: 2,
      from: '2027-02-06T12:00:00Z',
      to: '2027-02-06T12:01:00Z',
      columns: [
        { name: 'Time', holds: 'time', shows: ['12:00'] },
        { name: 'Ch 1', holds: 'other', shows: ['61.5'] },
      ],
    });
    const brought = vi.spyOn(api, 'importLogger').mockResolvedValue({ stored: 2, repeated: 0 });
    open(<LoggerFile />);
    await userEvent.upload(
      screen.getByLabelText(/A table with a line of headings/),
      new File(['Time,Ch 1\n12:00,61.5\n'], 'log.csv', { type: 'text/csv' }),
    );
    const bring = await screen.findByRole('button', { name: 'Bring it in' });
    expect(bring).toBeDisabled();
    await userEvent.selectOptions(screen.getAllByLabelText('It holds')[1] as HTMLElement, 'celsius');
    fireEvent.click(bring);
    expect(await screen.findByText(/2 readings brought in/)).toBeInTheDocument();
    expect(brought.mock.calls[0]?.[0]).toMatchObject({
      time: { column: 0, holds: 'time' },
      probes: [{ column: 1, holds: 'celsius', probe: 'Ch 1' }],
    });
  });
});

describe('all that is on the heat', () => {
  const dish = (over: Partial<Schemas['OnTheHeat']> = {}): Schemas['OnTheHeat'] => ({
    id: shin.id,
    name: 'Lake-ice shin',
    people: 6,
    status: 'under_way',
    act: 'Leave it: oven at 150 °C',
    waits: true,
    taken: '',
    from: '2027-02-06T12:00:00Z',
    until: new Date(Date.now() + 754_000).toISOString(),
    next: { what: 'First look', at: '2027-02-06T14:00:00Z' },
    heat_on_at: '2027-02-06T12:00:00Z',
    band,
    serve_at: '2027-02-06T16:30:00Z',
    late_min: 0,
    alarms: [],
    probes: [probe()],
    lines: [],
    ...over,
  });
  const now = (dishes: Schemas['OnTheHeat'][]): Schemas['KitchenNow'] => ({
    now: new Date().toISOString(),
    dishes,
    asleep: false,
    hand_over: ['13:00: one dish is on the heat.', 'Lake-ice shin for 6.'],
  });

  it('says each dish’s act, its clock and what is next, for six as for one', async () => {
    vi.spyOn(api, 'kitchen').mockResolvedValue(kitchenView());
    const six = [1, 2, 3, 4, 5, 6].map((i) => dish({ id: `${shin.id}${i}`, name: `Dish ${i}` }));
    vi.spyOn(api, 'now').mockResolvedValue(now(six));
    open(<Cooks />, '/cook');
    expect(await screen.findByText(/Dish 6/)).toBeInTheDocument();
    expect(screen.getAllByText('Leave it: oven at 150 °C')).toHaveLength(6);
    expect(screen.getAllByText(/^12:3\d$/)).toHaveLength(6);
  });

  it('presses no hours together for one that was left open days ago, and draws it no band', async () => {
    vi.spyOn(api, 'kitchen').mockResolvedValue(kitchenView());
    const [hour, at] = [3_600_000, Date.now()];
    const instant = (hours: number) => new Date(at + hours * hour).toISOString();
    const today = dish({ heat_on_at: instant(-2), serve_at: instant(3), band: cook().view.band });
    const act = 'Nothing logged since Sat 19:40: close it, or log how it stands';
    const left = dish({
      id: 'left',
      name: 'Old shin',
      act,
      heat_on_at: instant(-90),
      serve_at: instant(-80),
      from: null,
      until: null,
      left_open_since: instant(-81),
    });
    const hours = hoursOf([today, left], at);
    expect(hours.from).toBeGreaterThan(at - 3 * hour);
    vi.spyOn(api, 'now').mockResolvedValue(now([today, left]));
    open(<Cooks />, '/cook');
    expect(await screen.findByText(act)).toBeInTheDocument();
    expect(screen.getAllByRole('img', { name: /shin/i })).toHaveLength(1);
    open(<Night />);
    expect(
      await screen.findByText('Nothing is due. It wakes you if something goes wrong.'),
    ).toBeInTheDocument();
  });

  it('is handed over in its lines', async () => {
    vi.spyOn(api, 'now').mockResolvedValue(now([dish()]));
    open(<HandOver />);
    expect(await screen.findByText('Lake-ice shin for 6.')).toBeInTheDocument();
  });

  it('is slept beside: what wakes you and when, and dark at once', async () => {
    vi.spyOn(api, 'kitchen').mockResolvedValue(kitchenView());
    const rings_at = new Date(Date.now() + 90 * 60_000).toISOString();
    const wrap: Schemas['Alarm'] = {
      id: 'task:wrap',
      sound: 'work',
      at: rings_at,
      rings_at,
      words: 'Wrap it in paper',
      why: '',
      heard: false,
      hear: { id: 'heard', words: 'I’m at it' },
      later: [],
    };
    vi.spyOn(api, 'now').mockResolvedValue(now([dish({ alarms: [wrap] })]));
    open(<Night />);
    expect(
      await screen.findByText(/Lake-ice shin wakes you at .* in 1 h (29|30): Wrap it in paper/),
    ).toBeInTheDocument();
    expect(screen.getByText('71 °C')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: /Good night/ }));
    expect(document.documentElement).toHaveClass('night');
    fireEvent.click(await screen.findByRole('button', { name: 'Lighter' }));
    expect(document.documentElement).not.toHaveClass('night');
  });
});
