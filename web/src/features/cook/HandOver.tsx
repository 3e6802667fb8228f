import { Box, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useAtWork } from '../../api/queries';
import { Button } from '../../ui/Button';
import { PageHeading } from '../../ui/PageHeading';
import { Fault, Waiting } from '../../ui/states';

/** The state of the kitchen in ten lines, for whoever takes the next shift: to be read out, copied or printed. */
export function HandOver() {
  const work = useAtWork();
  const [copied, setCopied] = useState(false);
  if (work.isLoadingError) return <Fault error={work.error} retry={() => void work.refetch()} />;
  if (!work.data) return <Waiting height="50vh" what="Looking into every pot" />;
  const lines = work.data.hand_over;
  return (
    <Box maxW="60rem">
      <PageHeading title="Hand over" mb={3} />
      <Box as="ol" listStyleType="none" borderTopWidth="2px" borderColor="rim">
        {lines.map((line, i) => (
          <Text
            as="li"
            key={i}
            fontSize="lead"
            fontWeight={i === 0 ? 700 : 400}
            py={2}
            borderBottomWidth="1px"
            borderColor="line"
          >
            {line}
          </Text>
        ))}
      </Box>
      <Flex gap={3} mt={4} wrap="wrap" className="no-print">
        <Button
          forAll
          weight="first"
          onClick={() =>
            // Only a secure page has a clipboard.
            void (navigator.clipboard as Clipboard | undefined)?.writeText(lines.join('\n')).then(
              () => setCopied(true),
              () => undefined,
            )
          }
        >
          {copied ? 'Copied' : 'Copy it'}
        </Button>
        <Button forAll onClick={() => window.print()}>
          Print it
        </Button>
        <Button asChild weight="quiet">
          <Link to="/cook">All that is on the heat</Link>
        </Button>
      </Flex>
    </Box>
  );
}
