import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { cook, event, open, task } from '../../test-kitchen';
import { Happenings } from './Happenings';
import { LogIt } from './LogIt';
import { NowCard } from './NowCard';

const common = { units: 'metric', zone: 'UTC', busy: false } as const;

describe('now', () => {
  const open_ = (over: Parameters<typeof task>[0], view = {}) => {
    const happened = vi.fn();
    const id = over?.id ?? 'braise';
    open(
      <NowCard
        {...common}
        cook={cook({ tasks: [{ task: task(over), state: 'open' }], now_task: id, ...view })}
        onHappened={happened}
      />,
    );
    return happened;
  };

  it('asks for nothing while the oven works', () => {
    open_({});
    expect(screen.getByText('Now: nothing for the hands')).toBeInTheDocument();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('starts the clock when the meat is in, and only then', () => {
    const happened = open_(
      { id: 'simmer', kind: 'simmer', hands_on: true },
      { status: 'before', met_heat_at: null },
    );
    fireEvent.click(screen.getByRole('button', { name: /start the clock/ }));
    expect(happened).toHaveBeenCalledWith({ kind: 'met_heat' });
  });

  it('takes a task off by its name', () => {
    const happened = open_({ id: 'sear_2', kind: 'sear', hands_on: true });
    fireEvent.click(screen.getByRole('button', { name: 'Done' }));
    expect(happened).toHaveBeenCalledWith({ kind: 'task_done', task: 'sear_2' });
  });

  it('leads from the sauce to its place, and from the plates to the closing', () => {
    open_({ id: 'sauce', kind: 'sauce', hands_on: true });
    expect(screen.getByRole('link', { name: 'Work out the sauce' })).toHaveAttribute(
      'href',
      expect.stringContaining('/finish/'),
    );
  });

  it('can be lifted early once it is tender', () => {
    const lift = { task: task({ id: 'lift', kind: 'lift', hands_on: true }), state: 'open' as const };
    const hold = { task: task({ id: 'hold', kind: 'hold' }), state: 'open' as const };
    const happened = vi.fn();
    open(
      <NowCard
        {...common}
        cook={cook({ status: 'tender', tasks: [hold, lift], now_task: 'hold' })}
        onHappened={happened}
      />,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Lift it now' }));
    expect(happened).toHaveBeenCalledWith({ kind: 'task_done', task: 'lift' });
  });

  it('says what came of it when it is closed', () => {
    open(<NowCard {...common} cook={cook({ status: 'closed', now_task: null })} onHappened={vi.fn()} />);
    expect(screen.getByText('This cook is closed')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'See it in the log' })).toBeInTheDocument();
  });
});

describe('logging', () => {
  it('logs a check by one tap', () => {
    const happened = vi.fn();
    open(<LogIt cook={cook()} units="metric" busy={false} onHappened={happened} />);
    fireEvent.click(screen.getByRole('button', { name: 'probe' }));
    expect(happened).toHaveBeenCalledWith({ kind: 'check', found: 'probe' });
  });

  it('keeps a reading in °C whatever it was typed in', async () => {
    const happened = vi.fn();
    open(<LogIt cook={cook()} units="us" busy={false} onHappened={happened} />);
    await userEvent.type(screen.getByLabelText('Thermometer in the middle'), '176');
    fireEvent.click(screen.getAllByRole('button', { name: 'Log' })[0]!);
    expect(happened).toHaveBeenCalledWith({ kind: 'core_reading', celsius: 80 });
  });

  it('takes a comma for a point, and refuses what is no figure', async () => {
    const happened = vi.fn();
    open(<LogIt cook={cook()} units="metric" busy={false} onHappened={happened} />);
    const field = screen.getByLabelText('Liquid added');
    await userEvent.type(field, '0,4');
    fireEvent.click(screen.getAllByRole('button', { name: 'Log' })[1]!);
    expect(happened).toHaveBeenCalledWith({ kind: 'liquid_added', litres: 0.4 });
    await userEvent.type(screen.getByLabelText('Liquid there, by dipstick'), '1.1');
    fireEvent.click(screen.getAllByRole('button', { name: 'Log' })[2]!);
    expect(happened).toHaveBeenCalledWith({ kind: 'dipped', litres: 1.1 });
    await userEvent.type(screen.getByLabelText('Thermometer in the middle'), 'hot');
    expect(screen.getByRole('alert')).toHaveTextContent('“hot” is not a number');
    expect(screen.getAllByRole('button', { name: 'Log' })[0]).toBeDisabled();
  });

  it('does not send a reading no thermometer gives', async () => {
    open(<LogIt cook={cook()} units="metric" busy={false} onHappened={vi.fn()} />);
    await userEvent.type(screen.getByLabelText('Thermometer in the middle'), '900');
    expect(screen.getByRole('alert')).toHaveTextContent('no thermometer reads that');
    expect(screen.getAllByRole('button', { name: 'Log' })[0]).toBeDisabled();
  });

  it('takes notes only until the meat is on the heat', () => {
    open(
      <LogIt
        cook={cook({ met_heat_at: null, status: 'before' })}
        units="metric"
        busy={false}
        onHappened={vi.fn()}
      />,
    );
    expect(screen.queryByRole('button', { name: 'fork' })).toBeNull();
    expect(screen.getByLabelText('Note')).toBeInTheDocument();
  });
});

describe('what happened', () => {
  const log = [
    event('a', '2027-02-06T12:00:00Z', { kind: 'met_heat' }),
    event('b', '2027-02-06T12:30:00Z', { kind: 'core_reading', celsius: 61 }, true),
    event('c', '2027-02-06T12:31:00Z', { kind: 'undone', event: 'b' }),
  ];

  it('stands latest first, with what was taken back struck out and able to return', () => {
    const happened = vi.fn();
    open(<Happenings cook={cook({ log })} units="metric" zone="UTC" onHappened={happened} />);
    const lines = screen.getAllByRole('listitem').map((line) => line.textContent);
    expect(lines[0]).toContain('Middle at 61 °C');
    expect(lines[1]).toContain('The meat met the heat');
    fireEvent.click(screen.getByRole('button', { name: 'Put back' }));
    expect(happened).toHaveBeenCalledWith({ kind: 'undone', event: 'c' });
  });

  it('is only read once the cook is closed', () => {
    open(<Happenings cook={cook({ log, status: 'closed' })} units="us" zone="UTC" onHappened={vi.fn()} />);
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.getByText('Middle at 142 °F')).toBeInTheDocument();
  });
});
