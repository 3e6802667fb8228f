import { Stack, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** What is read by who wants to know more, behind its own line. */
export function Folded({ title, children }: { title: string; children: ReactNode }) {
  return (
    <chakra.details mt={3}>
      <chakra.summary
        minHeight="44px"
        display="flex"
        alignItems="center"
        cursor="pointer"
        color="rim"
        fontWeight={600}
      >
        {title}
      </chakra.summary>
      <Stack gap={2}>{children}</Stack>
    </chakra.details>
  );
}
