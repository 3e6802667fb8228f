import { Box, Flex, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { bandTimes, ReadyBand } from '../../drawings/ReadyBand';
import { clockDay, countdown, millis } from '../../format/time';
import { clockOf, counts } from '../cook/NowCard';

type Dish = Schemas['OnTheHeat'];

export type Axis = { from: number; to: number; width: number; zone: string; now: number };

/** A row this low has no room for a band, px. */
export const BAND_FROM = 150;

/** The hours that all bands on the wall share. */
export function hours(dishes: Dish[], now: number) {
  const ends = dishes.flatMap((dish) => [
    millis(dish.bell),
    ...(dish.band.ready.p90 && dish.status === 'under_way' ? [millis(dish.band.ready.p90)] : []),
  ]);
  return {
    from: Math.min(now, ...dishes.map((dish) => millis(dish.met_heat_at))) - 20 * 60_000,
    to: Math.max(now, ...ends) + 40 * 60_000,
  };
}

/** One dish as it is read from across the kitchen; as large as the others leave it room. */
export function DishOnTheWall({
  dish,
  row,
  axis,
}: {
  dish: Dish;
  /** Its height, px. */
  row: number;
  /** The hours that all share. */
  axis: Axis;
}) {
  const { zone, now } = axis;
  const clock =
    dish.from && dish.until
      ? clockOf({ from: dish.from, until: dish.until, waits: dish.waits }, now)
      : undefined;
  const size = (share: number, least: number, most: number) =>
    `${Math.round(Math.min(most, Math.max(least, row * share)))}px`;
  const strange = dish.probes.find((probe) => probe.trust !== 'steady' && probe.trust !== 'settling');
  return (
    <Box
      as="section"
      aria-label={dish.name}
      flex="1"
      minHeight={0}
      overflow="hidden"
      borderBottomWidth="2px"
      borderColor="line"
      py="0.6vh"
    >
      <Flex justify="space-between" gap={5} align="flex-start">
        <Box flex="1" minW={0}>
          <Text color="soft" fontWeight={700} fontSize={size(0.1, 15, 30)} lineHeight={1.15} truncate>
            {dish.name}, plates {clockDay(dish.bell, zone, now)}
            {dish.late_min > 0 && (
              <Text as="span" color="caution">
                {' '}
                · late
              </Text>
            )}
            {dish.taken && ` · ${dish.taken}`}
          </Text>
          <Text
            fontFamily="heading"
            fontWeight={800}
            fontSize={size(0.19, 22, 68)}
            lineHeight={1.05}
            lineClamp={2}
          >
            {dish.act}
          </Text>
          {dish.next && (
            <Text fontSize={size(0.125, 16, 38)} lineHeight={1.2} truncate>
              <Text as="span" color="soft">
                {clockDay(dish.next.at, zone, now)}{' '}
              </Text>
              {dish.next.what}
            </Text>
          )}
          {strange && (
            <Text color="caution" fontWeight={700} fontSize={size(0.1, 15, 30)} truncate>
              {strange.probe}: {strange.words}
            </Text>
          )}
        </Box>
        {clock && (
          <Box textAlign="right" flexShrink={0}>
            <Text
              fontFamily="heading"
              fontWeight={800}
              fontSize={size(0.34, 34, 120)}
              lineHeight={1}
              letterSpacing="-0.03em"
              fontVariantNumeric="tabular-nums"
              color={clock.over ? 'caution' : 'rim'}
            >
              {countdown(Math.abs(clock.seconds))}
            </Text>
            <Text color="soft" fontSize={size(0.08, 14, 24)} lineHeight={1.1}>
              {counts(clock.startsIn, clock.over, dish.waits)}
            </Text>
          </Box>
        )}
      </Flex>
      {row >= BAND_FROM && (
        <ReadyBand
          {...axis}
          height={62}
          start={millis(dish.met_heat_at)}
          bell={millis(dish.bell)}
          ready={bandTimes(dish.band.ready)}
          tooFar={bandTimes(dish.band.too_far)}
          marks={dish.tender_at ? [{ at: millis(dish.tender_at), word: 'tender' }] : []}
          label={dish.name}
        />
      )}
    </Box>
  );
}
