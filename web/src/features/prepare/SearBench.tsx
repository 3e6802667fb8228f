import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import type { Kitchen, Schemas } from '../../api/client';
import { PanFromAbove } from '../../drawings/PanFromAbove';
import { editable, format } from '../../format/units';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { NumberField, SelectField } from '../../ui/fields';
import { Pairs } from '../../ui/Pairs';
import type { BenchProps } from './bench';
import { choose } from './schools';
import { Schools } from './Schools';

const about = (minutes: number) => `${minutes < 10 ? Number(minutes.toFixed(1)) : Math.round(minutes)} min`;

/** Batches as a cook would say them. */
const inBatches = (sizes: number[]) =>
  sizes.every((size) => size === sizes[0])
    ? `${sizes.length} batches of ${sizes[0]}`
    : `batches of ${sizes.length > 4 ? `${sizes[0]}, the last ${sizes.at(-1)}` : sizes.join(', ')}`;

/** The pan from above: batches, its heat, and what crowding does. */
export function SearBench({
  plan,
  bench,
  prepared,
  units,
  setBench,
  kitchen,
}: BenchProps & { kitchen: Kitchen }) {
  const { sear } = prepared;
  const pressure = plan.forecast.method === 'pressure';
  const length = editable.length[units];
  const sizes = Array.from({ length: sear.batches }, (_, i) =>
    Math.min(sear.per_batch, prepared.trimmed.pieces - i * sear.per_batch),
  );
  const even = Math.ceil(prepared.trimmed.pieces / Math.max(1, sear.batches));
  const batch = (more: number) =>
    setBench('batch', {
      per_batch: Math.min(prepared.trimmed.pieces, Math.max(1, sear.per_batch + more)),
    });
  return (
    <Stack gap={4}>
      {sear.batches > 0 ? (
        <>
          <PanFromAbove sear={sear} pieces={prepared.trimmed.pieces} units={units} />
          <Flex gap={3} wrap="wrap" align="center">
            <Button onClick={() => batch(-sear.pans)} aria-label="Lay fewer in a batch">
              fewer
            </Button>
            <Text fontWeight={700} fontSize="lead" fontVariantNumeric="tabular-nums" minW="13ch">
              {sear.batches === 1 ? 'all at once' : inBatches(sizes)}
            </Text>
            <Button onClick={() => batch(sear.pans)} aria-label="Lay more in a batch">
              more
            </Button>
            {sear.batches > 1 && sizes.at(-1) !== even && (
              <Button weight="quiet" onClick={() => setBench('batch', { per_batch: even })}>
                evenly: {even} in each
              </Button>
            )}
            {bench.per_batch != null && (
              <Button weight="quiet" onClick={() => setBench('batch', { per_batch: undefined })}>
                as many as brown: {sear.most}
              </Button>
            )}
          </Flex>
        </>
      ) : (
        <Text maxW="40rem">
          {prepared.pot
            ? 'Nothing goes through the pan. What is lost is colour and the deepest flavour, not juice; the sauce stays paler.'
            : 'Nothing goes through the pan: for the pit, the bag and the fat it stays bare. A bagged piece is browned after, dry and hot, for a minute.'}
        </Text>
      )}
      <Flex gap={4} wrap="wrap" align="flex-end">
        <Choice
          label="In"
          value={bench.sear_in ?? 'pan'}
          options={[
            { value: 'pan', label: 'one pan' },
            { value: 'two_pans', label: 'two pans' },
            { value: 'pot_and_lid', label: 'pot and its iron lid' },
            { value: 'lid', label: 'an iron lid over the fire' },
            { value: 'pot', label: pressure ? 'the pot’s own insert' : 'the pot' },
          ]}
          onChange={(sear_in) => setBench('sear in', { sear_in, per_batch: undefined })}
        />
        <Box width="104px">
          <NumberField
            label="Pan across"
            value={bench.pan?.diameter_cm ?? kitchen.pan_cm}
            unit={length.unit}
            factor={length.factor}
            step={length.step}
            onChange={(diameter_cm) =>
              setBench('pan', { pan: { ...bench.pan, diameter_cm: diameter_cm ?? undefined } })
            }
          />
        </Box>
        <Box width="128px">
          <SelectField
            label="Made of"
            value={bench.pan?.material ?? kitchen.pan_material}
            onChange={(material) =>
              setBench('pan of', { pan: { ...bench.pan, material: material as Schemas['Material'] } })
            }
          >
            {['iron', 'steel', 'aluminium', 'ceramic'].map((of) => (
              <option key={of}>{of}</option>
            ))}
          </SelectField>
        </Box>
        <Box width="112px">
          <NumberField
            label="Burner"
            value={bench.hob?.watts ?? kitchen.hob_w}
            unit="W"
            step={100}
            onChange={(watts) => setBench('burner', { hob: { ...bench.hob, watts: watts ?? undefined } })}
          />
        </Box>
        <Box width="128px">
          <SelectField
            label="Hob"
            value={bench.hob?.kind ?? kitchen.hob_kind}
            onChange={(kind) => setBench('hob', { hob: { ...bench.hob, kind: kind as Schemas['HobKind'] } })}
          >
            {['gas', 'ceramic', 'induction'].map((of) => (
              <option key={of}>{of}</option>
            ))}
          </SelectField>
        </Box>
      </Flex>
      {sear.batches > 0 && (
        <>
          <Flex gap={4} wrap="wrap">
            <Choice
              label="Browned in"
              value={sear.fat}
              options={[
                { value: 'own', label: 'its own fat' },
                { value: 'oil', label: 'oil' },
                { value: 'bacon', label: 'bacon, rendered first' },
              ]}
              onChange={(fat) => setBench('fat', { fat })}
            />
            <Choice
              label="A sugary coat"
              value={bench.sugared ? 'yes' : 'no'}
              options={[
                { value: 'no', label: 'no' },
                { value: 'yes', label: 'yes: gentler, paler' },
              ]}
              onChange={(yes) => setBench('sugar', { sugared: yes === 'yes' })}
            />
          </Flex>
          <Pairs
            pairs={[
              ['at the pan', about(sear.min)],
              ['it gets hot in', about(sear.heat_pan_min)],
              ['first side', about(sear.side_min)],
              ['comes back between batches in', about(sear.recovery_min)],
              ...sear.batch_start_c.map((celsius, i): [string, string] => [
                `pan as batch ${i + 1} goes in`,
                format('temperature', celsius, units),
              ]),
              ['coolest', format('temperature', sear.pan_low_c ?? 0, units)],
              ...(sear.stews
                ? [
                    [
                      'left to boil itself dry, brown after',
                      sear.wait_to_brown_min == null ? 'never' : about(sear.wait_to_brown_min),
                    ] as [string, string],
                  ]
                : []),
            ]}
          />
        </>
      )}
      <Schools
        all={prepared.schools}
        ids={['sear', 'surface', 'flour']}

        onChoose={(school, option) => setBench(school, choose(school, option))}
      />
      <Steps prepared={prepared} ids={['heat_pan', 'sear', 'aromatics', 'deglaze', 'pour']} />
    </Stack>
  );
}

/** The order of work from some of the steps. */
export function Steps({ prepared, ids }: { prepared: Schemas['Prepared']; ids?: string[] }) {
  const steps = prepared.steps.filter((step) => !ids || ids.includes(step.id));
  if (steps.length === 0) return null;
  return (
    <Stack as="ol" gap={0} listStyleType="none" aria-label="In this order">
      {steps.map((step) => (
        <Flex as="li" key={step.id} gap={3} borderTopWidth="1px" borderColor="line" py={3}>
          <Box flex="1" minW={0}>
            <Text fontWeight={700} lineHeight={1.3}>
              {step.what}
            </Text>
            <Text fontSize="small" color="soft">
              {step.why}
            </Text>
            {step.cautions.map((caution) => (
              <Text key={caution.id} fontSize="small" color="caution">
                {caution.text}
              </Text>
            ))}
          </Box>
          <Text fontSize="small" whiteSpace="nowrap" fontVariantNumeric="tabular-nums">
            {about(step.min)}
          </Text>
        </Flex>
      ))}
    </Stack>
  );
}
