import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import { useCallback } from 'react';
import type { Schemas } from '../../api/client';
import { PotWithMeat } from '../../drawings/PotWithMeat';
import { span } from '../../format/time';
import { editable, format, type Units } from '../../format/units';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { Offers } from '../../ui/Offers';
import { Pairs } from '../../ui/Pairs';
import { SelectField } from '../../ui/SelectField';
import { materials } from '../kitchen/words';
import { without, type BenchProps, type Plan } from './bench';
import { Ingredients } from './Ingredients';

const lids = [
  { value: 'tight', label: 'tight' },
  { value: 'foil', label: 'foil' },
  { value: 'loose', label: 'loose' },
  { value: 'ajar', label: 'ajar' },
  { value: 'none', label: 'off' },
] as const;

/** This pot cut open: the line to drag, the dipstick, what is poured, and what leaves. */
export function PotBench({
  plan,
  prepared,
  units,
  choose,
  setBench,
  setPlan,
  setForecast,
  larder,
}: BenchProps & { plan: Plan; larder: Schemas['OnTheShelf'][] }) {
  const { pot, balance, trimmed, dish, offers } = prepared;
  const { bench, vessel } = dish;
  const putIn = useCallback(
    (ingredients: Schemas['Ingredient'][]) => setBench('ingredients', { ingredients }),
    [setBench],
  );
  if (!pot)
    return <Text maxW="40rem">This way needs no liquid: what runs from the meat is kept for the sauce.</Text>;
  const less = (kg: number) => `−${format('mass', Number(kg.toFixed(2)), units)}`;
  return (
    <Stack gap={4}>
      <PotWithMeat
        pot={pot}
        litres={plan.forecast.liquid_l ?? undefined}
        pieces={trimmed.pieces}
        sizeMm={trimmed.size_mm}
        fatMm={pot.fat_mm}
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
        <Offers label="Up the meat" offers={offers.level} onChoose={(offer) => choose('level', offer)} />
        {pot.pressure_mm == null && (
          <Choice
            label="Lid"
            value={pot.lid}
            options={lids}
            onChange={(lid) => setForecast('lid', { vessel: without({ ...plan.forecast.vessel, lid }) })}
          />
        )}
        <Box width="168px">
          <SelectField
            label="The rest of it is"
            value={bench.base}
            options={larder
              .filter((found) => found.liquid && found.offered && found.kept == null)
              .map((found) => ({ value: found.what, label: found.name }))}
            onChange={(base) => setBench('base', { base })}
          />
        </Box>
      </Flex>
      <Ingredients
        ingredients={plan.prepare?.ingredients ?? none}
        larder={larder}
        swaps={balance?.swaps ?? []}
        units={units}
        onChange={putIn}
      />
      <VesselFields {...{ vessel, offers, units, choose, setForecast }} />
      <Flex gap={7} wrap="wrap" align="flex-start">
        <Box flex="1 1 260px">
          <Pairs
            pairs={[
              ...pot.poured.map(
                (thing) =>
                  [
                    larder.find((found) => found.what === thing.what && found.kept == null)?.name ??
                      thing.what,
                    format('volume', Number(thing.l.toFixed(2)), units),
                  ] as const,
              ),
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
              ['sugar in it', balance ? format('small_mass', balance.sugar_g, units) : undefined],
              ['alcohol left', balance ? alcoholLeft(balance, units) : undefined],
              ['carries', balance ? carried(balance) : undefined],
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
      {balance?.alcohol != null && <Text fontSize="small">{balance.alcohol}</Text>}
    </Stack>
  );
}

const alcoholLeft = (balance: Schemas['Balance'], units: Units) =>
  balance.alcohol_g > 1
    ? `${format('small_mass', balance.alcohol_g * balance.alcohol_left, units)}, ${Math.round(balance.alcohol_left * 100)} in 100`
    : 'none went in';

const carried = (balance: Schemas['Balance']) =>
  balance.allergens.length > 0
    ? balance.allergens.map((found) => `${found.name} (${found.from.join(', ')})`).join('; ')
    : 'no usual allergen';

/** One and the same, so that nothing is drawn anew for it. */
const none: Schemas['Ingredient'][] = [];

/** The vessel itself: one of the kitchen's, or measured here. */
function VesselFields({
  vessel,
  offers,
  units,
  choose,
  setForecast,
}: {
  vessel: Schemas['ResolvedVessel'];
  offers: Schemas['Offers'];
} & Pick<BenchProps, 'units' | 'choose' | 'setForecast'>) {
  const length = editable.length[units];
  const set = (changed: Partial<Schemas['PotMeasures']>) =>
    setForecast('vessel', {
      vessel: without({
        diameter_cm: vessel.diameter_cm ?? undefined,
        width_cm: vessel.width_cm ?? undefined,
        length_cm: vessel.length_cm ?? undefined,
        height_cm: vessel.height_cm,
        material: vessel.material,
        lid: vessel.lid,
        ...changed,
      }),
    });
  const side = (label: string, name: 'diameter_cm' | 'width_cm' | 'length_cm' | 'height_cm') =>
    vessel[name] == null ? null : (
      <Box width="120px">
        <NumberField
          label={label}
          value={vessel[name]}
          unit={length.unit}
          factor={length.factor}
          step={length.step}
          onChange={(value) => value !== undefined && set({ [name]: value })}
        />
      </Box>
    );
  return (
    <Flex gap={4} wrap="wrap" align="flex-end">
      <Offers label="Which pot" offers={offers.pot} onChoose={(offer) => choose('pot', offer)} />
      <Offers label="Or one of its own" offers={offers.shape} onChoose={(offer) => choose('shape', offer)} />
      {side('Across', 'diameter_cm')}
      {side('Wide', 'width_cm')}
      {side('Long', 'length_cm')}
      {side('High inside', 'height_cm')}
      <Box width="140px">
        <SelectField
          label="Made of"
          value={vessel.material}
          options={materials}
          onChange={(material) => set({ material })}
        />
      </Box>
    </Flex>
  );
}
