import { Box, Flex, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { ApiFault } from '../api/client';
import { Button } from './Button';
import { PageHeading } from './PageHeading';

/** What went wrong, where it happened, and what to do. */
export function Fault({
  error,
  retry,
  children,
}: {
  error: unknown;
  retry?: () => void;
  /** Ways out besides trying again. */
  children?: ReactNode;
}) {
  const said = error instanceof Error ? error.message : 'Something went wrong.';
  const missing = error instanceof ApiFault && error.status === 404;
  return (
    <Box
      role="alert"
      borderLeftWidth="8px"
      borderColor="caution"
      bg="panel"
      p={4}
      borderRadius="6px"
      css={stripes}
    >
      <Text fontWeight={700} color="caution">
        {missing ? 'Not in this kitchen' : 'That did not work'}
      </Text>
      <Text mt={1}>{said}</Text>
      <Flex gap={3} mt={3} wrap="wrap">
        {retry && !missing && (
          <Button forAll onClick={retry}>
            Try again
          </Button>
        )}
        {!missing && children}
        {missing && (
          <Button asChild>
            <Link to="/match">Start from the cut</Link>
          </Button>
        )}
      </Flex>
    </Box>
  );
}

export const stripes = {
  borderImage:
    'repeating-linear-gradient(135deg, var(--chakra-colors-caution) 0 6px, var(--chakra-colors-panel) 6px 10px) 8',
};

/** A caution at its step: striped edge and the word. */
export function Caution({ children }: { children: ReactNode }) {
  return (
    <Box borderLeftWidth="8px" pl={3} py={1} css={stripes} fontSize="small">
      <Text as="span" fontWeight={700} color="caution">
        Caution{' '}
      </Text>
      {children}
    </Box>
  );
}

/** Holds the room of what is coming, so that nothing moves when it is there. */
export function Waiting({ height, what }: { height: number | string; what: string }) {
  return (
    <Flex
      height={typeof height === 'number' ? `${height}px` : height}
      align="center"
      justify="center"
      color="soft"
      role="status"
    >
      {what}
    </Flex>
  );
}

/** Nothing here yet: what will be, and the one step that makes it. */
export function Empty({
  title,
  children,
  action,
}: {
  title: string;
  children: ReactNode;
  action: ReactNode;
}) {
  return (
    <Flex direction="column" align="flex-start" gap={4} maxW="36rem" py={6}>
      <PageHeading title={title} />
      {children}
      {action}
    </Flex>
  );
}
