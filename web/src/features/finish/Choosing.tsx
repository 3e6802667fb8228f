import { Box, Flex, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { SkimDrawing } from '../../drawings/SkimDrawing';
import { SpoonDrawing } from '../../drawings/SpoonDrawing';
import { span } from '../../format/time';
import { format, type Units } from '../../format/units';
import { Choice } from '../../ui/Choice';
import { RowOf, Rows } from '../../ui/Rows';
import { Section } from './Section';
import type { SauceInHand } from './useSauceInHand';

type Props = { hand: SauceInHand; sauce: Schemas['Sauce'] };

/** Ways of skimming, each as the fat that would stay of what stands on it. */
export function Skimming({ hand, sauce, units }: Props & { units: Units }) {
  const all = Math.max(...sauce.skims.map((one) => one.stays_l));
  if (all <= 0) return null;
  const chosen = sauce.skims.find((one) => one.with === hand.wanted.skim);
  return (
    <Section title="Skim">
      <Rows
        label="With"
        value={hand.wanted.skim ?? 'ladle'}
        onChange={(skim) => hand.choose({ skim: skim as Schemas['Skim'], moves: undefined })}
      >
        {sauce.skims.map((one) => (
          <RowOf key={one.with} value={one.with}>
            <Flex gap={4} align="center" w="100%" px={4} py={2}>
              <SkimDrawing with={one.with} stays={one.stays_l / all} />
              <Box flex="1" textAlign="left">
                <Text fontWeight={700}>{one.name}</Text>
                <Text color="soft" fontVariantNumeric="tabular-nums">
                  {format('small_volume', one.stays_l * 1000, units)} stay, {span(one.min)}
                </Text>
              </Box>
            </Flex>
          </RowOf>
        ))}
      </Rows>
      {chosen && <Text mt={2}>{chosen.how}</Text>}
    </Section>
  );
}

/** What thickens, and how much of each this pot wants. */
export function Thickening({ hand, sauce }: Props) {
  const chosen = sauce.thickeners.find((one) => one.with === hand.wanted.thickener);
  return (
    <Section title="Thicken">
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
          {chosen.carries != null && <Text>{chosen.carries}</Text>}
          {chosen.one_plate && <Text>{chosen.one_plate}</Text>}
        </Box>
      )}
    </Section>
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
