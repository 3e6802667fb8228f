import { Box, Flex, Text } from '@chakra-ui/react';

/** Words with their figures, one under the other; what has no figure is left out. */
export function Pairs({ pairs }: { pairs: readonly (readonly [string, string | undefined])[] }) {
  return (
    <Box as="dl" fontSize="small" borderTopWidth="1px" borderColor="line">
      {pairs.map(([word, figure]) =>
        figure === undefined ? null : (
          <Flex
            key={word}
            justify="space-between"
            gap={3}
            py="6px"
            borderBottomWidth="1px"
            borderColor="line"
          >
            <Text as="dt" color="soft">
              {word}
            </Text>
            <Text as="dd" textAlign="right" fontWeight={600} fontVariantNumeric="tabular-nums">
              {figure}
            </Text>
          </Flex>
        ),
      )}
    </Box>
  );
}
