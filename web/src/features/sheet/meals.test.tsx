import { act, fireEvent, renderHook, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { api, type Schemas } from '../../api/client';
import { corner, kitchenView, open, plan, task, typed } from '../../test-kitchen';
import { MealPlace } from './MealPlace';
import { Meals } from './Meals';
import { useReflow } from './useReflow';

const dish = (number: number, name: string): Schemas['DishOfMeal'] => ({
  plan_id: `00000000-0000-4000-8000-00000000000${number}`,
  version: 1,
  name,
  people: 10,
});

const meal: Schemas['MealEntry'] = {
  id: 'ice-fishers',
  name: 'Ice-fishers’ table',
  serve_at: '2027-02-06T16:30:00Z',
  people: 10,
  dishes: [dish(1, 'Reed-island oxtail'), dish(2, 'Fox-track cheeks')],
};

const mealTask = (over: Partial<Schemas['MealTask']>): Schemas['MealTask'] => ({
  ...task(),
  number: 1,
  step: 'braise',
  taken: '',
  pinned: false,
  moves: true,
  done: false,
  second_time: false,
  ...over,
});

const ready = (name: string): Schemas['Ready'] => ({
  dish: name,
  p10: '2027-02-06T14:00:00Z',
  p50: '2027-02-06T14:40:00Z',
  p90: '2027-02-06T15:20:00Z',
  chance: 0.9,
});

const hours = (number: number, name: string): Schemas['DishHours'] => ({
  dish: name,
  number,
  start_at: '2027-02-05T19:00:00Z',
  heat_on_at: '2027-02-06T11:00:00Z',
  lift_at: '2027-02-06T15:30:00Z',
  served_at: '2027-02-06T16:30:00Z',
  certainty: 0.9,
  why: '',
  cautions: [],
});

const pressed = plan({ name: 'Fox-track cheeks', forecast: { cut: 'cheek', method: 'pressure' } });
const plans = [plan({ name: 'Reed-island oxtail' }), plan({ name: 'Fox-track cheeks' })];

const answer = (): Schemas['MealAnswer'] => ({
  meal,
  plans,
  sheet: {
    tasks: [
      mealTask({ id: '1-salt', what: 'Salt the oxtail', dish: 'Reed-island oxtail', hands_on: true }),
      mealTask({
        id: '2-sear_1',
        number: 2,
        what: 'Brown the cheeks',
        dish: 'Fox-track cheeks',
        hands_on: true,
      }),
      mealTask({ id: '2-braise', number: 2, dish: 'Fox-track cheeks', second_time: true }),
    ],
    dishes: [hours(1, 'Reed-island oxtail'), hours(2, 'Fox-track cheeks')],
    ready: [ready('Reed-island oxtail'), ready('Fox-track cheeks')],
    overcooked: [ready('Reed-island oxtail'), ready('Fox-track cheeks')],
    late_min: 40,
    conflicts: [{ tasks: ['1-serve', '2-serve'], text: 'Plates come 40 min after the bell.' }],
    ways_out: [
      {
        text: 'Fox-track cheeks: Cook it under pressure',
        trade: 'Nothing boils down.',
        served_at: '2027-02-06T16:30:00Z',
        on_time: true,
        change: { what: 'dish', number: 2, plan: pressed },
      },
      {
        text: 'Get a second pair of hands',
        trade: 'Somebody gives up their time.',
        served_at: '2027-02-06T16:40:00Z',
        on_time: false,
        change: { what: 'borrow', thing: 'hands' },
      },
    ],
    gave_way: [],
    clock_changes: [
      { at: '2027-02-06T01:00:00Z', forward_min: -60, text: 'At 04:00 the clocks go back to 03:00.' },
    ],
    things: [],
    start_at: '2027-02-05T19:00:00Z',
    served_at: '2027-02-06T17:10:00Z',
    serve_at: '2027-02-06T16:30:00Z',
    now: '2027-02-05T12:00:00Z',
    zone: 'UTC',
    shut: [{ from: '2027-02-05T22:00:00Z', to: '2027-02-06T06:00:00Z' }],
    why: 'Begun now, everything lands 40 min after the bell.',
    assumed: [],
  },
});

const place = (
  <Routes>
    <Route path="/sheet/:mealId" element={<MealPlace />} />
  </Routes>
);

afterEach(() => vi.restoreAllMocks());

function serve() {
  vi.spyOn(api, 'kitchen').mockResolvedValue(kitchenView());
  vi.spyOn(api, 'meals').mockResolvedValue([meal]);
  vi.spyOn(api, 'plans').mockResolvedValue([]);
  vi.spyOn(api, 'meal').mockResolvedValue(answer());
}

describe('a meal of several dishes', () => {
  it('numbers its tasks in the list as in the picture, with the dish and the hour that comes twice', async () => {
    serve();
    open(place, '/sheet/ice-fishers');
    expect(await screen.findByRole('heading', { level: 1, name: /Ice-fishers/ })).toBeInTheDocument();
    const tasks = within(screen.getByRole('list', { name: 'Sheet of the meal' })).getAllByRole('listitem');
    expect(tasks).toHaveLength(3);
    expect(tasks[1]).toHaveTextContent('Fox-track cheeks');
    expect(tasks[1]).toHaveTextContent('Brown the cheeks');
    expect(tasks[2]).toHaveTextContent('second time');
    expect(screen.getByText(/the clocks go back/)).toBeInTheDocument();
    expect(screen.getByText(/plates 40 min late/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: /oxtail: Salt the oxtail/ }));
    expect(tasks[0]).toHaveAttribute('aria-current', 'true');
    expect(tasks[1]).not.toHaveAttribute('aria-current');
  });

  it('takes a way out with one tap, and back with one', async () => {
    serve();
    vi.spyOn(api, 'plan').mockResolvedValue({
      id: meal.dishes[1]!.plan_id,
      version: 3,
      saved_at: '2027-02-05T12:00:00Z',
      plan: plans[1]!,
    });
    const save = vi.spyOn(api, 'savePlan').mockResolvedValue({
      id: meal.dishes[1]!.plan_id,
      version: 4,
      saved_at: '2027-02-05T12:01:00Z',
      plan: pressed,
    });
    open(place, '/sheet/ice-fishers');
    const take = await screen.findAllByRole('button', { name: 'Do that' });
    fireEvent.click(take[0]!);
    await waitFor(() => expect(save).toHaveBeenCalledWith(meal.dishes[1]!.plan_id, 3, pressed));
    await waitFor(() => expect(corner.undo).toBeDefined());
    act(() => corner.undo?.());
    await waitFor(() => expect(save).toHaveBeenLastCalledWith(meal.dishes[1]!.plan_id, 3, plans[1]));
  });
});

