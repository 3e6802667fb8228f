import { Box, Stack, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import { tap } from '../../api/outbox';
import { useScale } from '../../api/queries';
import { editable, type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { Photos } from '../../ui/Photos';
import { TextField } from '../../ui/TextField';
import { Section } from './Section';

/** Served: two taps, and the rest for whoever wants to remember it. */
export function Close({
  cook,
  weighed,
  units,
}: {
  cook: Schemas['CookAnswer'];
  /** What the scales said on the way to the plate, kg. */
  weighed: number | undefined;
  units: Units;
}) {
  const navigate = useNavigate();
  const scale = useScale().data ?? [];
  const [ateAs, setAteAs] = useState<Schemas['Check'] | undefined>(cook.plan.forecast.eaten_as ?? undefined);
  const [kilos, setKilos] = useState<number>();
  const [change, setChange] = useState('');
  const mass = editable.mass[units];
  if (cook.view.status === 'closed')
    return (
      <Section title="Closed">
        <Text mb={3}>{cook.view.words}</Text>
        <Button asChild>
          <Link to={`/log/${cook.id}`}>See it in the log</Link>
        </Button>
      </Section>
    );
  const close = () => {
    tap(cook.id, {
      kind: 'closed',
      outcome: { ate_as: ateAs, cooked_kg: kilos ?? weighed, change: change.trim() || undefined },
    });
    void navigate(`/log/${cook.id}`);
  };
  return (
    <Section title="Served? Remember it">
      <Stack gap={3} maxW="34rem">
        <Choice
          label="It ate as"
          value={ateAs}
          options={scale.map(({ check, words }) => ({ value: check, label: words }))}
          onChange={setAteAs}
        />
        <Box maxW="200px">
          <NumberField
            label="Cooked meat weighed"
            value={kilos}
            onChange={setKilos}
            placeholder={weighed === undefined ? undefined : (weighed * mass.factor).toFixed(2)}
            unit={mass.unit}
            factor={mass.factor}
          />
        </Box>
        <TextField
          label="What to change next time"
          value={change}
          onChange={setChange}
          long
          maxLength={500}
        />
        <Photos cook={cook.id} add />
        <Box>
          <Button weight="first" size="large" onClick={close}>
            Close the cook
          </Button>
        </Box>
      </Stack>
    </Section>
  );
}
