import { Box, Heading, Stack, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** The narrow column that says why, and opens to the rule and the numbers. */
export function Because({ children, rule }: { children: ReactNode; rule?: ReactNode }) {
  return (
    <Box as="aside" aria-label="Why" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Because
      </Heading>
      <Stack gap={3}>{children}</Stack>
      {rule && (
        <chakra.details mt={3} fontSize="small">
          <chakra.summary
            minHeight="44px"
            display="flex"
            alignItems="center"
            cursor="pointer"
            color="rim"
            fontWeight={600}
          >
            Rule and numbers
          </chakra.summary>
          <Stack gap={2}>{rule}</Stack>
        </chakra.details>
      )}
    </Box>
  );
}
