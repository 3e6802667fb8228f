import { Box, Flex, Text } from '@chakra-ui/react';
import type { Kitchen, Schemas } from '../../api/client';
import { date } from '../../format/time';
import { format } from '../../format/units';
import { Button } from '../../ui/Button';

type Kept = Schemas['Kept'];

/** What is kept from earlier cooks, until it is used or too old. */
export function InTheLarder({
  kitchen,
  now,
  onChange,
}: {
  kitchen: Kitchen;
  now: number;
  onChange: (kept: Kept[]) => void;
}) {
  const { kept, units, zone } = kitchen;
  if (kept.length === 0) return null;
  return (
    <Box as="section" aria-label="Kept from earlier cooks" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Text as="h2" fontFamily="heading" fontSize="lead" fontWeight={700} mb={1}>
        Kept from earlier cooks
      </Text>
      <Box as="ul" listStyleType="none" maxW="46rem">
        {kept.map((one) => {
          const old = Date.parse(one.until) < now;
          return (
            <Flex as="li" key={one.id} gap={4} align="center" borderTopWidth="1px" borderColor="line" py={1}>
              <Box flex="1">
                <Text fontWeight={600}>{one.name}</Text>
                <Text color={old ? 'caution' : 'soft'} fontWeight={old ? 700 : 400}>
                  {one.puts.ml != null && format('volume', one.puts.ml / 1000, units)}
                  {one.puts.g != null && format('mass', one.puts.g / 1000, units)}
                  {one.puts.salt_pct != null && `, salt ${format('strength', one.puts.salt_pct * 10, units)}`}
                  {old ? `, too old since ${date(one.until, zone)}` : `, good until ${date(one.until, zone)}`}
                </Text>
              </Box>
              <Button
                weight="quiet"
                aria-label={`${one.name} is used up`}
                onClick={() => onChange(kept.filter(({ id }) => id !== one.id))}
              >
                used up
              </Button>
            </Flex>
          );
        })}
      </Box>
    </Box>
  );
}
