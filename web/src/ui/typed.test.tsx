import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useTyped } from './useTyped';

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

const later = (ms = 1000) => {
  act(() => {
    vi.advanceTimersByTime(ms);
  });
};

describe('what is typed over what is kept', () => {
  it('is kept once after a pause, however long the answer takes', () => {
    const keep = vi.fn();
    const { result } = renderHook(() => useTyped<string>('Supper', keep));
    act(() => result.current.type('Rid'));
    later(300);
    act(() => result.current.type('Ridge'));
    later();
    later();
    expect(keep.mock.calls).toEqual([['Ridge']]);
    expect(result.current.value).toBe('Ridge');
    act(() => result.current.leave());
    expect(keep).toHaveBeenCalledTimes(1);
  });

  it('is kept at once when the field is left, and not where it can’t be', () => {
    const keep = vi.fn();
    const { result } = renderHook(() => useTyped<string>('Supper', keep, (name) => name !== ''));
    act(() => result.current.type(''));
    later();
    act(() => result.current.leave());
    expect(keep).not.toHaveBeenCalled();
    expect(result.current.value).toBe('Supper');
    act(() => result.current.type('Ridge'));
    act(() => result.current.leave());
    expect(keep.mock.calls).toEqual([['Ridge']]);
  });

  it('is not kept where it is what stands', () => {
    const keep = vi.fn();
    const { result } = renderHook(() => useTyped<number>(8, keep));
    act(() => result.current.type(8));
    later();
    act(() => result.current.leave());
    expect(keep).not.toHaveBeenCalled();
  });
});
