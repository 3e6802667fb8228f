import { Box, Flex, Stack } from '@chakra-ui/react';
import { BlockCut } from '../../drawings/BlockCut';
import { editable, format } from '../../format/units';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { Offers } from '../../ui/Offers';
import { Pairs } from '../../ui/Pairs';
import { Slider } from '../../ui/Slider';
import { type BenchProps } from './bench';

/** Raw to trimmed to pieces: what comes off, what goes into the pot, how it is cut up. */
export function MeatBench({ prepared, units, choose, setBench, setForecast }: BenchProps) {
  const { trimmed, dish, offers } = prepared;
  const { bench } = dish;
  const { thickness } = offers;
  const mass = editable.mass[units];
  return (
    <Stack gap={4}>
      <BlockCut trimmed={trimmed} units={units} />
      <Flex gap={4} wrap="wrap" align="flex-end">
        {thickness && (
          <Box width="150px">
            <NumberField
              label="Raw weight"
              value={trimmed.raw_kg}
              onChange={(mass_kg) => setForecast('mass', { mass_kg })}
              unit={mass.unit}
              factor={mass.factor}
              step={mass.step}
            />
          </Box>
        )}
        <Offers label="Cut up" offers={offers.cut_up} onChoose={(offer) => choose('cut up', offer)} />
        {offers.cut_up.some((offer) => offer.id === 'pieces' && offer.chosen) && (
          <Box width="92px">
            <NumberField
              label="How many"
              value={trimmed.pieces}
              onChange={(pieces) => pieces && setForecast('pieces', { pieces: Math.round(pieces) })}
              unit=""
            />
          </Box>
        )}
        {thickness && (
          <Box width="220px">
            <Slider
              label={thickness.cube ? 'Side of a cube' : 'How thick'}
              value={thickness.mm}
              min={thickness.least_mm}
              max={thickness.most_mm}
              step={1}
              onChange={(mm) =>
                setForecast(
                  'thickness',
                  thickness.cube ? { size_mm: [mm, mm, mm] } : { thickness_mm: mm, size_mm: undefined },
                )
              }
              said={format('small_length', thickness.mm, units)}
            />
          </Box>
        )}
      </Flex>
      <Flex gap={4} wrap="wrap" align="flex-end">
        <Choice
          label="Trim"
          value={bench.trim}
          options={[
            { value: 'none', label: 'as it is' },
            { value: 'usual', label: 'heavy fat and silver skin' },
            { value: 'close', label: 'close' },
          ]}
          onChange={(trim) => setBench('trim', { trim })}
        />
        <Choice
          label="The sinew"
          value={bench.sinew_in_pot ? 'pot' : 'out'}
          options={[
            { value: 'out', label: 'thrown out' },
            { value: 'pot', label: 'into the pot, for body' },
          ]}
          onChange={(where) => setBench('sinew', { sinew_in_pot: where === 'pot' })}
        />
        <Box width="92px">
          <NumberField
            label="Strings"
            value={bench.strings || undefined}
            onChange={(strings) => setBench('strings', { strings: Math.round(strings ?? 0) })}
            unit=""
            step={1}
            placeholder="none"
          />
        </Box>
        <Choice
          label="Studded, hatched or pounded"
          value={bench.pierced ? 'yes' : 'no'}
          options={[
            { value: 'no', label: 'no' },
            { value: 'yes', label: 'yes' },
          ]}
          onChange={(yes) => setBench('pierced', { pierced: yes === 'yes' })}
        />
      </Flex>
      <Pairs
        pairs={[
          ['raw', format('mass', trimmed.raw_kg, units)],
          ['trimmed, bone in', format('mass', trimmed.trimmed_kg, units)],
          ['on the plates', format('mass', prepared.plate_kg, units)],
          ['gelatin into the sauce', format('small_mass', prepared.forecast.gelatin_g ?? 0, units)],
          ['the meat costs', trimmed.cost?.toFixed(2)],
          [`a head, for ${dish.people}`, trimmed.cost_a_head?.toFixed(2)],
          [
            'as eaten',
            trimmed.cost_eaten_kg == null ? undefined : format('price', trimmed.cost_eaten_kg, units),
          ],
        ]}
      />
    </Stack>
  );
}
