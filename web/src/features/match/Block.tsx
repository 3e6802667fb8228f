import { Box, Flex } from '@chakra-ui/react';
import type { ApiFault, Schemas } from '../../api/client';
import { editable, format, type Units } from '../../format/units';
import { Choice } from '../../ui/Choice';
import { NumberField, SelectField, Slider, TextField } from '../../ui/fields';
import type { Block as BlockState } from './state';

const eaten = [
  { value: 'slice', label: 'slice' },
  { value: 'fork', label: 'fork' },
  { value: 'probe', label: 'probe' },
  { value: 'pull', label: 'pull' },
  { value: 'spoon', label: 'spoon' },
] as const;

type Props = {
  block: BlockState;
  change: (changed: Partial<BlockState>) => void;
  cuts: Schemas['CutFacts'][];
  units: Units;
  fault?: ApiFault;
};

/** What is on the block, how it is eaten and when the bell is: a good default, to be corrected. */
export function Block({ block, change, cuts, units, fault }: Props) {
  const facts = cuts.find((cut) => cut.cut === block.cut);
  const error = (field: string) => (fault?.field === field ? fault.message : undefined);
  const mass = editable.mass[units];
  const usualKg = Math.max(1, facts?.piece_kg ?? 1);
  const piece =
    (block.kg ?? usualKg) / Math.max(1, Math.round((block.kg ?? usualKg) / (facts?.piece_kg ?? 1)));
  const [a, b] = facts?.aspect ?? [1.7, 2.3];
  const usualMm = Math.round(Math.cbrt(piece / 1060 / (a! * b!)) * 1000);
  return (
    <Flex wrap="wrap" gap={{ base: 3, md: 4 }} align="flex-end">
      <Box width={{ base: '100%', sm: '172px' }}>
        <SelectField
          label="On the block"
          value={block.cut}
          onChange={(cut) =>
            change({ cut: cut as Schemas['Cut'], as: undefined, kg: undefined, mm: undefined })
          }
          error={error('cut')}
        >
          {cuts.map((cut) => (
            <option key={cut.cut} value={cut.cut}>
              {cut.name}
            </option>
          ))}
        </SelectField>
      </Box>
      <Box width={{ base: 'calc(50% - 6px)', sm: '118px' }}>
        <NumberField
          label="Raw weight"
          value={block.kg ?? usualKg}
          onChange={(kg) => change({ kg })}
          unit={mass.unit}
          factor={mass.factor}
          step={mass.step}
          error={error('mass_kg')}
        />
      </Box>
      <Box width={{ base: 'calc(50% - 6px)', sm: '72px' }}>
        <NumberField
          label="People"
          value={block.people}
          onChange={(people) => change({ people })}
          unit=""
          step={1}
          error={error('people')}
        />
      </Box>
      <Box width={{ base: '100%', sm: '236px' }}>
        <TextField
          label="Bell: plates on the table"
          type="datetime-local"
          value={block.bell}
          onChange={(bell) => change({ bell })}
          error={error('bell')}
        />
      </Box>
      <Box width={{ base: '100%', sm: '200px' }}>
        <Slider
          label={block.mm ? 'How thick' : 'How thick? a guess'}
          value={block.mm ?? usualMm}
          min={20}
          max={140}
          step={1}
          onChange={(mm) => change({ mm })}
          said={format('small_length', block.mm ?? usualMm, units)}
        />
      </Box>
      <Choice
        label="Eaten as"
        value={block.as ?? facts?.eaten_as ?? 'fork'}
        options={eaten}
        onChange={(as) => change({ as })}
      />
    </Flex>
  );
}