/** A kitchen that keeps what is saved over a plan; what was saved last can be asked for. */
function keeps(stands: Schemas['Plan']) {
  vi.spyOn(api, 'plan').mockImplementation((id) =>
    Promise.resolve({
      id,
      version: 3,
      saved_at: '2027-02-05T12:00:00Z',
      plan: stands,
    } as Schemas['PlanView']),
  );
  return vi.spyOn(api, 'savePlan').mockImplementation((id, version, plan) =>
    Promise.resolve({
      id,
      version: version + 1,
      saved_at: '2027-02-05T12:01:00Z',
      plan,
    } as Schemas['PlanView']),
  );
}

describe('a task that is moved', () => {
  const [first] = meal.dishes;
  function kept() {
    serve();
    return keeps(plans[0]!);
  }
  const pins = (save: ReturnType<typeof kept>) => save.mock.lastCall?.[2].pins;

  it('is put at an hour by its flag, and given its length by its end', async () => {
    const save = kept();
    open(place, '/sheet/ice-fishers');
    fireEvent.click(await screen.findByRole('button', { name: 'Move it: Salt the oxtail' }));
    const flag = screen.getByRole('slider', { name: 'When it starts: Salt the oxtail' });
    fireEvent.keyDown(flag, { key: 'ArrowLeft', shiftKey: true });
    await waitFor(() => expect(pins(save)).toEqual([{ task: 'braise', at: '2027-02-06T11:30:00.000Z' }]));
    expect(save.mock.lastCall?.[0]).toBe(first?.plan_id);
    fireEvent.keyDown(screen.getByRole('slider', { name: /How long it takes/ }), { key: 'ArrowRight' });
    await waitFor(() => expect(pins(save)).toEqual([{ task: 'braise', min: 181 }]));
  });

  it('is typed, and moves as it comes again', async () => {
    const save = kept();
    const pinned = answer();
    pinned.plans[0]!.pins = [{ task: 'braise', at: '2027-02-06T12:00:00Z' }];
    pinned.sheet.tasks[0]!.pinned = true;
    vi.spyOn(api, 'meal').mockResolvedValue(pinned);
    open(place, '/sheet/ice-fishers');
    fireEvent.click(await screen.findByRole('button', { name: 'Move it: Salt the oxtail' }));
    const takes = screen.getByRole('spinbutton', { name: 'Takes' });
    await userEvent.clear(takes);
    await typed(takes, '25');
    fireEvent.blur(takes);
    await waitFor(() =>
      expect(pins(save)).toEqual([{ task: 'braise', at: '2027-02-06T12:00:00Z', min: 25 }]),
    );
    fireEvent.click(screen.getByRole('button', { name: 'As it comes' }));
    await waitFor(() => expect(pins(save)).toEqual([]));
  });

  it('asks one hour at a time while it is under the finger, and forgets them when it is let go', async () => {
    let answerIt: (sheet: Schemas['MealSheet']) => void = () => undefined;
    const tried = vi.spyOn(api, 'tryMeal').mockImplementation(
      () =>
        new Promise((resolve) => {
          answerIt = resolve;
        }),
    );
    const { result } = renderHook(() => useReflow('ice-fishers'));
    const pin = (at: string) => ({ task: '1-salt', at });
    act(() => result.current.tryOut(pin('2027-02-06T12:00:00Z')));
    act(() => result.current.tryOut(pin('2027-02-06T12:05:00Z')));
    act(() => result.current.tryOut(pin('2027-02-06T12:10:00Z')));
    expect(tried).toHaveBeenCalledTimes(1);
    answerIt({ ...answer().sheet, late_min: 95 });
    await waitFor(() => expect(result.current.sheet?.late_min).toBe(95));
    expect(tried.mock.calls.map(([, { at }]) => at)).toEqual([
      '2027-02-06T12:00:00Z',
      '2027-02-06T12:10:00Z',
    ]);
    act(() => result.current.settle());
    answerIt(answer().sheet);
    await act(() => Promise.resolve());
    expect(result.current.sheet).toBeUndefined();
  });
});

