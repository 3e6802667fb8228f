import { Box, Flex, Stack } from '@chakra-ui/react';
import { BlockCut } from '../../drawings/BlockCut';
import { editable, format } from '../../format/units';
import { Choice } from '../../ui/Choice';
import { NumberField, Slider } from '../../ui/fields';
import { Pairs } from '../../ui/Pairs';
import { type BenchProps } from './bench';

const CUBE_MM = 40;

/** Raw to trimmed to pieces: what comes off, what goes into the pot, how it is cut up. */
export function MeatBench({ plan, bench, prepared, units, setBench, setForecast }: BenchProps) {
  const { forecast } = plan;
  const { trimmed } = prepared;
  const mass = editable.mass[units];
  const mixed = (forecast.parts?.length ?? 0) > 0;
  const size = forecast.size_mm;
  const cubes = size && size[0] === size[1] && size[1] === size[2];
  const how = cubes ? 'cubes' : (forecast.pieces ?? 0) > 0 ? 'pieces' : 'whole';
  const cutUp = (next: 'whole' | 'pieces' | 'cubes') =>
    setForecast('cut up', {
      thickness_mm: undefined,
      size_mm: next === 'cubes' ? [CUBE_MM, CUBE_MM, CUBE_MM] : undefined,
      pieces: next === 'pieces' ? Math.max(2, 2 * (forecast.pieces ?? 1)) : undefined,
    });
  const thick = trimmed.size_mm[0] ?? 60;
  return (
    <Stack gap={4}>
      <BlockCut trimmed={trimmed} units={units} />
      <Flex gap={4} wrap="wrap" align="flex-end">
        {!mixed && (
          <Box width="132px">
            <NumberField
              label="Raw weight"
              value={forecast.mass_kg ?? trimmed.raw_kg}
              onChange={(mass_kg) => setForecast('mass', { mass_kg })}
              unit={mass.unit}
              factor={mass.factor}
              step={mass.step}
            />
          </Box>
        )}
        {!mixed && (
          <Choice
            label="Cut up"
            value={how}
            options={[
              { value: 'whole', label: 'as it comes' },
              { value: 'pieces', label: 'pieces' },
              { value: 'cubes', label: 'cubes' },
            ]}
            onChange={cutUp}
          />
        )}
        {how === 'pieces' && (
          <Box width="92px">
            <NumberField
              label="How many"
              value={forecast.pieces ?? trimmed.pieces}
              onChange={(pieces) => pieces && setForecast('pieces', { pieces: Math.round(pieces) })}
              unit=""
              step={1}
            />
          </Box>
        )}
        {!mixed && (
          <Box width="220px">
            <Slider
              label={cubes ? 'Side of a cube' : 'How thick'}
              value={Math.round(thick)}
              min={20}
              max={cubes ? 70 : 140}
              step={1}
              onChange={(mm) =>
                setForecast(
                  'thickness',
                  cubes ? { size_mm: [mm, mm, mm] } : { thickness_mm: mm, size_mm: undefined },
                )
              }
              said={format('small_length', Math.round(thick), units)}
            />
          </Box>
        )}
      </Flex>
      <Flex gap={4} wrap="wrap" align="flex-end">
        <Choice
          label="Trim"
          value={bench.trim ?? 'usual'}
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
        pairs={(
          [
            ['raw', format('mass', trimmed.raw_kg, units)],
            ['trimmed, bone in', format('mass', trimmed.trimmed_kg, units)],
            ['on the plates', format('mass', prepared.portions * 0.165, units)],
            ['gelatin into the sauce', format('small_mass', prepared.forecast.gelatin_g ?? 0, units)],
            trimmed.cost != null && ['the meat costs', trimmed.cost.toFixed(2)],
            trimmed.cost_a_head != null && [
              `a head, for ${plan.people ?? 4}`,
              `${trimmed.cost_a_head.toFixed(2)}`,
            ],
            trimmed.cost_eaten_kg != null && ['as eaten', format('price', trimmed.cost_eaten_kg, units)],
          ] as ([string, string] | false)[]
        ).filter((pair) => pair !== false)}
      />
    </Stack>
  );
}
