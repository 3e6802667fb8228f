import { Box, Heading, Text } from '@chakra-ui/react';
import { Link, useRouteError } from 'react-router';
import { Button } from '../../ui/Button';

/** An address with nothing behind it, or a place that failed: never a blank screen. */
export function Lost() {
  const error = useRouteError();
  return (
    <Box maxW="36rem" mx="auto" p={6}>
      <Heading as="h1" fontFamily="heading" fontSize="title">
        {error ? 'This place failed to open' : 'There is no such place'}
      </Heading>
      <Text my={4}>
        {error instanceof Error
          ? `${error.message} Your plans and cooks are kept; reload, or start from the cut.`
          : 'The address leads nowhere in this kitchen.'}
      </Text>
      <Button asChild weight="first">
        <Link to="/match">Start from the cut</Link>
      </Button>
    </Box>
  );
}
