import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useKitchenView } from '../../api/queries';
import { useKitchenDocument } from '../../api/useLive';
import { editable, type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
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
              {starts && <Starts kept={starts} there={there} units={value.units} onKeep={keep} />}
            </Flex>
          );
        })}
      </Box>
    </Section>
  );
}

/** Into the larder with it: as much as was reckoned, or as the scales or the jug say. */
function Starts({
  kept,
  there,
  units,
  onKeep,
}: {
  kept: Kept;
  there: boolean;
  units: Units;
  onKeep: (kept: Kept, there: boolean) => void;
}) {
  const [measured, setMeasured] = useState<number>();
  const poured = kept.puts.ml != null;
  const unit = editable[poured ? 'volume' : 'mass'][units];
  const reckoned = (kept.puts.ml ?? kept.puts.g ?? 0) / 1000;
  const much = measured === undefined ? {} : poured ? { ml: measured * 1000 } : { g: measured * 1000 };
  return (
    <Stack gap={2} alignSelf="center" w="190px">
      {!there && (
        <NumberField
          label={`${kept.name}, measured`}
          hideLabel
          value={measured}
          onChange={setMeasured}
          unit={unit.unit}
          factor={unit.factor}
          step={unit.step}
          placeholder={(reckoned * unit.factor).toFixed(2)}
        />
      )}
      <Button
        weight={there ? 'quiet' : 'plain'}
        aria-label={`${there ? 'Out of the larder' : 'Into the larder'}: ${kept.name}`}
        aria-pressed={there}
        onClick={() => onKeep({ ...kept, puts: { ...kept.puts, ...much } }, there)}
      >
        {there ? '✓ in the larder' : 'It starts the next dish'}
      </Button>
    </Stack>
  );
}
