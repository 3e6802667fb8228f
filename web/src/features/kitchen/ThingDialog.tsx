import { Box, Dialog, Flex, Portal, Stack, Text } from '@chakra-ui/react';
import type { ApiFault, Schemas } from '../../api/client';
import { editable, type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { OnOff } from '../../ui/OnOff';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import type { Measure, Measures, Placed } from './things';

type Props = {
  placed: Placed;
  units: Units;
  fault?: ApiFault;
  onChange: (placed: Placed) => void;
  onAway: () => void;
  onClose: () => void;
};

type Field = Schemas['ThingField'];

/** One thing of the kitchen: what it is called, its measures, and whether it is lent out. Kept as it is typed. */
export function ThingDialog({ placed, units, fault, onChange, onAway, onClose }: Props) {
  const { thing } = placed;
  const set = (changed: Partial<Placed['thing']>) => onChange({ ...placed, thing: { ...thing, ...changed } });
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
                <MeasuresOf
                  placed={placed}
                  units={units}
                  fault={fault}
                  onChange={(measures) => set({ measures })}
                />
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

type MeasuresProps = {
  placed: Placed;
  units: Units;
  fault?: ApiFault;
  onChange: (measures: Measures) => void;
};

/** A form of what is asked of such a thing: each field with its bounds and how it is measured. */
function MeasuresOf({ placed: { kind, thing }, units, fault, onChange }: MeasuresProps) {
  const { measures } = thing;
  const isPot = kind.kind === 'pot';
  const tin = isPot && (measures.width_cm != null || measures.length_cm != null);
  // A round pot has no sides, a square one nothing across.
  const others = tin ? ['diameter_cm'] : ['width_cm', 'length_cm'];
  const shown = isPot ? kind.fields.filter(({ name }) => !others.includes(name)) : kind.fields;
  const of = (field: Field) => fault?.field?.endsWith(`measures.${field.name}`) ?? false;
  const elsewhere = fault && !fault.field?.endsWith('.name') && !shown.some(of);
  return (
    <>
      <Flex gap={4} wrap="wrap" align="flex-start">
        {isPot && <Shape tin={tin} measures={measures} onChange={onChange} />}
        {shown.map((field) => (
          <Box key={field.name} flex="1 1 150px">
            <OneField
              field={field}
              value={measures[field.name]}
              units={units}
              error={of(field) ? fault?.message : undefined}
              onChange={(value) => onChange({ ...measures, [field.name]: value })}
            />
          </Box>
        ))}
      </Flex>
      {elsewhere && (
        <Text role="alert" color="caution" fontSize="small" fontWeight={600}>
          {fault.message}
        </Text>
      )}
    </>
  );
}

/** A pot is round or has sides. */
function Shape({
  tin,
  measures,
  onChange,
}: {
  tin: boolean;
  measures: Measures;
  onChange: (measures: Measures) => void;
}) {
  const { diameter_cm, width_cm, length_cm, ...rest } = measures;
  return (
    <Choice
      label="Its shape"
      value={tin ? 'tin' : 'round'}
      options={[
        { value: 'round', label: 'round' },
        { value: 'tin', label: 'tin or dish' },
      ]}
      onChange={(shape) =>
        onChange(
          shape === 'tin'
            ? { ...rest, width_cm: diameter_cm ?? width_cm, length_cm: diameter_cm ?? length_cm }
            : { ...rest, diameter_cm: width_cm ?? diameter_cm },
        )
      }
    />
  );
}

type OneProps = {
  field: Field;
  value: Measure;
  units: Units;
  error?: string;
  onChange: (value: Measure) => void;
};

function OneField({ field: { label, how, figure, choices }, value, units, error, onChange }: OneProps) {
  if (figure) {
    const shown = unitOf(figure, units);
    return (
      <NumberField
        label={label}
        value={typeof value === 'number' ? value : undefined}
        onChange={(next) => next !== undefined && onChange(next)}
        unit={shown.unit}
        factor={shown.factor}
        step={shown.step}
        hint={how}
        error={error}
      />
    );
  }
  const options = choices.map((choice) => ({ value: String(choice.value), label: choice.label }));
  const choose = (chosen: string) =>
    onChange(choices.find((choice) => String(choice.value) === chosen)?.value);
  if (options.length > 3)
    return (
      <SelectField
        label={label}
        value={value == null ? '' : String(value)}
        first={value == null ? 'not said' : undefined}
        options={options}
        onChange={choose}
        hint={how}
      />
    );
  if (options.length > 0)
    return (
      <Choice
        label={label}
        value={value == null ? undefined : String(value)}
        options={options}
        onChange={choose}
      />
    );
  return (
    <TextField
      label={label}
      value={typeof value === 'string' ? value : ''}
      onChange={onChange}
      maxLength={80}
      hint={how}
      error={error}
    />
  );
}

/** A figure's unit as the cook reads it. */
function unitOf({ unit, step }: Schemas['FieldFigure'], units: Units) {
  switch (unit) {
    case 'centimetres':
      return editable.length[units];
    case 'litres':
      return editable.volume[units];
    case 'watts':
      return { unit: 'W', factor: 1, step };
  }
}
