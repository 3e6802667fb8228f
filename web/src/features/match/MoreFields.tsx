import { Box, Flex, Grid, Stack, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { Kitchen, Schemas } from '../../api/client';
import { editable, format } from '../../format/units';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { Slider } from '../../ui/Slider';
import { Toggles } from '../../ui/Toggles';
import { WhenField } from '../../ui/WhenField';
import { useFields } from '../../api/queries';
import { kitsOf } from './kits';
import type { MoreProps as Props } from './moreProps';
import { eaten, served, type Block, type Change } from './state';

/** The fields of what else is known. */
export function MoreFields({ block, change, onSlide, cuts, kitchen, matched, fault }: Props) {
  const { units } = kitchen;
  const on = matched?.on_the_block;
  const error = (field: string) => (fault?.field?.startsWith(field) ? fault.message : undefined);
  const free = matched?.kit ?? [];
  const fields = useFields();
  const here = kitsOf(kitchen, fields.data?.things ?? []);
  const people = block.people ?? matched?.people;
  return (
    <Grid templateColumns={{ base: '1fr', md: 'repeat(3, minmax(0, 1fr))' }} gap={6} py={3}>
      <Stack gap={4}>
        <Flex gap={3}>
          <NumberField
            label="People"
            value={people}
            onChange={(next) => change({ people: next })}
            unit=""
            error={error('people')}
          />
          <NumberField
            label="Pieces"
            value={block.pieces}
            onChange={(pieces) => change({ pieces: pieces && Math.round(pieces) })}
            unit=""
            placeholder={on ? String(on.pieces) : 'as it comes'}
            error={error('pieces')}
          />
          <NumberField
            label="Bone"
            value={block.bone}
            onChange={(bone) => change({ bone })}
            unit="%"
            step={5}
            placeholder={on ? String(Math.round(on.bone_pct)) : ''}
            error={error('bone_pct')}
          />
        </Flex>
        <Choice
          label="Eaten as"
          value={block.as ?? on?.eaten_as}
          options={eaten}
          onChange={(as) => change({ as }, 'step')}
        />
        <Thickness key={block.cut} {...{ block, onSlide, on, kitchen }} />
        <Age block={block} change={change} />
        <Choice
          label="Served"
          value={block.served ?? matched?.served}
          options={served}
          onChange={(how) => change({ served: how }, 'step')}
        />
        <Choice
          label="It lies there"
          value={block.frozen ? 'frozen' : 'cold'}
          options={[
            { value: 'cold', label: 'from the cold' },
            { value: 'frozen', label: 'frozen' },
          ]}
          onChange={(how) => change({ frozen: how === 'frozen' }, 'step')}
        />
      </Stack>
      <CompanyInPot block={block} change={change} cuts={cuts} kitchen={kitchen} />
      <Stack gap={4}>
        <Toggles
          label="Free to cook on"
          options={here}
          value={free}
          onChange={(next) =>
            change({ kit: next.length === here.length ? undefined : next, way: undefined }, 'step')
          }
          error={error('kit')}
        />
        <Flex gap={3} wrap="wrap">
          <Box flex="1 1 220px">
            <WhenField
              label="Away from"
              value={block.away ?? ''}
              onChange={(away) => change({ away: away || undefined })}
              units={units}
              error={error('away')}
            />
          </Box>
          <Box flex="1 1 220px">
            <WhenField
              label="until"
              value={block.back ?? ''}
              onChange={(back) => change({ back: back || undefined })}
              units={units}
            />
          </Box>
        </Flex>
        <Flex gap={3}>
          <NumberField
            label="Price"
            value={block.price}
            onChange={(price) => change({ price })}
            {...editable.price[units]}
            placeholder={
              matched?.price_per_kg == null
                ? ''
                : (matched.price_per_kg * editable.price[units].factor).toFixed(2)
            }
            error={error('price_per_kg')}
          />
          <NumberField
            label="Sure enough"
            value={block.sure ?? matched?.certainty}
            onChange={(sure) => change({ sure })}
            unit="%"
            factor={100}
            step={5}
            error={error('certainty')}
          />
        </Flex>
      </Stack>
    </Grid>
  );
}

/** How thick it is: dragged, and every band follows. */
export function Thickness({
  block,
  onSlide,
  on,
  kitchen,
}: {
  block: Block;
  onSlide: (mm: number) => void;
  on?: Schemas['OnTheBlock'] | null;
  kitchen: Kitchen;
}) {
  // Held here while it moves: nothing else of the block has to be drawn anew for it.
  const [held, setHeld] = useState<{ mm: number; over?: number }>();
  const mm = held && held.over === block.mm ? held.mm : block.mm;
  const shown = mm ?? on?.thickness_mm;
  if (shown === undefined) return null;
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
export function Age({ block, change }: { block: Block; change: Change }) {
  return (
    <Choice
      label="The animal"
      value={block.age ?? 'unknown'}
      options={[
        { value: 'unknown', label: 'not known' },
        { value: 'young', label: 'young' },
        { value: 'mature', label: 'older' },
      ]}
      onChange={(age) => change({ age: age === 'unknown' ? undefined : age }, 'step')}
    />
  );
}

function CompanyInPot({
  block,
  change,
  cuts,
  kitchen,
}: Pick<Props, 'block' | 'change' | 'cuts' | 'kitchen'>) {
  const mass = editable.mass[kitchen.units];
  const suitable = cuts.filter((cut) => cut.suitable).map(({ cut, name }) => ({ value: cut, label: name }));
  const set = (at: number, changed: Partial<Block['also'][number]>) =>
    change({ also: block.also.map((other, i) => (i === at ? { ...other, ...changed } : other)) });
  return (
    <Stack gap={3}>
      <Text fontSize="small" color="soft">
        Another cut or size in the same pot
      </Text>
      {block.also.map((other, at) => (
        // Two entries may be the same cut: only their place tells them apart.
        <Flex key={at} gap={2} align="flex-end">
          <Box flex="1" minW={0}>
            <SelectField
              label={`Cut ${at + 2}`}
              value={other.cut}
              options={suitable}
              onChange={(cut) => set(at, { cut })}
            />
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
            onClick={() => change({ also: block.also.filter((_, i) => i !== at) }, 'step')}
          >
            take out
          </Button>
        </Flex>
      ))}
      {block.also.length < 5 && (
        <Button
          onClick={() => change({ also: [...block.also, { cut: 'shin', kg: 1 }], way: undefined }, 'step')}
        >
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
