import { Box, Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { tap } from '../../api/outbox';
import { PotSection } from '../../drawings/PotSection';
import { SaucePath } from '../../drawings/SaucePath';
import { editable, type Units } from '../../format/units';
import { Because } from '../../ui/Because';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { Fault, Waiting } from '../../ui/states';
import { Skimming, Spoons, Thickening } from './Choosing';
import { InTime } from './InTime';
import { Legs } from './Legs';
import { OutOfThePot } from './OutOfThePot';
import { Tasting } from './Tasting';
import type { SauceInHand } from './useSauceInHand';

const targets = [
  { value: 'broth', label: 'broth' },
  { value: 'coat', label: 'coats a spoon' },
  { value: 'gravy', label: 'gravy' },
  { value: 'glaze', label: 'glaze' },
] as const;

/** From the liquid in the pot to the sauce: fat, volume, salt and body move together. */
export function SauceBench({
  cook,
  hand,
  after,
  units,
}: {
  cook: Schemas['CookAnswer'];
  hand: SauceInHand;
  /** What comes after it: whether it is in time for the bell, and what the meat would take in it. */
  after: Schemas['Afterwards'] | undefined;
  units: Units;
}) {
  const { sauce, fault } = hand;
  return (
    <>
      {fault && <Fault error={fault} retry={() => void hand.query.refetch()} />}
      {!sauce && !hand.query.isError && <Waiting height={380} what="Working out the sauce" />}
      {sauce && (
        <>
          {after?.in_time && <InTime time={after.in_time} hand={hand} />}
          <Drawn cook={cook} hand={hand} sauce={sauce} units={units} />
          <Grid
            templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 3fr) minmax(0, 2fr)' }}
            gap={{ base: 5, lg: 8 }}
          >
            <Stack gap={5} minW={0}>
              <Legs hand={hand} sauce={sauce} />
              {after?.meat.left_in && <Text>{after.meat.left_in}</Text>}
              <More hand={hand} sauce={sauce} />
              <Spoons sauce={sauce} />
              <Thickening hand={hand} sauce={sauce} />
              <Because rule={<Text>{sauce.rule}</Text>}>
                <Text>{sauce.because}</Text>
              </Because>
            </Stack>
            <Stack gap={5} minW={0}>
              <Tasting hand={hand} sauce={sauce} />
              <OutOfThePot cook={cook} hand={hand} />
              <Skimming hand={hand} sauce={sauce} units={units} />
            </Stack>
          </Grid>
        </>
      )}
    </>
  );
}

/** The pot in section beside the way from here to the sauce. */
function Drawn({
  cook,
  hand,
  sauce,
  units,
}: {
  cook: Schemas['CookAnswer'];
  hand: SauceInHand;
  sauce: Schemas['Sauce'];
  units: Units;
}) {
  const vessel = hand.wanted.vessel;
  const done = sauce.path.filter((leg) => leg.done).length;
  const now = sauce.path[done - 1]?.after ?? sauce.from;
  const end = sauce.path.at(-1)?.after ?? now;
  return (
    <Grid
      templateColumns={{ base: 'minmax(0, 1fr)', md: '300px minmax(0, 1fr)' }}
      templateAreas={{ base: '"pot" "path" "measured"', md: '"pot path" "measured path"' }}
      templateRows={{ md: '1fr auto' }}
      columnGap={6}
      rowGap={4}
    >
      <Box gridArea="pot" alignSelf="end">
        {vessel?.diameter_cm != null && vessel.height_cm != null && (
          <PotSection
            diameterCm={vessel.diameter_cm}
            heightCm={vessel.height_cm}
            liquidL={now.liquid_l}
            fatMm={now.fat_mm}
            finalL={end.liquid_l}
            salt={now.salt_g_per_kg}
            gelatin={now.gelatin_pct}
            units={units}
            width={300}
          />
        )}
      </Box>
      <Box gridArea="path" minW={0}>
        <Choice
          label="It becomes"
          value={hand.wanted.target ?? 'coat'}
          options={targets}
          onChange={(target) => hand.choose({ target, moves: undefined })}
        />
        <SaucePath
          from={sauce.from}
          path={sauce.path}
          targets={sauce.targets}
          target={hand.wanted.target ?? 'coat'}
          spoons={sauce.spoons}
          units={units}
          onBend={(leg, figure, let_go) => hand.bend(leg - done, figure, let_go)}
        />
      </Box>
      <Box gridArea="measured">
        <Measured cook={cook} now={now} units={units} />
      </Box>
    </Grid>
  );
}

/** A dipstick and a ruler know better than a forecast. */
function Measured({
  cook,
  now,
  units,
}: {
  cook: Schemas['CookAnswer'];
  now: Schemas['Stand'];
  units: Units;
}) {
  const [litres, setLitres] = useState<number>();
  const [mm, setMm] = useState<number>();
  const volume = editable.volume[units];
  const depth = editable.small_length[units];
  const keep = () => {
    if (litres != null) tap(cook.id, { kind: 'dipped', litres });
    if (mm != null) tap(cook.id, { kind: 'fat_measured', mm });
    setLitres(undefined);
    setMm(undefined);
  };
  return (
    <Flex gap={2} align="end" wrap="wrap">
      <Box w="130px">
        <NumberField
          label="Liquid, measured"
          value={litres}
          onChange={setLitres}
          unit={volume.unit}
          factor={volume.factor}
          step={volume.step}
          placeholder={(now.liquid_l * volume.factor).toFixed(2)}
        />
      </Box>
      <Box w="130px">
        <NumberField
          label="Fat, measured"
          value={mm}
          onChange={setMm}
          unit={depth.unit}
          factor={depth.factor}
          placeholder={(now.fat_mm * depth.factor).toFixed(1)}
        />
      </Box>
      {(litres != null || mm != null) && (
        <Button weight="first" onClick={keep} flex="1 0 100%">
          It is so
        </Button>
      )}
    </Flex>
  );
}

/** What else may be done, put at the end of the path. */
function More({ hand, sauce }: { hand: SauceInHand; sauce: Schemas['Sauce'] }) {
  return (
    <Box as="section" aria-label="What else may be done">
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        And then
      </Heading>
      <Flex gap={2} wrap="wrap">
        {sauce.more.map(({ name, move }) => (
          <Button key={name} onClick={() => hand.add(move)}>
            {name}
          </Button>
        ))}
        <Button weight="quiet" onClick={() => hand.choose({ moves: undefined })}>
          The usual way
        </Button>
      </Flex>
    </Box>
  );
}
