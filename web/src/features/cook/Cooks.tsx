import { Box, Flex, Stack, Text, chakra } from '@chakra-ui/react';
import { Link, useLocation } from 'react-router';
import type { Schemas } from '../../api/client';
import { useAtWork, useKitchen } from '../../api/queries';
import { TimeAxis } from '../../drawings/ReadyBand';
import { useWidth } from '../../drawings/useWidth';
import { clockDay, countdown } from '../../format/time';
import { useNow } from '../../format/useNow';
import { Button } from '../../ui/Button';
import { PageHeading } from '../../ui/PageHeading';
import { Empty, Fault, Waiting } from '../../ui/states';
import { MayRing } from '../alarms/MayRing';
import { useAwake } from '../alarms/useAwake';
import { type Axis, DishBand, hoursOf } from './DishBand';
import { glanceAt, isFollowed } from './glance';

type Dish = Schemas['OnTheHeat'];

/** All that is on the heat: what each asks for now, its clock, what comes next, and its band on the one axis. */
export function Cooks() {
  const work = useAtWork();
  const kitchen = useKitchen();
  const awake = useAwake();
  const finishing = useLocation().pathname.startsWith('/finish');
  if (work.isLoadingError || kitchen.isLoadingError)
    return <Fault error={work.error ?? kitchen.error} retry={() => void work.refetch()} />;
  if (!work.data || !kitchen.data) return <Waiting height="50vh" what="Looking into the pots" />;
  const { dishes } = work.data;
  if (dishes.length === 0) {
    return (
      <Empty
        title={finishing ? 'Nothing to finish' : 'Nothing is on the heat'}
        action={
          <Button asChild weight="first" size="large">
            <Link to="/sheet">Choose a planned dish</Link>
          </Button>
        }
      >
        <Text>
          {finishing
            ? 'Once a cook is under way, its liquid is skimmed, tasted and brought home here.'
            : 'Start a planned dish and this is the place that says what to do now, what comes next and how the meat is doing.'}
        </Text>
      </Empty>
    );
  }
  return (
    <Stack gap={4}>
      <Flex justify="space-between" align="baseline" gap={3} wrap="wrap">
        <PageHeading title={finishing ? 'Which pot?' : 'On the heat'} />
        <Flex gap={2} wrap="wrap">
          <Button asChild>
            <Link to="/cook/hand-over">Hand over</Link>
          </Button>
          <Button asChild>
            <Link to="/night">The night</Link>
          </Button>
        </Flex>
      </Flex>
      <Pass dishes={dishes} zone={kitchen.data.zone} place={finishing ? 'finish' : 'cook'} />
      <MayRing awake={awake} />
    </Stack>
  );
}

function Pass({ dishes, zone, place }: { dishes: Dish[]; zone: string; place: string }) {
  const { ref, width } = useWidth<HTMLDivElement>(900);
  const now = useNow(1000);
  const axis = { ...hoursOf(dishes, now), width, zone, now };
  return (
    <div ref={ref}>
      {dishes.some(isFollowed) && <TimeAxis {...axis} />}
      {dishes.map((dish) => (
        <Row
          key={dish.id}
          {...{ dish, axis, zone, now, place }}
          large={dishes.length < 4 && !dish.left_open_since}
        />
      ))}
    </div>
  );
}

function Row({
  dish,
  axis,
  zone,
  now,
  place,
  large,
}: {
  dish: Dish;
  axis: Axis;
  zone: string;
  now: number;
  place: string;
  large: boolean;
}) {
  const { clock, strange } = glanceAt(dish, now);
  return (
    <Box as="section" aria-label={dish.name} borderTopWidth="2px" borderColor="rim" pt={2} pb={3}>
      <chakra.a asChild display="block" _hover={{ bg: 'panel' }}>
        <Link to={`/${place}/${dish.id}`}>
          <Flex
            direction={{ base: 'column-reverse', md: 'row' }}
            justify="space-between"
            gap={{ base: 1, md: 5 }}
            align="flex-start"
          >
            <Box flex="1" minW={0}>
              <Text color="soft" fontWeight={600}>
                {dish.name}, for {dish.people}, plates {clockDay(dish.serve_at, zone, now)}
                {dish.late_min > 0 && (
                  <Text as="span" color="caution">
                    {' '}
                    · late
                  </Text>
                )}
              </Text>
              <Text
                fontFamily="heading"
                fontSize={large ? { base: 'title', md: 'large' } : 'title'}
                fontWeight={700}
                lineHeight={1.12}
              >
                {dish.act}
              </Text>
              {dish.taken && <Text fontWeight={700}>{dish.taken}</Text>}
              {dish.next && (
                <Text fontSize="lead" mt={1}>
                  <Text as="span" color="soft">
                    Next {clockDay(dish.next.at, zone, now)}:{' '}
                  </Text>
                  {dish.next.what}
                </Text>
              )}
              {dish.later && !large && (
                <Text color="soft">
                  Later {clockDay(dish.later.at, zone, now)}: {dish.later.what}
                </Text>
              )}
              {dish.unread && (
                <Text color="caution" fontWeight={600}>
                  {dish.unread}
                </Text>
              )}
              {strange && (
                <Text color="caution" fontWeight={600}>
                  {strange.probe}: {strange.words}
                </Text>
              )}
            </Box>
            {clock && (
              <Text
                fontFamily="heading"
                fontSize="far"
                fontWeight={700}
                lineHeight={1}
                letterSpacing="-0.03em"
                fontVariantNumeric="tabular-nums"
                color={clock.over ? 'caution' : 'rim'}
              >
                {countdown(Math.abs(clock.seconds))}
              </Text>
            )}
          </Flex>
        </Link>
      </chakra.a>
      <DishBand dish={dish} axis={axis} height={58} />
    </Box>
  );
}
