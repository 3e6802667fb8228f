import { fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { setRole } from '../api/role';
import { answering, at, cook, corner, kitchenView, open } from '../test-kitchen';
import { CookPlace } from './cook/CookPlace';
import { KitchenPlace } from './kitchen/KitchenPlace';
import { PreparePlace } from './prepare/PreparePlace';
import { prepared } from './prepare/prepared.fixture';

/*
 * A device that only looks: nothing in a place can be pressed, typed into or dragged but what only shows something else.
 */

const ID = cook().id;
const plan = {
  name: 'Lake-ice shin',
  serve_at: '2099-02-06T16:30:00Z',
  forecast: { cut: 'shin', method: 'braise' },
};
const usual = {
  '/api/kitchen': () => ({ body: kitchenView() }),
  '/api/trash': () => ({ body: [] }),
  '/api/cuts': () => ({ body: [] }),
  '/api/larder': () => ({ body: [] }),
  '/api/probes': () => ({ body: [] }),
  '/api/now': () => ({ body: { now: new Date().toISOString(), dishes: [], hand_over: [], asleep: false } }),
  '/api/prepare/plan': () => ({ body: prepared }),
  '/api/meals': () => ({ body: [] }),
  [`/api/cooks/${ID}`]: () => ({ body: cook() }),
  [`/api/plans/${ID}`]: () => ({
    body: { id: ID, version: 1, saved_at: '2027-02-04T07:10:00Z', plan },
  }),
};
/** What only shows something else, on this device. */
const SHOWS =
  /^(day|night|How tender|What if now|Gone wrong|Probes|On to .*|Hear: .*|Keep this screen quiet)$/;

let asked: ReturnType<typeof answering>['asked'];
beforeEach(() => {
  ({ asked } = answering(usual));
  setRole('look');
});
afterEach(() => vi.unstubAllGlobals());

const named = (element: Element) =>
  element.getAttribute('aria-label') ?? element.closest('label')?.textContent ?? element.textContent;
const isOff = (element: Element) =>
  element.hasAttribute('disabled') ||
  element.hasAttribute('data-disabled') ||
  element.getAttribute('aria-disabled') === 'true';

it.each([
  ['the kitchen', () => open(<KitchenPlace />, '/kitchen'), 'Lodge galley'],
  ['a bench', () => at(<PreparePlace />, '/prepare/:planId', `/prepare/${ID}`), 'Lake-ice shin'],
  ['a cook', () => at(<CookPlace />, '/cook/:cookId', `/cook/${ID}`), /Cook/],
])('nothing in %s can be changed, by mouse or key', async (_, opened, heading) => {
  opened();
  await screen.findByRole('heading', { level: 1, name: heading });
  await vi.waitFor(() => expect(document.querySelectorAll('button').length).toBeGreaterThan(0));
  const controls =
    'button:not([role=tab]), input:not([hidden]), select, textarea, [role=slider], [role=button], [role=spinbutton]';
  const live = [...document.querySelectorAll(controls)].filter(
    (element) => !isOff(element) && !SHOWS.test(named(element).trim()),
  );
  expect(live.map(named)).toEqual([]);
  expect(corner.undo).toBeUndefined();
  for (const element of document.querySelectorAll('svg [aria-label], [role=slider]')) {
    fireEvent.click(element);
    for (const key of ['Enter', ' ', 'ArrowRight', 'ArrowUp']) fireEvent.keyDown(element, { key });
  }
  expect(screen.queryByRole('dialog')).toBeNull();
  // Only what is worked out is asked with a body.
  const wrote = asked.mock.calls.filter(
    ([path, body]) => body !== undefined && !/prepare|why/.test(String(path)),
  );
  expect(wrote).toEqual([]);
});
