import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { span } from '../../format/time';

const fives = (minutes: number) => span(Math.round(minutes / 5) * 5);

/** What one more fact would narrow: the doubt now, and the doubt if that were known. */
export function Facts({ explained }: { explained: Schemas['Explained'] }) {
  const width = explained.width_min;
  const [first, ...rest] = explained.narrows;
  if (width == null || !first) return null;
  return (
    <Box as="section" aria-label="What would narrow it" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead">
        One more fact
      </Heading>
      <Text mt={1}>
        The band is {fives(width)} wide. <strong>{first.name}</strong> would narrow it most, to{' '}
        {fives(first.width_min)}. {first.how}
      </Text>
      <Box mt={3} role="list">
        {[first, ...rest].map((fact) => (
          <Box key={fact.fact} role="listitem" mb={2}>
            <Flex justify="space-between" fontSize="small" gap={2}>
              <Text as="span">{fact.name}</Text>
              <Text as="span" fontVariantNumeric="tabular-nums" whiteSpace="nowrap">
                {fives(fact.width_min)} wide
              </Text>
            </Flex>
            <Box height="10px" borderWidth="1px" borderColor="tender" borderRadius="5px" overflow="hidden">
              <Box height="100%" bg="tender" width={`${(100 * fact.width_min) / width}%`} />
            </Box>
          </Box>
        ))}
      </Box>
      {rest[0] && (
        <Text fontSize="small" color="soft">
          Then {rest[0].name.toLowerCase()}. {rest[0].how}
        </Text>
      )}
    </Box>
  );
}
