import { Box, Stack, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { useKitchenView, useSafety } from '../../api/queries';
import { useKitchenDocument } from '../../api/useLive';
import { PageHeading } from '../../ui/PageHeading';
import { RowOf, Rows } from '../../ui/Rows';
import { Fault, stripes, Waiting } from '../../ui/states';

/** Every caution with its figure and where it comes from, under the food code that holds here. */
export function SafetyPlace() {
  const view = useKitchenView();
  const safety = useSafety();
  const failed = [view, safety].find((query) => query.isLoadingError);
  if (failed)
    return (
      <>
        <PageHeading title="Cautions" srOnly />
        <Fault error={failed.error} retry={() => void failed.refetch()} />
      </>
    );
  if (!view.data || !safety.data) return <Waiting height="50vh" what="Reading up" />;
  return <SafetyOf view={view.data} page={safety.data} />;
}

function SafetyOf({ view, page }: { view: Schemas['KitchenView']; page: Schemas['SafetyPage'] }) {
  const { document, value } = useKitchenDocument(view);
  return (
    <Stack gap={5}>
      <PageHeading title="Cautions">What can hurt someone</PageHeading>
      <Text fontSize="lead" maxW="46rem" borderLeftWidth="8px" pl={4} css={stripes}>
        {page.defers}
      </Text>
      <Box as="section" aria-label="Whose code holds here" maxW="46rem">
        <Text fontWeight={700} mb={1}>
          Whose code holds here?
        </Text>
        <Rows
          label="Whose code holds here?"
          value={value.food_code}
          onChange={(code) => {
            document.change('food code', (was) => ({ ...was, food_code: code as Schemas['FoodCode'] }));
            void document.flush();
          }}
        >
          {page.codes.map(({ code, name, words }) => (
            <RowOf key={code} value={code}>
              <Box px={4} py={2} textAlign="left" w="100%">
                <Text fontWeight={700}>{name}</Text>
                <Text color="soft">{words}</Text>
              </Box>
            </RowOf>
          ))}
        </Rows>
      </Box>
      <Box css={{ columnCount: { base: 1, lg: 2 }, columnGap: '32px' }}>
        {page.parts.map(({ name, lines }) => (
          <Box
            as="section"
            key={name}
            aria-label={name}
            borderTopWidth="2px"
            borderColor="rim"
            pt={3}
            pb={5}
            css={{ breakInside: 'avoid' }}
          >
            <Text as="h2" fontFamily="heading" fontSize="lead" fontWeight={700} mb={1}>
              {name}
            </Text>
            <Box as="ul" listStyleType="none">
              {lines.map(({ text, source_words }) => (
                <Box as="li" key={text} borderTopWidth="1px" borderColor="line" py={2}>
                  <Text>{text}</Text>
                  <Text color="soft" fontSize="small">
                    {source_words}
                  </Text>
                </Box>
              ))}
            </Box>
          </Box>
        ))}
      </Box>
    </Stack>
  );
}
