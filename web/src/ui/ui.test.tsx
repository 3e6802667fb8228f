import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { ApiFault } from '../api/client';
import { open } from '../test-kitchen';
import { Choice } from './Choice';
import { NumberField, Slider } from './fields';
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
    await userEvent.type(field, '5,5');
    expect(told.mock.lastCall?.[0]).toBeCloseTo(2.4948, 3);
    expect(field).toHaveValue('5,5');
    fireEvent.blur(field);
    expect(field).toHaveValue('5.5');
  });

  it('moves a step by the arrows and five by shift, and not below nothing', () => {
    const told = vi.fn();
    open(<Pounds told={told} />);
    const field = screen.getByLabelText('Raw weight');
    fireEvent.keyDown(field, { key: 'ArrowUp' });
    expect(told.mock.lastCall?.[0]).toBeCloseTo(2.455 / 2.20462, 3);
    fireEvent.keyDown(field, { key: 'ArrowUp', shiftKey: true });
    expect(told.mock.lastCall?.[0]).toBeCloseTo(3.705 / 2.20462, 3);
    for (let i = 0; i < 20; i++) fireEvent.keyDown(field, { key: 'ArrowDown' });
    expect(told.mock.lastCall?.[0]).toBe(0);
  });

  it('keeps what is no figure on the screen and says so', async () => {
    const told = vi.fn();
    open(<Pounds told={told} />);
    const field = screen.getByLabelText('Raw weight');
    await userEvent.clear(field);
    await userEvent.type(field, '2 lbs');
    fireEvent.blur(field);
    expect(field).toHaveValue('2 lbs');
    expect(screen.getByRole('alert')).toHaveTextContent('“2 lbs” is not a number');
  });
});

describe('a slider', () => {
  it('says its value and takes large steps within its ends', () => {
    const moved = vi.fn();
    open(<Slider label="How thick" value={98} min={20} max={100} step={1} onChange={moved} said="98 mm" />);
    const slider = screen.getByRole('slider', { name: 'How thick' });
    expect(slider).toHaveAttribute('aria-valuetext', '98 mm');
    fireEvent.keyDown(slider, { key: 'ArrowRight', shiftKey: true });
    fireEvent.keyDown(slider, { key: 'ArrowLeft', shiftKey: true });
    expect(moved.mock.calls).toEqual([[100], [93]]);
  });
});

describe('a choice of words', () => {
  it('is a group of radios with a name', () => {
    const chosen = vi.fn();
    const options = [
      { value: 'slice', label: 'slice' },
      { value: 'fork', label: 'fork' },
    ] as const;
    open(<Choice label="Eaten as" value="slice" options={options} onChange={chosen} />);
    expect(screen.getByRole('group', { name: 'Eaten as' })).toBeInTheDocument();
    expect(screen.getByRole('radio', { name: 'slice' })).toBeChecked();
    fireEvent.click(screen.getByRole('radio', { name: 'fork' }));
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
