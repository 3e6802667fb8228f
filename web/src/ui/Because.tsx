import { Box, Heading, Stack } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { Folded } from './Folded';
import { TextLink } from './TextLink';

/** The narrow column that says why, opens to the rule and the numbers, and leads on to where the time is explained. */
export function Because({
  children,
  rule,
  why,
  before,
}: {
  children: ReactNode;
  rule?: ReactNode;
  why?: string;
  /** What has to be done before the time is explained: what is changed here is saved first. */
  before?: () => Promise<void>;
}) {
  const navigate = useNavigate();
  return (
    <Box as="aside" aria-label="Why" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Because
      </Heading>
      <Stack gap={3}>{children}</Stack>
      {why && (
        <TextLink
          to={why}
          onClick={(event) => {
            if (!before || event.ctrlKey || event.metaKey || event.shiftKey) return;
            event.preventDefault();
            void before().then(() => navigate(why));
          }}
        >
          Why this time?
        </TextLink>
      )}
      {rule && (
        <Box fontSize="small">
          <Folded title="Rule and numbers">{rule}</Folded>
        </Box>
      )}
    </Box>
  );
}
