import { Box, Grid, Heading, Stack } from '@chakra-ui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Suspense, lazy, memo, useCallback, useEffect, useMemo, useState } from 'react';
import { ApiFault, api, type Kitchen, type Schemas } from '../../api/client';
import { useCuts, useKitchen, useMatch } from '../../api/queries';
import { useFollowing } from '../../api/useFollowing';
import { rungAll } from '../../format/between';
import { instantOf, localText, millis } from '../../format/time';
import { useNow } from '../../format/useNow';
import { useLastGood } from '../../ui/useLastGood';
import { PageHeading } from '../../ui/PageHeading';
import { Caution, Fault, Waiting } from '../../ui/states';
import { choicesOf } from './choices';
import { MatchNav } from './MatchNav';
import { More } from './More';
import { Others, Refused } from './Others';
import { Side } from './Side';
import { matchRequest, otherCut, useBlock, type Change } from './state';
import { Ways } from './Ways';

// The answer is drawn first; what it is asked with and what stands below it follow at once, each to its own room.
const Questions = lazy(async () => ({ default: (await import('./Questions')).Questions }));
const AskOne = lazy(async () => ({ default: (await import('./AskOne')).AskOne }));
const Compare = lazy(async () => ({ default: (await import('./Compare')).Compare }));
const Recipe = lazy(async () => ({ default: (await import('./Recipe')).Recipe }));
const SliceOfPiece = lazy(async () => ({
  default: (await import('../../drawings/SliceOfPiece')).SliceOfPiece,
}));

/** Simulated cooks while something is dragged: enough to follow the hand. */
const DRAFT_MEMBERS = 16;
const SETTLES_MS = 400;
/** Fields whose refusal stands beside them, in sight. */
const inPlace = ['cut', 'parts[0].cut', 'mass_kg', 'parts[0].mass_kg', 'parts', 'serve_at'];

