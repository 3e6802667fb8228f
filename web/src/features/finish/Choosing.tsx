import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { SpoonDrawing } from '../../drawings/SpoonDrawing';
import { span } from '../../format/time';
import { format, type Units } from '../../format/units';
import { Choice } from '../../ui/Choice';
import type { SauceInHand } from './useSauceInHand';

type Props = { hand: SauceInHand; sauce: Schemas['Sauce']; units: Units };

/** Ways of skimming, each as the fat that would stay of what stands on it. */
export function Skimming({ hand, sauce, units }: Props) {
  const all = Math.max(...sauce.skims.map((one) => one.stays_l));
  if (all <= 0) return null;
  const chosen = sauce.skims.find((one) => one.with === hand.wanted.skim);
  return (
    <Box as="section" aria-label="Skim" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Skim
      </Heading>
      <Choice
        label="With"
        value={hand.wanted.skim ?? 'ladle'}
        options={sauce.skims.map((one) => ({ value: one.with, label: one.name }))}
        onChange={(skim) => hand.choose({ skim, moves: undefined })}
      />
      <Box as="ul" listStyleType="none" mt={3}>
        {sauce.skims.map((one) => (
          <Flex as="li" key={one.with} gap={3} align="center" py={1}>
            <Text w="8rem" fontWeight={one.with === hand.wanted.skim ? 700 : 400}>
              {one.name}
            </Text>
            <Box flex="1" h="14px" bg="line" borderRadius="7px" overflow="hidden">
              <Box h="100%" w={`${(100 * one.stays_l) / all}%`} bg="fat" />
            </Box>
            <Text
              w="11rem"
              color="soft"
              textAlign="right"
              fontVariantNumeric="tabular-nums"
              whiteSpace="nowrap"
            >
              {format('small_volume', one.stays_l * 1000, units)} stay, {span(one.min)}
            </Text>
          </Flex>
        ))}
      </Box>
      {chosen && <Text mt={1}>{chosen.how}</Text>}
    </Box>
  );
}

/** What thickens, and how much of each this pot wants. */
export function Thickening({ hand, sauce }: Props) {
  const chosen = sauce.thickeners.find((one) => one.with === hand.wanted.thickener);
  return (
    <Box as="section" aria-label="Thicken" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Thicken
      </Heading>
      <Choice
        label="With"
        value={hand.wanted.thickener ?? 'none'}
        options={[
          ...sauce.thickeners.map((one) => ({ value: one.with, label: one.name })),
          { value: 'none' as const, label: 'nothing' },
        ]}
        onChange={(thickener) => hand.choose({ thickener, moves: undefined })}
      />
      {chosen && (
        <Box mt={3} display="grid" gap={1}>
          {chosen.amounts && <Text fontWeight={600}>{chosen.amounts}</Text>}
          <Text>{chosen.how}</Text>
          <Text color="soft">{chosen.wrong}</Text>
          {chosen.one_plate && <Text>{chosen.one_plate}</Text>}
        </Box>
      )}
    </Box>
  );
}

/** Five thicknesses as a spoon shows them; where the pot is now, and where the path ends. */
export function Spoons({ sauce }: { sauce: Schemas['Sauce'] }) {
  const now = sauce.path.findLast((leg) => leg.done)?.after ?? sauce.from;
  const end = sauce.path.at(-1)?.after ?? now;
  return (
    <Box as="section" aria-label="The spoon test">
      <Flex as="ol" listStyleType="none" gap={3} wrap="wrap">
        {sauce.spoons.map(({ shows, words }) => {
          const marks = [shows === now.spoon && 'now', shows === end.spoon && 'at the end'].filter(Boolean);
          return (
            <Box as="li" key={shows} flex="1 1 7rem" maxW="10rem" opacity={marks.length ? 1 : 0.75}>
              <SpoonDrawing shows={shows} />
              <Text fontSize="small" fontWeight={700} color="rim" minH="1.4em">
                {marks.join(', ')}
              </Text>
              <Text fontSize="small">{words}</Text>
            </Box>
          );
        })}
      </Flex>
    </Box>
  );
}
