import { Box, Flex, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';

export type Lasts = {
  key: string;
  name: string;
  /** What is said of it, under its bar. */
  words: ReactNode;
  /** So long, h; to the end of the axis and on where not given. */
  hours?: number | undefined;
  /** A mark on the way, h. */
  mark?: number | undefined;
  colour: 'tender' | 'liquid' | 'heat' | 'caution';
  /** At its end, in figures. */
  ends: string;
};

/** Rows that begin at the same moment and last differently, on one axis of hours. */
export function Lasting({ label, most, rows }: { label: string; most: number; rows: readonly Lasts[] }) {
  const share = (hours: number) => `${Math.min(100, (100 * hours) / most)}%`;
  const ticks = [0.25, 0.5, 0.75, 1].map((part) => part * most);
  return (
    <Box as="ul" listStyleType="none" aria-label={label}>
      {rows.map(({ key, name, words, hours, mark, colour, ends }) => (
        <Box as="li" key={key} py={2} borderTopWidth="1px" borderColor="line">
          <Flex justify="space-between" gap={3} align="baseline">
            <Text fontWeight={700}>{name}</Text>
            <Text
              fontVariantNumeric="tabular-nums"
              color={colour === 'caution' ? 'caution' : 'ink'}
              fontWeight={600}
              textAlign="right"
            >
              {ends}
            </Text>
          </Flex>
          <Box position="relative" h="16px" my={1} aria-hidden>
            {ticks.map((at) => (
              <Box
                key={at}
                position="absolute"
                left={share(at)}
                top={0}
                bottom={0}
                borderLeftWidth="1px"
                borderColor="line"
              />
            ))}
            <Box
              position="absolute"
              left={0}
              top="2px"
              bottom="2px"
              w={share(hours ?? most)}
              bg={colour}
              borderRightRadius={hours === undefined || hours > most ? 0 : '8px'}
              color="ground"
              fontSize="small"
              lineHeight={1}
              textAlign="right"
              pr={1}
            >
              {(hours === undefined || hours > most) && '…'}
            </Box>
            {mark !== undefined && (
              <Box
                position="absolute"
                left={share(mark)}
                top={0}
                bottom={0}
                borderLeftWidth="4px"
                borderColor="ground"
              />
            )}
          </Box>
          <Text color="soft">{words}</Text>
        </Box>
      ))}
      <Flex as="li" justify="space-between" aria-hidden color="soft" fontSize="small">
        <span>now</span>
        {ticks.map((at) => (
          <span key={at}>{at} h</span>
        ))}
      </Flex>
    </Box>
  );
}
