import type { Schemas } from '../../api/client';
import { bandTimes, ReadyBand } from '../../drawings/ReadyBand';
import { millis } from '../../format/time';
import { isFollowed } from './glance';

type Dish = Schemas['OnTheHeat'];

/** The hours that the bands of all dishes share. */
export type Axis = { from: number; to: number; width: number; zone: string; now: number };

/** From before the first met the heat to after the last bell, ms. */
export function hoursOf(all: Dish[], now: number): { from: number; to: number } {
  // One left open days ago would press the others’ hours together.
  const dishes = all.filter(isFollowed);
  const ends = dishes.flatMap((dish) => [
    millis(dish.serve_at),
    ...(dish.band.ready.p90 && dish.status === 'under_way' ? [millis(dish.band.ready.p90)] : []),
  ]);
  return {
    from: Math.min(now, ...dishes.map((dish) => millis(dish.heat_on_at))) - 20 * 60_000,
    to: Math.max(now, ...ends) + 40 * 60_000,
  };
}

/** The band of a dish on the heat; none of one that was left open. */
export const DishBand = ({ dish, axis, height }: { dish: Dish; axis: Axis; height: number }) =>
  isFollowed(dish) && (
    <ReadyBand
      {...axis}
      height={height}
      start={millis(dish.heat_on_at)}
      serveAt={millis(dish.serve_at)}
      ready={bandTimes(dish.band.ready)}
      tooFar={bandTimes(dish.band.overcooked)}
      marks={dish.tender_at ? [{ at: millis(dish.tender_at), word: 'tender' }] : []}
      label={dish.name}
    />
  );
