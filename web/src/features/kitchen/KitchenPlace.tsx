import { Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { ApiFault, api, type Kitchen, type Schemas } from '../../api/client';
import { useKitchen } from '../../api/queries';
import { editable } from '../../format/units';
import { setMode, useMode } from '../../theme/mode';
import { Choice } from '../../ui/Choice';
import { NumberField, SelectField, Slider, TextField } from '../../ui/fields';
import { Fault, Waiting } from '../../ui/states';
import { Toggles } from '../../ui/Toggles';
import { kitWords } from '../match/More';
import { Bin } from './Bin';
import { TakeAlong } from './TakeAlong';

/** What stands in the kitchen, saved as you go. */
export function KitchenPlace() {
  const kitchen = useKitchen();
  if (kitchen.isLoadingError) return <Fault error={kitchen.error} retry={() => void kitchen.refetch()} />;
  if (!kitchen.data) return <Waiting height="50vh" what="Looking round the kitchen" />;
  return <Settings saved={kitchen.data} />;
}

function Settings({ saved }: { saved: Kitchen }) {
  const queries = useQueryClient();
  const mode = useMode();
  const [kitchen, setKitchen] = useState(saved);
  const [fault, setFault] = useState<unknown>();
  const [said, setSaid] = useState('');
  const first = useRef(true);
  useEffect(() => {
    if (first.current) {
      first.current = false;
      return;
    }
    const timer = setTimeout(() => {
      api
        .saveKitchen(kitchen)
        .then((stored) => {
          setFault(undefined);
          setSaid('Saved');
          queries.setQueryData(['kitchen'], stored);
          void queries.invalidateQueries({ queryKey: ['plans'] });
          void queries.invalidateQueries({ queryKey: ['cooks'] });
        })
        .catch((error: unknown) => {
          setSaid('');
          setFault(error);
        });
    }, 500);
    return () => clearTimeout(timer);
  }, [kitchen, queries]);
  const change = (changed: Partial<Kitchen>) => {
    setSaid('');
    setKitchen((before) => ({ ...before, ...changed }));
  };
  const error = (field: string) =>
    fault instanceof ApiFault && fault.field === field ? fault.message : undefined;
  const units = kitchen.units;
  const [length, altitude] = [editable.length[units], editable.altitude[units]];
  const known = fault instanceof ApiFault && fault.field !== undefined;
  return (
    <Stack gap={6} maxW="60rem">
      <Flex align="baseline" gap={4}>
        <Heading as="h1" fontFamily="heading" fontSize="title">
          {kitchen.name}
        </Heading>
        <Text role="status" color="soft">
          {said}
        </Text>
      </Flex>
      {fault !== undefined && !known && <Fault error={fault} />}
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', md: 'repeat(2, minmax(0, 1fr))' }} gap={6}>
        <Stack gap={4}>
          <TextField
            label="Name"
            value={kitchen.name}
            onChange={(name) => change({ name })}
            maxLength={80}
            error={error('name')}
          />
          <Choice
            label="Figures in"
            value={units}
            options={[
              { value: 'metric', label: 'kg, L, mm, °C' },
              { value: 'us', label: 'lb, qt, in, °F' },
            ]}
            onChange={(chosen) => change({ units: chosen })}
          />
          <Choice
            label="Light"
            value={mode}
            options={[
              { value: 'light', label: 'day' },
              { value: 'dark', label: 'night' },
            ]}
            onChange={setMode}
          />
          <TextField
            label="Time zone"
            value={kitchen.zone}
            onChange={(zone) => change({ zone })}
            error={error('zone')}
            hint="Such as Europe/Helsinki; bells are read and shown in it."
          />
          <NumberField
            label="Above the sea"
            value={kitchen.altitude_m}
            onChange={(altitude_m) => altitude_m !== undefined && change({ altitude_m })}
            unit={altitude.unit}
            factor={altitude.factor}
            step={altitude.step}
            error={error('altitude_m')}
            hint="Water boils about 1 °C lower every 300 m (1.8 °F every 1000 ft), and meat takes longer."
          />
          <Slider
            label="Plan for a chance of being ready"
            value={Math.round(kitchen.certainty * 100)}
            min={50}
            max={99}
            step={1}
            onChange={(percent) => change({ certainty: percent / 100 })}
            said={`${Math.round(kitchen.certainty * 100)} in 100`}
          />
        </Stack>
        <Stack gap={4}>
          <NumberField
            label="The pot, across"
            value={kitchen.pot.diameter_cm ?? undefined}
            onChange={(diameter_cm) => change({ pot: { ...kitchen.pot, diameter_cm } })}
            unit={length.unit}
            factor={length.factor}
            step={length.step}
            error={error('pot.diameter_cm')}
          />
          <NumberField
            label="The pot, high"
            value={kitchen.pot.height_cm ?? undefined}
            onChange={(height_cm) => change({ pot: { ...kitchen.pot, height_cm } })}
            unit={length.unit}
            factor={length.factor}
            step={length.step}
            error={error('pot.height_cm')}
          />
          <Choice
            label="The pot is of"
            value={kitchen.pot.material ?? 'iron'}
            options={(['iron', 'steel', 'aluminium', 'ceramic', 'glass'] as const).map((value) => ({
              value,
              label: value,
            }))}
            onChange={(material) => change({ pot: { ...kitchen.pot, material } })}
          />
          <NumberField
            label="The frying pan, across"
            value={kitchen.pan_cm}
            onChange={(pan_cm) => pan_cm !== undefined && change({ pan_cm })}
            unit={length.unit}
            factor={length.factor}
            step={length.step}
            error={error('pan_cm')}
          />
          <NumberField
            label="The strongest burner"
            value={kitchen.hob_w}
            onChange={(hob_w) => hob_w !== undefined && change({ hob_w })}
            unit="W"
            step={100}
            error={error('hob_w')}
          />
          <SelectField
            label="The pan is of"
            value={kitchen.pan_material}
            onChange={(material) => change({ pan_material: material as Schemas['Material'] })}
          >
            {['iron', 'steel', 'aluminium', 'ceramic'].map((of) => (
              <option key={of}>{of}</option>
            ))}
          </SelectField>
          <SelectField
            label="The hob is"
            value={kitchen.hob_kind}
            onChange={(kind) => change({ hob_kind: kind as Schemas['HobKind'] })}
          >
            {['gas', 'ceramic', 'induction'].map((of) => (
              <option key={of}>{of}</option>
            ))}
          </SelectField>
          <NumberField
            label="The pressure pot’s own element"
            value={kitchen.insert_w}
            onChange={(insert_w) => insert_w !== undefined && change({ insert_w })}
            unit="W"
            step={100}
            error={error('insert_w')}
          />
          <Toggles
            label="To cook on"
            options={(Object.keys(kitWords) as Schemas['Kit'][]).map((item) => ({
              value: item,
              label: kitWords[item],
            }))}
            value={kitchen.kit}
            onChange={(kit) => change({ kit })}
          />
          {error('kit') && (
            <Text fontSize="small" color="caution" role="alert">
              {error('kit')}
            </Text>
          )}
          <Choice
            label="The pit"
            value={kitchen.pit_holds_itself ? 'holds' : 'tended'}
            options={[
              { value: 'holds', label: 'holds its heat by itself' },
              { value: 'tended', label: 'wants tending' },
            ]}
            onChange={(how) => change({ pit_holds_itself: how === 'holds' })}
          />
          <Asleep kitchen={kitchen} change={change} error={error('asleep')} />
        </Stack>
      </Grid>
      <TakeAlong />
      <Bin zone={kitchen.zone} />
    </Stack>
  );
}

/** The hours when nobody is up: no work is planned into them. */
function Asleep({
  kitchen,
  change,
  error,
}: {
  kitchen: Kitchen;
  change: (changed: Partial<Kitchen>) => void;
  error?: string;
}) {
  const [from = '', to = ''] = kitchen.asleep[0] ?? [];
  const set = (next: [string, string]) => {
    const given = next.every((time) => time !== '');
    change({ asleep: given ? [next, ...kitchen.asleep.slice(1)] : kitchen.asleep.slice(1) });
  };
  return (
    <Flex gap={3}>
      <TextField
        label="Asleep from"
        type="time"
        value={from}
        onChange={(time) => set([time, time && (to || '06:30')])}
        error={error}
      />
      <TextField
        label="until"
        type="time"
        value={to}
        onChange={(time) => set([time && (from || '23:00'), time])}
      />
    </Flex>
  );
}
