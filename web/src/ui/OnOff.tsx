import { Switch } from '@chakra-ui/react';
import { useMayChange } from '../api/role';

/** One thing that holds or does not. */
export function OnOff({
  label,
  on,
  onChange,
}: {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}) {
  const may = useMayChange();
  return (
    <Switch.Root disabled={!may} checked={on} onCheckedChange={({ checked }) => onChange(checked)}>
      <Switch.HiddenInput />
      <Switch.Control>
        <Switch.Thumb />
      </Switch.Control>
      <Switch.Label>{label}</Switch.Label>
    </Switch.Root>
  );
}
