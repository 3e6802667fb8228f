import { Box, Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { ApiFault, api, type Kitchen, type Schemas } from '../../api/client';
import { useKitchen } from '../../api/queries';
import { bandFrom, ReadyBand, TimeAxis } from '../../drawings/ReadyBand';
import { useWidth } from '../../drawings/useWidth';
import { inHundred, millis, nextAt } from '../../format/time';
import { editable, format } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { NumberField, TextField } from '../../ui/fields';
import { Fault, Waiting } from '../../ui/states';
import { MatchNav } from './MatchNav';
import { served } from './state';

const dishes: { value: Schemas['Method']; label: string }[] = [
  { value: 'braise', label: 'braise' },
  { value: 'stew', label: 'stew' },
  { value: 'pressure', label: 'pressure' },
  { value: 'slow_cooker', label: 'slow cooker' },
  { value: 'smoke', label: 'smoke' },
  { value: 'confit', label: 'under fat' },
  { value: 'water_bath', label: 'water bath' },
];
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
  if (kitchen.isLoadingError) return <Fault error={kitchen.error} retry={() => void kitchen.refetch()} />;
  if (!kitchen.data) return <Waiting height="60vh" what="Opening the kitchen" />;
  return <BuyIn kitchen={kitchen.data} />;
}

