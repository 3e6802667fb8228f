import { Box, Flex, Grid, Heading, Stack, Text, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiFault, api, type Kitchen, type Schemas } from '../../api/client';
import { useCuts, useKitchen, useMatch } from '../../api/queries';
import { bandFrom, ReadyBand, TimeAxis } from '../../drawings/ReadyBand';
import { SliceOfPiece } from '../../drawings/SliceOfPiece';
import { useWidth } from '../../drawings/useWidth';
import { clockDay, inHundred, millis, span } from '../../format/time';
import { format, say, type Units } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Because } from '../../ui/Because';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/fields';
import { ThumbBar } from '../../ui/ThumbBar';
import { Caution, Fault, Waiting } from '../../ui/states';
import { whyAddress } from '../why/state';
import { Block } from './Block';
import { matchRequest, useBlock } from './state';

const HOUR = 3_600_000;

const verdicts: Record<Schemas['Verdict'], string> = {
  fits: 'fits',
  tight: 'tight',
  too_late: 'too late',
  unsuitable: 'not for it',
};

/** Which way for this cut: every way at once on one time axis running to the bell. */
export function Match() {
  const kitchen = useKitchen();
  const cuts = useCuts();
  if (kitchen.isLoadingError || cuts.isLoadingError)
    return (
      <Fault
        error={kitchen.error ?? cuts.error}
        retry={() => {
          void kitchen.refetch();
          void cuts.refetch();
        }}
      />
    );
  if (!kitchen.data || !cuts.data) return <Waiting height="60vh" what="Opening the kitchen" />;
  return <MatchIn kitchen={kitchen.data} cuts={cuts.data} />;
}

function MatchIn({ kitchen, cuts }: { kitchen: Kitchen; cuts: Schemas['CutFacts'][] }) {
  const { units, zone } = kitchen;
  const { block, change } = useBlock(zone);
  const request = useDeferredValue(useMemo(() => matchRequest(block, zone), [block, zone]));
  const matched = useMatch(request);
  const [chosen, setChosen] = useState<string>();
  const facts = cuts.find((cut) => cut.cut === block.cut);
  const ways = matched.data?.ways ?? [];
  const way = ways.find((found) => found.name === chosen) ?? ways[0];
  const fault = matched.error instanceof ApiFault ? matched.error : undefined;
  return (
    <Stack gap={5}>
      <Block block={block} change={change} cuts={cuts} units={units} fault={fault} />
      {matched.isError && !fault?.field && (
        <Fault error={matched.error} retry={() => void matched.refetch()} />
      )}
      {matched.isPending && <Waiting height={360} what="Cooking it a few hundred times" />}
      {matched.data && !matched.data.suitable && (
        <Refused
          facts={facts}
          why={matched.data.why}
          onInstead={(cut) => change({ cut, as: undefined, kg: undefined, mm: undefined })}
        />
      )}
      {way && (
        <Grid
          templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 320px' }}
          gap={{ base: 5, lg: 7 }}
          opacity={matched.isPlaceholderData ? 0.75 : 1}
        >
          <Ways ways={ways} way={way} zone={zone} units={units} onChoose={setChosen} />
          <Stack gap={5}>
            <PlanIt way={way} key={way.name + block.cut} />
            <Why way={way} units={units} />
          </Stack>
        </Grid>
      )}
      {way && <Inside way={way} units={units} />}
    </Stack>
  );
}

function Ways({
  ways,
  way,
  zone,
  units,
  onChoose,
}: {
  ways: Schemas['Way'][];
  way: Schemas['Way'];
  zone: string;
  units: Units;
  onChoose: (name: string) => void;
}) {
  const { ref, width } = useWidth<HTMLDivElement>(720);
  const now = useNow(60_000);
  const bell = millis(way.plan.bell);
  const wide = width > 560;
  const labels = wide ? 212 : 0;
  const room = width - labels;
  // A bell far off: each way is drawn at its latest start, not from now.
  const farOff = bell - now > 30 * HOUR;
  const startOf = (found: Schemas['Way']) =>
    millis(found.met_heat_at) + (farOff ? millis(found.start_by) - now : 0);
  const ends = ways.map((found) => startOf(found) + Math.min(found.ready_min.p90 ?? 0, 36 * 60) * 60_000);
  const from = farOff ? Math.min(...ways.map((found) => millis(found.start_by))) - HOUR / 2 : now - HOUR / 6;
  const to = Math.max(bell, Math.min(Math.max(...ends), bell + 8 * HOUR)) + 0.75 * HOUR;
  return (
    <Box ref={ref} role="radiogroup" aria-label="Ways of cooking it" minW={0}>
      <Box pl={`${labels}px`}>
        <TimeAxis from={from} to={to} width={room} zone={zone} bell={bell} now={now} />
      </Box>
      {ways.map((found) => {
        const start = startOf(found);
        const current = found.name === way.name;
        return (
          <chakra.button
            key={found.name}
            role="radio"
            aria-checked={current}
            onClick={() => onChoose(found.name)}
            display={wide ? 'flex' : 'block'}
            width="100%"
            textAlign="left"
            cursor="pointer"
            borderTopWidth="1px"
            borderColor="line"
            bg={current ? 'panel' : 'transparent'}
            boxShadow={current ? 'inset 6px 0 0 var(--chakra-colors-rim)' : undefined}
            minHeight="64px"
          >
            <Box width={wide ? `${labels}px` : '100%'} flexShrink={0} pl={4} pr={2} py={2}>
              <Text fontWeight={700} lineHeight={1.2}>
                {say(found.name, units)}
              </Text>
              <Text fontSize="small" color={found.verdict === 'too_late' ? 'caution' : 'soft'}>
                {verdicts[found.verdict]}, {inHundred(found.chance_ready)} in 100
                <br />
                {span(Math.round(found.hands_on_min / 5) * 5)} at work
              </Text>
            </Box>
            <ReadyBand
              from={from}
              to={to}
              width={room}
              zone={zone}
              start={start}
              bell={bell}
              now={now}
              ready={bandFrom(found.ready_min, start)}
              tooFar={bandFrom(found.too_far_min, start)}
              label={found.name}
            />
          </chakra.button>
        );
      })}
      <Text fontSize="small" color="soft" mt={3}>
        {farOff ? 'Each at its latest start.' : 'If the pan goes on now.'} Hatched: not tender yet. Solid:
        nine in ten such pieces are tender by the end of the dark part. Dots: going too far if the heat stays
        on.
      </Text>
    </Box>
  );
}

