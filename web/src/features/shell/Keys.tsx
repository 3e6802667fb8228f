import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { Button } from '../../ui/Button';

const keys = [
  ['1 – 7', 'Match, Prepare, Sheet, Cook, Finish, Log, Kitchen'],
  ['← →', 'a small step on a slider, along choices, or with the bell'],
  ['Shift + ← →', 'a large step on a slider'],
  ['U', 'undo the last thing logged, in Cook'],
  ['Ctrl + Z, Ctrl + Y', 'undo and redo a change to the plan, in Prepare'],
  ['?', 'this list'],
] as const;

/** The keys. */
export function Keys({ onClose }: { onClose: () => void }) {
  const close = useRef<HTMLButtonElement>(null);
  useEffect(() => close.current?.focus(), []);
  return (
    <Box
      role="dialog"
      aria-label="Keys"
      position="fixed"
      right={{ base: 2, md: 6 }}
      bottom={{ base: 2, md: 6 }}
      zIndex={5}
      bg="panel"
      borderWidth="2px"
      borderColor="rim"
      borderRadius="14px"
      p={5}
      maxW="26rem"
    >
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={3}>
        Keys
      </Heading>
      {keys.map(([key, does]) => (
        <Flex key={key} gap={3} mb={2}>
          <Text as="span" fontWeight={700} minW="7rem">
            {key}
          </Text>
          <Text as="span">{does}</Text>
        </Flex>
      ))}
      <Button ref={close} onClick={onClose} mt={2}>
        Close
      </Button>
    </Box>
  );
}
