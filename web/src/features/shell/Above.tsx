import { Flex, type FlexProps } from '@chakra-ui/react';

/** A line above every place, about the way to the kitchen. */
export const Above = (more: FlexProps) => (
  <Flex
    role="status"
    className="no-print"
    align="center"
    gap={4}
    wrap="wrap"
    bg="panel"
    borderLeftWidth="8px"
    borderColor="liquid"
    px={{ base: 4, md: 6 }}
    py={1}
    minHeight="44px"
    {...more}
  />
);
