import { Box, Flex, Stack, Text, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import type { Schemas } from '../../api/client';
import { useCooks, useCuts, useKitchen, usePlans } from '../../api/queries';
import { clockDay } from '../../format/time';
import { useNow } from '../../format/useNow';
import { Broken } from '../../ui/Broken';
import { Button } from '../../ui/Button';
import { PageHeading } from '../../ui/PageHeading';
import { PutAway, TakeBack, type Away } from '../../ui/PutAway';
import { Empty, Fault, Waiting } from '../../ui/states';

/** The dishes that are planned and not yet cooked, by their bell. */
export function Sheets() {
  const plans = usePlans();
  const cooks = useCooks();
  const kitchen = useKitchen();
  const cuts = useCuts();
  const now = useNow(60_000);
  const [away, setAway] = useState<Away>();
  const place = useLocation().pathname.startsWith('/prepare') ? '/prepare' : '/sheet';
  const failed = [plans, cooks, kitchen].find((query) => query.isLoadingError);
  if (failed) return <Fault error={failed.error} retry={() => void failed.refetch()} />;
  if (!plans.data || !cooks.data || !kitchen.data)
    return <Waiting height="50vh" what="Laying out the sheets" />;
  const nameOf = (cut?: Schemas['Cut'] | null) =>
    cuts.data?.find((found) => found.cut === cut)?.name ?? 'a mixed pot';
  const cooked = new Set(cooks.data.map((cook) => cook.plan_id));
  const readable = plans.data.flatMap(({ id, plan }) => (plan && !cooked.has(id) ? [{ id, plan }] : []));
  const broken = plans.data.filter((plan) => plan.broken);
  if (readable.length === 0 && broken.length === 0 && !away) {
    return (
      <Empty
        title="No dish is planned"
        action={
          <Button asChild weight="first" size="large">
            <Link to="/match">Match a cut</Link>
          </Button>
        }
      >
        <Text>
          Here a dish is worked back from its bell: salt, sear, simmer, looks, hold, sauce, plates. Start from
          what is on the block.
        </Text>
      </Empty>
    );
  }
  return (
    <Stack gap={0} maxW="56rem">
      <PageHeading title="Planned dishes" mb={3} />
      <TakeBack thing={away} onBack={() => setAway(undefined)} />
      {readable.map(({ id, plan }) => (
        <Flex key={id} align="center" borderTopWidth="1px" borderColor="line" _hover={{ bg: 'panel' }}>
          <chakra.a asChild flex="1" minHeight="72px">
            <Link to={`${place}/${id}`}>
              <Flex align="center" gap={5} py={3} px={2}>
                <Text
                  fontSize="title"
                  fontWeight={700}
                  color="rim"
                  minW={{ base: '6.6rem', md: '9.5rem' }}
                  fontVariantNumeric="tabular-nums"
                  lineHeight={1.1}
                >
                  {clockDay(plan.bell, kitchen.data.zone, now)}
                </Text>
                <Box>
                  <Text fontSize="lead" fontWeight={600}>
                    {plan.name}
                  </Text>
                  <Text color="soft">
                    {nameOf(plan.forecast.cut)}, for {plan.people}
                  </Text>
                </Box>
              </Flex>
            </Link>
          </chakra.a>
          <PutAway thing={{ kind: 'plan', id, name: plan.name }} onAway={setAway} />
        </Flex>
      ))}
      {broken.map(({ id, broken }) => (
        <Broken key={id} thing={{ kind: 'plan', id, name: '' }} why={broken ?? ''} onAway={setAway} />
      ))}
    </Stack>
  );
}
