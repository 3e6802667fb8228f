import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { open } from '../test-kitchen';
import { fold } from './fold';
import { PotSection } from './PotSection';
import { ReadyBand } from './ReadyBand';
import { SliceOfPiece } from './SliceOfPiece';
import { TendernessBar } from './TendernessBar';
import { hourTicks } from './timeScale';

const at = (text: string) => Date.parse(`2027-02-06T${text}:00Z`);
const HOUR = 3_600_000;
const bandFrom = ({ p10, p50, p90 }: Record<'p10' | 'p50' | 'p90', number>, start: number) => ({
  p10: start + p10 * 60_000,
  p50: start + p50 * 60_000,
  p90: start + p90 * 60_000,
});

describe('folding time', () => {
  const spans = [
    { from: at('00:00') - 3 * HOUR, to: at('00:00') - 2.8 * HOUR },
    { from: at('12:00'), to: at('12:30') },
    { from: at('12:45'), to: at('16:00') },
  ];

  it('folds the night away, keeps what belongs together, and never runs backwards', () => {
    const folded = fold(spans, 900);
    expect(folded.stretches).toHaveLength(2);
    expect(folded.creases).toHaveLength(1);
    const places = [spans[0]!.from, at('04:00'), at('12:00'), at('14:00'), at('16:00')].map(folded.x);
    expect([...places].sort((a, b) => a - b)).toEqual(places);
    expect(places[4]).toBeLessThanOrEqual(900);
  });

  it('knows which moment lies under a finger, in the crease and past the ends too', () => {
    const folded = fold(spans, 900);
    for (const moment of [spans[0]!.from, at('12:30'), at('15:55')])
      expect(folded.at(folded.x(moment))).toBeCloseTo(moment, -2);
    const [night, morning] = [folded.creases[0]!, folded.stretches[1]!];
    const within = folded.at(night.x);
    expect(within).toBeGreaterThan(night.from);
    expect(within).toBeLessThan(morning.from);
    expect(folded.at(-50)).toBeLessThan(folded.stretches[0]!.from);
    expect(folded.at(960)).toBeGreaterThan(morning.to);
    expect(fold([], 900).at(10)).toBe(0);
  });

  it('gives the same minutes the same width', () => {
    const { x } = fold(spans, 900);
    expect(x(at('14:00')) - x(at('13:00'))).toBeCloseTo(x(at('15:00')) - x(at('14:00')));
  });
});

describe('hours on the axis', () => {
  it('stand on whole hours of the kitchen, not of this machine, and name a new day', () => {
    const ticks = hourTicks(at('20:10'), at('20:10') + 6 * HOUR, 600, 'Asia/Kolkata');
    expect(ticks.map((tick) => tick.label)).toEqual(['02:00', '03:00', '04:00', '05:00', '06:00', '07:00']);
    const helsinki = hourTicks(at('20:10'), at('20:10') + 6 * HOUR, 600, 'Europe/Helsinki');
    expect(helsinki[0]?.label).toBe('23:00');
    expect(helsinki[1]).toMatchObject({ label: '00:00', day: 'Sun' });
  });

  it('stay few over weeks', () => {
    expect(hourTicks(at('00:00'), at('00:00') + 40 * 24 * HOUR, 600, 'Europe/Helsinki').length).toBeLessThan(
      12,
    );
  });

  it('thin out where there is little room', () => {
    expect(hourTicks(at('00:00'), at('23:00'), 200, 'UTC').length).toBeLessThan(6);
  });
});

