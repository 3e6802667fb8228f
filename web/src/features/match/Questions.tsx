import { Grid } from '@chakra-ui/react';
import { memo } from 'react';
import type { ApiFault, Schemas } from '../../api/client';
import { editable, type Units } from '../../format/units';
import { NumberField } from '../../ui/NumberField';
import { WhenField } from '../../ui/WhenField';
import { CutField } from './CutField';
import { otherCut, type Block, type Change } from './state';

type Props = {
  block: Block;
  change: Change;
  cuts: Schemas['AtTheCounter'][];
  /** What it weighs where nobody has said so yet. */
  massKg: number | undefined;
  units: Units;
  fault?: ApiFault;
};

/** Three questions on one line: which cut, how much of it, and when the bell is. */
export const Questions = memo(function Questions({ block, change, cuts, massKg, units, fault }: Props) {
  const error = (...fields: string[]) =>
    fault?.field && fields.includes(fault.field) ? fault.message : undefined;
  const mass = editable.mass[units];
  return (
    <Grid
      templateColumns={{
        base: 'minmax(0, 1fr) 68px 172px',
        md: '260px 110px 220px',
      }}
      gap={{ base: 2, md: 4 }}
      alignItems="start"
    >
      <CutField
        label="Cut"
        cuts={cuts}
        value={block.cut}
        onChange={(cut) => change(otherCut(cut), 'step')}
        error={error('cut', 'parts[0].cut')}
        key={block.cut}
      />
      <NumberField
        label={`Weight, ${mass.unit}`}
        value={block.kg ?? massKg}
        onChange={(kg) => change({ kg })}
        unit=""
        factor={mass.factor}
        step={mass.step}
        error={error('mass_kg', 'parts[0].mass_kg', 'parts')}
      />
      <WhenField
        label="Plates at"
        value={block.serve_at}
        onChange={(serveAt) => serveAt && change({ serve_at: serveAt })}
        units={units}
        error={error('serve_at')}
      />
    </Grid>
  );
});
