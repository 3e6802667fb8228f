import { Box, Flex, Text } from '@chakra-ui/react';
import { Link } from 'react-router';
import { useHealth } from '../../api/queries';
import { Button } from '../../ui/Button';
import { stripes } from '../../ui/states';
import { SaveKitchen } from './SaveKitchen';

/** That nothing can be kept just now, and the way out; above every place, which goes on showing what is so. */
export function Trouble() {
  const health = useHealth();
  const { trouble, warnings = [] } = health.data ?? {};
  if (!trouble && warnings.length === 0) return null;
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
            {trouble ? 'Not kept' : 'Look to it'}{' '}
          </Text>
          {[...(trouble ? [trouble] : []), ...warnings].join('. ')}.
        </Text>
        {!trouble && (
          <Button asChild>
            <Link to="/kitchen">Go to the kitchen</Link>
          </Button>
        )}
        <Button forAll onClick={() => void health.refetch()}>
          Look again
        </Button>
        <SaveKitchen />
      </Flex>
    </Box>
  );
}
