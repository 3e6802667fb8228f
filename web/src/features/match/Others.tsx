import { Box, Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { memo } from 'react';
import type { Schemas } from '../../api/client';
import { format, type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { Caution } from '../../ui/states';

/** Cuts that would do as well with what changes, and one joint for two dinners. */
export const Others = memo(function Others({
  matched,
  units,
  onInstead,
}: {
  matched: Schemas['Matched'];
  units: Units;
  onInstead: (cut: Schemas['Cut'], kg: number) => void;
}) {
  const { substitutes, twice } = matched;
  if (substitutes.length === 0 && !twice) return null;
  return (
    <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap={7}>
      {substitutes.length > 0 && (
        <Box as="section" aria-label="If there is none of it" borderTopWidth="2px" borderColor="rim" pt={3}>
          <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
            If there is none of it
          </Heading>
          <Stack as="ul" gap={0} listStyleType="none">
            {substitutes.map((other) => (
              <Flex
                as="li"
                key={other.cut}
                gap={3}
                align="center"
                borderTopWidth="1px"
                borderColor="line"
                py={1}
              >
                <Button
                  weight="quiet"
                  px={2}
                  onClick={() => onInstead(other.cut, Number(other.mass_kg.toFixed(1)))}
                >
                  {other.name}
                </Button>
                <Text fontSize="small" flex="1">
                  {other.why}; {format('mass', Number(other.mass_kg.toFixed(1)), units)} for the same plates
                </Text>
              </Flex>
            ))}
          </Stack>
        </Box>
      )}
      {twice && (
        <Box as="section" aria-label="One joint, two dinners" borderTopWidth="2px" borderColor="rim" pt={3}>
          <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
            Sliced tonight, pulled tomorrow
          </Heading>
          <Stack gap={3}>
            <Text>{twice.words}</Text>
            {twice.cautions.map((caution) => (
              <Caution key={caution.id}>{caution.text}</Caution>
            ))}
          </Stack>
        </Box>
      )}
    </Grid>
  );
});

/** A tender cut, refused kindly: why, what to do with it instead, and what to take for this. */
export function Refused({
  name,
  why,
  instead,
  onInstead,
}: {
  name?: string;
  why: string;
  /** What to take in its place. */
  instead: Schemas['Substitute'][];
  onInstead: (cut: Schemas['Cut']) => void;
}) {
  return (
    <Stack gap={4} maxW="44rem" py={4}>
      <Heading as="h2" fontFamily="heading" fontSize="title">
        {name ?? 'This cut'} is not for this job
      </Heading>
      <Text fontSize="lead">{why}</Text>
      <Flex gap={3} wrap="wrap">
        {instead.map((other) => (
          <Button key={other.cut} title={other.why} onClick={() => onInstead(other.cut)}>
            {other.name} instead
          </Button>
        ))}
      </Flex>
    </Stack>
  );
}
