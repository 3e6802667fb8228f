import { Box, Flex, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { type Axis, DishBand } from '../cook/DishBand';
import { clockDay, countdown } from '../../format/time';
import { glanceAt } from '../cook/glance';
import { counts } from '../cook/NowCard';

type Dish = Schemas['OnTheHeat'];

/** A row this low has no room for a band, px. */
export const BAND_FROM = 150;

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
  const { clock, strange } = glanceAt(dish, now);
  const size = (share: number, least: number, most: number) =>
    `${Math.round(Math.min(most, Math.max(least, row * share)))}px`;
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
            {dish.name}, plates {clockDay(dish.serve_at, zone, now)}
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
          {dish.unread && (
            <Text color="caution" fontWeight={700} fontSize={size(0.1, 15, 30)} lineClamp={2}>
              {dish.unread}
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
      {row >= BAND_FROM && <DishBand dish={dish} axis={axis} height={62} />}
    </Box>
  );
}
