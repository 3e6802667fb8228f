import { Box, Flex, Heading, Stack, Text } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { type Progress, setProgress, useProgress } from '../../api/progress';
import { useMayChange } from '../../api/role';
import { Button } from '../../ui/Button';
import { Fault } from '../../ui/states';
import { SaveKitchen } from '../shell/SaveKitchen';

/** The whole kitchen out as a file, and a file in: first what it would bring, then all of it or nothing. */
export function TakeAlong() {
  const may = useMayChange();
  const queries = useQueryClient();
  const [file, setFile] = useState<File>();
  const going = useProgress('export');
  const coming = useProgress('import');
  const look = useMutation({
    mutationFn: api.importPreview,
    onSettled: () => setProgress('import', undefined),
  });
  const bring = useMutation({
    mutationFn: api.importKitchen,
    onSettled: () => {
      setProgress('import', undefined);
      void queries.invalidateQueries();
    },
  });
  const choose = (chosen: File) => {
    setFile(chosen);
    bring.reset();
    look.mutate(chosen);
  };
  const leave = () => {
    look.reset();
    bring.reset();
  };
  const name = file?.name ?? 'The file';
  const fault = bring.error ?? look.error;
  return (
    <Box as="section" borderTopWidth="2px" borderColor="rim" pt={3}>
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Take it along
      </Heading>
      <Stack gap={3}>
        <Flex gap={3} wrap="wrap" align="center">
          <SaveKitchen />
          <Button asChild>
            <label>
              Bring a file in
              <input
                type="file"
                accept="application/json,.json"
                disabled={!may || look.isPending || bring.isPending}
                style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
                onChange={(event) => {
                  const chosen = event.target.files?.[0];
                  if (chosen) choose(chosen);
                  event.target.value = '';
                }}
              />
            </label>
          </Button>
          <Text role="status" fontVariantNumeric="tabular-nums">
            {going && going.done < (going.of ?? 0) && `Going out: ${share(going)}`}
            {look.isPending && `Reading ${name}${coming ? `: ${share(coming)}` : ''}`}
            {bring.isPending && `Bringing ${name} in${coming ? `: ${share(coming)}` : ''}`}
            {bring.isSuccess && `${name} is in: ${brings(bring.data)}.`}
          </Text>
        </Flex>
        {look.isSuccess && bring.isIdle && (
          <Flex
            gap={3}
            wrap="wrap"
            align="center"
            borderLeftWidth="4px"
            borderColor="rim"
            bg="panel"
            px={4}
            py={3}
          >
            <Text flex="1" minW="16rem">
              {name} would bring {brings(look.data)}. {keeps(look.data)}
            </Text>
            <Button weight="first" onClick={() => file && bring.mutate(file)}>
              Bring it in
            </Button>
            <Button onClick={leave}>Leave it</Button>
          </Flex>
        )}
        {fault && <Fault error={fault} />}
      </Stack>
    </Box>
  );
}

const share = ({ done, of }: Progress) =>
  of ? `${Math.min(100, Math.floor((100 * done) / of))} %` : done.toLocaleString('en');

const several = (count: number, one: string, more = `${one}s`) =>
  count > 0 ? `${count.toLocaleString('en')} ${count === 1 ? one : more}` : '';

/** What a file brings, as one would say it. */
export function brings(brought: Schemas['BroughtView']): string {
  const parts = [
    several(brought.new_plans, 'new plan'),
    several(brought.changed_plans, 'plan with newer versions', 'plans with newer versions'),
    several(brought.new_cooks, 'new cook'),
    several(brought.changed_cooks, 'cook that went on', 'cooks that went on'),
    several(brought.readings, 'reading'),
    brought.kitchen ? 'a kitchen in place of this one’s settings' : '',
  ].filter(Boolean);
  const last = parts.pop();
  if (!last) return 'nothing that is not here already';
  return parts.length > 0 ? `${parts.join(', ')} and ${last}` : last;
}

const keeps = (brought: Schemas['BroughtView']) =>
  brought.kitchen ? 'Plans, cooks and readings that are here stay.' : 'What is here stays.';
