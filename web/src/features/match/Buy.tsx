import { Box, Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { ApiFault, api, kitchenNow, type Kitchen, type Schemas } from '../../api/client';
import { useFields, useKitchen, useKitchenView } from '../../api/queries';
import { useKitchenDocument } from '../../api/useLive';
import { bandTimes, ReadyBand, TimeAxis, workOf } from '../../drawings/ReadyBand';
import { useWidth } from '../../drawings/useWidth';
import { inHundred, millis, nextAt } from '../../format/time';
import { editable, format } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { OnOff } from '../../ui/OnOff';
import { PageHeading } from '../../ui/PageHeading';
import { useLastGood } from '../../ui/useLastGood';
import { WhenField } from '../../ui/WhenField';
import { Fault, Waiting } from '../../ui/states';
import { MatchNav } from './MatchNav';
import { served } from './state';
import { axisOf, drawnOf } from './Ways';

const eatenAs: { value: Schemas['EatenAs'] | 'usual'; label: string }[] = [
  { value: 'usual', label: 'as is usual' },
  { value: 'slice', label: 'slice' },
  { value: 'fork', label: 'fork' },
  { value: 'pull', label: 'pull' },
  { value: 'spoon', label: 'spoon' },
];

/** The other way round: a dish and a table, and which cuts to buy for it, how much, for what money. */
export function Buy() {
  const kitchen = useKitchen();
  const fields = useFields();
  const failed = [kitchen, fields].find((query) => query.isLoadingError);
  return (
    <>
      <PageHeading title="What to buy" srOnly />
      {failed ? (
        <Fault error={failed.error} retry={() => void failed.refetch()} />
      ) : kitchen.data && fields.data ? (
        <BuyIn kitchen={kitchen.data} methods={fields.data.methods} />
      ) : (
        <Waiting height="60vh" what="Opening the kitchen" />
      )}
    </>
  );
}

function useBuying(zone: string, methods: Schemas['MethodChoice'][]) {
  const [params, setParams] = useSearchParams();
  const [dinner] = useState(() => nextAt(19, 7, zone, kitchenNow()));
  const set = (name: string, value: string, how?: 'step') =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (value) next.set(name, value);
        else next.delete(name);
        return next;
      },
      { replace: how !== 'step', preventScrollReset: true },
    );
  const dish = methods.find(({ method }) => method === params.get('dish'))?.method ?? 'braise';
  const as = eatenAs.find(({ value }) => value === params.get('as'))?.value ?? 'usual';
  const how = served.find(({ value }) => value === params.get('in'))?.value ?? 'plate';
  const people = params.has('people') ? Number(params.get('people')) : undefined;
  return { set, dish, as, how, people, serve_at: params.get('serve_at') ?? dinner };
}

function BuyIn({ kitchen, methods }: { kitchen: Kitchen; methods: Schemas['MethodChoice'][] }) {
  const { zone, units } = kitchen;
  const { set, dish, as, how, people, serve_at: serveAt } = useBuying(zone, methods);
  const request: Schemas['MatchRequest'] = {
    method: dish,
    eaten_as: as === 'usual' ? undefined : as,
    people,
    served: how,
    serve_at: serveAt,
    zone,
  };
  const asked = useQuery({
    queryKey: ['match', request, kitchen.prices],
    queryFn: ({ signal }) => api.match(request, signal),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const matched = useLastGood(asked.data);
  const fault = asked.error instanceof ApiFault ? asked.error : undefined;
  const error = (field: string) => (fault?.field === field ? fault.message : undefined);
  return (
    <Stack gap={4}>
      <MatchNav />
      <Flex wrap="wrap" gap={4} align="flex-end">
        <Choice
          label="The dish"
          value={dish}
          options={methods.map(({ method, label }) => ({ value: method, label }))}
          onChange={(next) => set('dish', next, 'step')}
        />
        <Box width="96px">
          <NumberField
            label="People"
            value={people ?? matched?.people}
            onChange={(next) => set('people', String(Math.round(next ?? 0)))}
            unit=""
            error={error('people')}
          />
        </Box>
        <Box width={{ base: '100%', sm: '250px' }}>
          <WhenField
            label="Plates on the table"
            value={serveAt}
            onChange={(next) => set('serve_at', next)}
            units={units}
            error={error('serve_at')}
          />
        </Box>
        <Choice
          label="Eaten as"
          value={as}
          options={eatenAs}
          onChange={(next) => set('as', next === 'usual' ? '' : next, 'step')}
        />
        <Choice
          label="Served"
          value={how}
          options={served}
          onChange={(next) => set('in', next === 'plate' ? '' : next, 'step')}
        />
      </Flex>
      {asked.isError && !['people', 'serve_at'].includes(fault?.field ?? '') && (
        <Fault error={asked.error} retry={() => void asked.refetch()} />
      )}
      {asked.isPending && <Waiting height={480} what="Weighing it up" />}
      {matched && <Bought matched={matched} kitchen={kitchen} />}
    </Stack>
  );
}

function Bought({ matched, kitchen }: { matched: Schemas['Matched']; kitchen: Kitchen }) {
  const { units, zone } = kitchen;
  const now = useNow(60_000);
  const [fromNow, setFromNow] = useState(false);
  const { ref, width } = useWidth<HTMLDivElement>(520);
  if (matched.buy.length === 0) return <Text fontSize="lead">{matched.why}</Text>;
  const serveAt = millis(matched.serve_at);
  const { from, to, folded } = axisOf(
    matched.buy.map((buy) => drawnOf(buy, fromNow)),
    now,
    serveAt,
  );
  return (
    <Box>
      <Flex gap={4} wrap="wrap" align="center" justify="space-between" mb={1}>
        <Heading as="h2" fontFamily="heading" fontSize="lead">
          {matched.why}
        </Heading>
        <OnOff label="If it went in now" on={fromNow} onChange={setFromNow} />
      </Flex>
      <Text fontSize="small" color="soft" mb={3}>
        Raw and bone in, bought so that everyone has about {format('small_mass', matched.portion_g, units)}{' '}
        cooked. Those that fit the bell first, then the cheapest; what goes stringy last.{' '}
        {fromNow
          ? 'As if the work began now.'
          : 'Each at its latest sure start; the white before it is room.'}
      </Text>
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: '480px minmax(0, 1fr)' }} columnGap={5}>
        <Box display={{ base: 'none', lg: 'block' }} />
        <Box ref={ref} minW={0}>
          <TimeAxis {...{ from, to, width, zone, serveAt, now, folded }} />
        </Box>
        {matched.buy.map((buy) => (
          <Line
            key={buy.cut}
            {...{ buy, kitchen, matched, width, from, to, serveAt, now }}
            drawn={drawnOf(buy, fromNow)}
          />
        ))}
      </Grid>
    </Box>
  );
}

