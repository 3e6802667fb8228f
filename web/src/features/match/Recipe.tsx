import { Box, Flex, Heading, Stack, Text, chakra } from '@chakra-ui/react';
import { useQuery, keepPreviousData } from '@tanstack/react-query';
import { memo, useState } from 'react';
import { Link } from 'react-router';
import { ApiFault, api, type Schemas } from '../../api/client';
import { TendernessBar } from '../../drawings/TendernessBar';
import { inHundred, span } from '../../format/time';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/TextField';
import { Fault } from '../../ui/states';
import { whyOfQuestion } from '../why/address';
import { RecipeFile } from './RecipeFile';

/** A recipe's words tried on this very piece before it is cooked. */
export const Recipe = memo(function Recipe({
  request,
  recipe,
  onRecipe,
}: {
  request: Schemas['MatchRequest'];
  recipe?: string;
  onRecipe: (recipe?: string) => void;
}) {
  const [text, setText] = useState(recipe ?? '');
  const asked = { ...request, recipe };
  const checked = useQuery({
    queryKey: ['match', asked],
    queryFn: ({ signal }) => api.match(asked, signal),
    enabled: !!recipe,
    placeholderData: keepPreviousData,
    retry: false,
    staleTime: Infinity,
  });
  const fault =
    checked.error instanceof ApiFault && checked.error.field === 'recipe' ? checked.error : undefined;
  const found = recipe && !checked.error ? checked.data?.recipe : undefined;
  return (
    <Box as="section" aria-label="Check a recipe" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        What a recipe says, tried on this piece
      </Heading>
      <chakra.form
        display="flex"
        gap={3}
        alignItems="flex-end"
        flexWrap="wrap"
        onSubmit={(event) => {
          event.preventDefault();
          onRecipe(text.trim() || undefined);
        }}
      >
        <Box flex="1" minW="16rem" maxW="32rem">
          <TextField
            label="Its words, such as “35 min at high pressure” or “2½ h at 160 °C”"
            value={text}
            onChange={setText}
            maxLength={300}
            error={fault?.message}
          />
        </Box>
        <Button type="submit">Try it</Button>
      </chakra.form>
      <Box mt={3}>
        <RecipeFile />
      </Box>
      {checked.error && !fault && <Fault error={checked.error} retry={() => void checked.refetch()} />}
      {found && (
        <Landed
          found={found}
          onOtherwise={(otherwise) => {
            setText(otherwise);
            onRecipe(otherwise);
          }}
        />
      )}
    </Box>
  );
});

function Landed({
  found,
  onOtherwise,
}: {
  found: Schemas['Checked'];
  onOtherwise: (recipe: string) => void;
}) {
  const { lands } = found;
  const shares: [string, number][] = [
    ['not done', lands.not_done],
    ['slice', lands.slice],
    ['fork', lands.fork],
    ['probe', lands.probe],
    ['pull', lands.pull],
    ['spoon', lands.spoon],
  ];
  return (
    <Stack gap={3} mt={4} opacity={1}>
      <Text fontSize="lead">{found.words}</Text>
      <Text fontSize="small" color="soft">
        Taken as {found.understood.words}.
      </Text>
      {found.understood.guesses.length > 0 && (
        <Flex as="ul" listStyleType="none" columnGap={8} rowGap={3} wrap="wrap" aria-label="What was guessed">
          {found.understood.guesses.map((guess) => (
            <Flex as="li" key={guess.text} gap={2} wrap="wrap" alignItems="center">
              <Text
                textDecoration="underline dashed"
                textDecorationColor="heat"
                textDecorationThickness="2px"
                textUnderlineOffset="5px"
              >
                {guess.text}
              </Text>
              {guess.instead.length > 0 && <Text color="soft">or</Text>}
              {guess.instead.map((otherwise) => (
                <Button key={otherwise.recipe} px={3} onClick={() => onOtherwise(otherwise.recipe)}>
                  {otherwise.words}
                </Button>
              ))}
            </Flex>
          ))}
        </Flex>
      )}
      <TendernessBar tenderness={found.tenderness} goal={found.goal} when="at its end" />
      <Flex gap={5} wrap="wrap" fontSize="small" fontVariantNumeric="tabular-nums">
        {shares
          .filter(([, share]) => share >= 0.005)
          .map(([word, share]) => (
            <Text key={word} as="span">
              {word} <strong>{inHundred(share)} in 100</strong>
            </Text>
          ))}
      </Flex>
      <Text fontWeight={700}>As soft as that on the other kit</Text>
      <Flex as="ul" gap={4} wrap="wrap" listStyleType="none" fontVariantNumeric="tabular-nums">
        {found.equivalents.map((other) => (
          <Box as="li" key={other.id} borderLeftWidth="4px" borderColor="line" pl={3} minW="12rem">
            <Text fontWeight={700}>
              {other.at_pressure_min == null
                ? span(Math.round(other.min / 5) * 5)
                : `${span(Math.round(other.at_pressure_min))} at pressure`}
            </Text>
            <Text fontSize="small" color="soft">
              {other.name}
              {other.at_pressure_min != null && `, ${span(Math.round(other.min / 5) * 5)} in all`}
            </Text>
          </Box>
        ))}
      </Flex>
      <chakra.a asChild color="rim" fontWeight={700} textDecoration="underline" textUnderlineOffset="4px">
        <Link to={whyOfQuestion(found.request)}>Why it lands there</Link>
      </chakra.a>
    </Stack>
  );
}
