import { act, renderHook } from '@testing-library/react';
import { expect, test } from 'vitest';
import { useFollowing } from './useFollowing';

const onA: { text?: string } = { text: 'a' };

const told = (tell: () => void) =>
  act(() => {
    tell();
    return Promise.resolve();
  });

/** A kitchen that answers only when it is told to. */
function slowKitchen() {
  const waiting: { text: string; answer: (found: string) => void; refuse: (fault: Error) => void }[] = [];
  const ask = (text: string) =>
    new Promise<string>((answer, refuse) => {
      waiting.push({ text, answer, refuse });
    });
  return { ask, waiting };
}

test('one question is out at a time, and the newest is asked next', async () => {
  const { ask, waiting } = slowKitchen();
  const { result, rerender } = renderHook(({ text }) => useFollowing(text, ask), {
    initialProps: onA,
  });
  rerender({ text: 'b' });
  rerender({ text: 'c' });
  expect(waiting.map(({ text }) => text)).toEqual(['a']);
  await told(() => waiting[0]!.answer('for a'));
  expect(result.current).toEqual({ text: 'a', answer: 'for a', error: undefined });
  expect(waiting.map(({ text }) => text)).toEqual(['a', 'c']);
  await told(() => waiting[1]!.answer('for c'));
  expect(result.current?.answer).toBe('for c');
  expect(waiting).toHaveLength(2);
});

test('when the hand rests nothing old is shown at its next move, and a refusal is told', async () => {
  const { ask, waiting } = slowKitchen();
  const { result, rerender } = renderHook(({ text }) => useFollowing(text, ask), {
    initialProps: onA,
  });
  await told(() => waiting[0]!.answer('for a'));
  rerender({ text: undefined });
  expect(result.current).toBeUndefined();
  rerender({ text: 'b' });
  expect(result.current).toBeUndefined();
  await told(() => waiting[1]!.refuse(new Error('too thick')));
  expect(result.current?.error).toEqual(new Error('too thick'));
  rerender({ text: undefined });
  rerender({ text: 'c' });
  rerender({ text: undefined });
  await told(() => waiting[2]!.answer('for c'));
  expect(result.current, 'an answer that comes after the hand has rested').toBeUndefined();
});