describe('the ready-band', () => {
  const common = {
    from: at('12:00'),
    to: at('20:00'),
    width: 600,
    zone: 'UTC',
    start: at('12:30'),
    label: 'Oven',
  };
  const tooFar = bandFrom({ p10: 300, p50: 360, p90: 400 }, at('12:30'));

  it('says its times in words, to five minutes', () => {
    open(
      <ReadyBand
        {...common}
        ready={bandFrom({ p10: 151, p50: 180, p90: 222 }, at('12:30'))}
        tooFar={tooFar}
      />,
    );
    expect(screen.getByRole('img', { name: 'Oven: tender from 15:00 to 16:10' })).toBeInTheDocument();
  });

  it('says so when it is never tender', () => {
    open(<ReadyBand {...common} ready={{ p10: null, p50: null, p90: null }} tooFar={tooFar} />);
    expect(screen.getByRole('img', { name: /not tender within three days/ })).toBeInTheDocument();
  });

  it('draws an earlier band behind, and the bell through it', () => {
    const ready = bandFrom({ p10: 150, p50: 180, p90: 220 }, at('12:30'));
    const { container } = open(
      <ReadyBand
        {...common}
        ready={ready}
        ghost={ready}
        tooFar={tooFar}
        serveAt={at('18:00')}
        marks={[{ at: at('15:00'), word: 'check' }]}
      />,
    );
    expect(container.querySelectorAll('path[stroke-dasharray]')).toHaveLength(1);
    expect(container.querySelectorAll('line[stroke-width="4"]')).toHaveLength(1);
  });
});

describe('the tenderness bar', () => {
  it('speaks as vaguely as it knows', () => {
    open(<TendernessBar tenderness={[1.2, 1.7, 2.4]} goal={[1.6, 4.5]} />);
    expect(screen.getByRole('img', { name: 'Tenderness now: between slice and probe' })).toBeInTheDocument();
  });

  it('names one word when there is no doubt', () => {
    open(<TendernessBar tenderness={[1.65, 1.7, 1.9]} />);
    expect(screen.getByRole('img', { name: 'Tenderness now: fork' })).toBeInTheDocument();
  });
});

describe('the slice of the piece', () => {
  const said = () => screen.getByRole('img', { name: /Inside the piece/ }).getAttribute('aria-label');
  const radius = Array.from({ length: 24 }, (_, i) => (i + 1) / 24);
  const frame = (min: number, middle: number, surface: number, soft: number, words: string) => ({
    min,
    words,
    celsius: radius.map((r) => middle + (surface - middle) * r),
    tenderness: radius.map(() => soft),
  });
  const inside = {
    radius,
    enough: 1.6,
    sides_mm: [60, 100, 150] as [number, number, number],
    frames: [
      frame(0, 5, 5, 0, 'firm'),
      frame(120, 60, 95, 0.2, 'soft at its edge'),
      frame(240, 95, 96, 2, 'soft right through'),
    ],
  };

  it('shows the moment asked for, in the units of the kitchen', () => {
    open(<SliceOfPiece inside={inside} units="us" at={121} />);
    expect(said()).toContain('middle 143 °F');
    expect(screen.queryByRole('slider')).toBeNull();
  });

  it('cooks as it is scrubbed', async () => {
    open(<SliceOfPiece inside={inside} units="metric" start={0} />);
    expect(said()).toContain('firm');
    const slider = await screen.findByRole('slider');
    act(() => slider.focus());
    await userEvent.keyboard('{End}');
    expect(said()).toContain('soft right through');
  });

  it('rings the temperatures that stand inside it', () => {
    open(<SliceOfPiece inside={inside} units="metric" at={120} />);
    for (const ring of ['70 °C', '80 °C', '90 °C']) expect(screen.getByText(ring)).toBeInTheDocument();
    expect(screen.queryByText('50 °C')).toBeNull();
  });
});

describe('the pot in section', () => {
  it('says what stands in it and what it becomes', () => {
    open(
      <PotSection
        {...{ diameterCm: 26, heightCm: 13, liquidL: 1.2, fatMm: 3, finalL: 0.6, salt: 9, gelatin: 1.4 }}
        units="metric"
      />,
    );
    expect(
      screen.getByRole('img', {
        name: 'The pot: 1.2 L of liquid under 3 mm of fat, with 9 g a kilo of salt and 1.4 % of gelatin, to become 0.6 L',
      }),
    ).toBeInTheDocument();
  });
});
