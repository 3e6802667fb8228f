import { describe, expect, it } from 'vitest';
import { isKept, KEPT_AT, networkOrKept } from './kept';

/** A cache as a browser has it, in memory. */
function cache() {
  const kept = new Map<string, Response>();
  const url = (request: RequestInfo | URL) => (request instanceof Request ? request.url : String(request));
  return {
    kept,
    match: (request: RequestInfo | URL) => Promise.resolve(kept.get(url(request))?.clone()),
    put: (request: RequestInfo | URL, answer: Response) => {
      kept.delete(url(request));
      kept.set(url(request), answer);
      return Promise.resolve();
    },
    keys: () => Promise.resolve([...kept.keys()].map((one) => new Request(one))),
    delete: (request: RequestInfo | URL) => Promise.resolve(kept.delete(url(request))),
  };
}

const asked = (path: string) => new Request(`http://kitchen.test${path}`);
const answers = (body: string, status = 200) =>
  new Response(body, { status, headers: { 'kitchen-clock': '5 1', 'content-type': 'application/json' } });

describe('what is kept for when the kitchen does not answer', () => {
  it('is the running cooks and what they were planned from, and never the stream, a file or who may enter', () => {
    for (const path of [
      '/api/now',
      '/api/cooks',
      '/api/cooks/00-a',
      '/api/cooks/00-a/what-if',
      '/api/plans/7',
      '/api/meals/ice-fishers',
    ])
      expect(isKept(path), path).toBe(true);
    for (const path of [
      '/api/events',
      '/api/export',
      '/api/devices',
      '/api/health',
      '/api/probes/pit/readings',
      '/api/invitations',
    ])
      expect(isKept(path), path).toBe(false);
  });

  it('is answered with its hour when nothing else is, and sets no clock', async () => {
    const store = cache();
    let there = true;
    const ask = networkOrKept(
      () => Promise.resolve(store),
      () => (there ? Promise.resolve(answers('now')) : Promise.reject(new TypeError('no network'))),
    );
    const first = await ask(asked('/api/now'), 1000);
    expect(first.headers.get(KEPT_AT)).toBeNull();
    expect(first.headers.get('kitchen-clock')).toBe('5 1');
    there = false;
    const kept = await ask(asked('/api/now'), 9000);
    expect(await kept.text()).toBe('now');
    expect(kept.headers.get(KEPT_AT)).toBe('1000');
    expect(kept.headers.get('kitchen-clock')).toBeNull();
    await expect(ask(asked('/api/cooks'), 9000)).rejects.toThrow('no network');
  });

  it('is not what was refused, and not more than there is room for', async () => {
    const store = cache();
    let status = 401;
    const ask = networkOrKept(
      () => Promise.resolve(store),
      () => Promise.resolve(answers('x', status)),
    );
    await ask(asked('/api/now'), 1);
    expect(store.kept.size).toBe(0);
    status = 200;
    for (let i = 0; i < 200; i += 1) await ask(asked(`/api/cooks/${i}`), i);
    expect(store.kept.size).toBe(150);
    expect(store.kept.has('http://kitchen.test/api/cooks/0')).toBe(false);
    expect(store.kept.has('http://kitchen.test/api/cooks/199')).toBe(true);
  });
});
