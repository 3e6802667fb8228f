import { Box, Flex, Heading, Text, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { TextField } from '../../ui/TextField';

type Side = Schemas['Side'];
type Props = {
  /** Of each dish, by its place in the meal. */
  sides: Side[][];
  /** The sides of one dish, changed. */
  onSides: (dish: number, sides: Side[]) => void;
};

/** A pot of potatoes, min. */
const USUAL_MIN = 20;

/** What is served beside the meal: put on so that it lands with it. A new one goes with the first dish. */
export function Sides({ sides, onSides }: Props) {
  const [what, setWhat] = useState('');
  const [min, setMin] = useState<number | undefined>(USUAL_MIN);
  return (
    <Box as="section" aria-label="Beside it" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Beside it
      </Heading>
      {sides.map((own, dish) =>
        own.map((side, at) => (
          <Flex key={`${dish}${side.what}`} align="center" gap={3} py={1}>
            <Text flex="1">
              {side.what}, {side.min} min
            </Text>
            <Button
              onClick={() => onSides(dish, own.toSpliced(at, 1))}
              aria-label={`Leave out: ${side.what}`}
            >
              Leave out
            </Button>
          </Flex>
        )),
      )}
      <chakra.form
        display="flex"
        gap={2}
        flexWrap="wrap"
        alignItems="flex-end"
        onSubmit={(event) => {
          event.preventDefault();
          if (!what.trim() || !min) return;
          onSides(0, [...(sides[0] ?? []), { what: what.trim(), min: Math.round(min) }]);
          setWhat('');
        }}
      >
        <Box flexBasis="100%">
          <TextField label="Add" value={what} maxLength={60} onChange={setWhat} />
        </Box>
        <Box flex="1">
          <NumberField label="Cooks for" value={min} unit="min" min={1} onChange={setMin} />
        </Box>
        <Button type="submit">Add</Button>
      </chakra.form>
    </Box>
  );
}
