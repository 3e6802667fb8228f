import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import { memo, useCallback, useMemo } from 'react';
import type { Kitchen, Schemas } from '../../api/client';
import { PotWithMeat } from '../../drawings/PotWithMeat';
import { span } from '../../format/time';
import { editable, format, type Units } from '../../format/units';
import { Choice } from '../../ui/Choice';
import { NumberField, SelectField } from '../../ui/fields';
import { Pairs } from '../../ui/Pairs';
import { without, type BenchProps } from './bench';
import { Ingredients } from './Ingredients';

const nothing: Schemas['Ingredient'][] = [];

const levels = [
  { value: 'own', label: 'own juice' },
  { value: 'third', label: 'a third' },
  { value: 'three_quarters', label: 'three quarters' },
  { value: 'covered', label: 'covered' },
  { value: 'soup', label: 'soup' },
] as const;

const lids = [
  { value: 'tight', label: 'tight' },
  { value: 'foil', label: 'foil' },
  { value: 'loose', label: 'loose' },
  { value: 'ajar', label: 'ajar' },
  { value: 'none', label: 'off' },
] as const;

/** The name of the level that the liquid stands at, if it has one. */
function levelOf(pot: Schemas['PotAnswer']) {
  const share = pot.level_mm / pot.meat_mm;
  const named = { own: 0, third: 1 / 3, three_quarters: 0.75, covered: 1, soup: 1.5 };
  return levels.find(({ value }) => Math.abs(named[value] - share) < 0.03)?.value;
}

/** This pot cut open: the line to drag, the dipstick, what is poured, and what leaves. */
export function PotBench({
  plan,
  bench,
  prepared,
  units,
  setBench,
  setPlan,
  setForecast,
  kitchen,
  larder,
}: BenchProps & { kitchen: Kitchen; larder: Schemas['OnTheShelf'][] }) {
  const { pot, balance, trimmed } = prepared;
  const putIn = useCallback(
    (ingredients: Schemas['Ingredient'][]) => setBench('ingredients', { ingredients }),
    [setBench],
  );
  // The swaps change only with what is put in: the list need not be drawn anew for a line that moves.
  const swapsText = JSON.stringify(balance?.swaps ?? []);
  const swaps = useMemo(() => JSON.parse(swapsText) as Schemas['Swap'][], [swapsText]);
  if (!pot)
    return <Text maxW="40rem">This way needs no liquid: what runs from the meat is kept for the sauce.</Text>;
  const vessel = plan.forecast.vessel ?? kitchen.pot;
  const setVessel = (changed: Partial<Schemas['Vessel']>) =>
    setForecast('vessel', { vessel: without({ ...vessel, ...changed }) });
  const less = (kg: number) => `−${format('mass', Number(kg.toFixed(2)), units)}`;
  return (
    <Stack gap={4}>
      <PotWithMeat
        pot={pot}
        litres={plan.forecast.liquid_l ?? undefined}
        pieces={trimmed.pieces}
        sizeMm={trimmed.size_mm}
        fatL={prepared.forecast.fat_l ?? 0}
        units={units}
        onLitres={(liquid_l) =>
          setPlan('liquid', (before) => ({
            ...before,
            forecast: { ...before.forecast, liquid_l },
            prepare: without({ ...before.prepare, level: undefined }),
          }))
        }
      />
      <Flex gap={4} wrap="wrap" align="flex-end">
        <Choice
          label="Up the meat"
          value={bench.level ?? levelOf(pot)}
          options={levels}
          onChange={(level) =>
            setPlan('level', (before) => ({
              ...before,
              forecast: without({ ...before.forecast, liquid_l: undefined }),
              prepare: { ...before.prepare, level },
            }))
          }
        />
        {plan.forecast.method !== 'pressure' && (
          <Choice label="Lid" value={pot.lid} options={lids} onChange={(lid) => setVessel({ lid })} />
        )}
        <Box width="168px">
          <SelectField
            label="The rest of it is"
            value={bench.base ?? 'unsalted_stock'}
            onChange={(base) => setBench('base', { base: base as Schemas['Larder'] })}
          >
            {larder
              .filter((found) => found.liquid)
              .map((found) => (
                <option key={found.what} value={found.what}>
                  {found.name}
                </option>
              ))}
          </SelectField>
        </Box>
      </Flex>
      <Ingredients
        ingredients={bench.ingredients ?? nothing}
        larder={larder}
        swaps={swaps}
        units={units}
        onChange={putIn}
      />
      <VesselFields {...{ vessel, units, setForecast }} heightMm={pot.height_mm} />
      <Flex gap={7} wrap="wrap" align="flex-start">
        <Box flex="1 1 260px">
          <Pairs
            pairs={[
              ...pot.poured.map((thing): [string, string] => [
                larder.find((found) => found.what === thing.what)?.name ?? thing.what,
                format('volume', Number(thing.l.toFixed(2)), units),
              ]),
              [
                `leaves as steam in ${span(pot.hours * 60)}`,
                format('volume', Number(pot.loss_l.toFixed(2)), units),
              ],
              ['left at the end', format('volume', Number(pot.left_l.toFixed(2)), units)],
              [
                'top up',
                pot.top_ups.length === 0
                  ? 'not needed'
                  : pot.top_ups
                      .map(
                        (top) =>
                          `${format('small_volume', Math.round(top.l * 1000), units)} after ${span(top.at_min)}`,
                      )
                      .join('; '),
              ],
              ['the pot is', `${Math.round(pot.full * 100)} % full`],
            ]}
          />
        </Box>
        <Box flex="1 1 260px">
          <Pairs
            pairs={[
              ['on the scale, by half', less(pot.marks_kg_less.half)],
              ['on the scale, stop for salt', less(pot.marks_kg_less.stop)],
              ['on the scale, about to catch', less(pot.marks_kg_less.catch)],
              ...(balance
                ? ([
                    ['sugar in it', format('small_mass', balance.sugar_g, units)],
                    [
                      'alcohol left',
                      balance.alcohol_g > 1
                        ? `${format('small_mass', balance.alcohol_g * balance.alcohol_left, units)}, ${Math.round(balance.alcohol_left * 100)} in 100`
                        : 'none went in',
                    ],
                    [
                      'carries',
                      balance.allergens.length > 0
                        ? balance.allergens
                            .map((found) => `${found.allergen} (${found.from.join(', ')})`)
                            .join('; ')
                        : 'no usual allergen',
                    ],
                  ] as [string, string][])
                : []),
            ]}
          />
          <Text fontSize="small" color="soft" mt={2}>
            Weighed with lid and meat, less than when the lid went on. Juice stays inside and counts for
            nothing.
          </Text>
        </Box>
      </Flex>
      {balance?.flags.map((flag) => (
        <Text key={flag} fontSize="small">
          {flag.charAt(0).toUpperCase() + flag.slice(1)}.
        </Text>
      ))}
    </Stack>
  );
}

