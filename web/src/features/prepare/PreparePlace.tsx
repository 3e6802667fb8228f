import { Box, Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useCuts, useKitchen, usePlan, useSheet } from '../../api/queries';
import { SliceOfPiece } from '../../drawings/SliceOfPiece';
import { clockDay, span } from '../../format/time';
import { format, say } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Because } from '../../ui/Because';
import { Button } from '../../ui/Button';
import { Caution, Fault, Waiting } from '../../ui/states';
import { ThumbBar } from '../../ui/ThumbBar';
import { takeInHand } from '../shell/inHand';
import { inKitchen, whyAddress } from '../why/state';

/** What is done at the bench, before anything cooks by itself. */
const atTheBench: Schemas['TaskKind'][] = [
  'salt',
  'take_out',
  'preheat',
  'heat_pan',
  'sear',
  'deglaze',
  'simmer',
];

/** One dish on the bench: what its plan comes to in grams, batches and litres, until the heat takes over. */
export function PreparePlace() {
  const { planId } = useParams();
  const plan = usePlan(planId);
  const sheet = useSheet(planId);
  const kitchen = useKitchen();
  const cuts = useCuts();
  const now = useNow(60_000);
  useEffect(() => {
    if (planId && plan.data) takeInHand({ planId });
  }, [planId, plan.data]);
  const forecastOf = plan.data && kitchen.data && inKitchen(plan.data.plan.forecast, kitchen.data);
  const inside = useQuery({
    queryKey: ['forecast', forecastOf, 'inside'],
    queryFn: ({ signal }) => api.forecast({ ...forecastOf, members: 1, inside: true }, signal),
    enabled: !!forecastOf,
    staleTime: Infinity,
  });
  const failed = plan.error ?? sheet.error ?? kitchen.error;
  if (failed) return <Fault error={failed} retry={() => void sheet.refetch()} />;
  if (!plan.data || !sheet.data || !kitchen.data)
    return <Waiting height="60vh" what="Laying it on the bench" />;
  const { plan: dish } = plan.data;
  const { units, zone } = kitchen.data;
  const worked = sheet.data.sheet;
  const cut = cuts.data?.find((found) => found.cut === dish.forecast.cut);
  const bench = worked.tasks.filter((task) => atTheBench.includes(task.kind));
  const cautions = new Map(bench.flatMap((task) => task.cautions).map((caution) => [caution.id, caution]));
  const forecast = inside.data;
  return (
    <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 312px' }} gap={{ base: 5, lg: 7 }}>
      <Stack gap={5} minW={0}>
        <Box>
          <Heading as="h1" fontFamily="heading" fontSize="title">
            {dish.name}
          </Heading>
          <Text color="soft">
            {forecast && format('mass', forecast.mass_kg, units)} {cut ? cut.name.toLowerCase() : 'mixed pot'}
            , for {dish.people}, plates {clockDay(dish.bell, zone, now)}
          </Text>
        </Box>
        <Stack as="ol" gap={0} listStyleType="none" aria-label="At the bench">
          {bench.map((task) => (
            <Flex as="li" key={task.id} gap={4} borderTopWidth="1px" borderColor="line" py={3}>
              <Text
                width="92px"
                flexShrink={0}
                fontWeight={700}
                color="rim"
                fontVariantNumeric="tabular-nums"
              >
                {clockDay(task.start, zone, now)}
              </Text>
              <Box flex="1" minW={0}>
                <Text fontWeight={700} lineHeight={1.3}>
                  {say(task.what, units)}
                </Text>
                <Text fontSize="small" color="soft">
                  {say(task.why, units)}
                </Text>
              </Box>
              <Text fontSize="small" whiteSpace="nowrap" fontVariantNumeric="tabular-nums">
                {span((Date.parse(task.end) - Date.parse(task.start)) / 60_000)}
              </Text>
            </Flex>
          ))}
        </Stack>
        {forecast?.inside && (
          <Box borderTopWidth="2px" borderColor="rim" pt={3}>
            <Heading as="h2" fontFamily="heading" fontSize="lead" mb={1}>
              Then it cooks from the outside in
            </Heading>
            <SliceOfPiece
              inside={forecast.inside}
              enough={forecast.enough_tender_h / forecast.resistance}
              units={units}
              start={60}
            />
          </Box>
        )}
      </Stack>
      <Stack gap={5}>
        <ThumbBar>
          <Button asChild weight="first" size="large">
            <Link to={`/sheet/${planId}`}>Work it back from the bell</Link>
          </Button>
        </ThumbBar>
        <Because why={forecastOf && whyAddress(dish.forecast, dish.name)}>
          <Text>{say(worked.why, units)}</Text>
          {[...cautions.values()].map((caution) => (
            <Caution key={caution.id}>{say(caution.text, units)}</Caution>
          ))}
        </Because>
      </Stack>
    </Grid>
  );
}
