import { Box, Flex, Heading, Stack } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { CheckDrawing } from '../../drawings/CheckDrawing';
import { editable, format, temperatureIn, temperatureUnit, type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Folded } from '../../ui/Folded';
import { NumberField } from '../../ui/NumberField';
import { TextField } from '../../ui/TextField';

type Log = (happened: Schemas['Happened']) => void;

/** What was found, by one tap. */
export function LogIt({ asks, units, onHappened }: { asks: Schemas['Asks']; units: Units; onHappened: Log }) {
  const [note, setNote] = useState('');
  const { volume, mass, small_length } = editable;
  return (
    <Box as="section" aria-label="Log it" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Log it
      </Heading>
      <Stack gap={4}>
        <Check ways={asks.ways} onHappened={onHappened} />
        <Taps label="Tasted the pot: its salt is" actions={asks.taste} onHappened={onHappened} />
        {asks.measures && (
          <>
            <Figure
              label="Thermometer in the middle"
              unit={temperatureUnit(units)}
              onLog={(typed) =>
                onHappened({
                  kind: 'core_reading',
                  celsius: Number(temperatureIn(typed, units).toFixed(2)),
                })
              }
            />
            {asks.liquid && (
              <Figure
                label="Liquid poured in"
                unit={volume[units].unit}
                factor={volume[units].factor}
                onLog={(litres) => onHappened({ kind: 'liquid_added', litres })}
              />
            )}
            <Folded title="More that can be measured">
              {asks.liquid && (
                <>
                  <Figure
                    label="Liquid there, by dipstick"
                    unit={volume[units].unit}
                    factor={volume[units].factor}
                    onLog={(litres) => onHappened({ kind: 'dipped', litres })}
                  />
                  <Figure
                    label="Fat on the liquid, how deep"
                    unit={small_length[units].unit}
                    factor={small_length[units].factor}
                    onLog={(mm) => onHappened({ kind: 'fat_measured', mm })}
                  />
                  <Figure
                    label="Pot lighter than at the start by"
                    unit={mass[units].unit}
                    factor={mass[units].factor}
                    onLog={(lost_kg) => onHappened({ kind: 'weighed', lost_kg })}
                  />
                </>
              )}
              <Figure
                label="It stood open for"
                unit="min"
                onLog={(min) => onHappened({ kind: 'opened', min })}
              />
            </Folded>
            <Heat asks={asks} units={units} onHappened={onHappened} />
          </>
        )}
        <Flex gap={2} align="flex-end">
          <Box flex="1">
            <TextField label="Note" value={note} onChange={setNote} maxLength={500} />
          </Box>
          <Button
            disabled={note.trim() === ''}
            onClick={() => {
              onHappened({ kind: 'note', text: note.trim() });
              setNote('');
            }}
          >
            Log
          </Button>
        </Flex>
      </Stack>
    </Box>
  );
}

/** How it was tested, and what that found: in what is felt, with a little drawing of it. */
function Check({ ways, onHappened }: { ways: Schemas['CheckWay'][]; onHappened: Log }) {
  const [by, setBy] = useState<Schemas['By']>();
  const way = ways.find((one) => one.by === by) ?? ways[0];
  if (!way) return null;
  return (
    <Box>
      <Choice
        label="Tested it with"
        small
        value={way.by}
        options={ways.map((one) => ({ value: one.by, label: one.words }))}
        onChange={setBy}
      />
      <Flex
        role="group"
        aria-label="What it found"
        mt={2}
        gap="6px"
        wrap="wrap"
        css={{ '& > *': { flex: '1 1 9.4rem' } }}
      >
        {way.finds.map(({ id, words, happened }) => (
          <Button
            key={id}
            onClick={() => happened && onHappened(happened)}
            px={2}
            py={1}
            gap={2}
            justifyContent="flex-start"
            textAlign="left"
            fontSize="small"
          >
            <CheckDrawing by={way.by} found={id as Schemas['Check']} />
            {words}
          </Button>
        ))}
      </Flex>
    </Box>
  );
}

/** What was turned, and how it is covered. */
function Heat({ asks, units, onHappened }: { asks: Schemas['Asks']; units: Units; onHappened: Log }) {
  const { dial, lids } = asks;
  if (!dial && lids.length === 0) return null;
  return (
    <Box role="group" aria-label="Heat and lid">
      {dial && (
        <Figure
          label={dial.words}
          hint={`${format('temperature', dial.celsius, units)} until now`}
          unit={temperatureUnit(units)}
          onLog={(typed) =>
            onHappened({
              kind: 'changed',
              heat: { [dial.field]: Number(temperatureIn(typed, units).toFixed(1)) },
            })
          }
        />
      )}
      <Taps label="The cover is now" actions={lids} onHappened={onHappened} />
    </Box>
  );
}

function Taps({
  label,
  actions,
  onHappened,
}: {
  label: string;
  actions: Schemas['Action'][];
  onHappened: Log;
}) {
  if (actions.length === 0) return null;
  return (
    <Box role="group" aria-label={label}>
      <Box fontSize="small" color="soft" mb={1}>
        {label}
      </Box>
      <Flex wrap="wrap" gap="6px">
        {actions.map(({ id, words, happened }) => (
          <Button key={id} onClick={() => happened && onHappened(happened)}>
            {words}
          </Button>
        ))}
      </Flex>
    </Box>
  );
}

/** A figure and the button that logs it. */
function Figure({
  label,
  hint,
  unit,
  factor,
  onLog,
}: {
  label: string;
  hint?: string;
  unit: string;
  factor?: number;
  onLog: (value: number) => void;
}) {
  const [value, setValue] = useState<number>();
  // A field that was logged from is a new one: it may still be under the finger.
  const [logged, setLogged] = useState(0);
  return (
    <Flex gap={2} align="flex-end">
      <Box flex="1">
        <NumberField
          key={logged}
          label={label}
          hint={hint}
          value={value}
          onChange={setValue}
          unit={unit}
          factor={factor}
        />
      </Box>
      <Button
        aria-label={`Log: ${label}`}
        disabled={value === undefined}
        onClick={() => {
          if (value !== undefined) onLog(value);
          setValue(undefined);
          setLogged(logged + 1);
        }}
      >
        Log
      </Button>
    </Flex>
  );
}
