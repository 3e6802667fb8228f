import { Checkbox, CheckboxGroup, Fieldset } from '@chakra-ui/react';
import { useMayChange } from '../api/role';

type Props<T extends string> = {
  label: string;
  value: readonly T[];
  options: readonly { value: T; label: string }[];
  onChange: (value: T[]) => void;
  error?: string;
};

/** A few words of which any hold. */
export function Toggles<T extends string>({ label, value, options, onChange, error }: Props<T>) {
  const may = useMayChange();
  return (
    <Fieldset.Root invalid={!!error}>
      <Fieldset.Legend>{label}</Fieldset.Legend>
      <CheckboxGroup
        disabled={!may}
        value={[...value]}
        onValueChange={(chosen) =>
          onChange(options.map((option) => option.value).filter((option) => chosen.includes(option)))
        }
      >
        <Fieldset.Content>
          {options.map((option) => (
            <Checkbox.Root key={option.value} value={option.value}>
              <Checkbox.HiddenInput />
              <Checkbox.Control>
                <Checkbox.Indicator />
              </Checkbox.Control>
              <Checkbox.Label>{option.label}</Checkbox.Label>
            </Checkbox.Root>
          ))}
        </Fieldset.Content>
      </CheckboxGroup>
      {error && <Fieldset.ErrorText>{error}</Fieldset.ErrorText>}
    </Fieldset.Root>
  );
}