describe('what is agreed for a meal', () => {
  it('is borrowed with a tap and given back with one', async () => {
    serve();
    const borrowed = answer();
    borrowed.plans.forEach((dish) => {
      dish.meal = { id: meal.id, name: meal.name, borrowed: ['pan'], less_sleep_min: 60 };
    });
    vi.spyOn(api, 'meal').mockResolvedValue(borrowed);
    const save = keeps(borrowed.plans[0]!);
    const agreed = () => save.mock.lastCall?.[2].meal;
    open(place, '/sheet/ice-fishers');
    fireEvent.click((await screen.findAllByRole('button', { name: 'Do that' }))[1]!);
    await waitFor(() => expect(agreed()?.borrowed).toEqual(['pan', 'hands']));
    fireEvent.click(screen.getByRole('button', { name: 'Do without' }));
    await waitFor(() => expect(agreed()?.borrowed).toEqual([]));
    fireEvent.click(screen.getByRole('button', { name: 'Sleep in full' }));
    await waitFor(() => expect(agreed()?.less_sleep_min).toBe(0));
  });
});

describe('what is served beside it', () => {
  it('is added with its minutes and left out again', async () => {
    serve();
    const sided = answer();
    sided.plans[0]!.sides = [{ what: 'barley', min: 35 }];
    vi.spyOn(api, 'meal').mockResolvedValue(sided);
    const save = keeps(sided.plans[0]!);
    open(place, '/sheet/ice-fishers');
    const beside = within(await screen.findByRole('region', { name: 'Beside it' }));
    await userEvent.type(beside.getByLabelText('Add'), 'swede');
    fireEvent.click(beside.getByRole('button', { name: 'Add' }));
    await waitFor(() =>
      expect(save.mock.lastCall?.[2].sides).toEqual([
        { what: 'barley', min: 35 },
        { what: 'swede', min: 20 },
      ]),
    );
    fireEvent.click(beside.getByRole('button', { name: 'Leave out: barley' }));
    await waitFor(() => expect(save.mock.lastCall?.[2].sides).toEqual([]));
  });
});

describe('the meals to come', () => {
  it('hang on one strip by their bells, and lead to their sheets', async () => {
    serve();
    open(<Meals />);
    const link = await screen.findByRole('link', { name: /Ice-fishers/ });
    expect(link).toHaveAttribute('href', '/sheet/ice-fishers');
    expect(link).toHaveTextContent('Reed-island oxtail, Fox-track cheeks');
  });

  it('draw what would be there when nothing is planned', async () => {
    serve();
    vi.spyOn(api, 'meals').mockResolvedValue([]);
    open(<Meals />);
    expect(await screen.findByText('No dish is planned')).toBeInTheDocument();
  });
});
