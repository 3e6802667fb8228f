import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { span } from '../../format/time';
import { format, type Units } from '../../format/units';

const coolIn: Record<Schemas['CoolIn'], string> = {
  ice_bath: 'In ice water, stirred',
  trays: 'In trays, in the fridge',
  fridge: 'In its pot, in the fridge',
  pot: 'In its pot, on the counter',
};

/** What is left, and how soon each way brings it out of danger. */
export function Cooling({ ways, units }: { ways: Schemas['Cooled'][]; units: Units }) {
  return (
    <Box as="section" aria-label="Cool what is left">
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Cool what is left
      </Heading>
      <Box as="ul" listStyleType="none">
        {ways.map((way) => (
          <Flex as="li" key={way.cool_in} gap={4} borderTopWidth="1px" borderColor="line" py={2}>
            <Text flex="1" fontWeight={600}>
              {coolIn[way.cool_in]}
              {way.trays != null && (
                <Text as="span" fontWeight={400} color="soft">
                  {' '}
                  {way.trays === 1 ? 'one tray' : `${way.trays} trays`},{' '}
                  {format('small_length', way.depth_mm, units)} deep
                </Text>
              )}
            </Text>
            <Text
              whiteSpace="nowrap"
              fontVariantNumeric="tabular-nums"
              color={way.in_time ? 'soft' : 'caution'}
              fontWeight={way.in_time ? 400 : 700}
            >
              {span(way.to_5_min)} to cold{way.in_time ? '' : ': too slow'}
            </Text>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}
