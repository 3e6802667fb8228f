import { Box, Flex, Grid, Menu, Portal, Stack, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { kitchenNow, type Kitchen, type Schemas } from '../../api/client';
import { useFields, useKitchenView } from '../../api/queries';
import { useLooks, useMayChange } from '../../api/role';
import { useKitchenDocument } from '../../api/useLive';
import { editable, hourCycle, temperatureIn, temperatureOut, temperatureUnit } from '../../format/units';
import { setMode, useMode } from '../../theme/mode';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Elsewhere } from '../../ui/Elsewhere';
import { HourField } from '../../ui/HourField';
import { Keeping } from '../../ui/Keeping';
import { NumberField } from '../../ui/NumberField';
import { PageHeading } from '../../ui/PageHeading';
import { Slider } from '../../ui/Slider';
import { TextLink } from '../../ui/TextLink';
import { Fault, Waiting } from '../../ui/states';
import { TextField } from '../../ui/TextField';
import { useUndoCorner } from '../shell/undo';
import { Trash } from './Trash';
import { DamagedKitchen } from './DamagedKitchen';
import { InTheLarder } from './InTheLarder';
import { KitchenPicture } from './KitchenPicture';
import { TakeAlong } from './TakeAlong';
import { ThingDialog } from './ThingDialog';
import { add, all, another, put, takeOut, type Kind } from './things';

/** What stands in the kitchen, drawn to scale, and how its cook likes it; saved as you go. */
export function KitchenPlace() {
  const view = useKitchenView();
  const fields = useFields();
  const failed = [view, fields].find((query) => query.isLoadingError);
  if (failed)
    return (
      <>
        <PageHeading title="Kitchen" srOnly />
        <Fault error={failed.error} retry={() => void failed.refetch()} />
      </>
    );
  if (!view.data || !fields.data) return <Waiting height="50vh" what="Looking round the kitchen" />;
  return <KitchenOf view={view.data} kinds={fields.data.things} />;
}

function KitchenOf({ view, kinds }: { view: Schemas['KitchenView']; kinds: Kind[] }) {
  const open = useKitchenDocument(view);
  const { document, value: kitchen, fault } = open;
  const looks = useLooks();
  const may = useMayChange();
  const [opened, setOpened] = useState<string>();
  useUndoCorner({
    undo: open.canUndo ? document.undo : undefined,
    redo: open.canRedo ? document.redo : undefined,
    undoes: '',
  });
  const things = all(kitchen, kinds);
  const shown = things.find(({ thing }) => thing.id === opened);
  const set = (key: string, changed: Partial<Kitchen>) =>
    document.change(key, (was) => ({ ...was, ...changed }));
  const ofThing = fault?.field?.includes('[') ?? false;
  return (
    <Stack gap={5}>
      <Flex align="baseline" gap={4} wrap="wrap">
        <PageHeading title={`Kitchen: ${kitchen.name}`}>{kitchen.name}</PageHeading>
        <Keeping open={open} />
      </Flex>
      {open.elsewhere.length > 0 && <Elsewhere fields={open.elsewhere} onSeen={document.seen} />}
      {fault && (!fault.field || (ofThing && !shown)) && (
        <Fault error={fault} retry={() => void document.flush()} />
      )}
      {view.damaged && <DamagedKitchen damaged={view.damaged} view={view} />}
      <KitchenPicture things={things} opened={opened} onOpen={setOpened} />
      <Box>
        <Menu.Root
          onSelect={({ value }) => {
            const kind = kinds.find(({ list }) => list === value);
            if (!kind) return;
            const made = another(kitchen, kinds, kind);
            document.change('add', (was) => add(was, made));
            setOpened(made.thing.id);
          }}
        >
          <Menu.Trigger asChild>
            <Button>Put something in the kitchen</Button>
          </Menu.Trigger>
          <Portal>
            <Menu.Positioner>
              <Menu.Content>
                {kinds.map(({ list, word }) => (
                  <Menu.Item key={list} value={list}>
                    {word}
                  </Menu.Item>
                ))}
              </Menu.Content>
            </Menu.Positioner>
          </Portal>
        </Menu.Root>
      </Box>
      {shown && may && (
        <ThingDialog
          placed={shown}
          units={kitchen.units}
          fault={ofThing ? fault : undefined}
          onChange={(placed) => document.change(`thing ${placed.thing.id}`, (was) => put(was, placed))}
          onAway={() => {
            document.change('take out', (was) => takeOut(was, shown));
            setOpened(undefined);
          }}
          onClose={() => {
            setOpened(undefined);
            void document.flush();
          }}
        />
      )}
      <Habits kitchen={kitchen} set={set} error={(field) => said(fault, field)} />
      <InTheLarder kitchen={kitchen} now={kitchenNow()} onChange={(kept) => set('kept', { kept })} />
      {!looks && <TakeAlong />}
      <Trash zone={kitchen.zone} />
      <Box>
        <Button asChild weight="quiet">
          <a href="/notices.txt">Licences, and what it is made with</a>
        </Button>
      </Box>
    </Stack>
  );
}

