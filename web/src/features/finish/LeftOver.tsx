import { Box, Flex, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { useKitchenView } from '../../api/queries';
import { useKitchenDocument } from '../../api/useLive';
import { Button } from '../../ui/Button';
import { Section } from './Section';

type Kept = Schemas['Kept'];

/** What nobody ate: how much, what for, how long it keeps; and into the larder with it. */
export function LeftOver({ left }: { left: Schemas['LeftOver'][] }) {
  const view = useKitchenView();
  if (left.length === 0 || !view.data) return null;
  return <LeftOverIn left={left} view={view.data} />;
}

function LeftOverIn({ left, view }: { left: Schemas['LeftOver'][]; view: Schemas['KitchenView'] }) {
  const { document, value } = useKitchenDocument(view);
  const keep = (kept: Kept, there: boolean) => {
    document.change('kept', (was) => {
      const others = was.kept.filter(({ id }) => id !== kept.id);
      return { ...was, kept: there ? others : [...others, kept] };
    });
    void document.flush();
  };
  return (
    <Section title="Left over">
      <Box as="ul" listStyleType="none">
        {left.map(({ what, name, strength, uses, keeps, starts }) => {
          const there = value.kept.some(({ id }) => id === starts?.id);
          return (
            <Flex as="li" key={what} gap={4} wrap="wrap" borderTopWidth="1px" borderColor="line" py={2}>
              <Box flex="1" minW="15rem">
                <Text>
                  <Text as="span" fontWeight={700}>
                    {name}
                  </Text>
                  {strength && `: ${strength}`}
                </Text>
                <Text>{uses}</Text>
                <Text color="soft">{keeps}</Text>
              </Box>
              {starts && (
                <Button
                  alignSelf="center"
                  weight={there ? 'quiet' : 'plain'}
                  aria-label={`${there ? 'Out of the larder' : 'Into the larder'}: ${starts.name}`}
                  aria-pressed={there}
                  onClick={() => keep(starts, there)}
                >
                  {there ? '✓ in the larder' : 'It starts the next dish'}
                </Button>
              )}
            </Flex>
          );
        })}
      </Box>
    </Section>
  );
}
