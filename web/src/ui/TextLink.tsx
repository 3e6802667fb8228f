import { chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link, type LinkProps } from 'react-router';

/** A link that stands by itself: as tall as a finger. */
export function TextLink({ children, ...link }: LinkProps & { children: ReactNode }) {
  return (
    <chakra.a
      asChild
      display="inline-flex"
      alignItems="center"
      minHeight="44px"
      color="rim"
      fontWeight={700}
      textDecoration="underline"
      textUnderlineOffset="4px"
    >
      <Link {...link}>{children}</Link>
    </chakra.a>
  );
}
