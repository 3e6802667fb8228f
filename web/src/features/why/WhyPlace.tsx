import { Box, Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { ApiFault, type Kitchen, type Schemas } from '../../api/client';
import { useCuts, useKitchen } from '../../api/queries';
import { CookCurves } from '../../drawings/CookCurves';
import { SliceOfPiece } from '../../drawings/SliceOfPiece';
import { TendernessBar } from '../../drawings/TendernessBar';
import { bandAt } from '../../format/between';
import { span } from '../../format/time';
import { format, type Units } from '../../format/units';
import { Because } from '../../ui/Because';
import { Button } from '../../ui/Button';
import { PageHeading } from '../../ui/PageHeading';
import { useLastGood } from '../../ui/useLastGood';
import { SelectField } from '../../ui/SelectField';
import { Slider } from '../../ui/Slider';
import { Caution, Fault, Waiting } from '../../ui/states';
import { whyOfQuestion } from './address';
import { Facts } from './Facts';
import { Rules } from './Rules';
import { useAsked, type Asked } from './useAsked';

const fives = (minutes: number) => span(Math.round(minutes / 5) * 5);

/** Why this time: the piece cooks as you scrub, and each figure opens to its rule and numbers. */
export function WhyPlace() {
  const kitchen = useKitchen();
  const asked = useAsked();
  if (kitchen.isLoadingError) return <Fault error={kitchen.error} retry={() => void kitchen.refetch()} />;
  if (!asked)
    return (
      <Stack gap={4}>
        <PageHeading title="Why this time?" />
        <Fault error={new Error('What this address asks can’t be read.')}>
          <Button asChild>
            <Link to="/why">Ask about a usual dish</Link>
          </Button>
        </Fault>
      </Stack>
    );
  if (!kitchen.data) return <Waiting height="60vh" what="Opening the kitchen" />;
  return <WhyOf asked={asked} kitchen={kitchen.data} />;
}

function WhyOf({ asked, kitchen }: { asked: Asked; kitchen: Kitchen }) {
  const { units } = kitchen;
  const worked = useQuery({
    queryKey: asked.key,
    queryFn: ({ signal }) => asked.ask(signal),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const why = useLastGood(worked.data);
  const forecast = why?.forecast;
  return (
    <Stack gap={5}>
      <Flex gap={4} justify="space-between" align="flex-end" wrap={{ base: 'wrap', lg: 'nowrap' }}>
        <Title why={why} units={units} />
        {why && <Ways why={why} fault={worked.error} />}
      </Flex>
      {worked.isError && <Fault error={worked.error} retry={() => void worked.refetch()} />}
      {worked.isPending && <Waiting height={480} what="Cooking it a thousand times" />}
      {forecast && !worked.isError && !forecast.suitable && (
        <Text fontSize="lead" maxW="44rem">
          {forecast.why}
        </Text>
      )}
      {forecast?.suitable && (
        <Box opacity={worked.isPlaceholderData || worked.isError ? 0.75 : 1}>
          <Explained forecast={forecast} units={units} />
        </Box>
      )}
    </Stack>
  );
}

function Title({ why, units }: { why?: Schemas['Why']; units: Units }) {
  const forecast = why?.forecast;
  const { p10, p50, p90 } = forecast?.ready_min ?? {};
  return (
    <Box>
      <PageHeading
        title={why ? `Why this time: ${why.name}` : 'Why this time?'}
        fontSize={{ base: 'title', md: 'large' }}
      >
        Why {p50 != null ? fives(p50) : 'this time'}?
      </PageHeading>
      <Text fontSize="lead">
        {why?.name}
        {forecast?.suitable ? `, ${format('mass', forecast.mass_kg, units)}` : ''}
        {p10 != null && p90 != null ? `: eight in ten are tender after ${fives(p10)} to ${fives(p90)}` : ''}
      </Text>
    </Box>
  );
}

/** The same meat another way, or another cut: each is a free question, and the whole of it stands in its address. */
function Ways({ why, fault }: { why: Schemas['Why']; fault: unknown }) {
  const navigate = useNavigate();
  const cuts = useCuts().data ?? [];
  const { request, ways } = why;
  const named = fault instanceof ApiFault ? fault : undefined;
  const ask = (next: Schemas['ForecastRequest']) => void navigate(whyOfQuestion(next));
  return (
    <Flex gap={4} width={{ base: '100%', lg: 'auto' }} flexShrink={0}>
      {!request.parts && (
        <Box width={{ base: 'calc(50% - 8px)', sm: '200px' }}>
          <SelectField
            label="Cut"
            value={request.cut ?? ''}
            first={request.cut ? undefined : '–'}
            error={named?.field === 'cut' ? named.message : undefined}
            options={cuts.map(({ cut, name }) => ({ value: cut, label: name }))}
            onChange={(cut) =>
              ask({
                ...request,
                cut,
                size_mm: undefined,
                thickness_mm: undefined,
                pieces: undefined,
                eaten_as: undefined,
              })
            }
          />
        </Box>
      )}
      <Box width={{ base: 'calc(50% - 8px)', sm: '260px' }}>
        <SelectField
          label="Another way?"
          value={ways.find((way) => way.chosen)?.id ?? ''}
          first={ways.some((way) => way.chosen) ? undefined : 'as planned'}
          options={ways.map(({ id, words }) => ({ value: id, label: words }))}
          onChange={(id) => {
            const way = ways.find((found) => found.id === id);
            if (way) ask(way.request);
          }}
        />
      </Box>
    </Flex>
  );
}

function Explained({ forecast, units }: { forecast: Schemas['Forecast']; units: Units }) {
  const { curve, explained, inside, stages } = forecast;
  const last = curve[curve.length - 1]?.min ?? 0;
  const [scrubbed, setScrubbed] = useState<number>();
  // At first it stands where the middle has become warm and the softening is under way.
  const minute = Math.min(last, scrubbed ?? Math.round((forecast.ready_min.p50 ?? last) * 0.12) * 5);
  const point = curve.reduce((best, next) =>
    Math.abs(next.min - minute) < Math.abs(best.min - minute) ? next : best,
  );
  const stage = stages[point.stage];
  const bands = explained?.bands ?? [];
  const core = bands.length ? bandAt(bands, minute, 'core_c') : undefined;
  const goal = explained?.goal;
  const wet = point.liquid_l > 0;
  return (
    <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 320px' }} gap={{ base: 5, lg: 7 }}>
      <Stack gap={2} minW={0}>
        <Grid
          templateColumns={{ base: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' }}
          gap={{ base: 2, md: 5 }}
          alignItems="center"
        >
          {inside && <SliceOfPiece inside={inside} units={units} at={minute} height={210} />}
          <Stack gap={1} minW={0} fontVariantNumeric="tabular-nums">
            <Heading as="h2" fontFamily="heading" fontSize="lead">
              After {span(minute)}
              {stages.length > 1 && stage ? `, ${stage.words}` : ''}
            </Heading>
            {bands.length > 0 && (
              <TendernessBar tenderness={bandAt(bands, minute, 'tenderness')} goal={goal} />
            )}
            <Flex columnGap={5} rowGap={2} wrap="wrap" aria-label="By then">
              <Figure name="left to eat" value={format('mass', point.yield_kg, units)} />
              <Figure name="juice lost" value={weight(point.juice_kg, units)} />
              <Figure name="fat melted" value={format('small_volume', point.fat_l * 1000, units)} />
              <Figure name="steam" value={weight(point.steam_kg, units)} />
              {wet && (
                <Figure
                  name={stage?.method === 'water_bath' ? 'in the bag' : 'in the pot'}
                  value={format('volume', point.liquid_l, units)}
                />
              )}
              {wet && <Figure name="gelatin" value={format('small_mass', point.gelatin_g, units)} />}
              {wet && point.salt_g > 0 && (
                <Figure name="salt in it" value={format('small_mass', point.salt_g, units)} />
              )}
            </Flex>
          </Stack>
        </Grid>
        <CookCurves
          curve={curve}
          bands={bands}
          ready={forecast.ready_min}
          tooFar={forecast.overcooked_min.p50}
          stages={stages}
          units={units}
          at={minute}
          onScrub={setScrubbed}
        />
        <Box pl={{ md: '44px' }} pr={{ md: '76px' }}>
          <Slider
            label="Scrub through the cook"
            value={minute}
            min={0}
            max={last}
            step={5}
            onChange={setScrubbed}
            said={
              core
                ? `middle ${format('temperature', point.core_c, units)} (${bare(core[0], units)} to ${bare(core[2], units)})`
                : `middle ${format('temperature', point.core_c, units)}`
            }
          />
        </Box>
      </Stack>
      <Stack gap={5}>
        <Because>
          <Text>{forecast.why}</Text>
          {forecast.notes.map((note) => (
            <Text key={note}>{note}</Text>
          ))}
          {forecast.cautions.map((caution) => (
            <Caution key={caution.id}>{caution.text}</Caution>
          ))}
        </Because>
        {explained && <Facts explained={explained} />}
      </Stack>
      <Box gridColumn="1 / -1">
        <Rules forecast={forecast} />
      </Box>
    </Grid>
  );
}

/** A temperature without its unit. */
const bare = (celsius: number, units: Units) => format('temperature', celsius, units).replace(/ .*/, '');

const weight = (kg: number, units: Units) =>
  kg < 1 ? format('small_mass', kg * 1000, units) : format('mass', kg, units);

function Figure({ name, value }: { name: string; value: string }) {
  return (
    <Box>
      <Text fontWeight={700} fontSize="lead" lineHeight={1.2}>
        {value}
      </Text>
      <Text fontSize="small" color="soft">
        {name}
      </Text>
    </Box>
  );
}
