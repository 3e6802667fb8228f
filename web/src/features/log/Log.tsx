import { Box, Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useCook, useCooks, useCuts, useKitchen } from '../../api/queries';
import { bandTimes, ReadyBand } from '../../drawings/ReadyBand';
import { useWidth } from '../../drawings/useWidth';
import { date, millis, span } from '../../format/time';
import { format, type Units } from '../../format/units';
import { Broken } from '../../ui/Broken';
import { Button } from '../../ui/Button';
import { Photos } from '../../ui/Photos';
import { PageHeading } from '../../ui/PageHeading';
import { PutAway, TakeBack, type Away } from '../../ui/PutAway';
import { Empty, Fault, Waiting } from '../../ui/states';
import { Happenings } from '../cook/Happenings';
import { useLog } from './useLog';

/** Every closed cook with what was foretold against what came. */
export function Log() {
  const { cookId } = useParams();
  const cooks = useCooks();
  const kitchen = useKitchen();
  const [away, setAway] = useState<Away>();
  const log = useLog();
  const failed = [cooks, log, kitchen].find((query) => query.isLoadingError);
  if (failed)
    return (
      <>
        <PageHeading title="Log" srOnly />
        <Fault error={failed.error} retry={() => void failed.refetch()} />
      </>
    );
  if (!cooks.data || !log.data || !kitchen.data) return <Waiting height="50vh" what="Opening the log" />;
  // A cook that was closed while the next page was read stands on both.
  const read = log.data.pages.flatMap(({ cooks }) => cooks);
  const drawn = [...new Map(read.map((cook) => [cook.id, cook])).values()];
  const all = log.data.pages.at(-1)?.all ?? 0;
  const broken = cooks.data.filter((cook) => cook.broken);
  if (all === 0 && broken.length === 0 && !away) {
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
          was predicted, and what to change.
        </Text>
      </Empty>
    );
  }
  return (
    <Stack gap={6}>
      <PageHeading title="What came of it" />
      <TakeBack thing={away} onBack={() => setAway(undefined)} />
      {broken.length > 0 && (
        <Box>
          {broken.map((cook) => (
            <Broken
              key={cook.id}
              thing={{ kind: 'cook', id: cook.id, name: cook.name }}
              why={cook.broken ?? ''}
              onAway={setAway}
            />
          ))}
        </Box>
      )}
      {cookId && !drawn.some((cook) => cook.id === cookId) && (
        <Box as="article" borderTopWidth="2px" borderColor="rim" pt={3} maxW="44rem">
          <Button mb={4} asChild>
            <Link to={`/cook/${cookId}`}>Back to the cook</Link>
          </Button>
          <AllThatHappened id={cookId} zone={kitchen.data.zone} />
        </Box>
      )}
      {drawn.map((cook) => (
        <Entry
          key={cook.id}
          cook={cook}
          units={kitchen.data.units}
          zone={kitchen.data.zone}
          open={cook.id === cookId}
          onAway={setAway}
        />
      ))}
      {log.hasNextPage && (
        <Box>
          <Button forAll disabled={log.isFetchingNextPage} onClick={() => void log.fetchNextPage()}>
            Older cooks ({all - drawn.length})
          </Button>
        </Box>
      )}
    </Stack>
  );
}

function Entry({
  cook,
  units,
  zone,
  open,
  onAway,
}: {
  cook: Schemas['CookSummary'];
  units: Units;
  zone: string;
  open: boolean;
  onAway: (thing: Away) => void;
}) {
  const { outcome, reckoned } = cook;
  const cut = useCuts().data?.find((found) => found.cut === cook.cut)?.name;
  return (
    <Box as="article" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: '280px minmax(0, 1fr)' }} gap={4}>
        <Box>
          <Heading as="h2" fontFamily="heading" fontSize="lead">
            <Link to={open ? '/log' : `/log/${cook.id}`}>{cook.name}</Link>
          </Heading>
          <Text color="soft">
            {date(cook.serve_at ?? cook.opened_at, zone)}
            {cut ? ` · ${cut.toLowerCase()}` : ''}
            {cook.mass_kg ? `, ${format('mass', cook.mass_kg, units)}` : ''}
          </Text>
          {outcome?.ate_as && <Text>Ate as {outcome.ate_as}.</Text>}
          {open && <Photos cook={cook.id} />}
          {outcome?.cooked_kg != null && <Text>{format('mass', outcome.cooked_kg, units)} cooked.</Text>}
        </Box>
        <Box minW={0}>
          {reckoned ? (
            <Predicted cook={cook} reckoned={reckoned} zone={zone} />
          ) : (
            <Waiting height={96} what="Reckoning what was foretold" />
          )}
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
          <AllThatHappened id={cook.id} zone={zone} />
        </Box>
      )}
      {!open && (
        <Flex align="center" gap={4}>
          <Button weight="quiet" px={0} asChild>
            <Link to={`/log/${cook.id}`}>All that happened</Link>
          </Button>
          <PutAway thing={{ kind: 'cook', id: cook.id, name: cook.name }} onAway={onAway} />
        </Flex>
      )}
    </Box>
  );
}

/** The band that was foretold, and what came. */
function Predicted({
  cook,
  reckoned,
  zone,
}: {
  cook: Schemas['CookSummary'];
  reckoned: Schemas['Reckoned'];
  zone: string;
}) {
  const { ref, width } = useWidth<HTMLDivElement>(640);
  const { prediction, predicted, tender_at, planned_heat_on_at, learned } = reckoned;
  const start = millis(cook.heat_on_at ?? planned_heat_on_at);
  const minutes = [...prediction.predicted_min.map((m) => m ?? 0), prediction.took_min ?? 0];
  return (
    <Box ref={ref}>
      <ReadyBand
        from={start}
        to={start + (Math.max(...minutes) + 40) * 60_000}
        width={width}
        zone={zone}
        start={start}
        ready={bandTimes(predicted.ready)}
        tooFar={bandTimes(predicted.overcooked)}
        marks={tender_at ? [{ at: millis(tender_at), word: 'tender' }] : []}
        label={`${cook.name}, foretold`}
      />
      <Text fontWeight={600}>{prediction.words}</Text>
      <Text color="soft" fontSize="small">
        Predicted {span(prediction.predicted_min[0] ?? 0)} to {span(prediction.predicted_min[2] ?? 0)} over
        the heat; the ink line is when it was found tender.
      </Text>
      {learned.map((words) => (
        <Text key={words} mt={1}>
          {words}
        </Text>
      ))}
    </Box>
  );
}

function AllThatHappened({ id, zone }: { id: string; zone: string }) {
  const cook = useCook(id);
  if (cook.isLoadingError) return <Fault error={cook.error} retry={() => void cook.refetch()} />;
  if (!cook.data) return <Waiting height={120} what="Reading what happened" />;
  return <Happenings cook={cook.data} zone={zone} />;
}
