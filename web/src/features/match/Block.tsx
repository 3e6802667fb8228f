import { Box, Flex } from '@chakra-ui/react';
import { memo } from 'react';
import type { ApiFault, Schemas } from '../../api/client';
import { editable, type Units } from '../../format/units';
import { Choice } from '../../ui/Choice';
import { NumberField, TextField } from '../../ui/fields';
import { CutField } from './CutField';
import { otherCut, type Block as BlockState } from './state';

export const eaten = [
  { value: 'slice', label: 'slice' },
  { value: 'fork', label: 'fork' },
  { value: 'probe', label: 'probe' },
  { value: 'pull', label: 'pull' },
  { value: 'spoon', label: 'spoon' },
] as const;

/** What a usual piece of a cut weighs, and how thick it then is. */
export function usualPiece(facts: Schemas['AtTheCounter'] | undefined, kg?: number) {
  const usualKg = Math.max(1, facts?.piece_kg ?? 1);
  const mass = kg ?? usualKg;
  const piece = mass / Math.max(1, Math.round(mass / (facts?.piece_kg ?? 1)));
  const [a, b] = facts?.aspect ?? [1.7, 2.3];
  return { kg: usualKg, mm: Math.round(Math.cbrt(piece / 1060 / (a! * b!)) * 1000) };
}

type Props = {
  block: BlockState;
  change: (changed: Partial<BlockState>) => void;
  cuts: Schemas['AtTheCounter'][];
  units: Units;
  fault?: ApiFault;
};

/** What is on the block, how it is eaten and when the bell is: a good default, to be corrected. */
export const Block = memo(function Block({ block, change, cuts, units, fault }: Props) {
  const facts = cuts.find((cut) => cut.cut === block.cut);
  const error = (...fields: string[]) =>
    fault?.field && fields.includes(fault.field) ? fault.message : undefined;
  const mass = editable.mass[units];
  return (
    <Flex wrap="wrap" gap={{ base: 3, md: 4 }} align="flex-end">
      <Box width={{ base: '100%', sm: '208px' }}>
        <CutField
          label="On the block"
          cuts={cuts}
          value={block.cut}
          onChange={(cut) => change(otherCut(cut))}
          error={error('cut', 'parts[0].cut')}
        />
      </Box>
      <Box width={{ base: 'calc(50% - 6px)', sm: '118px' }}>
        <NumberField
          label="Raw weight"
          value={block.kg ?? usualPiece(facts).kg}
          onChange={(kg) => change({ kg })}
          unit={mass.unit}
          factor={mass.factor}
          step={mass.step}
          error={error('mass_kg', 'parts[0].mass_kg', 'parts')}
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
      <Choice
        label="Eaten as"
        value={block.as ?? facts?.eaten_as ?? 'fork'}
        options={eaten}
        onChange={(as) => change({ as })}
      />
    </Flex>
  );
});
