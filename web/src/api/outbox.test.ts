import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Schemas } from './client';

const COOK = '00000000-0000-4000-8000-000000000002';
type Sent = Schemas['Event'][];

/** What came to the kitchen, and how it answers the next. */
let came: Sent[];
let answer: (events: Sent) => { status: number; body: unknown; after?: string } | 'lost';

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
      headers: {
        'content-type': 'application/json',
        ...(answered.after && { 'retry-after': answered.after }),
      },
    });
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** The page as it is opened anew, with what waits from before. */
const opened = async () => {
  (await import('./role')).setRole('cook');
  return import('./outbox');
};
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
  const one = first.tap(COOK, { kind: 'on_the_heat' });
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
  void tryAgain();
  await vi.waitFor(() => expect(came.length).toBeGreaterThan(before));
  await vi.waitFor(() => expect(waits()).toMatchObject([{ refused: 'celsius: 900 can’t be used' }]));
  letGo({ cook: COOK, event: bad });
  expect(waits()).toEqual([]);
});

test('where the browser keeps nothing a tap still comes, and says that it must not be left', async () => {
  const { tap } = await opened();
  const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  answer = () => 'lost';
  const { renderHook } = await import('@testing-library/react');
  const { useOutbox } = await opened();
  const { result } = renderHook(() => useOutbox());
  const event = tap(COOK, { kind: 'check', found: 'fork' });
  await vi.waitFor(() =>
    expect(result.current).toMatchObject([{ unwritten: true, event: { id: event.id } }]),
  );
  answer = () => ({ status: 200, body: { id: COOK } });
  await vi.waitFor(() => expect(result.current).toEqual([]), { timeout: 5000 });
  expect(ids().at(-1)).toEqual([event.id]);
  full.mockRestore();
});

test.each([401, 408, 409, 429, 500, 503, 507])(
  'a %i is no refusal: it goes by itself later',
  async (status) => {
    const { tap } = await opened();
    answer = () => ({ status, body: { detail: 'later', status, title: '', type: '' }, after: '3' });
    const event = tap(COOK, { kind: 'check', found: 'fork' });
    await vi.waitFor(() => expect(came).toHaveLength(1));
    answer = () => ({ status: 200, body: { id: COOK } });
    await vi.advanceTimersByTimeAsync(2500);
    expect(came, 'the kitchen asked for three seconds').toHaveLength(1);
    expect(waits()).toMatchObject([{ event: { id: event.id } }]);
    expect(waits()[0]?.refused).toBeUndefined();
    await vi.waitFor(() => expect(waits()).toEqual([]), { timeout: 5000 });
    expect(new Set(ids().flat())).toEqual(new Set([event.id]));
  },
);

test('a finger that bounces and a key that is held are one tap; what is done again later is another', async () => {
  const { tap } = await opened();
  const first = tap(COOK, { kind: 'on_the_heat' });
  for (let held = 0; held < 20; held += 1) {
    await vi.advanceTimersByTimeAsync(100);
    expect(tap(COOK, { kind: 'on_the_heat' }).id).toBe(first.id);
  }
  expect(tap(COOK, { kind: 'note', text: 'x' }).id).not.toBe(first.id);
  await vi.advanceTimersByTimeAsync(1000);
  expect(tap(COOK, { kind: 'on_the_heat' }).id).not.toBe(first.id);
  await vi.waitFor(() => expect(waits()).toEqual([]), { timeout: 5000 });
  expect(new Set(ids().flat()).size).toBe(3);
});

test('a device that only looks taps nothing', async () => {
  const { tap } = await opened();
  const { setRole } = await import('./role');
  setRole('look');
  tap(COOK, { kind: 'on_the_heat' });
  await vi.advanceTimersByTimeAsync(5000);
  expect([came, waits()]).toEqual([[], []]);
});
