import { Box, Flex, Heading, Stack } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { editable, temperatureIn, temperatureUnit, type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { NumberField, TextField } from '../../ui/fields';

type Props = {
  cook: Schemas['CookAnswer'];
  units: Units;
  onHappened: (...happened: Schemas['Happened'][]) => void;
  busy: boolean;
};

const found: { value: Schemas['Check']; label: string }[] = [
  { value: 'firm', label: 'firm' },
  { value: 'slice', label: 'slice' },
  { value: 'fork', label: 'fork' },
  { value: 'probe', label: 'probe' },
  { value: 'pull', label: 'pull' },
  { value: 'spoon', label: 'spoon' },
];

/** What was found, by one tap. */
export function LogIt({ cook, units, onHappened, busy }: Props) {
  const [reading, setReading] = useState<number>();
  const [note, setNote] = useState('');
  const started = cook.view.met_heat_at != null;
  const celsius = reading === undefined ? undefined : temperatureIn(reading, units);
  const wild = celsius !== undefined && (celsius < -40 || celsius > 400);
  return (
    <Box as="section" aria-label="Log it" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Log it
      </Heading>
      <Stack gap={4}>
        {started && (
          <>
            <Box role="group" aria-label="Forked it: it is">
              <Box fontSize="small" color="soft" mb={1}>
                Forked it: it is
              </Box>
              <Flex wrap="wrap" gap="6px">
                {found.map((check) => (
                  <Button
                    key={check.value}
                    disabled={busy}
                    onClick={() => onHappened({ kind: 'check', found: check.value })}
                  >
                    {check.label}
                  </Button>
                ))}
              </Flex>
            </Box>
            {cook.view.pot.liquid_l > 0.03 && (
              <Box role="group" aria-label="Tasted the pot: its salt is">
                <Box fontSize="small" color="soft" mb={1}>
                  Tasted the pot: its salt is
                </Box>
                <Flex wrap="wrap" gap="6px">
                  {(['flat', 'right', 'salty'] as const).map((salt) => (
                    <Button key={salt} disabled={busy} onClick={() => onHappened({ kind: 'tasted', salt })}>
                      {salt}
                    </Button>
                  ))}
                </Flex>
              </Box>
            )}
            <Flex gap={2} align="flex-end">
              <Box flex="1">
                <NumberField
                  label="Thermometer in the middle"
                  value={reading}
                  onChange={setReading}
                  unit={temperatureUnit(units)}
                  error={wild ? 'no thermometer reads that' : undefined}
                />
              </Box>
              <Button
                disabled={busy || celsius === undefined || wild}
                onClick={() => {
                  onHappened({ kind: 'core_reading', celsius: Number(celsius!.toFixed(2)) });
                  setReading(undefined);
                }}
              >
                Log
              </Button>
            </Flex>
            <Litres
              label="Liquid added"
              units={units}
              busy={busy}
              onLog={(litres) => onHappened({ kind: 'liquid_added', litres })}
            />
            <Litres
              label="Liquid there, by dipstick"
              units={units}
              busy={busy}
              orNone
              onLog={(litres) => onHappened({ kind: 'dipped', litres })}
            />
          </>
        )}
        <Flex gap={2} align="flex-end">
          <Box flex="1">
            <TextField label="Note" value={note} onChange={setNote} maxLength={500} />
          </Box>
          <Button
            disabled={busy || note.trim() === ''}
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

type LitresProps = {
  label: string;
  units: Units;
  busy: boolean;
  orNone?: boolean;
  onLog: (litres: number) => void;
};

/** A volume and the button that logs it; none at all may be what was found. */
function Litres({ label, units, busy, orNone, onLog }: LitresProps) {
  const [litres, setLitres] = useState<number>();
  const volume = editable.volume[units];
  return (
    <Flex gap={2} align="flex-end">
      <Box flex="1">
        <NumberField
          label={label}
          value={litres}
          onChange={setLitres}
          unit={volume.unit}
          factor={volume.factor}
        />
      </Box>
      <Button
        disabled={busy || litres === undefined || (litres === 0 && !orNone)}
        onClick={() => {
          onLog(litres!);
          setLitres(undefined);
        }}
      >
        Log
      </Button>
    </Flex>
  );
}
