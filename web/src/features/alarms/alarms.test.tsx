import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api, type Schemas } from '../../api/client';
import { cook, open } from '../../test-kitchen';
import { MayRing } from './MayRing';
import { Ringing } from './Ringing';
import { allowRinging, mayRing, ring } from './sounds';

const { view, id } = cook();

const alarm = (over: Partial<Schemas['Alarm']> = {}): Schemas['Alarm'] => ({
  id: 'task:check_1',
  sound: 'look',
  at: '2027-02-06T13:00:00Z',
  rings_at: new Date(Date.now() - 60_000).toISOString(),
  words: 'First look: fork it',
  why: 'Two thirds of the way.',
  heard: false,
  hear: { id: 'heard', words: 'I’m at it', happened: { kind: 'heard', alarm: 'task:check_1' } },
  later: [
    {
      id: 'later_5',
      words: 'In 5 min: costs nothing',
      happened: { kind: 'later', alarm: 'task:check_1', min: 5 },
    },
  ],
  ...over,
});

const now = (alarms: Schemas['Alarm'][]): Schemas['KitchenNow'] => ({
  now: new Date().toISOString(),
  hand_over: [],
  asleep: false,
  dishes: [
    {
      id,
      name: 'Lake-ice shin',
      people: 6,
      status: 'under_way',
      act: 'Leave it',
      waits: true,
      taken: '',
      heat_on_at: view.planned_heat_on_at,
      band: view.band,
      serve_at: view.serve_at,
      late_min: 0,
      alarms,
      probes: [],
      lines: [],
    },
  ],
});

/** Tones the page has made. */
let tones = 0;

class Tones {
  state = 'suspended';
  currentTime = 0;
  destination = {};
  resume() {
    this.state = 'running';
    return Promise.resolve();
  }
  private node = () => ({
    frequency: { value: 0 },
    gain: { value: 0, setValueAtTime: () => 0, exponentialRampToValueAtTime: () => 0 },
    connect: (next: unknown) => next,
    start: () => (tones += 1),
    stop: () => undefined,
    type: '',
  });
  createOscillator = this.node;
  createGain = this.node;
  createBiquadFilter = this.node;
}

beforeEach(() => {
  tones = 0;
  localStorage.clear();
  vi.stubGlobal('AudioContext', Tones);
});
afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

describe('what rings', () => {
  it('stands above every place with its dish until somebody is at it, and the tap is sent', async () => {
    vi.spyOn(api, 'now').mockResolvedValue(now([alarm(), alarm({ id: 'task:lift', heard: true })]));
    const sent = vi.spyOn(api, 'append').mockResolvedValue(cook());
    open(<Ringing />);
    expect(await screen.findByText('First look: fork it')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Lake-ice shin' })).toHaveAttribute('href', `/cook/${id}`);
    expect(screen.getByText(/the browser holds the sound back/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'I’m at it' }));
    // Silent at once, before the kitchen has the tap.
    await waitFor(() => expect(screen.queryByText('First look: fork it')).toBeNull());
    expect(sent.mock.calls[0]?.[1][0]?.happened).toEqual({ kind: 'heard', alarm: 'task:check_1' });
  });

  it('is nothing before its time', async () => {
    const later = new Date(Date.now() + 600_000).toISOString();
    const asked = vi.spyOn(api, 'now').mockResolvedValue(now([alarm({ rings_at: later })]));
    open(<Ringing />);
    await waitFor(() => expect(asked).toHaveBeenCalled());
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('shows the first large, two more, and how many wait behind those', async () => {
    const many = [1, 2, 3, 4, 5].map((i) => alarm({ id: `task:check_${i}`, words: `Look ${i}` }));
    vi.spyOn(api, 'now').mockResolvedValue(now(many));
    open(<Ringing />);
    expect(await screen.findByText('Look 3')).toBeInTheDocument();
    expect(screen.queryByText('Look 4')).toBeNull();
    expect(screen.getByText('And 2 more after these.')).toBeInTheDocument();
  });
});

describe('sound', () => {
  it('is held back until a tap lets it go, said so, and can then be tried', async () => {
    open(<MayRing awake="The screen stays awake." />);
    if (mayRing() === 'not yet') {
      expect(screen.getByText(/This page is silent/)).toBeInTheDocument();
      fireEvent.click(screen.getByRole('button', { name: 'Let it ring, and hear it' }));
    }
    expect(await screen.findByText('This page rings when something is due.')).toBeInTheDocument();
    for (const name of ['Hear: Something to do', 'Hear: A look is due', 'Hear: Trouble']) {
      const before = tones;
      fireEvent.click(screen.getByRole('button', { name }));
      expect(tones).toBeGreaterThan(before);
    }
  });

  it('makes a different one for each kind', async () => {
    await allowRinging();
    const made = (['work', 'look', 'trouble'] as const).map((sound) => {
      const before = tones;
      ring(sound);
      return tones - before;
    });
    expect(new Set(made).size).toBe(3);
  });
});
