import { ChakraProvider } from '@chakra-ui/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { useEffect, type ReactNode } from 'react';
import userEvent from '@testing-library/user-event';
import { createMemoryRouter, Route, RouterProvider, Routes } from 'react-router';
import { vi } from 'vitest';
import type { Kitchen, Schemas } from './api/client';
import { useUndoing } from './features/shell/undo';
import { system } from './theme/system';

/** What the corner of the page takes back. */
export const corner: ReturnType<typeof useUndoing> = {};

function Corner() {
  const undoing = useUndoing();
  useEffect(() => {
    Object.assign(corner, { undo: undefined, undoes: undefined }, undoing);
  });
  return null;
}

/** Renders inside what every place stands in: the theme, the queries, an address. */
export function open(place: ReactNode, at = '/') {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  // The scale is the same in every kitchen: each place may read it.
  queries.setQueryData(['scale'], scale);
  const router = createMemoryRouter([{ path: '*', element: place }], { initialEntries: [at] });
  const view = render(
    <ChakraProvider value={system}>
      <QueryClientProvider client={queries}>
        <Corner />
        <RouterProvider router={router} />
      </QueryClientProvider>
    </ChakraProvider>,
  );
  return { ...view, router, queries };
}

/** The same at a path with parts of an address in it. */
export const at = (place: ReactNode, path: string, address: string) =>
  open(
    <Routes>
      <Route path={path} element={place} />
      <Route path="*" element={<p>elsewhere</p>} />
    </Routes>,
    address,
  );

type Handler = (body: unknown) => { status?: number; body: unknown };
const nothing: Handler = () => ({
  status: 404,
  body: { status: 404, title: '', type: '', detail: 'there is no such thing' },
});

/** A kitchen that answers what a test says, by path, and remembers what it was asked. */
export function answering(first: Record<string, Handler>) {
  const answers = { ...first };
  const asked = vi.fn();
  let apart = 0;
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url).pathname;
    const text = await request.text();
    // A file that was chosen is sent as it is; here it is only seen that it is.
    const body: unknown = /^[{["]/.test(text) ? JSON.parse(text) : undefined;
    asked(path, body, request.url);
    const answer = (answers[path] ?? always[path] ?? nothing)(body);
    return new Response(answer.status === 204 ? null : JSON.stringify(answer.body), {
      status: answer.status ?? 200,
      headers: { 'content-type': 'application/json', 'kitchen-clock': `${Date.now() + apart} 1` },
    });
  });
  const bodies = (path: string) =>
    asked.mock.calls.filter((call) => call[0] === path).map((call) => call[1] as unknown);
  /** How far the kitchen's clock is from this machine's, ms. */
  const setApart = (ms: number) => {
    apart = ms;
  };
  return { answers, asked, bodies, setApart };
}

/** What every kitchen answers alike. */
const always: Record<string, Handler | undefined> = { '/api/fields': () => ({ body: fields() }) };

const frame = () => new Promise((drawn) => requestAnimationFrame(drawn));

/** Types as a hand does: the page draws itself between two keys, and a number field sets its caret as it does. */
export async function typed(field: HTMLElement, text: string) {
  const drawn = async () => {
    for (let frames = 0; frames < 3; frames++) await frame();
  };
  await userEvent.click(field);
  await drawn();
  for (const key of text) {
    await userEvent.type(field, key, { skipClick: true });
    await drawn();
  }
}

const figure = (
  name: string,
  label: string,
  unit: Schemas['FieldUnit'],
  max: number,
): Schemas['ThingField'] => ({
  name,
  label,
  how: 'Measure it inside.',
  figure: { unit, min: 2, max, step: 1 },
  choices: [],
});

const words = (name: string, label: string, ...chosen: string[]): Schemas['ThingField'] => ({
  name,
  label,
  how: 'What it is.',
  choices: chosen.map((value) => ({ value, label: value })),
});

/** What forms ask, of some kinds of thing. */
export const fields = (): Schemas['Fields'] => ({
  things: [
    {
      kind: 'oven',
      list: 'ovens',
      shelf: 'fires',
      picture: 'oven',
      word: 'oven',
      heats: true,
      usual: { width_cm: 45, fan: false },
      fields: [
        figure('width_cm', 'Shelf width', 'centimetres', 120),
        {
          ...words('fan', 'Fan'),
          choices: [
            { value: false, label: 'off' },
            { value: true, label: 'runs' },
          ],
        },
      ],
    },
    {
      kind: 'hob',
      list: 'burners',
      shelf: 'fires',
      picture: 'burner',
      word: 'burner',
      heats: true,
      usual: { watts: 1800, kind: 'gas' },
      fields: [
        figure('watts', 'Power', 'watts', 20000),
        words('kind', 'Heated by', 'gas', 'ceramic', 'induction'),
      ],
    },
    {
      kind: 'pit',
      list: 'pits',
      shelf: 'fires',
      picture: 'pit',
      word: 'pit',
      heats: true,
      usual: { width_cm: 55, holds_itself: true },
      fields: [figure('width_cm', 'Grate width', 'centimetres', 200)],
    },
    {
      kind: 'pot',
      list: 'pots',
      shelf: 'vessels',
      picture: 'pot',
      word: 'pot or dish',
      heats: false,
      usual: { diameter_cm: 26, height_cm: 13, material: 'iron' },
      fields: [
        figure('diameter_cm', 'Across', 'centimetres', 120),
        figure('width_cm', 'Width', 'centimetres', 120),
        figure('length_cm', 'Length', 'centimetres', 120),
        figure('height_cm', 'Height inside', 'centimetres', 80),
        words('material', 'Made of', 'iron', 'steel', 'aluminium', 'ceramic', 'glass'),
      ],
    },
  ],
  methods: [
    { method: 'braise', label: 'braise' },
    { method: 'stew', label: 'stew' },
    { method: 'smoke', label: 'smoke' },
  ],
  lanes: (['oven', 'hob', 'cold', 'board', 'hands'] as const).map((lane) => ({ lane, label: lane })),
});

