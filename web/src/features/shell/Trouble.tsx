import { Box, Flex, Text } from '@chakra-ui/react';
import { useHealth } from '../../api/queries';
import { Button } from '../../ui/Button';
import { stripes } from '../../ui/states';
import { SaveKitchen } from './SaveKitchen';

/** That nothing can be kept just now, and the way out; above every place, which goes on showing what is so. */
export function Trouble() {
  const health = useHealth();
  if (!health.data?.trouble) return null;
  return (
    <Box
      role="alert"
      className="no-print"
      borderLeftWidth="8px"
      css={stripes}
      bg="panel"
      px={{ base: 4, md: 6 }}
      py={3}
    >
      <Flex gap={4} align="center" wrap="wrap">
        <Text flex="1" minW="16rem">
          <Text as="span" fontWeight={700} color="caution">
            Not kept{' '}
          </Text>
          {health.data.trouble}.
        </Text>
        <Button onClick={() => void health.refetch()}>Look again</Button>
        <SaveKitchen />
      </Flex>
    </Box>
  );
}
