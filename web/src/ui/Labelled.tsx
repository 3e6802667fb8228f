import { Field } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { useMayChange } from '../api/role';

export type Common = {
  label: string;
  error?: string;
  hint?: ReactNode;
  hideLabel?: boolean;
  /** It changes nothing that is kept: a device that only looks may use it too. */
  forAll?: boolean;
};

/** A control under its label; what it hints and what is wrong with it are tied to it. */
export function Labelled({
  label,
  error,
  hint,
  hideLabel,
  forAll,
  children,
}: Common & { children: ReactNode }) {
  const may = useMayChange();
  return (
    <Field.Root invalid={!!error} disabled={!may && !forAll}>
      <Field.Label srOnly={hideLabel}>{label}</Field.Label>
      {children}
      {hint && <Field.HelperText>{hint}</Field.HelperText>}
      {error && <Field.ErrorText>{error}</Field.ErrorText>}
    </Field.Root>
  );
}
