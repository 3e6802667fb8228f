import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import { SaltDepth } from '../../drawings/SaltDepth';
import { editable, format } from '../../format/units';
import { Choice } from '../../ui/Choice';
import { NumberField, Slider } from '../../ui/fields';
import { Pairs } from '../../ui/Pairs';
import type { BenchProps } from './bench';
import { choose } from './schools';
import { Schools } from './Schools';

const LOW_SALT_PCT = 0.7;
const USUAL_PCT = 1.25;

/** Salt by mass, how deep it gets, brine and soak, and every gram that ends in the sauce. */
export function SaltBench({ plan, bench, prepared, units, setBench }: BenchProps) {
  const { salt, seasoning } = prepared;
  const corned = plan.forecast.cut === 'corned_brisket';
  const volume = editable.volume[units];
  const pct = bench.salt_pct ?? USUAL_PCT;
  const how = bench.brine ? 'brine' : 'dry';
  const strength = salt.liquid_g_per_kg;
  return (
    <Stack gap={4}>
      <Flex gap={6} wrap="wrap" align="center">
        <Box flex="1 1 420px" minW={0}>
          <SaltDepth salt={salt} sizeMm={prepared.trimmed.size_mm} units={units} />
        </Box>
        <Box flex="1 1 280px">
          <Pairs
            pairs={(
              [
                [
                  bench.brine ? 'salt for the brine' : 'weigh out',
                  `${format('small_mass', salt.g, units)}, ${salt.tsp.toFixed(1)} level teaspoons`,
                ],
                salt.brine && [
                  'the brine',
                  `${salt.brine.strength_pct.toFixed(1)} %, ${Math.round(salt.brine.evened * 100)} in 100 of the way to one strength`,
                ],
                salt.soak_leaves != null && [
                  'the soak leaves',
                  `${Math.round(salt.soak_leaves * 100)} in 100 of the cure`,
                ],
                ...salt.sources.map((source): [string, string] => [
                  source.name,
                  `${format('small_mass', source.g, units)} of salt`,
                ]),
                strength != null && ['the liquid when it is done', format('strength', strength, units)],
                seasoning != null && ['the meat then', format('strength', seasoning.meat_g_per_kg, units)],
              ] as ([string, string] | null | false)[]
            ).filter((pair) => !!pair)}
          />
          {seasoning != null && <Text marginTop={2}>{seasoning.text}</Text>}
          {seasoning?.ask != null && (
            <Text marginTop={2} fontWeight={600}>
              {seasoning.ask}
            </Text>
          )}
        </Box>
      </Flex>
      <Flex gap={5} wrap="wrap" align="flex-end">
        <Box width="240px">
          <Slider
            label="Salt, of the trimmed meat"
            value={pct}
            min={0}
            max={2.5}
            step={0.05}
            onChange={(salt_pct) => setBench('salt', { salt_pct })}
            said={`${pct.toFixed(2)} %`}
          />
        </Box>
        {bench.brine ? (
          <>
            <Box width="104px">
              <NumberField
                label="Water"
                value={bench.brine.water_l}
                unit={volume.unit}
                factor={volume.factor}
                step={volume.step}
                onChange={(water_l) => water_l && setBench('brine', { brine: { ...bench.brine!, water_l } })}
              />
            </Box>
            <Box width="240px">
              <Slider
                label="Hours in it"
                value={bench.brine.hours}
                min={1}
                max={96}
                step={1}
                onChange={(hours) => setBench('brine hours', { brine: { ...bench.brine!, hours } })}
                said={`${bench.brine.hours} h`}
              />
            </Box>
          </>
        ) : (
          <Box width="240px">
            <Slider
              label="Hours ahead"
              value={bench.salt_h ?? 12}
              min={0}
              max={72}
              step={1}
              onChange={(salt_h) => setBench('salt hours', { salt_h })}
              said={bench.salt_h === 0 ? 'at the pan' : `${bench.salt_h ?? 12} h`}
            />
          </Box>
        )}
      </Flex>
      <Flex gap={4} wrap="wrap" align="flex-end">
        <Choice
          label="The salt"
          value={bench.crystal ?? 'fine'}
          options={[
            { value: 'fine', label: 'fine' },
            { value: 'coarse', label: 'coarse' },
            { value: 'flake', label: 'flakes' },
          ]}
          onChange={(crystal) => setBench('crystal', { crystal })}
        />
        <Choice
          label="How"
          value={how}
          options={[
            { value: 'dry', label: 'rubbed on' },
            { value: 'brine', label: 'brine' },
          ]}
          onChange={(next) =>
            setBench('how salted', { brine: next === 'brine' ? { water_l: 2, hours: 24 } : undefined })
          }
        />
        <Choice
          label="Less salt"
          value={pct <= LOW_SALT_PCT ? 'low' : 'usual'}
          options={[
            { value: 'usual', label: 'as usual' },
            { value: 'low', label: 'low' },
          ]}
          onChange={(next) => setBench('less salt', { salt_pct: next === 'low' ? LOW_SALT_PCT : USUAL_PCT })}
        />
        {corned && (
          <Choice
            label="Soak the cure out"
            value={bench.soak ? 'yes' : 'no'}
            options={[
              { value: 'no', label: 'no' },
              { value: 'yes', label: 'in fresh water' },
            ]}
            onChange={(next) =>
              setBench('soak', {
                soak: next === 'yes' ? { changes: 3, water_l: 3, hours_each: 4 } : undefined,
              })
            }
          />
        )}
        {bench.soak && (
          <Box width="92px">
            <NumberField
              label="Waters"
              value={bench.soak.changes}
              unit=""
              step={1}
              onChange={(changes) =>
                changes && setBench('waters', { soak: { ...bench.soak!, changes: Math.round(changes) } })
              }
            />
          </Box>
        )}
      </Flex>
      {bench.marinade && (
        <Flex gap={4} wrap="wrap" align="flex-end">
          <Box width="240px">
            <Slider
              label="Hours in the marinade"
              value={bench.marinade.hours}
              min={1}
              max={72}
              step={1}
              onChange={(hours) => setBench('marinade hours', { marinade: { ...bench.marinade!, hours } })}
              said={`${bench.marinade.hours} h`}
            />
          </Box>
          <Choice
            label="Afterwards"
            value={bench.marinade.kept ? 'kept' : 'away'}
            options={[
              { value: 'kept', label: 'into the pot, boiled' },
              { value: 'away', label: 'poured away' },
            ]}
            onChange={(next) =>
              setBench('marinade kept', { marinade: { ...bench.marinade!, kept: next === 'kept' } })
            }
          />
        </Flex>
      )}
      <Schools
        all={prepared.schools}
        ids={['marinade', 'temper', 'rinse', 'clear', 'day_before']}

        onChoose={(school, option) => setBench(school, choose(school, option))}
      />
      <Text fontSize="small" color="soft">
        Depth as 2√(D·t), with D between 2 and 5 · 10⁻¹⁰ m²/s in the cold.
      </Text>
    </Stack>
  );
}
