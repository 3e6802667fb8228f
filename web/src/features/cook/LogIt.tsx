import { Box, Flex, Heading, Stack } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { editable, temperatureIn, temperatureUnit, type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { TextField } from '../../ui/TextField';

type Log = (happened: Schemas['Happened']) => void;

/** What was found, by one tap. */
export function LogIt({ asks, units, onHappened }: { asks: Schemas['Asks']; units: Units; onHappened: Log }) {
  const [note, setNote] = useState('');
  const volume = editable.volume[units];
  return (
    <Box as="section" aria-label="Log it" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Log it
      </Heading>
      <Stack gap={4}>
        <Taps label="Forked it: it is" actions={asks.fork} onHappened={onHappened} />
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
            <Figure
              label="Liquid poured in"
              unit={volume.unit}
              factor={volume.factor}
              onLog={(litres) => onHappened({ kind: 'liquid_added', litres })}
            />
            <Figure
              label="Liquid there, by dipstick"
              unit={volume.unit}
              factor={volume.factor}
              onLog={(litres) => onHappened({ kind: 'dipped', litres })}
            />
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
  unit,
  factor,
  onLog,
}: {
  label: string;
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
