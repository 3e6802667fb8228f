import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** Holds the one next action: in its place on a table, at thumb height on a phone. */
export function ThumbBar({ children }: { children: ReactNode }) {
  return (
    <Box
      className="no-print"
      css={{ '& > *': { width: '100%' } }}
      position={{ base: 'fixed', lg: 'static' }}
      left={0}
      right={0}
      bottom={0}
      zIndex={2}
      p={{ base: 3, lg: 0 }}
      bg={{ base: 'panel', lg: 'transparent' }}
      borderTopWidth={{ base: '2px', lg: '0' }}
      borderColor="rim"
    >
      {children}
    </Box>
  );
}
