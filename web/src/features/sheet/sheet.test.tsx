import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { open, task } from '../../test-kitchen';
import { Remedies } from './Remedies';
import { TaskList } from './TaskList';

const salt = task({
  id: 'salt',
  kind: 'salt',
  what: 'Salt the meat: 28 g, about 4.7 level teaspoons of fine salt',
  hands_on: true,
  start: '2027-02-05T19:00:00Z',
  end: '2027-02-05T19:10:00Z',
  cautions: [{ id: 'raw_meat', text: 'Raw juices spread.' }],
});

describe('the sheet in words', () => {
  it('gives each task its time, its length and its day in the zone of the kitchen', () => {
    open(<TaskList tasks={[salt, task()]} zone="Europe/Helsinki" />);
    const [first, second] = screen.getAllByRole('listitem');
    expect(within(first!).getByText('Fri 5 Feb')).toBeInTheDocument();
    expect(within(first!).getByText('21:00')).toBeInTheDocument();
    expect(within(second!).getByText('Sat 6 Feb')).toBeInTheDocument();
    expect(within(second!).getByText('14:00')).toBeInTheDocument();
    expect(second).toHaveTextContent('3 h waiting');
    expect(first).toHaveTextContent('hands-on');
  });

  it('shows the caution at its step and the sentences as they come', () => {
    open(<TaskList tasks={[salt, task()]} zone="UTC" />);
    expect(screen.getByText('Raw juices spread.')).toBeInTheDocument();
    expect(screen.getByText(/Into the oven at 150 °C/)).toBeInTheDocument();
    expect(screen.getByText(/Salt the meat: 28 g/)).toBeInTheDocument();
  });
});

describe('a bell that can’t be met', () => {
  const plan: Schemas['Plan'] = {
    name: 'Shin',
    bell: '2027-02-06T16:30:00Z',
    forecast: { cut: 'shin', method: 'braise' },
  };
  const later = { ...plan, bell: '2027-02-06T18:30:00Z' };
  const sheet = {
    conflicts: [{ tasks: ['braise'], text: 'Starting now, it is tender in time with 3 %.' }],
    remedies: [
      {
        text: 'Cut it into 4 cm cubes',
        trade: 'no slices',
        plates_at: '2027-02-06T16:20:00Z',
        meets_bell: true,
        plan,
      },
      {
        text: 'Ring the bell later',
        trade: 'everyone waits',
        plates_at: '2027-02-06T18:30:00Z',
        meets_bell: false,
        plan: later,
      },
    ],
  } as unknown as Schemas['Sheet'];

  it('says why, and takes the remedy that is chosen', () => {
    const take = vi.fn();
    open(<Remedies sheet={sheet} zone="UTC" now={Date.parse('2027-02-06T12:00:00Z')} onTake={take} />);
    expect(screen.getByText(/tender in time with 3 %/)).toBeInTheDocument();
    expect(screen.getByText('Cut it into 4 cm cubes')).toBeInTheDocument();
    expect(screen.getByText('plates 16:20, meets the bell')).toBeInTheDocument();
    fireEvent.click(screen.getAllByRole('button', { name: 'Do that' })[1]!);
    expect(take).toHaveBeenCalledWith(later);
  });
});
