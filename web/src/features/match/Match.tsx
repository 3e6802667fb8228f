import { Box, Grid, Heading, Stack } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { memo, useCallback, useEffect, useMemo, useState } from 'react';
import { ApiFault, api, type Kitchen, type Schemas } from '../../api/client';
import { useCuts, useKitchen, useMatch } from '../../api/queries';
import { useFollowing } from '../../api/useFollowing';
import { SliceOfPiece } from '../../drawings/SliceOfPiece';
import { localText, millis } from '../../format/time';

import { useNow } from '../../format/useNow';
import { Caution, Fault, Waiting } from '../../ui/states';
import { inKitchen } from '../why/state';
import { AskOne } from './AskOne';
import { Block } from './Block';
import { Compare } from './Compare';
import { MatchNav } from './MatchNav';
import { More } from './More';
import { Others, Refused } from './Others';
import { choicesOf, rungAll } from './reckon';
import { Recipe } from './Recipe';
import { Side } from './Side';
import { matchRequest, otherCut, useBlock, type Block as BlockState } from './state';
import { Ways } from './Ways';

/** Simulated cooks while something is dragged: enough to follow the hand. */
const DRAFT_MEMBERS = 16;
const SETTLES_MS = 400;
/** Fields whose refusal stands beside them, in sight. */
const inPlace = ['cut', 'parts[0].cut', 'mass_kg', 'parts[0].mass_kg', 'parts', 'people', 'bell'];

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

/** A value once it has been the same for a while. */
function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), SETTLES_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return settled;
}

/** The thickness under the hand, until it rests and stands in the address with the rest. */
function useSliding(mm: number | undefined, change: (changed: Partial<BlockState>) => void) {
  const [slid, setSlid] = useState<{ mm: number; over?: number }>();
  const sliding = slid && slid.over === mm && slid.mm !== mm ? slid.mm : undefined;
  useEffect(() => {
    if (sliding === undefined) return;
    const timer = setTimeout(() => change({ mm: sliding }), SETTLES_MS);
    return () => clearTimeout(timer);
  }, [sliding, change]);
  const slide = useCallback((next: number) => setSlid({ mm: next, over: mm }), [mm]);
  return [sliding, slide] as const;
}

const askDraft = (text: string) =>
  api.match({ ...(JSON.parse(text) as Schemas['MatchRequest']), members: DRAFT_MEMBERS, only_ways: true });

