import { Box, Flex, Grid, Stack, Text, chakra } from '@chakra-ui/react';
import { memo, useState } from 'react';
import type { ApiFault, Kitchen, Schemas } from '../../api/client';
import { editable, format } from '../../format/units';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { NumberField, SelectField, Slider, TextField } from '../../ui/fields';
import { Toggles } from '../../ui/Toggles';
import { usualPiece } from './Block';
import { served, type Block } from './state';

export const kitWords: Record<Schemas['Kit'], string> = {
  oven: 'oven',
  hob: 'hob',
  pressure_pot: 'pressure pot',
  slow_cooker: 'slow cooker',
  pit: 'pit',
  water_bath: 'water bath',
  coals: 'coals',
};

type Props = {
  block: Block;
  change: (changed: Partial<Block>) => void;
  /** The thickness under the hand; it is kept once the hand rests. */
  onSlide: (mm: number) => void;
  cuts: Schemas['AtTheCounter'][];
  kitchen: Kitchen;
  fault?: ApiFault;
};

/** What else is known of the meat and the evening; nothing here has to be said before an answer shows. */
export const More = memo(function More({ block, change, onSlide, cuts, kitchen, fault }: Props) {
  const { units } = kitchen;
  const facts = cuts.find((cut) => cut.cut === block.cut);
  const kit = block.kit ?? kitchen.kit;
  const known = kitchen.prices[block.cut];
  const error = (field: string) => (fault?.field?.startsWith(field) ? fault.message : undefined);
  const said = [
    block.mm && `${format('small_length', block.mm, units)} thick`,
    block.pieces && `${block.pieces} pieces`,
    block.age && (block.age === 'mature' ? 'older animal' : 'young beef'),
    block.frozen && 'frozen',
    block.also.length > 0 && `with ${block.also.length} more in the pot`,
    block.kit && `${kit.length} of ${Object.keys(kitWords).length} things free`,
    block.away && block.back && 'away for a while',
    block.price !== undefined && format('price', block.price, units),
  ].filter(Boolean);
  return (
    <chakra.details mt={-3} mb={-2}>
      <chakra.summary
        minHeight="44px"
        display="inline-flex"
        alignItems="center"
        gap={3}
        cursor="pointer"
        maxWidth="100%"
      >
        <Text
          as="span"
          color="rim"
          fontWeight={700}
          textDecoration="underline"
          textUnderlineOffset="4px"
          whiteSpace="nowrap"
        >
          Say more of it
        </Text>
        <Text as="span" fontSize="small" color="soft" truncate>
          {said.length > 0
            ? said.join(', ')
            : 'thickness, age, another cut in the pot, kit, hours away, price'}
        </Text>
      </chakra.summary>
      <Grid templateColumns={{ base: '1fr', md: 'repeat(3, minmax(0, 1fr))' }} gap={6} py={3}>
        <Stack gap={4}>
          <Thickness key={block.cut} {...{ block, onSlide, facts, kitchen }} />
          <Flex gap={3}>
            <NumberField
              label="Pieces"
              value={block.pieces}
              onChange={(pieces) => change({ pieces: pieces && Math.round(pieces) })}
              unit=""
              step={1}
              placeholder="as it comes"
              error={error('pieces')}
            />
            <NumberField
              label="Bone"
              value={block.bone}
              onChange={(bone) => change({ bone })}
              unit="%"
              step={5}
              placeholder={String(facts?.bone_pct ?? 0)}
              error={error('bone_pct')}
            />
          </Flex>
          <Age block={block} change={change} />
          <Choice
            label="Served"
            value={block.served ?? 'plate'}
            options={served}
            onChange={(how) => change({ served: how === 'plate' ? undefined : how })}
          />
          <Choice
            label="It lies there"
            value={block.frozen ? 'frozen' : 'cold'}
            options={[
              { value: 'cold', label: 'from the cold' },
              { value: 'frozen', label: 'frozen' },
            ]}
            onChange={(how) => change({ frozen: how === 'frozen' })}
          />
        </Stack>
        <CompanyInPot block={block} change={change} cuts={cuts} kitchen={kitchen} />
        <Stack gap={4}>
          <Toggles
            label="Free to cook on"
            options={kitchen.kit.map((item) => ({ value: item, label: kitWords[item] }))}
            value={kit}
            onChange={(next) =>
              change({ kit: next.length === kitchen.kit.length ? undefined : next, way: undefined })
            }
          />
          {error('kit') && (
            <Text fontSize="small" color="caution" role="alert">
              {error('kit')}
            </Text>
          )}
          <Flex gap={3} wrap="wrap">
            <TextField
              label="Away from"
              type="datetime-local"
              value={block.away ?? ''}
              onChange={(away) => change({ away: away || undefined })}
              error={error('away')}
            />
            <TextField
              label="until"
              type="datetime-local"
              value={block.back ?? ''}
              onChange={(back) => change({ back: back || undefined })}
            />
          </Flex>
          <Flex gap={3}>
            <NumberField
              label="Price"
              value={block.price}
              onChange={(price) => change({ price })}
              {...editable.price[units]}
              placeholder={known === undefined ? '' : (known * editable.price[units].factor).toFixed(2)}
              error={error('price_per_kg')}
            />
            <NumberField
              label="Sure enough"
              value={block.sure ?? kitchen.certainty}
              onChange={(sure) => change({ sure })}
              unit="%"
              factor={100}
              step={5}
              error={error('certainty')}
            />
          </Flex>
        </Stack>
      </Grid>
    </chakra.details>
  );
});

