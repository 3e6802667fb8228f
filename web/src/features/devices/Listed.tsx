import { Flex, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A line of a list: what it is called, how it stands, and what may be done about it. */
export const Listed = ({
  name,
  stands,
  children,
}: {
  name: string;
  stands: string;
  children?: ReactNode;
}) => (
  <Flex as="li" align="center" gap={4} borderTopWidth="1px" borderColor="line" py={1} minHeight="52px">
    <Text flex="1" minW={0}>
      <strong>{name}</strong>{' '}
      <Text as="span" color="soft">
        {stands}
      </Text>
    </Text>
    {children}
  </Flex>
);
