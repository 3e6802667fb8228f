import { Box, Grid, Heading, Stack, Text, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useCuts, useKitchen } from '../../api/queries';
import { SideOfBeef } from '../../drawings/SideOfBeef';
import { span } from '../../format/time';
import { format, type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { PageHeading } from '../../ui/PageHeading';
import { Pairs } from '../../ui/Pairs';
import { Fault, Waiting } from '../../ui/states';
import { MatchNav } from './MatchNav';

/** The side of beef, where a cut is chosen by where it sits; beneath it every cut against every way. */
export function CutsPlace() {
  const cuts = useCuts();
  const kitchen = useKitchen();
  const [params, setParams] = useSearchParams();
  const failed = cuts.error ?? kitchen.error;
  if (failed)
    return (
      <Fault
        error={failed}
        retry={() => {
          void cuts.refetch();
          void kitchen.refetch();
        }}
      />
    );
  if (!cuts.data || !kitchen.data) return <Waiting height="60vh" what="Laying out the side" />;
  const wanted = params.get('cut') ?? 'chuck';
  const choose = (cut: Schemas['Cut']) => setParams({ cut }, { preventScrollReset: true });
  const facts = cuts.data.find((found) => found.cut === wanted) ?? cuts.data[0];
  if (!facts) return null;
  return (
    <Stack gap={5}>
      <MatchNav />
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 312px' }} gap={{ base: 4, lg: 7 }}>
        <SideOfBeef cuts={cuts.data} chosen={facts.cut} onChoose={choose} />
        <OfTheCut facts={facts} units={kitchen.data.units} />
      </Grid>
      <Overview chosen={facts.cut} onChoose={choose} />
    </Stack>
  );
}

function OfTheCut({ facts, units }: { facts: Schemas['AtTheCounter']; units: Units }) {
  const figures: [string, string][] = [
    ['collagen', `${facts.collagen_pct} %`],
    ['fat', `${facts.fat_pct} %`],
    ['bone', facts.bone_pct > 0 ? `${facts.bone_pct} %` : 'none'],
    ['softens', facts.softens],
    ['dries', facts.dries],
    ['a piece is usually', format('mass', facts.piece_kg, units)],
  ];
  return (
    <Stack gap={3} as="section" aria-label="The cut">
      <PageHeading title={facts.name} />
      <Text>{facts.tell}</Text>
      <Text fontSize="small" color="soft">
        Also sold as {facts.also.join(', ')}.
      </Text>
      {facts.suitable ? <Pairs pairs={figures} /> : <Text fontWeight={600}>{facts.refused}</Text>}
      <Button asChild weight="first" size="large">
        <Link to={`/match?cut=${facts.cut}`}>{facts.suitable ? 'Lay it on the block' : 'Why not'}</Link>
      </Button>
    </Stack>
  );
}

const Cell = chakra('td', { base: { px: 2, py: '6px', textAlign: 'right', whiteSpace: 'nowrap' } });
const Head = chakra('th', {
  base: { px: 2, py: '6px', textAlign: 'right', fontWeight: 600, whiteSpace: 'nowrap' },
});

/** Every cut against every way: how long half of usual pieces take, or that they do not go together. */
function Overview({ chosen, onChoose }: { chosen: Schemas['Cut']; onChoose: (cut: Schemas['Cut']) => void }) {
  const rows = useQuery({ queryKey: ['overview'], queryFn: api.overview, staleTime: 300_000 });
  if (rows.isError) return <Fault error={rows.error} retry={() => void rows.refetch()} />;
  if (!rows.data) return <Waiting height={480} what="Cooking each cut each way" />;
  return (
    <Box as="section" aria-label="Every cut, every way" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead">
        Every cut, every way
      </Heading>
      <Text fontSize="small" color="soft" mb={2}>
        How long half of usual pieces take from meeting the heat, eaten as is usual for the cut; stews in
        cubes, under a fork. A dash: they do not go together.
      </Text>
      <Box overflowX="auto" tabIndex={0} role="region" aria-label="Table, scrolls sideways">
        <chakra.table
          width="100%"
          minW="760px"
          fontVariantNumeric="tabular-nums"
          fontSize="small"
          css={{ borderCollapse: 'collapse' }}
        >
          <thead>
            <tr>
              <Head scope="col" textAlign="left">
                cut
              </Head>
              {rows.data[0]?.ways.map((cell) => (
                <Head key={cell.method} scope="col">
                  {cell.label}
                </Head>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.data.map((row) => (
              <chakra.tr
                key={row.cut}
                borderTopWidth="1px"
                borderColor="line"
                bg={row.cut === chosen ? 'panel' : undefined}
                boxShadow={row.cut === chosen ? 'inset 6px 0 0 var(--chakra-colors-rim)' : undefined}
              >
                <Head scope="row" textAlign="left" py={0}>
                  <Button
                    forAll
                    weight="quiet"
                    px={2}
                    aria-pressed={row.cut === chosen}
                    onClick={() => onChoose(row.cut)}
                  >
                    {row.name}
                  </Button>
                </Head>
                {row.ways.map((cell) => (
                  <Cell
                    key={cell.method}
                    title={cell.why_not ?? undefined}
                    color={cell.ready_min ? 'ink' : 'soft'}
                  >
                    {cell.ready_min ? (
                      span(Math.round(cell.ready_min / 5) * 5)
                    ) : (
                      <chakra.span aria-label={cell.why_not ?? 'no'}>–</chakra.span>
                    )}
                  </Cell>
                ))}
              </chakra.tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    </Box>
  );
}
