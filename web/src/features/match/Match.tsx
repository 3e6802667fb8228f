import { Box, Grid, Heading, Stack } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { ApiFault, api, type Kitchen, type Schemas } from '../../api/client';
import { useCuts, useKitchen, useMatch } from '../../api/queries';
import { SliceOfPiece } from '../../drawings/SliceOfPiece';
import { localText, millis } from '../../format/time';
import { say } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Caution, Fault, Waiting } from '../../ui/states';
import { inKitchen } from '../why/state';
import { AskOne } from './AskOne';
import { Block } from './Block';
import { Compare } from './Compare';
import { MatchNav } from './MatchNav';
import { More } from './More';
import { Others, Refused } from './Others';
import { choicesOf, rungAt } from './reckon';
import { Recipe } from './Recipe';
import { Side } from './Side';
import { matchRequest, otherCut, useBlock } from './state';
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

function MatchIn({ kitchen, cuts }: { kitchen: Kitchen; cuts: Schemas['CutFacts'][] }) {
  const { units, zone } = kitchen;
  const { block, change } = useBlock(zone);
  const now = useNow(60_000);
  const text = JSON.stringify(matchRequest(block, zone));
  const settledText = useSettled(text);
  const moving = settledText !== text;
  const request = useMemo(() => JSON.parse(settledText) as Schemas['MatchRequest'], [settledText]);
  const settled = useMatch(request);
  // What is being dragged is answered from fewer cooks and in its bands alone; the rest stays as it was.
  const draft = useMatch(
    useMemo(
      () => ({
        ...(JSON.parse(text) as Schemas['MatchRequest']),
        members: DRAFT_MEMBERS,
        only_ways: true,
      }),
      [text],
    ),
    moving && settled.data !== undefined,
  );
  const waits = moving || settled.isPlaceholderData;
  const drafted = waits && draft.data?.suitable ? draft.data : undefined;
  const data = useMemo(
    () =>
      drafted && settled.data?.suitable
        ? { ...settled.data, ways: drafted.ways, two_stage: drafted.two_stage, bell: drafted.bell }
        : settled.data,
    [drafted, settled.data],
  );
  const matched = { ...settled, data, error: moving && draft.error ? draft.error : settled.error };
  // The bell under the hand, until the kitchen has answered for where it was let go.
  const [held, setHeld] = useState<{ at: number; answer: unknown }>();
  const dragged = held?.answer === matched.data ? held?.at : undefined;
  const facts = cuts.find((cut) => cut.cut === block.cut);
  const fault = matched.error instanceof ApiFault ? matched.error : undefined;
  const answer = useMemo(() => {
    if (!matched.data?.suitable || dragged === undefined) return matched.data;
    const { certainty } = matched.data;
    const rung = (choice: Schemas['Choice']) => rungAt(choice, dragged, certainty);
    return {
      ...matched.data,
      ways: matched.data.ways.map((way) => ({ ...rung(way), variants: way.variants.map(rung) })),
      two_stage: matched.data.two_stage.map(rung),
    };
  }, [matched.data, dragged]);
  const all = answer ? choicesOf(answer) : [];
  const chosen = all.find((choice) => choice.id === block.way) ?? all[0];
  const bell = dragged ?? (answer ? millis(answer.bell) : now);
  const onBell = (at: number, done: boolean) => {
    setHeld({ at, answer: matched.data });
    if (done) change({ bell: localText(at, zone) });
  };
  return (
    <Stack gap={4}>
      <MatchNav />
      <Block block={block} change={change} cuts={cuts} units={units} fault={fault} />
      <More block={block} change={change} cuts={cuts} kitchen={kitchen} fault={fault} />
      {answer?.suitable && (
        <AskOne
          ask={answer.ask}
          block={block}
          change={change}
          facts={facts}
          kitchen={kitchen}
          key={block.cut}
        />
      )}
      {matched.isError && !inPlace.includes(fault?.field ?? '') && (
        <Fault error={matched.error} retry={() => void matched.refetch()} />
      )}
      {matched.isPending && <Waiting height={480} what="Cooking it every way" />}
      {answer && !answer.suitable && (
        <Refused facts={facts} why={answer.why} onInstead={(cut) => change(otherCut(cut))} />
      )}
      {answer?.warnings.map((warning) => (
        <Caution key={warning.id}>{say(warning.text, units)}</Caution>
      ))}
      {answer && chosen && (
        <Grid
          templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 312px' }}
          gap={{ base: 5, lg: 7 }}
        >
          <Ways
            matched={answer}
            chosen={chosen}
            beside={block.beside}
            {...{ bell, now, zone, units, onBell }}
            onChoose={(way) => change({ way })}
            onSort={(sort) => change({ sort, way: undefined })}
          />
          <Side
            choice={chosen}
            {...{ units, zone, now }}
            beside={block.beside}
            onBeside={(beside) => change({ beside, way: chosen.id })}
          />
        </Grid>
      )}
      {answer && chosen && (
        <>
          <Compare
            choices={block.beside.flatMap((id) => all.find((choice) => choice.id === id) ?? [])}
            chosen={chosen.id}
            {...{ units, zone, now }}
            onChoose={(way) => change({ way })}
            onOut={(out) => change({ beside: block.beside.filter((id) => id !== out) })}
          />
          <Inside choice={chosen} kitchen={kitchen} />
          <Recipe
            key={block.recipe}
            request={request}
            recipe={block.recipe}
            units={units}
            onRecipe={(recipe) => change({ recipe })}
          />
          <Others matched={answer} units={units} onInstead={(cut, kg) => change({ ...otherCut(cut), kg })} />
        </>
      )}
    </Stack>
  );
}

function Inside({ choice, kitchen }: { choice: Schemas['Choice']; kitchen: Kitchen }) {
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
        Inside the piece: {say(choice.name, kitchen.units)}
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
}