/** How thick it is: dragged, and every band follows. */
export function Thickness({
  block,
  onSlide,
  facts,
  kitchen,
}: {
  block: Block;
  onSlide: (mm: number) => void;
  facts?: Schemas['AtTheCounter'];
  kitchen: Kitchen;
}) {
  // Held here while it moves: nothing else of the block has to be drawn anew for it.
  const [held, setHeld] = useState<{ mm: number; over?: number }>();
  const mm = held && held.over === block.mm ? held.mm : block.mm;
  const shown = mm ?? usualPiece(facts, block.kg).mm;
  return (
    <Slider
      label={mm ? 'How thick' : 'How thick? a guess'}
      value={shown}
      min={20}
      max={140}
      step={1}
      onChange={(next) => {
        setHeld({ mm: next, over: block.mm });
        onSlide(next);
      }}
      said={format('small_length', shown, kitchen.units)}
    />
  );
}

/** Young or older: what nobody knows is not taken for known. */
export function Age({ block, change }: { block: Block; change: (changed: Partial<Block>) => void }) {
  return (
    <Choice
      label="The animal"
      value={block.age ?? 'unknown'}
      options={[
        { value: 'unknown', label: 'not known' },
        { value: 'young', label: 'young' },
        { value: 'mature', label: 'older' },
      ]}
      onChange={(age) => change({ age: age === 'unknown' ? undefined : age })}
    />
  );
}

function CompanyInPot({ block, change, cuts, kitchen }: Omit<Props, 'fault' | 'onSlide'>) {
  const mass = editable.mass[kitchen.units];
  const set = (at: number, changed: Partial<Block['also'][number]>) =>
    change({ also: block.also.map((other, i) => (i === at ? { ...other, ...changed } : other)) });
  return (
    <Stack gap={3}>
      <Text fontSize="small" color="soft">
        Another cut or size in the same pot
      </Text>
      {block.also.map((other, at) => (
        <Flex key={at} gap={2} align="flex-end">
          <Box flex="1" minW={0}>
            <SelectField
              label={`Cut ${at + 2}`}
              value={other.cut}
              onChange={(cut) => set(at, { cut: cut as Schemas['Cut'] })}
            >
              {cuts
                .filter((cut) => cut.suitable)
                .map((cut) => (
                  <option key={cut.cut} value={cut.cut}>
                    {cut.name}
                  </option>
                ))}
            </SelectField>
          </Box>
          <Box width="104px">
            <NumberField
              label="Weight"
              value={other.kg}
              onChange={(kg) => kg !== undefined && set(at, { kg })}
              unit={mass.unit}
              factor={mass.factor}
              step={mass.step}
            />
          </Box>
          <Button
            weight="quiet"
            aria-label={`Take cut ${at + 2} out of the pot`}
            onClick={() => change({ also: block.also.filter((_, i) => i !== at) })}
          >
            out
          </Button>
        </Flex>
      ))}
      {block.also.length < 5 && (
        <Button onClick={() => change({ also: [...block.also, { cut: 'shin', kg: 1 }], way: undefined })}>
          Put another in
        </Button>
      )}
      {block.also.length > 0 && (
        <Text fontSize="small" color="soft">
          The dish is ready with its last piece and too far with its first: the order of lifting out stands in
          the plan.
        </Text>
      )}
    </Stack>
  );
}
