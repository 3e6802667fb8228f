import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import { memo } from 'react';
import type { Schemas } from '../../api/client';
import { type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { without } from './bench';

type Ingredient = Schemas['Ingredient'];
type Facts = Schemas['OnTheShelf'];

/** What goes in with the meat: how much of it, what does instead, and what it brings. */
export const Ingredients = memo(function Ingredients({
  ingredients,
  larder,
  swaps,
  units,
  onChange,
}: {
  ingredients: Ingredient[];
  larder: Facts[];
  swaps: Schemas['Swap'][];
  units: Units;
  onChange: (ingredients: Ingredient[]) => void;
}) {
  const own = (thing: Ingredient) => thing.salt_pct != null || thing.gelatin_pct != null;
  // What is kept from an earlier cook is known by its own strength.
  const same = (found: Facts, thing: Ingredient) =>
    found.what === thing.what &&
    (own(thing)
      ? found.puts.salt_pct === thing.salt_pct && found.puts.gelatin_pct === thing.gelatin_pct
      : found.kept == null);
  const facts = (thing: Ingredient) =>
    larder.find((found) => same(found, thing)) ??
    larder.find((found) => found.what === thing.what && found.kept == null);
  const us = units === 'us';
  const set = (at: number, next: Ingredient) =>
    onChange(ingredients.map((thing, i) => (i === at ? next : thing)));
  return (
    <Stack gap={0} as="section" aria-label="What goes in with the meat">
      {ingredients.map((thing, at) => {
        const known = facts(thing);
        const swap = swaps.find((found) => found.what === thing.what);
        const poured = thing.ml != null;
        return (
          <Box key={`${thing.what} ${thing.salt_pct ?? ''}`} borderTopWidth="1px" borderColor="line" py={2}>
            <Flex gap={3} align="center" wrap="wrap">
              <Text fontWeight={700} minW="9rem">
                {known?.name ?? thing.what}
              </Text>
              <Box width="132px">
                <NumberField
                  label={`How much ${known?.name ?? thing.what}`}
                  hideLabel
                  value={poured ? (thing.ml ?? undefined) : (thing.g ?? undefined)}
                  unit={poured ? (us ? 'fl oz' : 'mL') : us ? 'oz' : 'g'}
                  factor={us ? (poured ? 1 / 29.5735 : 1 / 28.3495) : 1}
                  step={us ? 1 : 10}
                  onChange={(value) =>
                    value !== undefined &&
                    set(at, without({ ...thing, ...(poured ? { ml: value } : { g: value }) }))
                  }
                />
              </Box>
              <Text fontSize="small" color="soft" flex="1" minW="12rem">
                {swap ? swap.words : ''}
                {swap && swap.without.length > 0 && ` (without ${swap.without.join(', ')})`}
              </Text>
              {swap?.becomes && (
                <Button
                  weight="quiet"
                  aria-label={`Take ${facts(swap.becomes)?.name ?? 'the other'} instead of ${known?.name ?? ''}`}
                  onClick={() => swap.becomes && set(at, without(swap.becomes))}
                >
                  swap
                </Button>
              )}
              <Button
                weight="quiet"
                aria-label={`Take ${known?.name ?? thing.what} out`}
                onClick={() => onChange(ingredients.filter((_, i) => i !== at))}
              >
                take out
              </Button>
            </Flex>
          </Box>
        );
      })}
      <Box maxW="260px" borderTopWidth="1px" borderColor="line" pt={2} width="100%">
        <SelectField
          label="Put in"
          value=""
          first="something from the larder …"
          options={larder
            .filter((found) => found.offered && !ingredients.some((thing) => same(found, thing)))
            .map((found) => ({ value: found.kept ?? found.what, label: found.name }))}
          onChange={(key) => {
            const found = larder.find(({ kept, what }) => (kept ?? what) === key);
            if (found) onChange([...ingredients, without(found.puts)]);
          }}
        />
      </Box>
    </Stack>
  );
});
