import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { clockDay } from '../../format/time';
import { Button } from '../../ui/Button';

type Props = {
  sheet: Schemas['Sheet'];
  zone: string;
  now: number;
  onTake: (plan: Schemas['Plan']) => void;
};

/** It can't be met as it stands: what would, each really forecast. */
export function Remedies({ sheet, zone, now, onTake }: Props) {
  return (
    <Box as="section" borderWidth="2px" borderColor="caution" borderRadius="10px" p={4} bg="panel">
      <Heading as="h2" fontFamily="heading" fontSize="lead" color="caution">
        The bell can’t be met like this
      </Heading>
      {sheet.conflicts.map((conflict) => (
        <Text key={conflict.text} mt={1}>
          {conflict.text}
        </Text>
      ))}
      {sheet.remedies.map((remedy) => (
        <Flex
          key={remedy.text}
          gap={4}
          align="center"
          borderTopWidth="1px"
          borderColor="line"
          mt={3}
          pt={3}
          wrap="wrap"
        >
          <Box flex="1" minW="14rem">
            <Text fontWeight={700}>{remedy.text}</Text>
            <Text fontSize="small" color="soft">
              {remedy.trade}
            </Text>
          </Box>
          <Text
            fontVariantNumeric="tabular-nums"
            fontWeight={600}
            color={remedy.meets_bell ? 'hands' : 'ink'}
          >
            plates {clockDay(remedy.plates_at, zone, now)}
            {remedy.meets_bell ? ', meets the bell' : ''}
          </Text>
          <Button onClick={() => onTake(remedy.plan)}>Do that</Button>
        </Flex>
      ))}
    </Box>
  );
}