/** The vessel itself: round or a tin, its sides, what it is made of. */
const VesselFields = memo(function VesselFields({
  vessel,
  units,
  setForecast,
  heightMm,
}: {
  vessel: Schemas['Vessel'];
  units: Units;
  setForecast: BenchProps['setForecast'];
  heightMm: number;
}) {
  const length = editable.length[units];
  const round = vessel.width_cm == null;
  const setVessel = (changed: Partial<Schemas['Vessel']>) =>
    setForecast('vessel', { vessel: without({ ...vessel, ...changed }) });
  return (
    <Flex gap={4} wrap="wrap" align="flex-end">
      <Choice
        label="Vessel"
        value={round ? 'round' : 'tin'}
        options={[
          { value: 'round', label: 'round' },
          { value: 'tin', label: 'tin or dish' },
        ]}
        onChange={(shape) =>
          setForecast('vessel', {
            vessel: without(
              shape === 'round'
                ? { ...vessel, width_cm: undefined, length_cm: undefined, diameter_cm: 26 }
                : { ...vessel, diameter_cm: undefined, width_cm: 25, length_cm: 35, height_cm: 8 },
            ),
          })
        }
      />
      {(round ? (['diameter_cm'] as const) : (['width_cm', 'length_cm'] as const)).map((side) => (
        <Box width="104px" key={side}>
          <NumberField
            label={side === 'diameter_cm' ? 'Across' : side === 'width_cm' ? 'Wide' : 'Long'}
            value={vessel[side] ?? 26}
            unit={length.unit}
            factor={length.factor}
            step={length.step}
            onChange={(value) => value !== undefined && setVessel({ [side]: value })}
          />
        </Box>
      ))}
      <Box width="104px">
        <NumberField
          label="High inside"
          value={vessel.height_cm ?? heightMm / 10}
          unit={length.unit}
          factor={length.factor}
          step={length.step}
          onChange={(height_cm) => height_cm !== undefined && setVessel({ height_cm })}
        />
      </Box>
      <Box width="128px">
        <SelectField
          label="Made of"
          value={vessel.material ?? 'iron'}
          onChange={(material) => setVessel({ material: material as Schemas['Material'] })}
        >
          {['iron', 'steel', 'aluminium', 'ceramic', 'glass'].map((of) => (
            <option key={of}>{of}</option>
          ))}
        </SelectField>
      </Box>
    </Flex>
  );
});
