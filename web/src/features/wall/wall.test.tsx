import { screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { api, type Schemas } from '../../api/client';
import { cook, kitchenView, open } from '../../test-kitchen';
import { Wall } from './Wall';

const { view, id } = cook();
const soon = (minutes: number) => new Date(Date.now() + minutes * 60_000).toISOString();

const dish = (over: Partial<Schemas['OnTheHeat']> = {}): Schemas['OnTheHeat'] => ({
  id,
  name: 'Lake-ice shin',
  people: 6,
  status: 'under_way',
  act: 'Leave it: oven at 150 °C',
  waits: true,
  taken: 'Runa has it',
  from: soon(-30),
  until: soon(25),
  next: { what: 'First look: fork it', at: soon(25) },
  heat_on_at: soon(-90),
  band: view.band,
  serve_at: soon(130),
  late_min: 0,
  alarms: [],
  probes: [],
  lines: [],
  ...over,
});

const alarm = (words: string): Schemas['Alarm'] => ({
  id: words,
  sound: 'look',
  at: soon(-1),
  rings_at: soon(-1),
  words,
  why: '',
  heard: false,
  hear: { id: 'heard', words: 'I’m at it' },
  later: [],
});

const shows = (dishes: Schemas['OnTheHeat'][], asleep = false) => {
  vi.spyOn(api, 'kitchen').mockResolvedValue(kitchenView());
  vi.spyOn(api, 'now').mockResolvedValue({ now: soon(0), asleep, dishes, hand_over: [] });
  open(<Wall />);
};
const dimmed = () => document.documentElement.classList.contains('night');

afterEach(() => {
  vi.restoreAllMocks();
  document.documentElement.className = '';
});

describe('the wall', () => {
  it('shows the bell, every dish with now, next and who has it, and has nothing to touch', async () => {
    shows([dish(), dish({ id: 'b', name: 'Boathouse brisket', serve_at: soon(300) })]);
    expect(await screen.findByText('Boathouse brisket', { exact: false })).toBeInTheDocument();
    expect(screen.getAllByText('Leave it: oven at 150 °C')).toHaveLength(2);
    expect(screen.getAllByText(/First look: fork it/)).toHaveLength(2);
    expect(screen.getAllByText(/Runa has it/)).toHaveLength(2);
    expect(screen.getByText(/in 2 h 1/)).toBeInTheDocument();
    expect(document.querySelectorAll('button, a, input')).toHaveLength(0);
  });

  it('names what was left open in one line, and gives it no room beside what is cooked', async () => {
    shows([
      dish(),
      dish({
        id: 'b',
        name: 'Old shin',
        serve_at: '2026-11-23T17:00:00Z',
        left_open_since: '2026-11-23T18:00:00Z',
      }),
    ]);
    expect(await screen.findByText('Left open: Old shin of Mon 23 Nov')).toBeInTheDocument();
    expect(screen.getAllByRole('region')).toHaveLength(1);
  });

  it('is dimmed while the kitchen sleeps', async () => {
    shows([dish()], true);
    await waitFor(() => expect(dimmed()).toBe(true));
  });

  it('shows three of what rings and counts the rest, and is bright for it though the kitchen sleeps', async () => {
    shows([dish({ alarms: ['a', 'b', 'c', 'd', 'e'].map((one) => alarm(`Look ${one}`)) })], true);
    expect(await screen.findByText('Lake-ice shin: Look c')).toBeInTheDocument();
    expect(screen.queryByText('Lake-ice shin: Look d')).toBeNull();
    expect(screen.getByText('And 2 more')).toBeInTheDocument();
    expect(dimmed()).toBe(false);
  });
});