const said = (fault: { field?: string; message: string } | undefined, field: string) =>
  fault?.field === `kitchen.${field}` ? fault.message : undefined;

/** Its name, where it stands, and how its cook likes figures and nights. */
function Habits({
  kitchen,
  set,
  error,
}: {
  kitchen: Kitchen;
  set: (key: string, changed: Partial<Kitchen>) => void;
  error: (field: string) => string | undefined;
}) {
  const mode = useMode();
  const { units } = kitchen;
  const altitude = editable.altitude[units];
  const [from = '', to = ''] = kitchen.asleep[0] ?? [];
  const sleep = (next: [string, string]) =>
    set('asleep', {
      asleep: next.every(Boolean) ? [next, ...kitchen.asleep.slice(1)] : kitchen.asleep.slice(1),
    });
  return (
    <Grid
      as="section"
      aria-label="Habits"
      templateColumns={{
        base: 'minmax(0, 1fr)',
        md: 'repeat(2, minmax(0, 1fr))',
        xl: 'repeat(3, minmax(0, 1fr))',
      }}
      gap={5}
      borderTopWidth="2px"
      borderColor="rim"
      pt={4}
    >
      <TextField
        label="Name"
        value={kitchen.name}
        onChange={(name) => set('name', { name })}
        maxLength={80}
        error={error('name')}
      />
      <TextField
        label="Time zone"
        value={kitchen.zone}
        onChange={(zone) => set('zone', { zone })}
        error={error('zone')}
        hint="Such as Europe/Helsinki; bells are read and shown in it."
      />
      <NumberField
        label="Above the sea"
        value={kitchen.altitude_m}
        onChange={(altitude_m) => altitude_m !== undefined && set('altitude', { altitude_m })}
        unit={altitude.unit}
        min={-2000}
        factor={altitude.factor}
        step={altitude.step}
        error={error('altitude_m')}
        hint="Water boils about 1 °C lower every 300 m (1.8 °F every 1000 ft), and meat takes longer."
      />
      <NumberField
        label="Room temperature"
        value={Math.round(temperatureOut(kitchen.room_c, units))}
        onChange={(typed) => typed !== undefined && set('room', { room_c: temperatureIn(typed, units) })}
        unit={temperatureUnit(units)}
        error={error('room_c')}
        hint="Where food stands while it cools: a warm room keeps it in danger longer."
      />
      <Choice
        label="Units"
        value={units}
        options={[
          { value: 'metric', label: 'kg, L, mm, °C' },
          { value: 'us', label: 'lb, qt, in, °F' },
        ]}
        onChange={(chosen) => set('units', { units: chosen })}
      />
      <Choice
        label="Clock"
        value={hourCycle(kitchen) === 12 ? 'h12' : 'h24'}
        options={[
          { value: 'h24', label: '18:30' },
          { value: 'h12', label: '6:30 pm' },
        ]}
        onChange={(chosen) => set('clock', { clock: chosen })}
      />
      <Choice
        label="Light"
        forAll
        value={mode}
        options={[
          { value: 'light', label: 'day' },
          { value: 'dark', label: 'night' },
        ]}
        onChange={setMode}
      />
      <Box>
        <Text color="soft" fontSize="small">
          Food code
        </Text>
        <TextLink to="/safety">All cautions, and whose code holds here</TextLink>
      </Box>
      <Box>
        <Text color="soft" fontSize="small">
          Other screens and probes
        </Text>
        <TextLink to="/devices">Phones, the wall, and who may enter</TextLink>
      </Box>
      <Slider
        label="Plan for a chance of being ready"
        value={Math.round(kitchen.certainty * 100)}
        min={50}
        max={99}
        step={1}
        onChange={(percent) => set('certainty', { certainty: percent / 100 })}
        said={`${Math.round(kitchen.certainty * 100)} in 100`}
      />
      <Flex gap={3}>
        <HourField
          label="Asleep from"
          value={from}
          onChange={(time) => sleep([time, time && (to || '06:30')])}
          error={error('asleep')}
        />
        <HourField label="until" value={to} onChange={(time) => sleep([time && (from || '23:00'), time])} />
      </Flex>
    </Grid>
  );
}
