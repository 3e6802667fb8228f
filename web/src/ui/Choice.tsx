import { RadioGroup } from '@chakra-ui/react';
import { useMayChange } from '../api/role';

type Props<T extends string> = {
  label: string;
  /** None holds where it is not given. */
  value: T | undefined;
  options: readonly { value: T; label: string; hint?: string }[];
  onChange: (value: T) => void;
  hideLabel?: boolean;
  /** Quieter, for what is changed seldom. */
  small?: boolean;
  /** It changes nothing that is kept: a device that only looks may choose too. */
  forAll?: boolean;
};

/** A few words of which one holds; the arrow keys move along them. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  hideLabel,
  small,
  forAll,
}: Props<T>) {
  const may = useMayChange();
  return (
    <RadioGroup.Root
      value={value ?? null}
      onValueChange={({ value: chosen }) => {
        const found = options.find((option) => option.value === chosen);
        if (found) onChange(found.value);
      }}
      disabled={!may && !forAll}
      display="block"
      minW={0}
    >
      <RadioGroup.Label srOnly={hideLabel}>{label}</RadioGroup.Label>
      <Words options={options} small={small} />
    </RadioGroup.Root>
  );
}

function Words({
  options,
  small,
}: {
  options: readonly { value: string; label: string; hint?: string }[];
  small?: boolean;
}) {
  return (
    <span style={{ display: 'flex', flexWrap: 'wrap', gap: '6px' }}>
      {options.map((option) => (
        <RadioGroup.Item
          key={option.value}
          value={option.value}
          title={option.hint}
          px={small ? 2 : 3}
          fontSize={small ? 'small' : 'text'}
        >
          <RadioGroup.ItemHiddenInput />
          <RadioGroup.ItemText>{option.label}</RadioGroup.ItemText>
        </RadioGroup.Item>
      ))}
    </span>
  );
}
