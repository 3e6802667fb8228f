import createClient from 'openapi-fetch';
import type { components, paths } from './generated';

export type Schemas = components['schemas'];
/** The kitchen as it is answered: with every field. */
export type Kitchen = Required<Schemas['Kitchen']>;

/** A refused or failed request, with the field it names. */
export class ApiFault extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly field?: string,
  ) {
    super(message);
  }
}

/** Told to the window when the kitchen could not keep something, or could not be read. */
export const NOT_KEPT = 'ergastic-not-kept';

let aheadMs = 0;

/** The kitchen's clock in ms: this machine's, put right by what the kitchen's answers say. */
export const kitchenNow = () => Date.now() + aheadMs;

async function ask(request: Request): Promise<Response> {
  const response = await globalThis.fetch(request);
  // The header counts whole seconds; less than two is no difference.
  const apart = Date.parse(response.headers.get('date') ?? '') - Date.now();
  if (Number.isFinite(apart)) aheadMs = Math.abs(apart) < 2000 ? 0 : apart;
  return response;
}

const client = createClient<paths>({ baseUrl: globalThis.location.origin, fetch: ask });

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The data of an answer, or its problem as a fault. */
async function unwrap<T>(asked: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await asked;
  } catch {
    throw new ApiFault('The kitchen does not answer. Is Ergastic still running? What you typed is kept.', 0);
  }
  if (answer.error !== undefined || !answer.response.ok) {
    if (answer.response.status >= 500) window.dispatchEvent(new Event(NOT_KEPT));
    const problem = (answer.error ?? {}) as Partial<Schemas['Problem']>;
    throw new ApiFault(
      problem.detail ?? `The kitchen answered ${answer.response.status}.`,
      answer.response.status,
      problem.field ?? undefined,
    );
  }
  return answer.data as T;
}

const asItIs = (file: Blob) => ({
  body: file as unknown as Schemas['KitchenFile'],
  bodySerializer: () => file,
  headers: { 'Content-Type': 'application/json' },
});

export const api = {
  cuts: () => unwrap(client.GET('/api/cuts')),
  kitchen: () => unwrap(client.GET('/api/kitchen')) as Promise<Kitchen>,
  saveKitchen: (kitchen: Kitchen) =>
    unwrap(client.PUT('/api/kitchen', { body: kitchen })) as Promise<Kitchen>,
  forecast: (request: Schemas['ForecastRequest'], signal?: AbortSignal) =>
    unwrap(client.POST('/api/forecast', { body: request, signal })),
  match: (request: Schemas['MatchRequest'], signal?: AbortSignal) =>
    unwrap(client.POST('/api/match', { body: request, signal })),
  overview: () => unwrap(client.GET('/api/match/overview')),
  sauce: (request: Schemas['SauceRequest'], signal: AbortSignal) =>
    unwrap(client.POST('/api/sauce', { body: request, signal })),
  bench: (plan: Schemas['Plan']) => unwrap(client.POST('/api/prepare/plan', { body: plan })),
  larder: () => unwrap(client.GET('/api/larder')),
  versions: (id: string) => unwrap(client.GET('/api/plans/{id}/versions', { params: { path: { id } } })),
  version: (id: string, version: number) =>
    unwrap(client.GET('/api/plans/{id}/versions/{version}', { params: { path: { id, version } } })),
  preview: (plan: Schemas['Plan'], signal: AbortSignal) =>
    unwrap(client.POST('/api/sheet/preview', { body: plan, signal })),
  plans: () => unwrap(client.GET('/api/plans')),
  plan: (id: string) => unwrap(client.GET('/api/plans/{id}', { params: { path: { id } } })),
  sheet: (id: string) => unwrap(client.GET('/api/plans/{id}/sheet', { params: { path: { id } } })),
  savePlan: (id: string, version: number, plan: Schemas['Plan']) =>
    // What was changed last is stored even when the page is left in the same moment.
    unwrap(
      client.PUT('/api/plans/{id}', { params: { path: { id } }, body: { version, plan }, keepalive: true }),
    ),
  cooks: () => unwrap(client.GET('/api/cooks')),
  log: (count: number) => unwrap(client.GET('/api/log', { params: { query: { count } } })),
  cook: (id: string) => unwrap(client.GET('/api/cooks/{id}', { params: { path: { id } } })),
  openCook: (id: string, plan_id: string) =>
    unwrap(client.PUT('/api/cooks/{id}', { params: { path: { id } }, body: { plan_id } })),
  append: (id: string, events: Schemas['Event'][]) =>
    unwrap(client.POST('/api/cooks/{id}/events', { params: { path: { id } }, body: events })),
  health: async (): Promise<Schemas['Health']> => {
    const { data, error } = await client.GET('/api/health');
    // That nothing can be kept is an answer too.
    if (data) return data;
    if ('database_bytes' in error) return error;
    throw new ApiFault(error.detail, error.status);
  },
  bin: () => unwrap(client.GET('/api/bin')),
  emptyBin: () => unwrap(client.DELETE('/api/bin')),
  putAway: (kind: Schemas['BinnedKind'], id: string) =>
    unwrap(
      kind === 'plan'
        ? client.DELETE('/api/plans/{id}', { params: { path: { id } } })
        : client.DELETE('/api/cooks/{id}', { params: { path: { id } } }),
    ),
  takeOut: (kind: Schemas['BinnedKind'], id: string) =>
    unwrap(
      kind === 'plan'
        ? client.DELETE('/api/bin/plans/{id}', { params: { path: { id } } })
        : client.DELETE('/api/bin/cooks/{id}', { params: { path: { id } } }),
    ),
  /** Sends a kitchen file as it is, from the disk: it may be far larger than what fits in memory. */
  importPreview: (file: Blob) => unwrap(client.POST('/api/import/preview', asItIs(file))),
  importKitchen: (file: Blob) => unwrap(client.POST('/api/import', asItIs(file))),
};