/** Which way for this cut: every way at once on one time axis running to the bell. */
export function Match() {
  const kitchen = useKitchen();
  const cuts = useCuts();
  return (
    <>
      <PageHeading title="Match" srOnly />
      {kitchen.isLoadingError || cuts.isLoadingError ? (
        <Fault
          error={kitchen.error ?? cuts.error}
          retry={() => {
            void kitchen.refetch();
            void cuts.refetch();
          }}
        />
      ) : kitchen.data && cuts.data ? (
        <MatchIn kitchen={kitchen.data} cuts={cuts.data} />
      ) : (
        <Waiting height="60vh" what="Opening the kitchen" />
      )}
    </>
  );
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
function useSliding(mm: number | undefined, change: Change) {
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

const asked = (text: string): Schemas['MatchRequest'] =>
  // Written by `JSON.stringify` of a request, a few lines below.
  JSON.parse(text) as Schemas['MatchRequest'];

const askDraft = (text: string) => api.match({ ...asked(text), members: DRAFT_MEMBERS, only_ways: true });

function MatchIn({ kitchen, cuts }: { kitchen: Kitchen; cuts: Schemas['AtTheCounter'][] }) {
  const { units, zone } = kitchen;
  const { block, change } = useBlock(zone);
  const now = useNow(60_000);
  const [sliding, slide] = useSliding(block.mm, change);
  // The bell under the hand, until it is let go and the kitchen has answered for where that was.
  const [held, setHeld] = useState<{ at: number; over: string }>();
  const shownServeAt = held?.over === block.serve_at ? localText(held.at, zone) : block.serve_at;
  const onScreen = { ...block, ...(sliding ? { mm: sliding } : {}), serve_at: block.serve_at };
  const text = JSON.stringify(matchRequest(onScreen, zone));
  const settledText = useSettled(text);
  const request = useMemo(() => asked(settledText), [settledText]);
  const settled = useMatch(request);
  const steady = useLastGood(settled.data);
  // What is being dragged is answered from fewer cooks and in its bands alone; the rest stays as it was.
  const waits = settledText !== text || settled.isPlaceholderData;
  const draft = useFollowing(waits && steady ? text : undefined, askDraft);
  const drafted = draft?.answer?.suitable ? draft.answer : undefined;
  const error = (settledText !== text && draft?.error) || settled.error;
  const data = useMemo(
    () =>
      drafted && steady?.suitable
        ? {
            ...steady,
            ways: drafted.ways,
            two_stage: drafted.two_stage,
            serve_at: drafted.serve_at,
            on_the_block: drafted.on_the_block,
          }
        : steady,
    [drafted, steady],
  );
  // An answer for another bell is read as if for this one, until this one's is there.
  const wantedServeAt = instantOf(shownServeAt, zone);
  const dragged =
    data && wantedServeAt && millis(wantedServeAt) !== millis(data.serve_at)
      ? millis(wantedServeAt)
      : undefined;
  const live = useMemo(() => rungAll(data, dragged), [data, dragged]);
  const facts = cuts.find((cut) => cut.cut === block.cut);
  const fault = error instanceof ApiFault ? error : undefined;
  const all = live ? choicesOf(live) : [];
  const chosen = all.find((choice) => choice.id === block.way) ?? all[0];
  // Beside the bands the words wait until the hand rests: they are long to read and would only flicker.
  const told = (steady && dragged === undefined ? choicesOf(steady) : all).find(
    (choice) => choice.id === chosen?.id,
  );
  const serveAt = dragged ?? (live ? millis(live.serve_at) : now);
  const onServeAt = (at: number, done: boolean) => {
    if (done) {
      setHeld(undefined);
      change({ serve_at: localText(at, zone) });
    } else setHeld({ at, over: block.serve_at });
  };
  const chosenId = chosen?.id;
  const onBeside = useCallback(
    (beside: string[]) => change({ beside, way: chosenId }, 'step'),
    [change, chosenId],
  );
  const onChoose = useCallback((way: string) => change({ way }, 'step'), [change]);
  const onOut = useCallback(
    (out: string) => change({ beside: block.beside.filter((id) => id !== out) }, 'step'),
    [change, block.beside],
  );
  const onInstead = useCallback(
    (cut: Schemas['Cut'], kg?: number) => change({ ...otherCut(cut), kg }, 'step'),
    [change],
  );
  const onRecipe = useCallback((recipe?: string) => change({ recipe }, 'step'), [change]);
  const compared = useMemo(
    () =>
      steady ? block.beside.flatMap((id) => choicesOf(steady).find((choice) => choice.id === id) ?? []) : [],
    [steady, block.beside],
  );
  const isFresh = !waits && !settled.isError && dragged === undefined;
  const planNow = async (id: string): Promise<Schemas['Plan']> => {
    const answer = isFresh && steady ? steady : await api.match(asked(text));
    const found = choicesOf(answer).find((choice) => choice.id === id);
    if (!found) throw new Error('That way is not among those for what stands above now. Choose one of them.');
    return found.plan;
  };
  return (
    <Stack gap={4}>
      <MatchNav />
      <Suspense fallback={<Box height="74px" />}>
        <Questions
          block={block.serve_at === shownServeAt ? block : { ...block, serve_at: shownServeAt }}
          change={change}
          cuts={cuts}
          massKg={data?.on_the_block?.mass_kg}
          units={units}
          fault={fault}
        />
      </Suspense>
      <More
        block={block}
        change={change}
        onSlide={slide}
        cuts={cuts}
        kitchen={kitchen}
        matched={data}
        fault={fault}
      />
      {error && !inPlace.includes(fault?.field ?? '') && (
        <Fault error={error} retry={() => void settled.refetch()} />
      )}
      {settled.isPending && <Waiting height={480} what="Cooking it every way" />}
      {steady && !steady.suitable && (
        <Refused name={facts?.name} why={steady.why} instead={steady.substitutes} onInstead={onInstead} />
      )}
      {live && chosen && (
        <Grid
          templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 312px' }}
          gap={{ base: 5, lg: 7 }}
        >
          <Stack gap={4} minW={0}>
            {steady?.warnings.map((warning) => (
              <Caution key={warning.id}>{warning.text}</Caution>
            ))}
            <Ways
              matched={live}
              chosen={chosen}
              beside={block.beside}
              {...{ serveAt, now, zone, units, onServeAt, onChoose }}
              onSort={(sort) => change({ sort, way: undefined }, 'step')}
            />
            {steady && (
              <Suspense>
                <AskOne
                  ask={steady.ask}
                  block={block}
                  change={change}
                  onSlide={slide}
                  on={data?.on_the_block}
                  kitchen={kitchen}
                  key={block.cut}
                />
              </Suspense>
            )}
          </Stack>
          <Side choice={told ?? chosen} {...{ units, zone, now, onBeside, planNow }} beside={block.beside} />
        </Grid>
      )}
      {steady && chosen && (
        <Suspense fallback={<Box height="600px" />}>
          <Compare choices={compared} chosen={chosen.id} {...{ units, zone, now, onChoose, onOut }} />
          <Inside choice={told ?? chosen} kitchen={kitchen} />
          <Recipe key={block.recipe} recipe={block.recipe} {...{ request, onRecipe }} />
          <Others matched={steady} {...{ units, onInstead }} />
        </Suspense>
      )}
    </Stack>
  );
}

const Inside = memo(function Inside({ choice, kitchen }: { choice: Schemas['Choice']; kitchen: Kitchen }) {
  const { plan } = choice;
  const worked = useQuery({
    queryKey: ['inside', plan],
    queryFn: ({ signal }) => api.inside(plan, signal),
    staleTime: Infinity,
    placeholderData: keepPreviousData,
    retry: false,
  });
  if (worked.isError) return null;
  const inside = worked.data?.inside;
  return (
    <Box as="section" aria-label="Inside the piece" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={1}>
        Inside the piece: {choice.name}
      </Heading>
      {inside ? (
        <Suspense fallback={<Waiting height={288} what="Cutting it open" />}>
          <SliceOfPiece key={choice.id} inside={inside} units={kitchen.units} start={60} />
        </Suspense>
      ) : (
        <Waiting height={288} what="Cutting it open" />
      )}
    </Box>
  );
});
