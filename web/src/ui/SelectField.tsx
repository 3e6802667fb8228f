import { NativeSelect } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Labelled, type Common } from './Labelled';

type Props<T extends string> = Common & {
  value: T | '';
  onChange: (value: T) => void;
  options: readonly { value: T; label: string }[];
  /** What stands first and chooses nothing. */
  first?: ReactNode;
};

/** One of a list too long for [`Choice`]. */
export function SelectField<T extends string>({ value, onChange, options, first, ...common }: Props<T>) {
  return (
    <Labelled {...common}>
      <NativeSelect.Root>
        <NativeSelect.Field
          value={value}
          onChange={(event) => {
            const found = options.find((option) => option.value === event.target.value);
            if (found) onChange(found.value);
          }}
        >
          {first !== undefined && <option value="">{first}</option>}
          {options.map((option) => (
            <option key={option.value} value={option.value}>
              {option.label}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
    </Labelled>
  );
}
