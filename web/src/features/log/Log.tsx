import { Box, Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useCooks, useKitchen } from '../../api/queries';
import { ReadyBand } from '../../drawings/ReadyBand';
import { useWidth } from '../../drawings/useWidth';
import { date, millis, span } from '../../format/time';
import { format, type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { Empty, Fault, Waiting } from '../../ui/states';
import { Happenings } from '../cook/Happenings';

/** Every closed cook with what was foretold against what came. */
export function Log() {
  const { cookId } = useParams();
  const cooks = useCooks();
  const kitchen = useKitchen();
  if (cooks.isLoadingError || kitchen.isLoadingError)
    return <Fault error={cooks.error ?? kitchen.error} retry={() => void cooks.refetch()} />;
  if (!cooks.data || !kitchen.data) return <Waiting height="50vh" what="Opening the log" />;
  const closed = cooks.data
    .filter((cook) => cook.view.status === 'closed')
    .sort((a, b) => millis(b.plan.bell) - millis(a.plan.bell));
  if (closed.length === 0) {
    return (
      <Empty
        title="No cook is closed yet"
        action={
          <Button asChild weight="first" size="large">
            <Link to="/sheet">Choose a planned dish</Link>
          </Button>
        }
      >
        <Text>
          Here stands what a cook never writes down and wishes he had: how long it really took against what
          was foretold, and what to change.
        </Text>
      </Empty>
    );
  }
  return (
    <Stack gap={6}>
      <Heading as="h1" fontFamily="heading" fontSize="title">
        What came of it
      </Heading>
      {closed.map((cook) => (
        <Entry
          key={cook.id}
          cook={cook}
          units={kitchen.data.units}
          zone={kitchen.data.zone}
          open={cook.id === cookId}
        />
      ))}
    </Stack>
  );
}

function Entry({
  cook,
  units,
  zone,
  open,
}: {
  cook: Schemas['CookAnswer'];
  units: Units;
  zone: string;
  open: boolean;
}) {
  const { ref, width } = useWidth<HTMLDivElement>(640);
  const { prediction, foretold, outcome, met_heat_at, tender_at, learned } = cook.view;
  const start = millis(met_heat_at ?? cook.view.planned_met_heat_at);
  const minutes = [...prediction.foretold_min.map((m) => m ?? 0), prediction.took_min ?? 0];
  const band = (ready: Schemas['Ready']) => ({
    p10: ready.p10 ? millis(ready.p10) : null,
    p50: ready.p50 ? millis(ready.p50) : null,
    p90: ready.p90 ? millis(ready.p90) : null,
  });
  return (
    <Box as="article" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: '280px minmax(0, 1fr)' }} gap={4}>
        <Box>
          <Heading as="h2" fontFamily="heading" fontSize="lead">
            <Link to={open ? '/log' : `/log/${cook.id}`}>{cook.plan.name}</Link>
          </Heading>
          <Text color="soft">
            {date(cook.plan.bell, zone)} · {cook.plan.forecast.cut?.replaceAll('_', ' ')}
            {cook.plan.forecast.mass_kg ? `, ${format('mass', cook.plan.forecast.mass_kg, units)}` : ''}
          </Text>
          {outcome?.ate_as && <Text>Ate as {outcome.ate_as}.</Text>}
          {outcome?.cooked_kg != null && <Text>{format('mass', outcome.cooked_kg, units)} cooked.</Text>}
        </Box>
        <Box ref={ref} minW={0}>
          <ReadyBand
            from={start}
            to={start + (Math.max(...minutes) + 40) * 60_000}
            width={width}
            zone={zone}
            start={start}
            ready={band(foretold.ready)}
            tooFar={band(foretold.too_far)}
            marks={tender_at ? [{ at: millis(tender_at), word: 'tender' }] : []}
            label={`${cook.plan.name}, foretold`}
          />
          <Text fontWeight={600}>{prediction.words}</Text>
          <Text color="soft" fontSize="small">
            Foretold {span(prediction.foretold_min[0] ?? 0)} to {span(prediction.foretold_min[2] ?? 0)} over
            the heat; the ink line is when it was found tender.
          </Text>
          {learned?.words.map((words) => (
            <Text key={words} mt={1}>
              {words}
            </Text>
          ))}
          {outcome?.change && (
            <Text mt={2} borderLeftWidth="4px" borderColor="liquid" pl={3}>
              Next time: {outcome.change}
            </Text>
          )}
        </Box>
      </Grid>
      {open && (
        <Box mt={4} maxW="44rem">
          <Button mb={4} asChild>
            <Link to={`/cook/${cook.id}`}>Back to the cook</Link>
          </Button>
          <Happenings cook={cook} units={units} zone={zone} />
        </Box>
      )}
      {!open && (
        <Flex>
          <Button weight="quiet" px={0} asChild>
            <Link to={`/log/${cook.id}`}>All that happened</Link>
          </Button>
        </Flex>
      )}
    </Box>
  );
}
