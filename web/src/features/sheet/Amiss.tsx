import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { clockDay } from '../../format/time';
import { Button } from '../../ui/Button';

type Props = {
  sheet: Schemas['MealSheet'];
  now: number;
  busy: boolean;
  onTake: (way: Schemas['WayOut']) => void;
};

/** What can't be kept, in words, and what would help: each really worked out. */
export function Amiss({ sheet, now, busy, onTake }: Props) {
  if (sheet.conflicts.length === 0) return null;
  const late = sheet.late_min > 0;
  return (
    <Box as="section" borderWidth="2px" borderColor="caution" borderRadius="10px" p={4} bg="panel">
      <Heading as="h2" fontFamily="heading" fontSize="lead" color="caution">
        {late ? 'The bell can’t be met like this' : 'Not all of it can be kept'}
      </Heading>
      {sheet.conflicts.map((conflict) => (
        <Text key={conflict.text} mt={1}>
          {conflict.text}
        </Text>
      ))}
      {sheet.ways_out.map((way) => (
        <Flex
          key={way.text}
          gap={4}
          align="center"
          borderTopWidth="1px"
          borderColor="line"
          mt={3}
          pt={3}
          wrap="wrap"
        >
          <Box flex="1" minW="14rem">
            <Text fontWeight={700}>{way.text}</Text>
            <Text fontSize="small" color="soft">
              {way.trade}
            </Text>
          </Box>
          <Text fontVariantNumeric="tabular-nums" fontWeight={600} color={way.on_time ? 'hands' : 'ink'}>
            plates {clockDay(way.served_at, sheet.zone, now)}
            {way.on_time ? ', all of it kept' : ''}
          </Text>
          <Button onClick={() => onTake(way)} disabled={busy}>
            Do that
          </Button>
        </Flex>
      ))}
    </Box>
  );
}
