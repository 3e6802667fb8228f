import { Box, Flex, Heading } from '@chakra-ui/react';
import { Button } from '../../ui/Button';

const files = [
  ['calendar', 'Calendar'],
  ['table', 'Table'],
  ['text', 'Text'],
] as const;

/** The sheet to take along: as a calendar, a table, a text, on paper. */
export function Files({ id }: { id: string }) {
  return (
    <Box as="section" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Take it along
      </Heading>
      <Flex gap={2} wrap="wrap">
        {files.map(([kind, name]) => (
          <Button key={kind} asChild>
            <a href={`/api/meals/${encodeURIComponent(id)}/file?kind=${kind}`} download>
              {name}
            </a>
          </Button>
        ))}
        <Button onClick={() => window.print()}>Print</Button>
      </Flex>
    </Box>
  );
}
