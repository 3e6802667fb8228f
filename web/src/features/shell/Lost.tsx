import { Box, Flex, Text } from '@chakra-ui/react';
import { Link, useRevalidator, useRouteError } from 'react-router';
import { Button } from '../../ui/Button';
import { PageHeading } from '../../ui/PageHeading';

/** An address with nothing behind it. */
export function Lost() {
  return (
    <Box maxW="36rem" mx="auto" py={6}>
      <PageHeading title="There is no such place" />
      <Text my={4}>The address leads nowhere in this kitchen.</Text>
      <Button asChild weight="first">
        <Link to="/match">Start from the cut</Link>
      </Button>
    </Box>
  );
}

/** A place that failed: it fails alone, under the bar that leads to the others. */
export function PlaceFailed() {
  const error = useRouteError();
  const { revalidate } = useRevalidator();
  return (
    <Box maxW="36rem" mx="auto" py={6} role="alert">
      <PageHeading title="This place failed to open" />
      <Text my={4}>
        {error instanceof Error ? error.message : 'Something in it went wrong.'} Your plans and cooks are
        kept.
      </Text>
      <Flex gap={3} wrap="wrap">
        <Button
          forAll
          weight="first"
          onClick={() => {
            void revalidate();
            globalThis.location.reload();
          }}
        >
          Try again
        </Button>
        <Button asChild>
          <Link to="/match">Start from the cut</Link>
        </Button>
      </Flex>
    </Box>
  );
}
