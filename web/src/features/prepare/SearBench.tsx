import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { PanFromAbove } from '../../drawings/PanFromAbove';
import { editable, format } from '../../format/units';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { Offers } from '../../ui/Offers';
import { Pairs } from '../../ui/Pairs';
import { SelectField } from '../../ui/SelectField';
import { hobs, panMaterials } from '../kitchen/words';
import type { BenchProps, Prepared } from './bench';
import { Schools } from './Schools';

const about = (minutes: number) => `${minutes < 10 ? Number(minutes.toFixed(1)) : Math.round(minutes)} min`;

/** The pan from above: batches, its heat, and what crowding does. */
export function SearBench({ prepared, units, choose, setBench }: BenchProps) {
  const { sear, dish, offers } = prepared;
  const { bench } = dish;
  const length = editable.length[units];
  return (
    <Stack gap={4}>
      {sear.batches > 0 ? (
        <>
          <PanFromAbove sear={sear} pieces={prepared.trimmed.pieces} units={units} />
          <Flex gap={3} wrap="wrap" align="center">
            <Text fontWeight={700} fontSize="lead" fontVariantNumeric="tabular-nums" minW="13ch">
              {sear.words}
            </Text>
            {offers.batches.map((offer) => (
              <Button key={offer.id} onClick={() => choose('batch', offer)}>
                {offer.words}
              </Button>
            ))}
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
        <Offers label="In" offers={offers.sear_in} onChoose={(offer) => choose('sear in', offer)} />
        <Offers label="Which pan" offers={offers.pan} onChoose={(offer) => choose('pan', offer)} />
        <Offers label="Which burner" offers={offers.burner} onChoose={(offer) => choose('burner', offer)} />
      </Flex>
      <Flex gap={4} wrap="wrap" align="flex-end">
        <Box width="120px">
          <NumberField
            label="Pan across"
            value={dish.pan.diameter_cm}
            unit={length.unit}
            factor={length.factor}
            step={length.step}
            onChange={(diameter_cm) => setBench('pan', { pan: { diameter_cm } })}
          />
        </Box>
        <Box width="140px">
          <SelectField
            label="Made of"
            value={dish.pan.material}
            options={panMaterials}
            onChange={(material) => setBench('pan of', { pan: { material } })}
          />
        </Box>
        <Box width="140px">
          <NumberField
            label="Burner"
            value={dish.burner.watts}
            unit="W"
            step={100}
            onChange={(watts) => setBench('burner', { hob: { watts } })}
          />
        </Box>
        <Box width="140px">
          <SelectField
            label="Hob"
            value={dish.burner.kind}
            options={hobs}
            onChange={(kind) => setBench('hob', { hob: { kind } })}
          />
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
              ...sear.batch_start_c.map(
                (celsius, i) =>
                  [`pan as batch ${i + 1} goes in`, format('temperature', celsius, units)] as const,
              ),
              ['coolest', format('temperature', sear.pan_low_c ?? 0, units)],
              [
                'left to boil itself dry, brown after',
                !sear.stews
                  ? undefined
                  : sear.wait_to_brown_min == null
                    ? 'never'
                    : about(sear.wait_to_brown_min),
              ],
            ]}
          />
        </>
      )}
      <Schools all={prepared.schools} ids={['sear', 'surface', 'flour']} onChoose={choose} />
      <Steps prepared={prepared} kinds={['heat_pan', 'sear', 'deglaze']} />
    </Stack>
  );
}

/** The order of work up to the heat, or some of it. */
export function Steps({ prepared, kinds }: { prepared: Prepared; kinds?: Schemas['TaskKind'][] }) {
  const steps = prepared.steps.filter((step) => !kinds || kinds.includes(step.kind));
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
            {step.min > 0 && about(step.min)}
          </Text>
        </Flex>
      ))}
    </Stack>
  );
}
