import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useAtWork, useKitchen } from '../../api/queries';
import { clock, clockDay, millis, span } from '../../format/time';
import { format } from '../../format/units';
import { useNow } from '../../format/useNow';
import { applyMode } from '../../theme/mode';
import { Button } from '../../ui/Button';
import { PageHeading } from '../../ui/PageHeading';
import { Fault, Waiting } from '../../ui/states';
import { MayRing } from '../alarms/MayRing';
import { allowRinging, ring } from '../alarms/sounds';
import { useAwake } from '../alarms/useAwake';
import { isFollowed } from './glance';
import { useMayRing } from '../alarms/useAlarms';

type Dish = Schemas['OnTheHeat'];

/** What will wake the sleeper, the soonest first. */
const wakes = (dishes: Dish[], now: number) =>
  dishes
    .flatMap((dish) => dish.alarms.map((alarm) => ({ dish, alarm })))
    .filter(({ alarm }) => !alarm.heard && millis(alarm.rings_at) > now)
    .sort((a, b) => millis(a.alarm.rings_at) - millis(b.alarm.rings_at));

/** To be slept beside: the hour, whether all is well, and what will wake you; so dark that it can stand by a bed. */
export function Night() {
  const work = useAtWork();
  const kitchen = useKitchen();
  const now = useNow(1000);
  const awake = useAwake();
  const may = useMayRing();
  const [asleep, setAsleep] = useState(false);
  useEffect(() => {
    // Whatever the page's own colours: nothing of it may light a bedroom.
    const page = document.documentElement.classList;
    if (asleep) {
      page.remove('light');
      page.add('dark', 'night');
    }
    return () => {
      page.remove('night');
      applyMode();
    };
  }, [asleep]);
  const failed = work.isLoadingError ? work : kitchen.isLoadingError ? kitchen : undefined;
  if (failed) return <Fault error={failed.error} retry={() => void failed.refetch()} />;
  if (!work.data || !kitchen.data) return <Waiting height="60vh" what="Looking into every pot" />;
  const { zone, units } = kitchen.data;
  const dishes = work.data.dishes.filter(isFollowed);
  const next = wakes(dishes, now)[0];
  const stale = work.isError || now - millis(work.data.now) > 120_000;
  return (
    <Stack gap={5} align="center" textAlign="center" py={6}>
      <PageHeading title="The night" srOnly />
      <Text
        fontFamily="heading"
        fontSize={{ base: 'far', md: 'across' }}
        fontWeight={700}
        lineHeight={1}
        fontVariantNumeric="tabular-nums"
      >
        {clock(now, zone)}
      </Text>
      <Text fontSize="lead" role="status">
        {dishes.length === 0
          ? 'Nothing is on the heat. Sleep well.'
          : next
            ? `Sleep. ${next.dish.name} wakes you at ${clockDay(next.alarm.rings_at, zone, now)}, in ${span((millis(next.alarm.rings_at) - now) / 60_000)}: ${next.alarm.words}.`
            : 'Nothing is due. It wakes you if something goes wrong.'}
      </Text>
      {stale && (
        <Text color="caution" fontWeight={600}>
          The kitchen has not answered since {clockDay(work.data.now, zone, now)}. What was due rings all the
          same.
        </Text>
      )}
      <Stack gap={3} width="100%" maxW="44rem">
        {dishes.map((dish) => (
          <Flex
            key={dish.id}
            justify="space-between"
            align="baseline"
            gap={4}
            wrap="wrap"
            borderTopWidth="1px"
            borderColor="line"
            pt={2}
            textAlign="left"
          >
            <Box flex="1" minW="14rem">
              <Text fontWeight={700}>{dish.name}</Text>
              <Text color="soft">
                {dish.band.ready.p10 && dish.band.ready.p90 && dish.status === 'under_way'
                  ? `tender ${clockDay(dish.band.ready.p10, zone, now)} to ${clockDay(dish.band.ready.p90, zone, now)}`
                  : dish.act}
              </Text>
            </Box>
            {dish.probes.map((probe) => (
              <Text
                key={probe.probe}
                fontSize="title"
                fontFamily="heading"
                fontVariantNumeric="tabular-nums"
                color={probe.trust === 'steady' || probe.trust === 'settling' ? undefined : 'caution'}
              >
                {probe.celsius == null ? '–' : format('temperature', probe.celsius, units)}
              </Text>
            ))}
          </Flex>
        ))}
      </Stack>
      {asleep ? (
        <Button forAll onClick={() => setAsleep(false)}>
          Lighter
        </Button>
      ) : (
        <Stack gap={3} maxW="44rem" width="100%">
          <Button
            forAll
            weight="first"
            size="large"
            onClick={() => {
              void allowRinging().then(() => ring('look', 0.15));
              setAsleep(true);
            }}
          >
            {may === 'yes' ? 'Good night: make it dark' : 'Good night: let it ring, and make it dark'}
          </Button>
          <Box textAlign="left">
            <MayRing awake={awake} />
          </Box>
          <Button asChild weight="quiet">
            <Link to="/cook">All that is on the heat</Link>
          </Button>
        </Stack>
      )}
    </Stack>
  );
}
