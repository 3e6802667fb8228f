import { Box, Dialog, Flex, Portal, Stack, Text } from '@chakra-ui/react';
import type { ApiFault, Kitchen, Schemas } from '../../api/client';
import { editable, type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { OnOff } from '../../ui/OnOff';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { hobs, materials, panMaterials } from './words';
import type { List, Placed } from './things';

type Props = {
  placed: Placed;
  units: Units;
  fault?: ApiFault;
  onChange: (placed: Placed) => void;
  onAway: () => void;
  onClose: () => void;
};

/** The measures of the things in a list. */
type Measures<L extends List> = Kitchen[L][number]['measures'];

/** One thing of the kitchen: what it is called, its measures, and whether it is lent out. Kept as it is typed. */
export function ThingDialog({ placed, units, fault, onChange, onAway, onClose }: Props) {
  const { thing } = placed;
  // The same thing of the same list: only its name and whether it is there have changed.
  const set = (changed: { name?: string; lent?: boolean }) =>
    onChange({ ...placed, thing: { ...thing, ...changed } } as Placed);
  return (
    <Dialog.Root open onOpenChange={({ open }) => !open && onClose()}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Title>{thing.name || 'Without a name'}</Dialog.Title>
            <Dialog.Body>
              <Stack gap={4}>
                <TextField
                  label="It is called"
                  value={thing.name}
                  onChange={(name) => set({ name })}
                  maxLength={60}
                  error={fault?.field?.endsWith('.name') ? fault.message : undefined}
                />
                <MeasuresOf placed={placed} units={units} onChange={onChange} />
                {fault && !fault.field?.endsWith('.name') && (
                  <Text role="alert" color="caution" fontSize="small" fontWeight={600}>
                    {fault.message}
                  </Text>
                )}
                <OnOff label="Lent out, or broken" on={thing.lent} onChange={(lent) => set({ lent })} />
              </Stack>
            </Dialog.Body>
            <Dialog.Footer>
              <Dialog.CloseTrigger asChild>
                <Button weight="first">Good</Button>
              </Dialog.CloseTrigger>
              <Button weight="quiet" onClick={onAway}>
                Take it out of the kitchen
              </Button>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}

function MeasuresOf({ placed, units, onChange }: Pick<Props, 'placed' | 'units' | 'onChange'>) {
  const length = editable.length[units];
  const cm = (label: string, value: number | null | undefined, set: (cm: number) => void) => (
    <Box flex="1 1 120px">
      <NumberField
        label={label}
        value={value ?? undefined}
        onChange={(next) => next !== undefined && set(next)}
        unit={length.unit}
        factor={length.factor}
        step={length.step}
      />
    </Box>
  );
  const watts = (label: string, value: number, set: (watts: number) => void) => (
    <Box flex="1 1 140px">
      <NumberField
        label={label}
        value={value}
        onChange={(next) => next !== undefined && set(next)}
        unit="W"
        step={100}
      />
    </Box>
  );
  switch (placed.list) {
    case 'hands':
    case 'coals':
      return null;
    case 'ovens': {
      const set = (changed: Partial<Measures<'ovens'>>) =>
        onChange({
          list: 'ovens',
          thing: { ...placed.thing, measures: { ...placed.thing.measures, ...changed } },
        });
      const { width_cm, fan } = placed.thing.measures;
      return (
        <Flex gap={4} wrap="wrap" align="flex-end">
          {cm('Shelf, across', width_cm, (next) => set({ width_cm: next }))}
          <Choice
            label="Its fan"
            value={fan ? 'on' : 'off'}
            options={[
              { value: 'off', label: 'off' },
              { value: 'on', label: 'runs' },
            ]}
            onChange={(next) => set({ fan: next === 'on' })}
          />
        </Flex>
      );
    }
    case 'burners': {
      const set = (changed: Partial<Measures<'burners'>>) =>
        onChange({
          list: 'burners',
          thing: { ...placed.thing, measures: { ...placed.thing.measures, ...changed } },
        });
      const { kind, watts: power } = placed.thing.measures;
      return (
        <Flex gap={4} wrap="wrap" align="flex-end">
          {watts('Its power', power, (next) => set({ watts: next }))}
          <Choice label="Heated by" value={kind} options={hobs} onChange={(next) => set({ kind: next })} />
        </Flex>
      );
    }
    case 'pots':
      return (
        <PotMeasures
          measures={placed.thing.measures}
          cm={cm}
          onChange={(measures) => onChange({ list: 'pots', thing: { ...placed.thing, measures } })}
        />
      );
    case 'pans': {
      const set = (changed: Partial<Measures<'pans'>>) =>
        onChange({
          list: 'pans',
          thing: { ...placed.thing, measures: { ...placed.thing.measures, ...changed } },
        });
      const { diameter_cm, material } = placed.thing.measures;
      return (
        <Flex gap={4} wrap="wrap" align="flex-end">
          {cm('Floor, across', diameter_cm, (next) => set({ diameter_cm: next }))}
          <Box flex="1 1 140px">
            <SelectField
              label="Made of"
              value={material}
              options={panMaterials}
              onChange={(next) => set({ material: next })}
            />
          </Box>
        </Flex>
      );
    }
    case 'pressure_pots': {
      const set = (changed: Partial<Measures<'pressure_pots'>>) =>
        onChange({
          list: 'pressure_pots',
          thing: { ...placed.thing, measures: { ...placed.thing.measures, ...changed } },
        });
      const { diameter_cm, height_cm, watts: power } = placed.thing.measures;
      return (
        <Flex gap={4} wrap="wrap" align="flex-end">
          {cm('Insert, across', diameter_cm, (next) => set({ diameter_cm: next }))}
          {cm('High inside', height_cm, (next) => set({ height_cm: next }))}
          {watts('Its element', power, (next) => set({ watts: next }))}
        </Flex>
      );
    }
    case 'slow_cookers': {
      const set = (changed: Partial<Measures<'slow_cookers'>>) =>
        onChange({
          list: 'slow_cookers',
          thing: { ...placed.thing, measures: { ...placed.thing.measures, ...changed } },
        });
      const { diameter_cm, height_cm } = placed.thing.measures;
      return (
        <Flex gap={4} wrap="wrap" align="flex-end">
          {cm('Crock, across', diameter_cm, (next) => set({ diameter_cm: next }))}
          {cm('High inside', height_cm, (next) => set({ height_cm: next }))}
        </Flex>
      );
    }
    case 'pits': {
      const set = (changed: Partial<Measures<'pits'>>) =>
        onChange({
          list: 'pits',
          thing: { ...placed.thing, measures: { ...placed.thing.measures, ...changed } },
        });
      const { width_cm, holds_itself } = placed.thing.measures;
      return (
        <Flex gap={4} wrap="wrap" align="flex-end">
          {cm('Grate, across', width_cm, (next) => set({ width_cm: next }))}
          <Choice
            label="Its heat"
            value={holds_itself ? 'holds' : 'tended'}
            options={[
              { value: 'holds', label: 'holds by itself' },
              { value: 'tended', label: 'wants tending' },
            ]}
            onChange={(next) => set({ holds_itself: next === 'holds' })}
          />
        </Flex>
      );
    }
    case 'baths': {
      const volume = editable.volume[units];
      return (
        <NumberField
          label="Water in it"
          value={placed.thing.measures.litres}
          onChange={(litres) =>
            litres !== undefined &&
            onChange({ list: 'baths', thing: { ...placed.thing, measures: { litres } } })
          }
          unit={volume.unit}
          factor={volume.factor}
        />
      );
    }
    case 'probes':
      return (
        <TextField
          label="The name it sends its readings under"
          value={placed.thing.measures.probe}
          onChange={(probe) => onChange({ list: 'probes', thing: { ...placed.thing, measures: { probe } } })}
          maxLength={80}
        />
      );
  }
}

function PotMeasures({
  measures,
  cm,
  onChange,
}: {
  measures: Schemas['Vessel'];
  cm: (label: string, value: number | null | undefined, set: (cm: number) => void) => React.ReactNode;
  onChange: (measures: Schemas['Vessel']) => void;
}) {
  const tin = measures.width_cm != null || measures.length_cm != null;
  return (
    <Flex gap={4} wrap="wrap" align="flex-end">
      <Choice
        label="Its shape"
        value={tin ? 'tin' : 'round'}
        options={[
          { value: 'round', label: 'round' },
          { value: 'tin', label: 'tin or dish' },
        ]}
        onChange={(shape) =>
          onChange({
            height_cm: measures.height_cm,
            material: measures.material,
            lid: measures.lid,
            ...(shape === 'tin'
              ? { width_cm: measures.diameter_cm, length_cm: measures.diameter_cm }
              : { diameter_cm: measures.width_cm }),
          })
        }
      />
      {tin ? (
        <>
          {cm('Wide', measures.width_cm, (width_cm) => onChange({ ...measures, width_cm }))}
          {cm('Long', measures.length_cm, (length_cm) => onChange({ ...measures, length_cm }))}
        </>
      ) : (
        cm('Across', measures.diameter_cm, (diameter_cm) => onChange({ ...measures, diameter_cm }))
      )}
      {cm('High inside', measures.height_cm, (height_cm) => onChange({ ...measures, height_cm }))}
      <Box flex="1 1 140px">
        <SelectField
          label="Made of"
          value={measures.material ?? ''}
          first={measures.material == null ? 'iron, as a rule' : undefined}
          options={materials}
          onChange={(material) => onChange({ ...measures, material })}
        />
      </Box>
    </Flex>
  );
}
