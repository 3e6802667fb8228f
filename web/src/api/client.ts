import createClient from 'openapi-fetch';
import type { Readable } from 'openapi-typescript-helpers';
import type { components, paths } from './generated';
import { answered, unanswered } from './reach';
import { setRole } from './role';

export type Schemas = components['schemas'];
/** The kitchen as it is answered: with every field. */
export type Kitchen = Schemas['KitchenInFull'];

/** A refused or failed request, with the field it names. */
export class ApiFault extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly field?: string,
    /** The kitchen asks not to be asked again before, ms. */
    readonly retryAfterMs?: number,
  ) {
    super(message);
  }
}

/** Told to the window when the kitchen could not keep something, or could not be read. */
export const NOT_KEPT = 'ergastic-not-kept';

/** What the kitchen's clock showed (ms) when this machine's showed `since`, and how many times as fast it runs. */
let told = { shown: 0, since: 0, speed: 1 };
/** Where that is kept, for a page that is opened while the kitchen does not answer. */
const CLOCK = 'ergastic-clock';

try {
  const kept = localStorage.getItem(CLOCK);
  // It was written below.
  if (kept) told = JSON.parse(kept) as typeof told;
} catch {
  // It goes by this machine's until the kitchen tells its own.
}

/** The kitchen's clock in ms: as its answers tell it, going on by itself between them. */
export const kitchenNow = () => told.shown + (Date.now() - told.since) * told.speed;

/** How many times as fast as this machine's it runs: more than once only where a cook is tried out. */
export const kitchenSpeed = () => told.speed;

async function ask(request: Request): Promise<Response> {
  const aborted = () => request.signal.aborted;
  const response = await globalThis.fetch(request).catch((fault: unknown) => {
    // What is no longer waited for says nothing of the kitchen.
    if (!aborted()) unanswered();
    throw fault;
  });
  answered(response);
  const [shown, speed] = (response.headers.get('kitchen-clock') ?? '').split(' ').map(Number);
  if (shown && speed) {
    const here = Date.now();
    // Two clocks of one machine differ by the time the answer took, which is no difference.
    const same = speed === 1 && Math.abs(shown - here) < 2000;
    const next = same ? { shown: 0, since: 0, speed: 1 } : { shown, since: here, speed };
    try {
      if (!same || told.shown !== 0) localStorage.setItem(CLOCK, JSON.stringify(next));
    } catch {
      // A browser that keeps nothing asks again.
    }
    told = next;
  }
  return response;
}

const client = createClient<paths>({ baseUrl: globalThis.location.origin, fetch: ask });

/** What an address answers when all is well. */
type Good<P extends keyof paths, M extends keyof paths[P]> = paths[P][M] extends {
  responses: { 200: { content: { 'application/json': infer T } } };
}
  ? T
  : undefined;

type Answer<T> = { data?: T; error?: unknown; response: Response };

/**
 * The data of an answer, or its problem as a fault. The client's own type of an answer makes lists of its tuples; what the
 * document says of the address is what it is.
 */
async function unwrap<P extends keyof paths, M extends keyof paths[P]>(
  asked: Promise<Answer<Readable<Good<P, M>>>>,
): Promise<Good<P, M>> {
  let answer: Answer<Readable<Good<P, M>>>;
  try {
    answer = await asked;
  } catch {
    throw new ApiFault('The kitchen does not answer. Is Ergastic still running? What you typed is kept.', 0);
  }
  if (answer.error !== undefined || !answer.response.ok) {
    if (answer.response.status >= 500) window.dispatchEvent(new Event(NOT_KEPT));
    const problem = (answer.error ?? {}) as Partial<Schemas['ProblemDetails']>;
    throw new ApiFault(
      problem.detail ?? `The kitchen answered ${answer.response.status}.`,
      answer.response.status,
      problem.field ?? undefined,
      1000 * Number(answer.response.headers.get('retry-after')) || undefined,
    );
  }
  return answer.data as Good<P, M>;
}

/** A browser sends no more than this after its page is left, bytes, of all that is on its way together. */
const AFTER_LEAVING = 60_000;

/** A body that is sent even when the page is left in the same moment, where a browser does that for its size. */
const lasting = <T>(body: T) => ({
  body,
  keepalive: new Blob([JSON.stringify(body)]).size < AFTER_LEAVING,
});

const asItIs = (file: Blob) => ({
  body: file as unknown as Schemas['KitchenFile'],
  bodySerializer: () => file,
  headers: { 'Content-Type': 'application/json' },
});

