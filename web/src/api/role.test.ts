import { expect, test, vi } from 'vitest';
import { mayChange, onRoleChanged, setRole } from './role';

test('who comes in with another role is somebody else, also after the device was signed out in between', () => {
  const changed = vi.fn();
  const stop = onRoleChanged(changed);
  setRole(undefined);
  expect(mayChange()).toBe(false);
  setRole('cook');
  expect([mayChange(), changed.mock.calls.length]).toEqual([true, 0]);
  setRole(undefined);
  setRole('look');
  expect([mayChange(), changed.mock.calls.length]).toEqual([false, 1]);
  stop();
});
