import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Schemas } from './client';

const COOK = '00000000-0000-4000-8000-000000000002';
type Sent = Schemas['Event'][];

/** What came to the kitchen, and how it answers the next. */
let came: Sent[];
let answer: (events: Sent) => { status: number; body: unknown } | 'lost';

beforeEach(() => {
  vi.useFakeTimers({ shouldAdvanceTime: true });
  vi.resetModules();
  came = [];
  answer = () => ({ status: 200, body: { id: COOK } });
  vi.stubGlobal('fetch', async (request: Request) => {
    const events = (await request.json()) as Sent;
    came.push(events);
    const answered = answer(events);
    if (answered === 'lost') throw new TypeError('connection reset');
    return new Response(JSON.stringify(answered.body), {
      status: answered.status,
      headers: { 'content-type': 'application/json' },
    });
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** The page as it is opened anew, with what waits from before. */
const opened = () => import('./outbox');
const waits = () => JSON.parse(localStorage.getItem('ergastic-outbox') ?? '[]') as { refused?: string }[];
const ids = () => came.map((events) => events.map((event) => event.id));

test('a tap has its time and id from its moment, through a lost connection, and comes once', async () => {
  const { tap } = await opened();
  answer = () => 'lost';
  const event = tap(COOK, { kind: 'check', found: 'fork' });
  await vi.waitFor(() => expect(came.length).toBeGreaterThan(1), { timeout: 3000 });
  expect(waits()).toHaveLength(1);
  answer = () => ({ status: 200, body: { id: COOK } });
  await vi.waitFor(() => expect(waits()).toEqual([]), { timeout: 5000 });
  expect(new Set(ids().flat())).toEqual(new Set([event.id]));
  for (const events of came) expect(events[0]?.at).toBe(event.at);
  const before = came.length;
  await vi.advanceTimersByTimeAsync(20_000);
  expect(came).toHaveLength(before);
});

test('what waits when the page is closed goes on when it is opened again, in its order', async () => {
  const first = await opened();
  answer = () => 'lost';
  const one = first.tap(COOK, { kind: 'met_heat' });
  const two = first.tap(COOK, { kind: 'check', found: 'slice' });
  await vi.waitFor(() => expect(came.length).toBeGreaterThan(0));
  // Its next try is all that is under way: with the page it is gone.
  await vi.advanceTimersByTimeAsync(50);
  vi.clearAllTimers();
  vi.resetModules();
  came = [];
  answer = () => ({ status: 200, body: { id: COOK } });
  await opened();
  await vi.waitFor(() => expect(waits()).toEqual([]), { timeout: 5000 });
  expect(ids()).toEqual([[one.id, two.id]]);
});

test('one that is refused says why and waits for the cook, and holds up none after it', async () => {
  const { tap, letGo, tryAgain } = await opened();
  const refuses = (events: Sent) => events.some(({ happened }) => happened.kind === 'core_reading');
  answer = (events) =>
    refuses(events)
      ? { status: 422, body: { detail: 'celsius: 900 can’t be used', status: 422, title: '', type: '' } }
      : { status: 200, body: { id: COOK } };
  const bad = tap(COOK, { kind: 'core_reading', celsius: 900 });
  tap(COOK, { kind: 'note', text: 'x' });
  await vi.waitFor(() => expect(waits()).toMatchObject([{ refused: 'celsius: 900 can’t be used' }]), {
    timeout: 5000,
  });
  expect(ids().at(-1)).not.toContain(bad.id);
  const before = came.length;
  tryAgain();
  await vi.waitFor(() => expect(came.length).toBeGreaterThan(before));
  await vi.waitFor(() => expect(waits()).toMatchObject([{ refused: 'celsius: 900 can’t be used' }]));
  letGo({ cook: COOK, event: bad });
  expect(waits()).toEqual([]);
});
