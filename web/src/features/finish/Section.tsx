import { Box, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A part of *Finish* with its heading, under a rim. */
export function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box as="section" aria-label={title} borderTopWidth="2px" borderColor="rim" pt={3} minW={0}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        {title}
      </Heading>
      {children}
    </Box>
  );
}
