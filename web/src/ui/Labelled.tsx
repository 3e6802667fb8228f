import { Field } from '@chakra-ui/react';
import type { ReactNode } from 'react';

export type Common = { label: string; error?: string; hint?: ReactNode; hideLabel?: boolean };

/** A control under its label; what it hints and what is wrong with it are tied to it. */
export function Labelled({ label, error, hint, hideLabel, children }: Common & { children: ReactNode }) {
  return (
    <Field.Root invalid={!!error}>
      <Field.Label srOnly={hideLabel}>{label}</Field.Label>
      {children}
      {hint && <Field.HelperText>{hint}</Field.HelperText>}
      {error && <Field.ErrorText>{error}</Field.ErrorText>}
    </Field.Root>
  );
}