function Why({ way, units }: { way: Schemas['Way']; units: Units }) {
  const zone = useKitchen().data?.zone ?? 'UTC';
  const now = useNow(60_000);
  const late = millis(way.start_by) < now;
  return (
    <Because
      why={whyAddress(way.plan.forecast, way.plan.name)}
      rule={
        <>
          <Text>
            Hundreds of cooks of this piece are simulated with the thickness, the animal, the oven and the lid
            each a little different; the band holds the middle eight in ten.
          </Text>
          <Text>
            Plates {span(way.finishing_min)} after lifting: skim, sauce, rest, slice. Latest start{' '}
            {clockDay(way.start_by, zone, now)}
            {late ? ', already past' : ''}. Eats {format('mass', way.yield_kg, units)} cooked, about{' '}
            {Math.floor(way.portions)} portions of {format('small_mass', 165, units)}.
          </Text>
          {way.cost_per_portion != null && (
            <Text>{way.cost_per_portion.toFixed(2)} a portion of the raw price.</Text>
          )}
        </>
      }
    >
      <Text>{say(way.why, units)}</Text>
      <Text>
        {late ? 'It should have started by ' : 'Start by '}
        <strong>{clockDay(way.start_by, zone, now)}</strong> to be sure enough. The liquid: {way.sauce_body}.
      </Text>
      {way.cautions.map((caution) => (
        <Caution key={caution.id}>{say(caution.text, units)}</Caution>
      ))}
    </Because>
  );
}

function PlanIt({ way }: { way: Schemas['Way'] }) {
  const navigate = useNavigate();
  const [name, setName] = useState(way.plan.name);
  const [fault, setFault] = useState<unknown>();
  const [saving, setSaving] = useState(false);
  const save = async () => {
    setSaving(true);
    setFault(undefined);
    try {
      const id = crypto.randomUUID();
      await api.savePlan(id, 0, { ...way.plan, name });
      await navigate(`/sheet/${id}`);
    } catch (error) {
      setFault(error);
      setSaving(false);
    }
  };
  const named = fault instanceof ApiFault && fault.field === 'plan.name';
  return (
    <Stack gap={3}>
      <TextField
        label="Call the dish"
        value={name}
        onChange={setName}
        maxLength={80}
        error={named ? fault.message : undefined}
      />
      <ThumbBar>
        <Button weight="first" size="large" onClick={() => void save()} disabled={saving}>
          Plan it this way
        </Button>
      </ThumbBar>
      {fault !== undefined && !named && <Fault error={fault} />}
    </Stack>
  );
}

function Inside({ way, units }: { way: Schemas['Way']; units: Units }) {
  const worked = useQuery({
    queryKey: ['preview', way.plan.forecast],
    queryFn: ({ signal }) => api.preview(way.plan, signal),
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const forecast = worked.data?.forecast;
  return (
    <Box as="section" aria-label="Inside the piece" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={1}>
        Inside the piece, {say(way.name, units)}
      </Heading>
      {forecast?.inside ? (
        <SliceOfPiece
          key={way.name}
          inside={forecast.inside}
          enough={forecast.enough_tender_h / forecast.resistance}
          units={units}
          start={60}
        />
      ) : (
        <Waiting height={288} what="Cutting it open" />
      )}
    </Box>
  );
}

function Refused({
  facts,
  why,
  onInstead,
}: {
  facts?: Schemas['CutFacts'];
  why: string;
  onInstead: (cut: Schemas['Cut']) => void;
}) {
  return (
    <Stack gap={4} maxW="44rem" py={4}>
      <Heading as="h2" fontFamily="heading" fontSize="title">
        {facts?.name ?? 'This cut'} is not for this job
      </Heading>
      <Text fontSize="lead">{why}</Text>
      <Flex gap={3} wrap="wrap">
        {(['chuck', 'shin', 'short_rib'] as const).map((cut) => (
          <Button key={cut} onClick={() => onInstead(cut)}>
            {{ chuck: 'Chuck', shin: 'Shin', short_rib: 'Short rib' }[cut]} instead
          </Button>
        ))}
      </Flex>
    </Stack>
  );
}
