import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { cook, event, open, task, typed } from '../../test-kitchen';
import { Happenings } from './Happenings';
import { LogIt } from './LogIt';
import { NowCard } from './NowCard';

const now = (over: Parameters<typeof task>[0], actions: Schemas['Action'][], view = {}) => {
  const happened = vi.fn();
  const one = task(over);
  open(
    <NowCard
      zone="UTC"
      cook={cook({
        tasks: [{ task: one, state: 'open', taken: [], taken_words: '' }],
        now_task: one.id,
        now: { task: one.id, act: one.what, waits: !one.hands_on, from: one.start, until: one.end, actions },
        ...view,
      })}
      onHappened={happened}
    />,
  );
  return happened;
};

describe('now', () => {
  it('asks for nothing while the oven works', () => {
    now({}, []);
    expect(screen.getByText('Now: nothing for the hands')).toBeInTheDocument();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('offers what the kitchen says may be done, the first of it largest, and logs just that', () => {
    const clock = { kind: 'on_the_heat' } as const;
    const done = { kind: 'task_done', task: 'simmer' } as const;
    const happened = now({ id: 'simmer', kind: 'simmer', hands_on: true }, [
      { id: 'clock', words: 'It is in: start the clock', happened: clock },
      { id: 'done', words: 'Done', happened: done },
    ]);
    fireEvent.click(screen.getByRole('button', { name: 'It is in: start the clock' }));
    fireEvent.click(screen.getByRole('button', { name: 'Done' }));
    expect(happened.mock.calls).toEqual([[clock], [done]]);
  });

  it('leads to the place where the sauce is worked out', () => {
    now({ id: 'sauce', kind: 'sauce', hands_on: true }, [
      { id: 'sauce', words: 'Work out the sauce', leads: 'finish' },
    ]);
    expect(screen.getByRole('link', { name: 'Work out the sauce' })).toHaveAttribute(
      'href',
      expect.stringContaining('/finish/'),
    );
  });

  it('says what came of it when it is closed', () => {
    open(
      <NowCard
        zone="UTC"
        cook={cook({ status: 'closed', now: null, now_task: null })}
        onHappened={vi.fn()}
      />,
    );
    expect(screen.getByText('This cook is closed')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'See it in the log' })).toBeInTheDocument();
  });
});

const { asks } = cook().view;

describe('logging', () => {
  it('logs a check by one tap, whatever it was tested with', async () => {
    const happened = vi.fn();
    open(<LogIt asks={asks} units="metric" onHappened={happened} />);
    fireEvent.click(screen.getByRole('button', { name: 'fork: probe' }));
    expect(happened).toHaveBeenLastCalledWith({ kind: 'check', found: 'probe', by: 'fork' });
    await userEvent.click(screen.getByText('bite'));
    fireEvent.click(await screen.findByRole('button', { name: 'bite: fork' }));
    expect(happened).toHaveBeenLastCalledWith({ kind: 'check', found: 'fork', by: 'bite' });
  });

  it('keeps a reading in °C whatever it was typed in, and empties its field', async () => {
    const happened = vi.fn();
    open(<LogIt asks={asks} units="us" onHappened={happened} />);
    const field = screen.getByRole('spinbutton', { name: 'Thermometer in the middle' });
    expect(screen.getByRole('button', { name: 'Log: Thermometer in the middle' })).toBeDisabled();
    await typed(field, '176');
    fireEvent.click(screen.getByRole('button', { name: 'Log: Thermometer in the middle' }));
    expect(happened).toHaveBeenCalledWith({ kind: 'core_reading', celsius: 80 });
    expect(screen.getByRole('spinbutton', { name: 'Thermometer in the middle' })).toHaveValue('');
  });

  it('takes a figure of the pot', async () => {
    const happened = vi.fn();
    open(<LogIt asks={asks} units="metric" onHappened={happened} />);
    await typed(screen.getByRole('spinbutton', { name: 'Liquid poured in' }), '0.4');
    fireEvent.click(screen.getByRole('button', { name: 'Log: Liquid poured in' }));
    expect(happened).toHaveBeenCalledWith({ kind: 'liquid_added', litres: 0.4 });
  });

  it('asks for notes only where the kitchen asks for nothing else', () => {
    open(
      <LogIt
        asks={{ ways: [], lids: [], taste: [], measures: false, liquid: false }}
        units="metric"
        onHappened={vi.fn()}
      />,
    );
    expect(screen.queryByRole('button', { name: 'fork: fork' })).toBeNull();
    expect(screen.queryByRole('spinbutton')).toBeNull();
    expect(screen.getByLabelText('Note')).toBeInTheDocument();
  });
});

describe('what happened', () => {
  const log = [
    event('a', '2027-02-06T12:00:00Z', { kind: 'on_the_heat' }, 'The meat met the heat'),
    event('b', '2027-02-06T12:30:00Z', { kind: 'core_reading', celsius: 61 }, 'Middle at 61 °C', 'c'),
  ];
  const taps = () => ({ log: vi.fn(), waiting: [], take: vi.fn() });

  it('stands latest first, with what was taken back struck out and able to return', () => {
    const hand = taps();
    open(<Happenings cook={cook({ log })} zone="UTC" taps={hand} />);
    const lines = screen.getAllByRole('listitem').map((line) => line.textContent);
    expect(lines[0]).toContain('Middle at 61 °C');
    expect(lines[1]).toContain('The meat met the heat');
    fireEvent.click(screen.getByRole('button', { name: 'Put back' }));
    expect(hand.take).toHaveBeenCalledWith('c');
  });

  it('shows what still waits on its way, and why where it was refused', () => {
    const at = '2027-02-06T13:00:00Z';
    const waiting = (id: string, refused?: string) => ({
      cook: 'x',
      refused,
      event: { id, at, happened: { kind: 'on_the_heat' } as const },
    });
    open(
      <Happenings
        cook={cook({ log: [] })}
        zone="UTC"
        taps={{ ...taps(), waiting: [waiting('d'), waiting('e', 'celsius: 900 can’t be used')] }}
      />,
    );
    expect(screen.getByText('On its way to the kitchen')).toBeInTheDocument();
    expect(screen.getByText('Not taken by the kitchen')).toBeInTheDocument();
  });

  it('can be put at its true time', async () => {
    const hand = taps();
    open(<Happenings cook={cook({ log: log.slice(0, 1) })} zone="UTC" taps={hand} />);
    fireEvent.click(screen.getByRole('button', { name: 'Change: The meat met the heat' }));
    const field = await screen.findByRole('spinbutton', { name: 'It was so long ago' });
    await userEvent.clear(field);
    await typed(field, '20');
    fireEvent.click(screen.getByRole('button', { name: 'It was 20 min ago' }));
    const [said] = hand.log.mock.calls.flat() as [Extract<Schemas['Happened'], { kind: 'retimed' }>];
    expect(said).toMatchObject({ kind: 'retimed', event: 'a' });
    expect(Math.abs(Date.parse(said.at) - (Date.now() - 20 * 60_000))).toBeLessThan(5000);
  });

  it('is only read once the cook is closed', () => {
    open(<Happenings cook={cook({ log, status: 'closed' })} zone="UTC" taps={taps()} />);
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.getByText('Middle at 61 °C')).toBeInTheDocument();
  });
});
