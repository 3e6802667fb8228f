import { chakra } from '@chakra-ui/react';
import type { ComponentProps } from 'react';
import { useMayChange } from '../api/role';

const Plain = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 2,
    minHeight: '44px',
    minWidth: '44px',
    px: 4,
    borderRadius: '10px',
    borderWidth: '2px',
    borderStyle: 'solid',
    fontFamily: 'body',
    fontSize: 'text',
    fontWeight: 600,
    lineHeight: 1.2,
    cursor: 'pointer',
    textAlign: 'center',
    textDecoration: 'none',
    transition: 'background 120ms, border-color 120ms',
    _disabled: { opacity: 0.55, cursor: 'default' },
  },
  variants: {
    weight: {
      first: { bg: 'rim', color: 'ground', borderColor: 'rim', _hover: { bg: 'ink', borderColor: 'ink' } },
      plain: { bg: 'panel', color: 'ink', borderColor: 'rim', _hover: { bg: 'ground' } },
      quiet: { bg: 'transparent', color: 'rim', borderColor: 'transparent', _hover: { borderColor: 'line' } },
    },
    size: {
      normal: {},
      large: { minHeight: '64px', px: 6, fontSize: 'lead', borderRadius: '14px' },
    },
  },
  defaultVariants: { weight: 'plain', size: 'normal' },
});

type Props = ComponentProps<typeof Plain> & {
  /** It changes nothing that is kept: a device that only looks may press it too. */
  forAll?: boolean;
};

/** One button in three weights: the one next thing, the ordinary, the quiet. A link may look like one. */
export function Button({ forAll, disabled, ...props }: Props) {
  const may = useMayChange();
  return <Plain disabled={disabled || (!may && !forAll && !props.asChild) || undefined} {...props} />;
}