function Line({
  buy,
  kitchen,
  matched,
  drawn,
  width,
  from,
  to,
  serveAt,
  now,
}: {
  buy: Schemas['Buy'];
  kitchen: Kitchen;
  matched: Schemas['Matched'];
  drawn: Schemas['DrawnHours'] | undefined;
  width: number;
  from: number;
  to: number;
  serveAt: number;
  now: number;
}) {
  const { units, zone } = kitchen;
  const [params] = useSearchParams();
  const onTheBlock = new URLSearchParams({
    cut: buy.cut,
    kg: String(Number(buy.mass_kg.toFixed(2))),
    people: String(matched.people),
    as: buy.eaten_as,
    served: matched.served,
  });
  const rung = params.get('serve_at');
  if (rung) onTheBlock.set('serve_at', rung);
  const pieces = buy.pieces > 1 ? `${buy.pieces} pieces` : 'one piece';
  return (
    <>
      <Grid
        templateColumns="minmax(0, 1fr) auto"
        columnGap={3}
        borderTopWidth="1px"
        borderColor="line"
        py={2}
        minHeight="76px"
        alignItems="center"
      >
        <Box>
          <Text fontWeight={700} lineHeight={1.25}>
            {buy.name}: {format('mass', Number(buy.mass_kg.toFixed(1)), units)}
            <Text as="span" fontWeight={400} color="soft">
              , {pieces}
            </Text>
          </Text>
          <Text fontSize="small" color="soft" lineHeight={1.35}>
            {buy.why}
          </Text>
        </Box>
        <Flex gap={0} align="center">
          <Price cut={buy.cut} cost={buy.cost} />
          <Button asChild weight="quiet" px={2} whiteSpace="nowrap">
            <Link to={`/match?${onTheBlock.toString()}`}>Put it on the block</Link>
          </Button>
        </Flex>
      </Grid>
      <Box borderTopWidth={{ base: '0', lg: '1px' }} borderColor="line" minW={0} overflow="hidden">
        {buy.verdict === 'unsuitable' || !drawn ? (
          <Text fontSize="small" py={3}>
            Not with this kit.
          </Text>
        ) : (
          <ReadyBand
            {...{ from, to, width, zone, serveAt, now }}
            height={70}
            start={millis(drawn.on_the_heat)}
            ready={bandTimes(drawn.ready)}
            tooFar={bandTimes(drawn.overcooked)}
            work={workOf(drawn)}
            label={`${buy.name}, ${inHundred(buy.chance_ready)} in 100 in time`}
          />
        )}
      </Box>
    </>
  );
}

/** What it costs; the price is corrected where it stands, and kept with the kitchen. */
function Price({ cut, cost }: { cut: Schemas['Cut']; cost?: number | null }) {
  const view = useKitchenView();
  const [editing, setEditing] = useState(false);
  if (editing && view.data) return <PriceField view={view.data} cut={cut} onDone={() => setEditing(false)} />;
  return (
    <Button weight="quiet" px={2} onClick={() => setEditing(true)} fontVariantNumeric="tabular-nums">
      {cost == null ? 'price?' : cost.toFixed(2)}
    </Button>
  );
}

function PriceField({
  view,
  cut,
  onDone,
}: {
  view: Schemas['KitchenView'];
  cut: Schemas['Cut'];
  onDone: () => void;
}) {
  const { document, value: kitchen, fault } = useKitchenDocument(view);
  return (
    <Flex gap={1} align="flex-end">
      <Box width="130px">
        <NumberField
          label="Price"
          value={kitchen.prices[cut]}
          onChange={(price) =>
            document.change(`price of ${cut}`, (was) => {
              const others = Object.entries(was.prices).filter(([other]) => other !== cut);
              const all = price === undefined ? others : [...others, [cut, price]];
              return { ...was, prices: Object.fromEntries(all) as typeof was.prices };
            })
          }
          error={fault?.message}
          {...editable.price[kitchen.units]}
        />
      </Box>
      <Button px={2} onClick={() => void document.flush().then(onDone)}>
        Good
      </Button>
    </Flex>
  );
}
