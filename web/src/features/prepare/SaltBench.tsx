import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import { SaltDepth } from '../../drawings/SaltDepth';
import { editable, format } from '../../format/units';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { Offers } from '../../ui/Offers';
import { Pairs } from '../../ui/Pairs';
import { Slider } from '../../ui/Slider';
import type { BenchProps } from './bench';
import { Schools } from './Schools';

/** Salt by mass, how deep it gets, brine and soak, and every gram that ends in the sauce. */
export function SaltBench({ prepared, units, choose, setBench }: BenchProps) {
  const { salt, seasoning, offers } = prepared;
  const { bench } = prepared.dish;
  const { brine, soak, marinade } = bench;
  const volume = editable.volume[units];
  const strength = salt.liquid_g_per_kg;
  return (
    <Stack gap={4}>
      <Flex gap={6} wrap="wrap" align="center">
        <Box flex="1 1 420px" minW={0}>
          <SaltDepth salt={salt} sizeMm={prepared.trimmed.size_mm} units={units} />
        </Box>
        <Box flex="1 1 280px">
          <Pairs
            pairs={[
              [
                brine ? 'salt for the brine' : 'weigh out',
                `${format('small_mass', salt.g, units)}, ${salt.tsp.toFixed(1)} level teaspoons`,
              ],
              [
                'the brine',
                salt.brine
                  ? `${salt.brine.strength_pct.toFixed(1)} %, ${Math.round(salt.brine.evened * 100)} in 100 of the way to one strength`
                  : undefined,
              ],
              [
                'the soak leaves',
                salt.soak_leaves == null
                  ? undefined
                  : `${Math.round(salt.soak_leaves * 100)} in 100 of the cure`,
              ],
              ...salt.sources.map(
                (source) => [source.name, `${format('small_mass', source.g, units)} of salt`] as const,
              ),
              [
                'the liquid when it is done',
                strength == null ? undefined : format('strength', strength, units),
              ],
              ['the meat then', seasoning ? format('strength', seasoning.meat_g_per_kg, units) : undefined],
            ]}
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
            value={bench.salt_pct}
            min={0}
            max={2.5}
            step={0.05}
            onChange={(salt_pct) => setBench('salt', { salt_pct })}
            said={`${bench.salt_pct.toFixed(2)} %`}
          />
        </Box>
        {brine ? (
          <>
            <Box width="104px">
              <NumberField
                label="Water"
                value={brine.water_l}
                unit={volume.unit}
                factor={volume.factor}
                step={volume.step}
                onChange={(water_l) => water_l && setBench('brine', { brine: { water_l } })}
              />
            </Box>
            <Box width="240px">
              <Slider
                label="Hours in it"
                value={brine.hours}
                min={1}
                max={96}
                step={1}
                onChange={(hours) => setBench('brine hours', { brine: { hours } })}
                said={`${brine.hours} h`}
              />
            </Box>
          </>
        ) : (
          <Box width="240px">
            <Slider
              label="Hours ahead"
              value={bench.salt_h}
              min={0}
              max={72}
              step={1}
              onChange={(salt_h) => setBench('salt hours', { salt_h })}
              said={bench.salt_h === 0 ? 'at the pan' : `${bench.salt_h} h`}
            />
          </Box>
        )}
      </Flex>
      <Flex gap={4} wrap="wrap" align="flex-end">
        <Choice
          label="The salt"
          value={bench.crystal}
          options={[
            { value: 'fine', label: 'fine' },
            { value: 'coarse', label: 'coarse' },
            { value: 'flake', label: 'flakes' },
          ]}
          onChange={(crystal) => setBench('crystal', { crystal })}
        />
        <Offers label="How" offers={offers.salting} onChoose={(offer) => choose('how salted', offer)} />
        <Offers
          label="Less salt"
          offers={offers.less_salt}
          onChoose={(offer) => choose('less salt', offer)}
        />
        <Offers label="Soak the cure out" offers={offers.soak} onChoose={(offer) => choose('soak', offer)} />
        {soak && (
          <Box width="92px">
            <NumberField
              label="Waters"
              value={soak.changes}
              unit=""
              onChange={(changes) =>
                changes && setBench('waters', { soak: { changes: Math.round(changes) } })
              }
            />
          </Box>
        )}
      </Flex>
      {marinade && (
        <Flex gap={4} wrap="wrap" align="flex-end">
          <Box width="240px">
            <Slider
              label="Hours in the marinade"
              value={marinade.hours}
              min={1}
              max={72}
              step={1}
              onChange={(hours) => setBench('marinade hours', { marinade: { hours } })}
              said={`${marinade.hours} h`}
            />
          </Box>
          <Choice
            label="Afterwards"
            value={marinade.kept ? 'kept' : 'away'}
            options={[
              { value: 'kept', label: 'into the pot, boiled' },
              { value: 'away', label: 'poured away' },
            ]}
            onChange={(next) => setBench('marinade kept', { marinade: { kept: next === 'kept' } })}
          />
        </Flex>
      )}
      <Schools
        all={prepared.schools}
        ids={['marinade', 'temper', 'rinse', 'clear', 'day_before']}
        onChoose={choose}
      />
      <Text fontSize="small" color="soft">
        Depth as 2√(D·t), with D between 2 and 5 · 10⁻¹⁰ m²/s in the cold.
      </Text>
    </Stack>
  );
}
