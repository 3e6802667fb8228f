import { Box, Heading, Stack } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import { tap } from '../../api/outbox';
import { useScale } from '../../api/queries';
import { editable, type Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { TextField } from '../../ui/TextField';

/** Served: two taps, and the rest for whoever wants to remember it. */
export function Close({ cook, units }: { cook: Schemas['CookAnswer']; units: Units }) {
  const navigate = useNavigate();
  const { hash } = useLocation();
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (hash !== '#close') return;
    heading.current?.scrollIntoView({ block: 'start' });
    heading.current?.focus({ preventScroll: true });
  }, [hash]);
  const scale = useScale().data ?? [];
  const [ateAs, setAteAs] = useState<Schemas['Check'] | undefined>(cook.plan.forecast.eaten_as ?? undefined);
  const [kilos, setKilos] = useState<number>();
  const [change, setChange] = useState('');
  const mass = editable.mass[units];
  if (cook.view.status === 'closed') return null;
  const close = () => {
    tap(cook.id, {
      kind: 'closed',
      outcome: { ate_as: ateAs, cooked_kg: kilos, change: change.trim() || undefined },
    });
    void navigate(`/log/${cook.id}`);
  };
  return (
    <Box as="section" id="close" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading ref={heading} as="h2" tabIndex={-1} fontFamily="heading" fontSize="lead" mb={2}>
        Served? Remember it
      </Heading>
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
        <Box>
          <Button weight="first" size="large" onClick={close}>
            Close the cook
          </Button>
        </Box>
      </Stack>
    </Box>
  );
}
