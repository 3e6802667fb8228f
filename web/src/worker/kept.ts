/** The header that an answer from what is kept carries: when the kitchen gave it, ms since 1970 by this device's clock. */
export const KEPT_AT = 'kitchen-kept';
/** Who waits longer for the kitchen gets what is kept. */
const WAIT_MS = 8000;
/** So many answers are kept, those of longest ago are let go. */
const MAX = 150;

const LISTS = [
  'now',
  'screen',
  'kitchen',
  'larder',
  'safety',
  'scale',
  'cuts',
  'cooks',
  'plans',
  'meals',
  'probes',
];
const id = '[0-9a-z-]+';
const KEPT = new RegExp(
  `^/api/(${LISTS.join('|')}|cooks/${id}(/(what-if|gone-wrong|afterwards))?|plans/${id}|meals/${id})$`,
);

/** Whether what an address answers is worth keeping: the running cooks, what they were planned from, and what is needed to show them. */
export const isKept = (path: string) => KEPT.test(path);

type Cache = Pick<globalThis.Cache, 'match' | 'put' | 'keys' | 'delete'>;

const marked = async (answer: Response, at: number) => {
  const headers = new Headers(answer.headers);
  headers.set(KEPT_AT, String(at));
  // The hour it was then must not set anybody's clock.
  headers.delete('kitchen-clock');
  headers.delete('kitchen-build');
  return new Response(await answer.blob(), { status: answer.status, headers });
};

/** Answers of the kitchen, or what it answered last where it does not answer. */
export function networkOrKept(open: () => Promise<Cache>, ask: typeof fetch = (input) => fetch(input)) {
  const keep = async (request: Request, answer: Response, at: number) => {
    const cache = await open();
    await cache.put(request, await marked(answer, at));
    const all = await cache.keys();
    for (const old of all.slice(0, Math.max(0, all.length - MAX))) await cache.delete(old);
  };
  return async (request: Request, now: number): Promise<Response> => {
    const answering = ask(request).then(async (answer) => {
      // Kept before it is handed on: a device that is put into a pocket has it.
      if (answer.ok) await keep(request, answer.clone(), now).catch(() => undefined);
      return answer;
    });
    const last = async () => (await open()).match(request);
    const late = new Promise<undefined>((resolve) => setTimeout(() => resolve(undefined), WAIT_MS));
    try {
      const answer = await Promise.race([answering, late]);
      if (answer) return answer;
      return (await last()) ?? (await answering);
    } catch (fault) {
      const before = await last();
      if (before) return before;
      throw fault;
    }
  };
}