/** A kitchen with what the tests use of it: of any other kind of thing it has none. */
export const kitchen = (over: Partial<Kitchen> = {}) =>
  ({
    name: 'Lodge galley',
    zone: 'UTC',
    food_code: 'usual',
    kept: [],
    altitude_m: 210,
    room_c: 20,
    units: 'metric',
    as_it_came: false,
    certainty: 0.9,
    hands: [{ id: 'hands_1', name: 'The cook', lent: false, measures: {} }],
    ovens: [{ id: 'oven_1', name: 'The oven', lent: false, measures: { width_cm: 45, fan: false } }],
    burners: [{ id: 'burner_1', name: 'Large burner', lent: false, measures: { watts: 1800, kind: 'gas' } }],
    pots: [{ id: 'pot_1', name: 'Blue pot', lent: false, measures: { diameter_cm: 26, height_cm: 13 } }],
    pans: [{ id: 'pan_1', name: 'Black pan', lent: false, measures: { diameter_cm: 28, material: 'iron' } }],
    pressure_pots: [],
    slow_cookers: [],
    pits: [],
    baths: [],
    coals: [],
    probes: [],
    asleep: [],
    prices: {},
    ...over,
  }) as Kitchen;

/** The kitchen as it is answered. */
export const kitchenView = (over: Partial<Kitchen> = {}): Schemas['KitchenView'] => ({
  version: 1,
  kitchen: kitchen(over),
});

export const task = (over: Partial<Schemas['Task']> = {}): Schemas['Task'] => ({
  id: 'braise',
  dish: 'Lake-ice shin',
  what: 'Into the oven at 150 °C, lid on tight',
  why: 'even heat from all sides',
  kind: 'braise',
  lane: 'oven',
  start: '2027-02-06T12:00:00Z',
  end: '2027-02-06T15:00:00Z',
  hands_on: false,
  after: [],
  cautions: [],
  pours_l: 0,
  ledger: [],
  ...over,
});

const band = (p10: string, p50: string, p90: string): Schemas['Ready'] => ({
  dish: 'Lake-ice shin',
  p10: `2027-02-06T${p10}:00Z`,
  p50: `2027-02-06T${p50}:00Z`,
  p90: `2027-02-06T${p90}:00Z`,
  chance: 0.92,
});

/** The scale from firm to spoon, as the kitchen answers it. */
export const scale: Schemas['Mark'][] = (
  [
    ['firm', 0, 1.1],
    ['slice', 1.1, 1.6],
    ['fork', 1.6, 2.2],
    ['probe', 2.2, 2.6],
    ['pull', 2.6, 4],
    ['spoon', 4, 6],
  ] as const
).map(([check, from, to]) => ({ check, words: check, from, to }));

/** A plan with every field. */
export const plan = (over: Partial<Schemas['PlanInFull']> = {}): Schemas['PlanInFull'] => ({
  name: 'Lake-ice shin',
  people: 8,
  serve_at: '2027-02-06T16:30:00Z',
  forecast: { cut: 'shin', mass_kg: 2.4, method: 'braise' },
  prepare: {
    trim: 'usual',
    sinew_in_pot: false,
    strings: 0,
    pierced: false,
    salt_h: 12,
    salt_pct: 1.25,
    crystal: 'fine',
    rinse: false,
    clear: false,
    temper_min: 0,
    day_before: false,
    surface: 'patted',
    sear: 'hard',
    sear_in: 'pan',
    flour: false,
    sugared: false,
    base: 'unsalted_stock',
    wine: 'halved',
    ingredients: [],
    wood: 'oak',
    later: [],
  },
  uses: {},
  target: 'coat',
  thickener: 'cornflour',
  sides: [],
  pins: [],
  laid: [],
  notes: '',
  ...over,
});

export const event = (
  id: string,
  at: string,
  happened: Schemas['HappenedInFull'],
  words: string,
  undone_by?: string,
): Schemas['LogLine'] => ({
  event: { id, at, happened },
  at,
  corrected: false,
  undone: undone_by !== undefined,
  undone_by,
  words,
  name: `the ${words}`,
});

