import { Box, Grid, Heading, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { span } from '../../format/time';

/** The rule and this cook's numbers behind each figure, and how sure each is; the cook's own rules beside them. */
export function Rules({ forecast }: { forecast: Schemas['Forecast'] }) {
  const rules = forecast.explained?.rules ?? [];
  return (
    <Box as="section" aria-label="Rules and numbers" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={3}>
        The rule and the numbers behind each figure
      </Heading>
      <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} columnGap={8} rowGap={5}>
        {rules.map((rule) => (
          <Box key={rule.figure}>
            <Heading as="h3" fontFamily="heading" fontSize="text">
              {rule.figure}
            </Heading>
            <Text>{rule.rule}</Text>
            <Text fontWeight={600} fontVariantNumeric="tabular-nums">
              {rule.numbers}
            </Text>
            <Text fontSize="small" color="soft">
              {rule.sure}
            </Text>
          </Box>
        ))}
      </Grid>
      {forecast.thumb.length > 0 && (
        <>
          <Heading as="h2" fontFamily="heading" fontSize="lead" mt={6} mb={2}>
            Rules of thumb
          </Heading>
          <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} columnGap={8} rowGap={3}>
            {forecast.thumb.map((thumb) => (
              <Text key={thumb.rule}>
                {thumb.rule}: <strong>{span(thumb.min)}</strong>. {thumb.why}
              </Text>
            ))}
          </Grid>
        </>
      )}
      {forecast.assumed.length > 0 && (
        <>
          <Heading as="h2" fontFamily="heading" fontSize="lead" mt={6} mb={2}>
            Taken as given
          </Heading>
          <Text color="soft">
            {forecast.assumed
              .map((assumed) => `${assumed.name}: ${assumed.value}, ${assumed.why}`)
              .join('; ')}
            .
          </Text>
        </>
      )}
    </Box>
  );
}
