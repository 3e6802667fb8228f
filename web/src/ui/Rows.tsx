import { RadioGroup, type RadioGroupItemProps } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** Rows of which one is chosen: each is drawn by its place. */
export function Rows({
  label,
  value,
  onChange,
  children,
}: {
  label: string;
  value: string | undefined;
  onChange: (value: string) => void;
  children: ReactNode;
}) {
  return (
    <RadioGroup.Root
      aria-label={label}
      value={value ?? null}
      onValueChange={({ value: chosen }) => chosen !== null && onChange(chosen)}
      display="block"
    >
      {children}
    </RadioGroup.Root>
  );
}

/** One of [`Rows`]. */
export function RowOf({ value, children, ...props }: RadioGroupItemProps) {
  return (
    <RadioGroup.Item
      value={value}
      position="relative"
      width="100%"
      px={0}
      fontWeight={400}
      bg="transparent"
      color="ink"
      borderWidth={0}
      borderTopWidth="1px"
      borderColor="line"
      borderRadius={0}
      _checked={{
        bg: 'panel',
        color: 'ink',
        borderColor: 'line',
        boxShadow: 'inset 6px 0 0 var(--chakra-colors-rim)',
      }}
      _focusVisible={{ outlineOffset: '-3px' }}
      {...props}
    >
      <RadioGroup.ItemHiddenInput />
      {children}
    </RadioGroup.Item>
  );
}