/** What a sauce is worked out from. */
export const sauceFrom: Schemas['SauceRequestInFull'] = {
  liquid_l: 1.2,
  fat_l: 0.04,
  salt_g: 6,
  gelatin_g: 30,
  vessel: { diameter_cm: 26, height_cm: 13 },
  hob_w: 1800,
  hob_kind: 'gas',
  skim: 'ladle',
  taste: 'right',
  target: 'coat',
  thickener: 'cornflour',
  share: 1,
  meat_kg: 1.1,
  meat_salt_g: 5,
  dredged_flour_g: 0,
  bitter: false,
  done: [],
};

/** A cook under way, to be changed by each test. */
export function cook(view: Partial<Schemas['CookView']> = {}): Schemas['CookAnswer'] {
  const bands = { ready: band('14:30', '15:00', '15:40'), overcooked: band('19:00', '20:00', '21:00') };
  return {
    id: '00000000-0000-4000-8000-000000000002',
    plan_id: '00000000-0000-4000-8000-000000000001',
    plan: plan(),
    opened_at: '2027-02-05T12:00:00Z',
    now: '2027-02-06T13:00:00Z',
    view: {
      status: 'under_way',
      heat_on_at: '2027-02-06T12:00:00Z',
      planned_heat_on_at: '2027-02-06T12:00:00Z',
      tasks: [{ task: task(), state: 'open', taken: [], taken_words: '' }],
      now_task: 'braise',
      next_task: null,
      now: {
        task: 'braise',
        act: 'Leave it: oven at 150 °C, lid on tight',
        waits: true,
        from: '2027-02-06T12:00:00Z',
        until: '2027-02-06T15:00:00Z',
        actions: [],
      },
      asks: {
        ways: (['fork', 'bite'] as const).map((by) => ({
          by,
          words: by,
          finds: scale.map(({ check, words }) => ({
            id: check,
            words: `${by}: ${words}`,
            happened: { kind: 'check' as const, found: check, by },
          })),
        })),
        lids: [],
        taste: [],
        measures: true,
        liquid: true,
      },
      sauce: sauceFrom,
      take_out: [],
      learned: { known: {}, words: [] },
      band: bands,
      predicted: bands,
      tender_at: null,
      lift_at: '2027-02-06T15:55:00Z',
      served_at: '2027-02-06T16:30:00Z',
      late_min: 0,
      tenderness: [0.4, 0.5, 0.6],
      goal: [1.6, 4.5],
      findings: 0,
      effective: 1000,
      surprising: false,
      words: '92 in 100 such pieces are tender in time.',
      pot: {
        liquid_l: 1.2,
        fat_l: 0.04,
        salt_g: 6,
        salt_doubt_g: 1,
        gelatin_g: 30,
        meat_kg: 1.1,
        meat_salt_g: 5,
        dredged_flour_g: 0,
        tonight: 1,
      },
      moved: [],
      moved_words: '',
      course: [],
      lift_out: [],
      probes: [],
      alarms: [],
      serve_at: '2027-02-06T16:30:00Z',
      log: [],
      outcome: null,
      prediction: { predicted_min: [150, 180, 220], took_min: null, quicker: null, words: 'Half by 3 h.' },
      ...view,
    },
  };
}

/** What the log shows of a cook. */
export function summary(view: Partial<Schemas['CookView']> = {}): Schemas['CookSummary'] {
  const { id, plan_id, plan, opened_at, view: shown } = cook(view);
  return {
    id,
    plan_id,
    name: plan.name,
    people: plan.people,
    serve_at: plan.serve_at,
    cut: plan.forecast.cut,
    mass_kg: plan.forecast.mass_kg,
    opened_at,
    status: shown.status,
    heat_on_at: shown.heat_on_at,
    outcome: shown.outcome,
    reckoned: {
      planned_heat_on_at: shown.planned_heat_on_at,
      band: shown.band,
      predicted: shown.predicted,
      tender_at: shown.tender_at,
      prediction: shown.prediction,
      learned: shown.learned.words,
    },
  };
}

/** A cook's line in the list of all. */
export function line(view: Partial<Schemas['CookView']> = {}): Schemas['CookLine'] {
  const { id, plan_id, name, serve_at, opened_at, status } = summary(view);
  return { id, plan_id, name, serve_at, opened_at, status };
}

export const broken = (id: string, name: string): Schemas['CookLine'] => ({
  ...line({ status: 'closed' }),
  id,
  name,
  broken: 'forecast: this heat can’t be used',
});

/** A pot of thin liquid before anything is done to it. */
export const stand = (over: Partial<Schemas['Stand']> = {}): Schemas['Stand'] => ({
  at_min: 0,
  liquid_l: 1.2,
  level_mm: 22,
  fat_l: 0.1,
  fat_mm: 2,
  salt_g_per_kg: 5,
  gelatin_pct: 2.5,
  body: 0.3,
  spoon: 'runs',
  aside_l: 0,
  edge_l: 0.5,
  ...over,
});