export const api = {
  scale: () => unwrap<'/api/scale', 'get'>(client.GET('/api/scale')),
  cuts: () => unwrap<'/api/cuts', 'get'>(client.GET('/api/cuts')),
  kitchen: () => unwrap<'/api/kitchen', 'get'>(client.GET('/api/kitchen')),
  saveKitchen: (version: number, kitchen: Kitchen, over_damaged = false) =>
    unwrap<'/api/kitchen', 'put'>(client.PUT('/api/kitchen', lasting({ version, kitchen, over_damaged }))),
  kitchenVersions: () => unwrap<'/api/kitchen/versions', 'get'>(client.GET('/api/kitchen/versions')),
  kitchenVersion: (version: number) =>
    unwrap<'/api/kitchen/versions/{version}', 'get'>(
      client.GET('/api/kitchen/versions/{version}', { params: { path: { version } } }),
    ),
  match: (request: Schemas['MatchRequest'], signal?: AbortSignal) =>
    unwrap<'/api/match', 'post'>(client.POST('/api/match', { body: request, signal })),
  overview: () => unwrap<'/api/match/overview', 'get'>(client.GET('/api/match/overview')),
  sauce: (request: Schemas['SauceRequest'], signal: AbortSignal) =>
    unwrap<'/api/sauce', 'post'>(client.POST('/api/sauce', { body: request, signal })),
  bench: (plan: Schemas['Plan']) =>
    unwrap<'/api/prepare/plan', 'post'>(client.POST('/api/prepare/plan', { body: plan })),
  forPeople: (people: number, plan: Schemas['Plan']) =>
    unwrap<'/api/prepare/people', 'post'>(client.POST('/api/prepare/people', { body: { people, plan } })),
  whyOf: (kind: 'plan' | 'cook', id: string, signal: AbortSignal) =>
    kind === 'plan'
      ? unwrap<'/api/plans/{id}/why', 'get'>(
          client.GET('/api/plans/{id}/why', { params: { path: { id } }, signal }),
        )
      : unwrap<'/api/cooks/{id}/why', 'get'>(
          client.GET('/api/cooks/{id}/why', { params: { path: { id } }, signal }),
        ),
  whyPlan: (plan: Schemas['Plan'], signal: AbortSignal) =>
    unwrap<'/api/why/plan', 'post'>(client.POST('/api/why/plan', { body: plan, signal })),
  why: (request: Schemas['ForecastRequest'], signal: AbortSignal) =>
    unwrap<'/api/why', 'post'>(client.POST('/api/why', { body: request, signal })),
  inside: (plan: Schemas['Plan'], signal: AbortSignal) =>
    unwrap<'/api/why/inside', 'post'>(client.POST('/api/why/inside', { body: plan, signal })),
  device: async () => {
    const device = await unwrap<'/api/device', 'get'>(client.GET('/api/device'));
    setRole(device.role);
    return device;
  },
  signIn: (asked: Schemas['SignIn']) =>
    unwrap<'/api/device', 'post'>(client.POST('/api/device', { body: asked })),
  signOut: () => unwrap<'/api/device', 'delete'>(client.DELETE('/api/device')),
  devices: () => unwrap<'/api/devices', 'get'>(client.GET('/api/devices')),
  signOneOut: (id: string) =>
    unwrap<'/api/devices/{id}', 'delete'>(client.DELETE('/api/devices/{id}', { params: { path: { id } } })),
  signAllOut: () => unwrap<'/api/devices', 'delete'>(client.DELETE('/api/devices')),
  invite: (role: Schemas['DeviceRole']) =>
    unwrap<'/api/invitations', 'post'>(client.POST('/api/invitations', { body: { role } })),
  makeKey: (name: string) =>
    unwrap<'/api/probe-keys', 'post'>(client.POST('/api/probe-keys', { body: { name } })),
  revokeKey: (id: string) =>
    unwrap<'/api/probe-keys/{id}', 'delete'>(
      client.DELETE('/api/probe-keys/{id}', { params: { path: { id } } }),
    ),
  setPassphrase: (asked: Schemas['NewPassphrase']) =>
    unwrap<'/api/passphrase', 'put'>(client.PUT('/api/passphrase', { body: asked })),
  fields: () => unwrap<'/api/fields', 'get'>(client.GET('/api/fields')),
  larder: () => unwrap<'/api/larder', 'get'>(client.GET('/api/larder')),
  versions: (id: string) =>
    unwrap<'/api/plans/{id}/versions', 'get'>(
      client.GET('/api/plans/{id}/versions', { params: { path: { id } } }),
    ),
  version: (id: string, version: number) =>
    unwrap<'/api/plans/{id}/versions/{version}', 'get'>(
      client.GET('/api/plans/{id}/versions/{version}', { params: { path: { id, version } } }),
    ),
  meals: () => unwrap<'/api/meals', 'get'>(client.GET('/api/meals')),
  meal: (id: string) =>
    unwrap<'/api/meals/{id}', 'get'>(client.GET('/api/meals/{id}', { params: { path: { id } } })),
  tellCalendar: (id: string) =>
    unwrap<'/api/meals/{id}/told', 'post'>(
      client.POST('/api/meals/{id}/told', { params: { path: { id } } }),
    ).catch(() => undefined),
  readRecipe: (recipe: Schemas['RecipeFile']['recipe']) =>
    unwrap<'/api/recipes/read', 'post'>(client.POST('/api/recipes/read', { body: { recipe } })),
  bringDish: (id: string, plan_id: string) =>
    unwrap<'/api/meals/{id}/dishes/{plan_id}', 'put'>(
      client.PUT('/api/meals/{id}/dishes/{plan_id}', { params: { path: { id, plan_id } } }),
    ),
  tryMeal: (id: string, pin: Schemas['Pin']) =>
    unwrap<'/api/meals/{id}/tried', 'post'>(
      client.POST('/api/meals/{id}/tried', { params: { path: { id } }, body: pin }),
    ),
  plans: () => unwrap<'/api/plans', 'get'>(client.GET('/api/plans')),
  plan: (id: string) =>
    unwrap<'/api/plans/{id}', 'get'>(client.GET('/api/plans/{id}', { params: { path: { id } } })),
  savePlan: (id: string, version: number, plan: Schemas['Plan']) =>
    unwrap<'/api/plans/{id}', 'put'>(
      client.PUT('/api/plans/{id}', { params: { path: { id } }, ...lasting({ version, plan }) }),
    ),
  cooks: () => unwrap<'/api/cooks', 'get'>(client.GET('/api/cooks')),
  log: (from: number, count: number) =>
    unwrap<'/api/log', 'get'>(client.GET('/api/log', { params: { query: { from, count } } })),
  cook: (id: string) =>
    unwrap<'/api/cooks/{id}', 'get'>(client.GET('/api/cooks/{id}', { params: { path: { id } } })),
  openCook: (id: string, plan_id: string) =>
    unwrap<'/api/cooks/{id}', 'put'>(
      client.PUT('/api/cooks/{id}', { params: { path: { id } }, body: { plan_id } }),
    ),
  /** Every dish on the heat, what rings, and the hand-over. */
  now: () => unwrap<'/api/now', 'get'>(client.GET('/api/now')),
  whatIf: (id: string) =>
    unwrap<'/api/cooks/{id}/what-if', 'get'>(
      client.GET('/api/cooks/{id}/what-if', { params: { path: { id } } }),
    ),
  goneWrong: (id: string) =>
    unwrap<'/api/cooks/{id}/gone-wrong', 'get'>(
      client.GET('/api/cooks/{id}/gone-wrong', { params: { path: { id } } }),
    ),
  /** What comes after its sauce. */
  afterwards: (id: string) =>
    unwrap<'/api/cooks/{id}/afterwards', 'get'>(
      client.GET('/api/cooks/{id}/afterwards', { params: { path: { id } } }),
    ),
  safety: () => unwrap<'/api/safety', 'get'>(client.GET('/api/safety')),
  probes: () => unwrap<'/api/probes', 'get'>(client.GET('/api/probes')),
  readLogger: (text: string) =>
    unwrap<'/api/loggers/read', 'post'>(client.POST('/api/loggers/read', { body: { text } })),
  importLogger: (body: Schemas['LoggerImport']) =>
    unwrap<'/api/loggers/import', 'post'>(client.POST('/api/loggers/import', { body })),
  append: (id: string, events: Schemas['Event'][]) =>
    unwrap<'/api/cooks/{id}/events', 'post'>(
      client.POST('/api/cooks/{id}/events', { params: { path: { id } }, ...lasting(events) }),
    ),
  health: async (): Promise<Schemas['Health']> => {
    const { data, error } = await client.GET('/api/health');
    // That nothing can be kept is an answer too.
    if (data) return data;
    if ('database_bytes' in error) return error;
    throw new ApiFault(error.detail, error.status);
  },
  bin: () => unwrap<'/api/trash', 'get'>(client.GET('/api/trash')),
  emptyTrash: () => unwrap<'/api/trash', 'delete'>(client.DELETE('/api/trash')),
  putAway: (kind: Schemas['DeletedKind'], id: string) =>
    kind === 'plan'
      ? unwrap<'/api/plans/{id}', 'delete'>(client.DELETE('/api/plans/{id}', { params: { path: { id } } }))
      : unwrap<'/api/cooks/{id}', 'delete'>(client.DELETE('/api/cooks/{id}', { params: { path: { id } } })),
  takeOut: (kind: Schemas['DeletedKind'], id: string) =>
    kind === 'plan'
      ? unwrap<'/api/trash/plans/{id}', 'delete'>(
          client.DELETE('/api/trash/plans/{id}', { params: { path: { id } } }),
        )
      : unwrap<'/api/trash/cooks/{id}', 'delete'>(
          client.DELETE('/api/trash/cooks/{id}', { params: { path: { id } } }),
        ),
  /** Sends a kitchen file as it is, from the disk: it may be far larger than what fits in memory. */
  importPreview: (file: Blob) =>
    unwrap<'/api/import/preview', 'post'>(client.POST('/api/import/preview', asItIs(file))),
  importKitchen: (file: Blob) => unwrap<'/api/import', 'post'>(client.POST('/api/import', asItIs(file))),
};
