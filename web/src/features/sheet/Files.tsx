import { Box, Flex, Heading } from '@chakra-ui/react';
import { api, type Schemas } from '../../api/client';
import { mayChange } from '../../api/role';
import { Button } from '../../ui/Button';

const files = [
  ['calendar', 'Calendar'],
  ['table', 'Table'],
  ['text', 'Text'],
] as const;

/** The sheet to take along: as a calendar, a table, a text, on paper. */
export function Files({ id, dishes }: { id: string; dishes: Schemas['DishOfMeal'][] }) {
  return (
    <Box as="section" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Take it along
      </Heading>
      <Flex gap={2} wrap="wrap">
        {files.map(([kind, name]) => (
          <Button key={kind} asChild>
            <a
              href={`/api/meals/${encodeURIComponent(id)}/file?kind=${kind}`}
              download
              // The next calendar cancels what this one tells of and that is no longer to be done.
              onClick={() => kind === 'calendar' && mayChange() && void api.tellCalendar(id)}
            >
              {name}
            </a>
          </Button>
        ))}
        {dishes.map((dish) => (
          <Button key={dish.plan_id} asChild>
            <a href={`/api/plans/${dish.plan_id}/recipe`} download>
              {dishes.length > 1 ? `Recipe: ${dish.name}` : 'Recipe'}
            </a>
          </Button>
        ))}
        <Button forAll onClick={() => window.print()}>
          Print
        </Button>
      </Flex>
    </Box>
  );
}
