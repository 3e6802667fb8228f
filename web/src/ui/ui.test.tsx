import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { ApiFault } from '../api/client';
import { open, typed } from '../test-kitchen';
import { Choice } from './Choice';
import { NumberField } from './NumberField';
import { Slider } from './Slider';
import { Caution, Fault } from './states';

function Pounds({ told }: { told: (kilos: number | undefined) => void }) {
  const [kilos, setKilos] = useState<number | undefined>(1);
  const change = (next: number | undefined) => {
    setKilos(next);
    told(next);
  };
  return (
    <NumberField label="Raw weight" value={kilos} onChange={change} unit="lb" factor={2.20462} step={0.25} />
  );
}

describe('a figure with its unit', () => {
  it('is typed in the cook’s unit and kept in SI', async () => {
    const told = vi.fn();
    open(<Pounds told={told} />);
    const field = screen.getByLabelText('Raw weight');
    expect(field).toHaveValue('2.2');
    await userEvent.clear(field);
    expect(told).toHaveBeenLastCalledWith(undefined);
    await typed(field, '5.5');
    expect(told.mock.lastCall?.[0]).toBeCloseTo(2.4948, 3);
    await waitFor(() => expect(field).toHaveValue('5.5'));
  });

  it('keeps what is typed as it was typed until it is left', async () => {
    open(<Pounds told={vi.fn()} />);
    const field = screen.getByLabelText('Raw weight');
    await userEvent.clear(field);
    await typed(field, '2.50');
    await waitFor(() => expect(field).toHaveValue('2.50'));
    await userEvent.tab();
    await waitFor(() => expect(field).toHaveValue('2.5'));
  });

  it('moves a step by the arrows, and not below nothing', async () => {
    const told = vi.fn();
    open(<Pounds told={told} />);
    act(() => screen.getByLabelText('Raw weight').focus());
    await userEvent.keyboard('{ArrowUp}');
    expect(told.mock.lastCall?.[0]).toBeGreaterThan(1);
    for (let i = 0; i < 20; i++) await userEvent.keyboard('{ArrowDown}');
    expect(told.mock.lastCall?.[0]).toBe(0);
  });

  it('has its error and its hint tied to it', async () => {
    open(
      <NumberField
        label="Raw weight"
        value={1}
        onChange={vi.fn()}
        unit="kg"
        error="mass_kg: 1 can’t be used"
      />,
    );
    const field = screen.getByLabelText('Raw weight');
    expect(field).toHaveAttribute('aria-invalid', 'true');
    await waitFor(() => expect(field).toHaveAccessibleDescription(/can’t be used/));
  });
});

describe('a slider', () => {
  it('says its value and takes large steps within its ends', async () => {
    const moved = vi.fn();
    open(<Slider label="How thick" value={98} min={20} max={100} step={1} onChange={moved} said="98 mm" />);
    const slider = await screen.findByRole('slider', { name: 'How thick' });
    expect(slider).toHaveAttribute('aria-valuetext', '98 mm');
    act(() => slider.focus());
    await userEvent.keyboard('{Shift>}{ArrowRight}{ArrowLeft}{/Shift}');
    expect(moved.mock.calls).toEqual([[100], [90]]);
  });
});

describe('a choice of words', () => {
  it('is a group of radios with a name', async () => {
    const chosen = vi.fn();
    const options = [
      { value: 'slice', label: 'slice' },
      { value: 'fork', label: 'fork' },
    ] as const;
    open(<Choice label="Eaten as" value="slice" options={options} onChange={chosen} />);
    expect(screen.getByRole('radiogroup', { name: 'Eaten as' })).toBeInTheDocument();
    expect(screen.getByRole('radio', { name: 'slice' })).toBeChecked();
    await userEvent.click(screen.getByRole('radio', { name: 'fork' }));
    expect(chosen).toHaveBeenCalledWith('fork');
  });
});

describe('what goes wrong', () => {
  it('offers to try again, but not for what does not exist', () => {
    const again = vi.fn();
    const { unmount } = open(<Fault error={new ApiFault('The kitchen does not answer.', 0)} retry={again} />);
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(again).toHaveBeenCalledOnce();
    unmount();
    open(<Fault error={new ApiFault('there is no plan x', 404)} retry={again} />);
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.getByRole('link', { name: 'Start from the cut' })).toHaveAttribute('href', '/match');
  });

  it('carries the word beside the stripes', () => {
    open(<Caution>Steam scalds.</Caution>);
    expect(screen.getByText('Caution')).toBeInTheDocument();
  });
});
