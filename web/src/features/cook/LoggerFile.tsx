import { Box, Flex, Stack, Text, chakra } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, kitchenNow, type Schemas } from '../../api/client';
import { useKitchen } from '../../api/queries';
import { useMayChange } from '../../api/role';
import { clockDay, instantOf, localText } from '../../format/time';
import { Button } from '../../ui/Button';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { WhenField } from '../../ui/WhenField';
import { Fault } from '../../ui/states';

type Holds = Schemas['Holds'];

const holds: { value: Holds; label: string }[] = [
  { value: 'time', label: 'the time' },
  { value: 'seconds', label: 'seconds since it began' },
  { value: 'minutes', label: 'minutes since it began' },
  { value: 'celsius', label: 'a probe, in °C' },
  { value: 'fahrenheit', label: 'a probe, in °F' },
  { value: 'other', label: 'something else' },
];

const isTime = (held: Holds) => held === 'time' || held === 'seconds' || held === 'minutes';
const isProbe = (held: Holds) => held === 'celsius' || held === 'fahrenheit';

type Column = { name: string; shows: string[]; holds: Holds; probe: string };
type Loaded = { text: string; columns: Column[]; rows: number; from?: string | null; to?: string | null };

/** The file of any logger: its columns as they seem to be, to be put right, and brought in as readings of probes. */
export function LoggerFile() {
  const may = useMayChange();
  const queries = useQueryClient();
  const kitchen = useKitchen();
  const [file, setFile] = useState<Loaded>();
  const [began, setBegan] = useState<string>();
  const zone = kitchen.data?.zone ?? 'UTC';
  const read = useMutation({
    mutationFn: async (chosen: File) => {
      const text = await chosen.text();
      const told = await api.readLogger(text);
      setFile({
        text,
        rows: told.rows,
        from: told.from,
        to: told.to,
        columns: told.columns.map((column) => ({ ...column, probe: column.name })),
      });
    },
  });
  const bring = useMutation({
    mutationFn: (loaded: Loaded) => {
      const time = loaded.columns.findIndex((column) => isTime(column.holds));
      return api.importLogger({
        text: loaded.text,
        time: {
          column: time,
          holds: loaded.columns[time]?.holds ?? 'time',
          began: instantOf(began ?? localText(kitchenNow(), zone), zone),
        },
        probes: loaded.columns.flatMap((column, i) =>
          isProbe(column.holds) ? [{ column: i, holds: column.holds, probe: column.probe }] : [],
        ),
      });
    },
    onSuccess: () => {
      for (const queryKey of [['probes'], ['cooks']]) void queries.invalidateQueries({ queryKey });
    },
  });
  const change = (at: number, over: Partial<Column>) =>
    setFile(
      (now) =>
        now && {
          ...now,
          columns: now.columns.map((column, i) => (i === at ? { ...column, ...over } : column)),
        },
    );
  const counts = file?.columns.some((column) => column.holds === 'seconds' || column.holds === 'minutes');
  const ready =
    file?.columns.some((column) => isTime(column.holds)) && file.columns.some((c) => isProbe(c.holds));
  return (
    <Box as="section" aria-label="A logger’s file" borderTopWidth="1px" borderColor="line" pt={3}>
      <Text fontWeight={700}>A logger’s file</Text>
      <chakra.label display="block" mt={1}>
        <Text as="span" fontSize="small" color="soft" display="block">
          A table with a line of headings (CSV), a column for the time and one for each probe
        </Text>
        <chakra.input
          type="file"
          disabled={!may}
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          minHeight="44px"
          py={2}
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            bring.reset();
            if (chosen) read.mutate(chosen);
          }}
        />
      </chakra.label>
      {read.error && <Fault error={read.error} />}
      {file && (
        <Stack gap={3} mt={3}>
          <Text>
            {file.rows} rows
            {file.from && file.to
              ? `, ${clockDay(file.from, zone, kitchenNow())} to ${clockDay(file.to, zone, kitchenNow())}`
              : ''}
            . What each column holds:
          </Text>
          {file.columns.map((column, i) => (
            <Flex key={i} gap={3} wrap="wrap" align="flex-end" borderTopWidth="1px" borderColor="line" pt={2}>
              <Box flex="1 1 9rem">
                <Text fontWeight={700}>{column.name || `Column ${i + 1}`}</Text>
                <Text fontSize="small" color="soft">
                  {column.shows.join(' · ')}
                </Text>
              </Box>
              <Box flex="1 1 11rem">
                <SelectField
                  label="It holds"
                  value={column.holds}
                  options={holds}
                  onChange={(held) => change(i, { holds: held })}
                />
              </Box>
              {isProbe(column.holds) && (
                <Box flex="1 1 9rem">
                  <TextField
                    label="Of the probe"
                    value={column.probe}
                    onChange={(probe) => change(i, { probe })}
                    maxLength={80}
                  />
                </Box>
              )}
            </Flex>
          ))}
          {counts && (
            <WhenField
              label="It began"
              units={kitchen.data?.units ?? 'metric'}
              value={began ?? localText(kitchenNow(), zone)}
              onChange={setBegan}
            />
          )}
          {bring.error && <Fault error={bring.error} />}
          {bring.data && (
            <Text role="status" fontWeight={600}>
              {bring.data.stored} readings brought in
              {bring.data.repeated > 0 ? `, ${bring.data.repeated} were there already` : ''}. Say above where
              the probe was.
            </Text>
          )}
          <Flex>
            <Button weight="first" disabled={!ready || bring.isPending} onClick={() => bring.mutate(file)}>
              Bring it in
            </Button>
          </Flex>
        </Stack>
      )}
    </Box>
  );
}