function MatchIn({ kitchen, cuts }: { kitchen: Kitchen; cuts: Schemas['AtTheCounter'][] }) {
  const { units, zone } = kitchen;
  const { block, change } = useBlock(zone);
  const now = useNow(60_000);
  const [sliding, slide] = useSliding(block.mm, change);
  const text = JSON.stringify(matchRequest(sliding ? { ...block, mm: sliding } : block, zone));
  const settledText = useSettled(text);
  const request = useMemo(() => JSON.parse(settledText) as Schemas['MatchRequest'], [settledText]);
  const settled = useMatch(request);
  // What is being dragged is answered from fewer cooks and in its bands alone; the rest stays as it was.
  const waits = settledText !== text || settled.isPlaceholderData;
  const draft = useFollowing(waits && settled.data ? text : undefined, askDraft);
  const drafted = draft?.answer?.suitable ? draft.answer : undefined;
  const error = (settledText !== text && draft?.error) || settled.error;
  const steady = settled.data;
  const data = useMemo(
    () =>
      drafted && steady?.suitable
        ? { ...steady, ways: drafted.ways, two_stage: drafted.two_stage, bell: drafted.bell }
        : steady,
    [drafted, steady],
  );
  // The bell under the hand, until the kitchen has answered for where it was let go.
  const [held, setHeld] = useState<{ at: number; answer: unknown }>();
  const dragged = held?.answer === data ? held?.at : undefined;
  const live = useMemo(() => rungAll(data, dragged), [data, dragged]);
  const facts = cuts.find((cut) => cut.cut === block.cut);
  const fault = error instanceof ApiFault ? error : undefined;
  const all = live ? choicesOf(live) : [];
  const chosen = all.find((choice) => choice.id === block.way) ?? all[0];
  // Beside the bands the words wait until the hand rests: they are long to read and would only flicker.
  const told = (steady && dragged === undefined ? choicesOf(steady) : all).find(
    (choice) => choice.id === chosen?.id,
  );
  const bell = dragged ?? (live ? millis(live.bell) : now);
  const onBell = (at: number, done: boolean) => {
    setHeld({ at, answer: data });
    if (done) change({ bell: localText(at, zone) });
  };
  const chosenId = chosen?.id;
  const onBeside = useCallback((beside: string[]) => change({ beside, way: chosenId }), [change, chosenId]);
  const onChoose = useCallback((way: string) => change({ way }), [change]);
  const onOut = useCallback(
    (out: string) => change({ beside: block.beside.filter((id) => id !== out) }),
    [change, block.beside],
  );
  const onInstead = useCallback(
    (cut: Schemas['Cut'], kg?: number) => change({ ...otherCut(cut), kg }),
    [change],
  );
  const onRecipe = useCallback((recipe?: string) => change({ recipe }), [change]);
  const compared = useMemo(
    () =>
      steady ? block.beside.flatMap((id) => choicesOf(steady).find((choice) => choice.id === id) ?? []) : [],
    [steady, block.beside],
  );
  return (
    <Stack gap={4}>
      <MatchNav />
      <Block block={block} change={change} cuts={cuts} units={units} fault={fault} />
      <More block={block} change={change} onSlide={slide} cuts={cuts} kitchen={kitchen} fault={fault} />
      {steady?.suitable && (
        <AskOne
          ask={steady.ask}
          block={block}
          change={change}
          onSlide={slide}
          facts={facts}
          kitchen={kitchen}
          key={block.cut}
        />
      )}
      {error && !inPlace.includes(fault?.field ?? '') && (
        <Fault error={error} retry={() => void settled.refetch()} />
      )}
      {settled.isPending && <Waiting height={480} what="Cooking it every way" />}
      {steady && !steady.suitable && <Refused facts={facts} why={steady.why} onInstead={onInstead} />}
      {steady?.warnings.map((warning) => (
        <Caution key={warning.id}>{warning.text}</Caution>
      ))}
      {live && chosen && (
        <Grid
          templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 312px' }}
          gap={{ base: 5, lg: 7 }}
        >
          <Ways
            matched={live}
            chosen={chosen}
            beside={block.beside}
            {...{ bell, now, zone, units, onBell, onChoose }}
            onSort={(sort) => change({ sort, way: undefined })}
          />
          <Side choice={told ?? chosen} {...{ units, zone, now, onBeside }} beside={block.beside} />
        </Grid>
      )}
      {steady && chosen && (
        <>
          <Compare choices={compared} chosen={chosen.id} {...{ units, zone, now, onChoose, onOut }} />
          <Inside choice={told ?? chosen} kitchen={kitchen} />
          <Recipe key={block.recipe} recipe={block.recipe} {...{ request, units, onRecipe }} />
          <Others matched={steady} {...{ units, onInstead }} />
        </>
      )}
    </Stack>
  );
}

const Inside = memo(function Inside({ choice, kitchen }: { choice: Schemas['Choice']; kitchen: Kitchen }) {
  const request = { ...inKitchen(choice.plan.forecast, kitchen), members: 1, inside: true };
  const worked = useQuery({
    queryKey: ['forecast', request],
    queryFn: ({ signal }) => api.forecast(request, signal),
    staleTime: Infinity,
    placeholderData: (before) => before,
    retry: false,
  });
  const forecast = worked.data;
  if (worked.isError) return null;
  return (
    <Box as="section" aria-label="Inside the piece" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={1}>
        Inside the piece: {choice.name}
      </Heading>
      {forecast?.inside ? (
        <SliceOfPiece
          key={choice.id}
          inside={forecast.inside}
          enough={forecast.enough_tender_h / forecast.resistance}
          units={kitchen.units}
          start={60}
        />
      ) : (
        <Waiting height={288} what="Cutting it open" />
      )}
    </Box>
  );
});
