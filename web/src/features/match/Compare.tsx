import { Box, Flex, Heading, Text, chakra } from '@chakra-ui/react';
import { memo } from 'react';
import type { Schemas } from '../../api/client';
import { span } from '../../format/time';
import { type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { verdicts } from './Ways';
import { facts } from './Side';

type Choice = Schemas['Choice'];

const Cell = chakra('td', { base: { py: '6px', px: 3, textAlign: 'left', verticalAlign: 'top' } });
const Head = chakra('th', {
  base: { py: '6px', px: 3, textAlign: 'left', verticalAlign: 'top', fontWeight: 400 },
});

const bandWords = (choice: Choice) => {
  const { p10, p90 } = choice.ready_min;
  return p10 == null || p90 == null ? 'not within three days' : `${span(p10)} to ${span(p90)}`;
};

/** Up to three choices side by side, one line for each thing a cook weighs. */
export const Compare = memo(function Compare({
  choices,
  chosen,
  units,
  zone,
  now,
  onChoose,
  onOut,
}: {
  choices: Choice[];
  chosen: string;
  units: Units;
  zone: string;
  now: number;
  onChoose: (id: string) => void;
  onOut: (id: string) => void;
}) {
  if (choices.length === 0) return null;
  const lines = (choice: Choice): [string, string][] => [
    ['for this bell', verdicts[choice.verdict]],
    ['tender after', bandWords(choice)],
    ...facts(choice, units, zone, now),
    ['asks', choice.clashes[0] ?? 'nothing while you sleep'],
  ];
  const columns = choices.map((choice) => ({ id: choice.id, lines: lines(choice) }));
  return (
    <Box as="section" aria-label="Side by side" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Side by side
      </Heading>
      <Box overflowX="auto" tabIndex={0} role="region" aria-label="Comparison, scrolls sideways">
        <chakra.table
          width="100%"
          minW={`${160 + 200 * choices.length}px`}
          css={{ borderCollapse: 'collapse' }}
        >
          <thead>
            <tr>
              <Head scope="col" width="170px" fontSize="small" color="soft">
                {choices.length < 2 ? (
                  'Choose another way and compare it'
                ) : (
                  <chakra.span srOnly>What is compared</chakra.span>
                )}
              </Head>
              {choices.map((choice) => (
                <Head key={choice.id} scope="col">
                  <Text fontWeight={700} lineHeight={1.25}>
                    {choice.name}
                  </Text>
                  <Flex gap={1} mt={1} ml={-2}>
                    <Button
                      weight="quiet"
                      px={2}
                      onClick={() => onChoose(choice.id)}
                      disabled={choice.id === chosen}
                    >
                      {choice.id === chosen ? 'chosen' : 'choose'}
                    </Button>
                    <Button
                      weight="quiet"
                      px={2}
                      aria-label={`Take away ${choice.name}`}
                      onClick={() => onOut(choice.id)}
                    >
                      away
                    </Button>
                  </Flex>
                </Head>
              ))}
            </tr>
          </thead>
          <tbody>
            {columns[0]?.lines.map(([word], line) => (
              <chakra.tr key={word} borderTopWidth="1px" borderColor="line">
                <Head scope="row" fontSize="small" color="soft">
                  {word}
                </Head>
                {columns.map((column) => (
                  <Cell key={column.id} fontVariantNumeric="tabular-nums">
                    {column.lines[line]?.[1]}
                  </Cell>
                ))}
              </chakra.tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    </Box>
  );
});