function BuyIn({ kitchen }: { kitchen: Kitchen }) {
  const { zone } = kitchen;
  const [params, setParams] = useSearchParams();
  const [dinner] = useState(() => nextAt(19, 7, zone, Date.now()));
  const set = (name: string, value: string) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (value) next.set(name, value);
        else next.delete(name);
        return next;
      },
      { replace: true },
    );
  const as = params.get('as') ?? 'usual';
  const request: Schemas['MatchRequest'] = {
    method: (params.get('dish') ?? 'braise') as Schemas['Method'],
    eaten_as: as === 'usual' ? undefined : (as as Schemas['EatenAs']),
    people: Number(params.get('people') ?? 8),
    served: (params.get('in') ?? 'plate') as Schemas['Served'],
    bell: params.get('bell') ?? dinner,
    zone,
  };
  const asked = useQuery({
    queryKey: ['match', request, kitchen.prices],
    queryFn: ({ signal }) => api.match(request, signal),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const fault = asked.error instanceof ApiFault ? asked.error : undefined;
  const error = (field: string) => (fault?.field === field ? fault.message : undefined);
  return (
    <Stack gap={4}>
      <MatchNav />
      <Flex wrap="wrap" gap={4} align="flex-end">
        <Choice
          label="The dish"
          value={request.method!}
          options={dishes}
          onChange={(dish) => set('dish', dish)}
        />
        <Choice
          label="Eaten as"
          value={as as (typeof eatenAs)[number]['value']}
          options={eatenAs}
          onChange={(next) => set('as', next === 'usual' ? '' : next)}
        />
        <Box width="72px">
          <NumberField
            label="People"
            value={request.people ?? undefined}
            onChange={(people) => set('people', String(Math.round(people ?? 0)))}
            unit=""
            step={1}
            error={error('people')}
          />
        </Box>
        <Choice
          label="Served"
          value={request.served!}
          options={served}
          onChange={(how) => set('in', how === 'plate' ? '' : how)}
        />
        <Box width={{ base: '100%', sm: '236px' }}>
          <TextField
            label="Bell: plates on the table"
            type="datetime-local"
            value={request.bell!}
            onChange={(bell) => set('bell', bell)}
            error={error('bell')}
          />
        </Box>
      </Flex>
      {asked.isError && !['people', 'bell'].includes(fault?.field ?? '') && (
        <Fault error={asked.error} retry={() => void asked.refetch()} />
      )}
      {asked.isPending && <Waiting height={480} what="Weighing it up" />}
      {asked.data && <Bought matched={asked.data} request={request} kitchen={kitchen} />}
    </Stack>
  );
}

function Bought({
  matched,
  request,
  kitchen,
}: {
  matched: Schemas['Matched'];
  request: Schemas['MatchRequest'];
  kitchen: Kitchen;
}) {
  const { units, zone } = kitchen;
  const now = useNow(60_000);
  const { ref, width } = useWidth<HTMLDivElement>(520);
  if (matched.buy.length === 0) return <Text fontSize="lead">{matched.why}</Text>;
  const bell = millis(matched.bell);
  const starts = matched.buy.map((buy) =>
    buy.start_by ? Math.max(now, millis(buy.start_by)) + 30 * 60_000 : now,
  );
  const ends = matched.buy.map((buy, i) => starts[i]! + Math.min(buy.ready_min.p90 ?? 0, 2880) * 60_000);
  const from = Math.min(...starts) - 1_800_000;
  const to = Math.max(bell, Math.min(Math.max(...ends), bell + 5 * 3_600_000)) + 2_700_000;
  return (
    <Box>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={1}>
        {matched.why}
      </Heading>
      <Text fontSize="small" color="soft" mb={3}>
        Raw and bone in, bought so that everyone has about {format('small_mass', matched.portion_g, units)}{' '}
        cooked. Those that fit the bell first, then the cheapest; what goes stringy last. Each band is drawn
        at its latest start.
      </Text>
      <Grid templateColumns={{ base: '1fr', lg: '480px minmax(0, 1fr)' }} columnGap={5}>
        <Box display={{ base: 'none', lg: 'block' }} />
        <Box ref={ref} minW={0} display={{ base: 'none', lg: 'block' }}>
          <TimeAxis {...{ from, to, width, zone, bell, now }} />
        </Box>
        {matched.buy.map((buy, i) => (
          <Line key={buy.cut} {...{ buy, kitchen, request, width, from, to, bell, now }} start={starts[i]!} />
        ))}
      </Grid>
    </Box>
  );
}

function Line({
  buy,
  kitchen,
  request,
  width,
  from,
  to,
  bell,
  now,
  start,
}: {
  buy: Schemas['Buy'];
  kitchen: Kitchen;
  request: Schemas['MatchRequest'];
  width: number;
  from: number;
  to: number;
  bell: number;
  now: number;
  start: number;
}) {
  const { units, zone } = kitchen;
  const onTheBlock = new URLSearchParams({
    cut: buy.cut,
    kg: String(Number(buy.mass_kg.toFixed(2))),
    people: String(request.people),
    as: buy.eaten_as,
    bell: request.bell!,
  });
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
          <Price cut={buy.cut} cost={buy.cost} kitchen={kitchen} />
          <Button asChild weight="quiet" px={2} whiteSpace="nowrap">
            <Link to={`/match?${onTheBlock.toString()}`}>On the block</Link>
          </Button>
        </Flex>
      </Grid>
      <Box borderTopWidth={{ base: '0', lg: '1px' }} borderColor="line" minW={0} overflow="hidden">
        <Box display={{ base: 'none', lg: 'block' }}>
          <ReadyBand
            {...{ from, to, width, zone, start, bell, now }}
            height={76}
            ready={bandFrom(buy.ready_min, start)}
            tooFar={{ p10: null, p50: null, p90: null }}
            label={buy.name}
          />
        </Box>
        <Text display={{ base: 'block', lg: 'none' }} fontSize="small" pb={2}>
          {buy.verdict === 'unsuitable'
            ? 'not with this kit'
            : `tender in time: ${inHundred(buy.chance_ready)} in 100`}
        </Text>
      </Box>
    </>
  );
}

/** What it costs; the price is corrected where it stands, and kept with the kitchen. */
function Price({ cut, cost, kitchen }: { cut: Schemas['Cut']; cost?: number | null; kitchen: Kitchen }) {
  const queries = useQueryClient();
  const [editing, setEditing] = useState(false);
  const [price, setPrice] = useState(kitchen.prices[cut]);
  const save = async () => {
    setEditing(false);
    const prices = { ...kitchen.prices };
    if (price === undefined) delete prices[cut];
    else prices[cut] = price;
    queries.setQueryData(['kitchen'], await api.saveKitchen({ ...kitchen, prices }));
  };
  if (!editing)
    return (
      <Button weight="quiet" px={2} onClick={() => setEditing(true)} fontVariantNumeric="tabular-nums">
        {cost == null ? 'price?' : cost.toFixed(2)}
      </Button>
    );
  return (
    <Flex gap={1} align="flex-end">
      <Box width="96px">
        <NumberField label="Price" value={price} onChange={setPrice} {...editable.price[kitchen.units]} />
      </Box>
      <Button px={2} onClick={() => void save()}>
        Keep
      </Button>
    </Flex>
  );
}
