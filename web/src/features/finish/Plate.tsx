import { Box, Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { tap } from '../../api/outbox';
import { GrainOfMeat } from '../../drawings/GrainOfMeat';
import { PlateOfMeat } from '../../drawings/PlateOfMeat';
import { clock } from '../../format/time';
import { editable, type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { Section } from './Section';

const kinds: readonly Schemas['TaskKind'][] = ['lift', 'rest', 'slice', 'serve'];

/** The meat on its way to the plate, and what balances it. */
export function Plate({
  cook,
  after,
  units,
  zone,
}: {
  cook: Schemas['CookAnswer'];
  after: Schemas['Afterwards'];
  units: Units;
  zone: string;
}) {
  const { slicing } = after.meat;
  const [turned, setTurned] = useState<number>(90);
  const at = slicing?.angles.find((one) => one.angle_deg === turned) ?? slicing?.angles.at(-1);
  return (
    <Stack gap={6}>
      <Grid
        templateColumns={{
          base: 'minmax(0, 1fr)',
          md: slicing ? 'minmax(0, 3fr) minmax(0, 2fr)' : '240px minmax(0, 1fr)',
        }}
        gap={6}
        alignItems="center"
      >
        {slicing && at ? (
          <Box>
            <GrainOfMeat slicing={slicing} at={at} units={units} onTurn={(to) => setTurned(to.angle_deg)} />
            <Text fontSize="lead" fontWeight={700} fontFamily="heading" aria-live="polite">
              {at.angle_deg}° to the grain: {at.words}
            </Text>
            <Text color="soft">{slicing.words}</Text>
          </Box>
        ) : (
          <PlateOfMeat kg={after.meat.a_head_kg} plateKg={after.meat.plate_kg} units={units} />
        )}
        <Stack gap={4}>
          {slicing && <PlateOfMeat kg={after.meat.a_head_kg} plateKg={after.meat.plate_kg} units={units} />}
          <Text fontSize="lead">{after.meat.portions}</Text>
          <Scales cook={cook} kg={after.meat.kg} units={units} />
          <Text color="soft">{after.meat.keep_warm}</Text>
        </Stack>
      </Grid>
      <Grid
        templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 3fr) minmax(0, 2fr)' }}
        gap={{ base: 5, lg: 8 }}
      >
        <Tasks cook={cook} zone={zone} />
        <Section title="Beside it on the plate">
          <Box as="ul" listStyleType="none">
            {after.beside.map((one) => (
              <Box as="li" key={one.wants} borderTopWidth="1px" borderColor="line" py={2}>
                <Text color={one.has ? 'soft' : 'ink'}>
                  <Text as="span" fontWeight={700}>
                    {one.name}:{' '}
                  </Text>
                  {one.what}
                </Text>
                <Text color="soft">{one.why}</Text>
                {one.carries != null && <Text color="soft">{one.carries}</Text>}
              </Box>
            ))}
          </Box>
        </Section>
      </Grid>
    </Stack>
  );
}

/** The sheet's own steps from the pot to the table. */
function Tasks({ cook, zone }: { cook: Schemas['CookAnswer']; zone: string }) {
  const tasks = cook.view.tasks.filter(({ task }) => kinds.includes(task.kind));
  const next = tasks.find(({ state }) => state === 'open');
  return (
    <Box as="section" aria-label="The meat">
      <Box as="ol" listStyleType="none">
        {tasks.map(({ task, state }) => {
          const first = task.id === next?.task.id;
          const open = state === 'open';
          return (
            <Flex
              as="li"
              key={task.id}
              gap={4}
              align="center"
              wrap="wrap"
              py={3}
              borderTopWidth={first ? '3px' : '1px'}
              borderColor={first ? 'rim' : 'line'}
            >
              <Box flex="1" minW="14rem">
                <Heading
                  as="h2"
                  fontFamily={first ? 'heading' : 'body'}
                  fontSize={first ? 'title' : 'lead'}
                  fontWeight={open ? 600 : 400}
                  lineHeight={1.2}
                  color={open ? 'ink' : 'soft'}
                >
                  {!open && '✓ '}
                  {task.what}
                </Heading>
                {open && <Text color="soft">{task.why}</Text>}
              </Box>
              <Text color="soft" whiteSpace="nowrap" fontVariantNumeric="tabular-nums">
                {clock(task.start, zone)}
              </Text>
              {open && task.kind !== 'rest' && (
                <Button
                  weight={first ? 'first' : 'plain'}
                  size={first ? 'large' : 'normal'}
                  aria-label={`Done: ${task.what}`}
                  onClick={() => tap(cook.id, { kind: 'task_done', task: task.id })}
                >
                  Done
                </Button>
              )}
            </Flex>
          );
        })}
      </Box>
    </Box>
  );
}

/** What the scales say of the cooked meat. */
function Scales({ cook, kg, units }: { cook: Schemas['CookAnswer']; kg: number; units: Units }) {
  const [weighed, setWeighed] = useState<number>();
  const mass = editable.mass[units];
  return (
    <Flex gap={2} align="end" wrap="wrap">
      <Box w="170px">
        <NumberField
          label="Cooked meat, weighed"
          value={weighed}
          onChange={setWeighed}
          unit={mass.unit}
          factor={mass.factor}
          step={mass.step}
          placeholder={(kg * mass.factor).toFixed(2)}
        />
      </Box>
      {weighed != null && (
        <Button
          weight="first"
          onClick={() => {
            tap(cook.id, { kind: 'meat_weighed', kg: weighed });
            setWeighed(undefined);
          }}
        >
          It is so
        </Button>
      )}
    </Flex>
  );
}
