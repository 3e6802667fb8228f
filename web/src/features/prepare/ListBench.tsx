import { Box, Flex, Heading, Stack, Text, chakra } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { format, type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import type { BenchProps, Plan } from './bench';
import { Steps } from './SearBench';

const shelves: Record<Schemas['Shelf'], string> = {
  butcher: 'From the butcher',
  vegetables: 'Vegetables',
  cellar: 'From the cellar',
  dry: 'Dry store',
  cold: 'Cold store',
};

function amount(item: Schemas['ShoppingItem'], units: Units): string {
  if (item.count != null) return String(item.count);
  if (item.g != null)
    return item.g >= 1000
      ? format('mass', Number((item.g / 1000).toFixed(2)), units)
      : format('small_mass', item.g, units);
  if (item.ml != null)
    return item.ml >= 1000
      ? format('volume', Number((item.ml / 1000).toFixed(2)), units)
      : format('small_volume', item.ml, units);
  return '';
}

/** Everything that has to be there, by where it is bought, and the whole order of work; made to be printed. */
export function ListBench({ plan, prepared, units, setPlan }: BenchProps & { plan: Plan }) {
  // Every figure typed is reckoned from the dish as it was before: one that is passed over leaves no rounding behind.
  const from = useRef<Plan>(undefined);
  const grow = useMutation({
    // One after another: the last figure typed is the one that holds.
    scope: { id: 'people' },
    mutationFn: ({ people, base }: { people: number; base: Plan }) => api.forPeople(people, base),
    onSuccess: (grown) => setPlan('people', () => grown),
  });
  const [wanted, setWanted] = useState<number>();
  const groups = Object.entries(shelves)
    .map(([shelf, name]) => ({ name, items: prepared.shopping.filter((item) => item.shelf === shelf) }))
    .filter((group) => group.items.length > 0);
  return (
    <Stack gap={5}>
      <Flex gap={4} align="flex-end" wrap="wrap" className="no-print">
        <Box
          width="112px"
          onBlur={() => {
            from.current = undefined;
            setWanted(undefined);
          }}
        >
          <NumberField
            label="For how many"
            value={wanted ?? prepared.dish.people}
            unit=""
            error={grow.error?.message}
            onChange={(next) => {
              setWanted(next);
              if (next === undefined) return;
              from.current ??= plan;
              grow.mutate({ people: Math.round(next), base: from.current });
            }}
          />
        </Box>
        <Text fontSize="small" color="soft" flex="1" minW="16rem">
          Meat and ingredients grow with the table; batches, the pot and the hours are worked out anew: twice
          the meat is not twice the time.
        </Text>
        <Button onClick={() => window.print()}>Print it</Button>
      </Flex>
      <Box css={{ columnWidth: '280px', columnGap: '32px' }}>
        {groups.map((group) => (
          <Box key={group.name} css={{ breakInside: 'avoid' }} mb={5}>
            <Heading
              as="h2"
              fontFamily="heading"
              fontSize="lead"
              borderBottomWidth="2px"
              borderColor="rim"
              pb={1}
            >
              {group.name}
            </Heading>
            <Stack as="ul" gap={0} listStyleType="none">
              {group.items.map((item) => (
                <Flex as="li" key={item.name} gap={3} py={2} borderBottomWidth="1px" borderColor="line">
                  <chakra.span
                    width="20px"
                    height="20px"
                    flexShrink={0}
                    borderWidth="2px"
                    borderColor="soft"
                    borderRadius="5px"
                    mt="2px"
                    aria-hidden
                  />
                  <Box flex="1" minW={0}>
                    <Text fontWeight={600} lineHeight={1.3}>
                      {item.name}
                    </Text>
                    {item.note && (
                      <Text fontSize="small" color="soft" lineHeight={1.3}>
                        {item.note}
                      </Text>
                    )}
                  </Box>
                  <Text fontWeight={700} whiteSpace="nowrap" fontVariantNumeric="tabular-nums">
                    {amount(item, units)}
                    {item.cost != null && (
                      <Text as="span" fontWeight={400} color="soft">
                        {' '}
                        · {item.cost.toFixed(2)}
                      </Text>
                    )}
                  </Text>
                </Flex>
              ))}
            </Stack>
          </Box>
        ))}
      </Box>
      <Box>
        <Heading as="h2" fontFamily="heading" fontSize="lead" mb={1}>
          The order of work
        </Heading>
        <Steps prepared={prepared} />
      </Box>
    </Stack>
  );
}
