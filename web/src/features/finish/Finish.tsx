import { Box, Flex, Grid, Heading, Stack, Text } from '@chakra-ui/react';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { ApiFault, type Kitchen, type Schemas } from '../../api/client';
import { tap } from '../../api/outbox';
import { useSauce, useScale } from '../../api/queries';
import { PotSection } from '../../drawings/PotSection';
import { span } from '../../format/time';
import { editable, format, type Units } from '../../format/units';
import { Because } from '../../ui/Because';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { PageHeading } from '../../ui/PageHeading';
import { useLastGood } from '../../ui/useLastGood';
import { Slider } from '../../ui/Slider';
import { TextField } from '../../ui/TextField';
import { Caution, Fault, Waiting } from '../../ui/states';
import { useCookInHand } from '../cook/useCookInHand';

const tastes = [
  { value: 'weak', label: 'weak' },
  { value: 'right', label: 'right' },
  { value: 'salty', label: 'salty' },
  { value: 'bitter', label: 'bitter' },
  { value: 'sour', label: 'sour' },
  { value: 'rich', label: 'rich' },
] as const;
const targets = [
  { value: 'broth', label: 'broth' },
  { value: 'coat', label: 'coats a spoon' },
  { value: 'gravy', label: 'gravy' },
  { value: 'glaze', label: 'glaze' },
] as const;
const skims = [
  { value: 'ladle', label: 'ladle' },
  { value: 'spout', label: 'spouted jug' },
  { value: 'bag', label: 'bag' },
  { value: 'chill', label: 'chill and lift' },
  { value: 'none', label: 'leave it' },
] as const;
const thickeners = [
  { value: 'cornflour', label: 'cornflour' },
  { value: 'arrowroot', label: 'arrowroot' },
  { value: 'potato', label: 'potato starch' },
  { value: 'flour', label: 'flour' },
  { value: 'butter_paste', label: 'butter paste' },
  { value: 'none', label: 'none' },
] as const;

/** From the liquid in the pot to the sauce: fat, volume, salt and body move together. */
export function Finish() {
  const { cookId, cook, kitchen } = useCookInHand();
  const failed = [cook, kitchen].find((query) => query.isLoadingError);
  if (failed)
    return (
      <>
        <PageHeading title="Finish" srOnly />
        <Fault error={failed.error} retry={() => void failed.refetch()} />
      </>
    );
  if (!cook.data || !kitchen.data) return <Waiting height="60vh" what="Tasting" />;
  return <FinishOf cook={cook.data} kitchen={kitchen.data} key={cookId} />;
}

function FinishOf({ cook, kitchen }: { cook: Schemas['CookAnswer']; kitchen: Kitchen }) {
  const { units } = kitchen;
  const from = cook.view.sauce;
  // What is changed here; the rest is as the cook's own pot has it.
  const [changed, setChanged] = useState<Partial<Schemas['SauceRequest']>>({});
  const [poured, setPoured] = useState<number>();
  const set = (next: Partial<Schemas['SauceRequest']>) => setChanged((was) => ({ ...was, ...next }));
  const wanted = useMemo<Schemas['SauceRequestInFull']>(
    () => ({ ...from, ...changed, salt_g: (from.salt_g ?? 0) + (poured ?? 0) }),
    [from, changed, poured],
  );
  const liquid = wanted.liquid_l ?? 0;
  const vessel = wanted.vessel;
  const request = useDeferredValue(wanted);
  const sauce = useSauce(request, true);
  const answer = useLastGood(sauce.data);
  const fault = sauce.error instanceof ApiFault ? sauce.error : undefined;
  const volume = editable.volume[units];
  const depth = editable.small_length[units];
  return (
    <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: '400px minmax(0, 1fr)' }} gap={{ base: 5, lg: 8 }}>
      <Stack gap={4}>
        <PageHeading title={`Finish ${cook.plan.name}`}>Bring the sauce home</PageHeading>
        {vessel?.diameter_cm != null && vessel.height_cm != null && (
          <PotSection
            diameterCm={vessel.diameter_cm}
            heightCm={vessel.height_cm}
            liquidL={liquid}
            fatMm={answer?.fat_mm ?? 0}
            finalL={answer?.final_l ?? liquid}
            units={units}
          />
        )}
        <Slider
          label="Liquid in the pot, without its fat"
          value={liquid}
          min={0.1}
          max={Math.max(3, Math.ceil((from.liquid_l ?? 0) * 2))}
          step={0.05}
          onChange={(liquid_l) => set({ liquid_l })}
          said={format('volume', liquid, units)}
        />
        <Flex gap={3}>
          <NumberField
            label="Or as measured"
            value={liquid}
            onChange={(liquid_l) => liquid_l && set({ liquid_l })}
            unit={volume.unit}
            factor={volume.factor}
            step={volume.step}
            error={fault?.field === 'liquid_l' ? fault.message : undefined}
          />
          <NumberField
            label="Fat, measured depth"
            value={changed.fat_mm ?? undefined}
            onChange={(fat_mm) => set({ fat_mm })}
            unit={depth.unit}
            factor={depth.factor}
            placeholder={((answer?.fat_mm ?? 0) * depth.factor).toFixed(1)}
            error={fault?.field === 'fat_mm' ? fault.message : undefined}
          />
        </Flex>
        <NumberField
          label="Salt in what was poured in (stock, soy, bacon)"
          value={poured}
          onChange={setPoured}
          unit="g"
          step={1}
          placeholder="0"
          error={fault?.field === 'salt_g' ? fault.message : undefined}
        />
        <Choice label="Skim with" value={wanted.skim} options={skims} onChange={(skim) => set({ skim })} />
        <Choice
          label="It tastes"
          value={wanted.taste}
          options={tastes}
          onChange={(taste) => set({ taste })}
        />
        <Choice
          label="It becomes"
          value={wanted.target}
          options={targets}
          onChange={(target) => set({ target })}
        />
        <Choice
          label="Thickened with"
          value={wanted.thickener}
          options={thickeners}
          onChange={(thickener) => set({ thickener })}
        />
      </Stack>
      <Stack gap={5} minW={0}>
        {fault && !fault.field && <Fault error={fault} retry={() => void sauce.refetch()} />}
        {answer ? (
          <Path answer={answer} />
        ) : (
          !sauce.isError && <Waiting height={320} what="Working out the sauce" />
        )}
        {answer && (
          <Because rule={<Text>{answer.rule}</Text>}>
            <Text>{answer.because}</Text>
          </Because>
        )}
        {answer && <Cooling ways={answer.cooling} units={units} />}
        <Close cook={cook} units={units} />
      </Stack>
    </Grid>
  );
}

function Path({ answer }: { answer: Schemas['Sauce'] }) {
  return (
    <Box as="section" aria-label="What to do">
      <Box as="ol" listStyleType="none">
        {answer.steps.map((step, i) => (
          <Flex as="li" key={step.do} gap={4} borderTopWidth="1px" borderColor="line" py={3}>
            <Text
              fontFamily="heading"
              fontSize="title"
              fontWeight={700}
              color="rim"
              minW="1.6rem"
              lineHeight={1.1}
            >
              {i + 1}
            </Text>
            <Box flex="1">
              <Text fontSize="lead" fontWeight={600}>
                {step.do}
              </Text>
              <Text color="soft">{step.why}</Text>
            </Box>
            <Text color="soft" whiteSpace="nowrap" fontVariantNumeric="tabular-nums">
              {span(step.min)}
            </Text>
          </Flex>
        ))}
      </Box>
      <Stack mt={3} gap={2}>
        {answer.warnings.map((warning) => (
          <Caution key={warning.id}>{warning.text}</Caution>
        ))}
      </Stack>
    </Box>
  );
}

const coolIn: Record<Schemas['CoolIn'], string> = {
  ice_bath: 'In ice water, stirred',
  trays: 'In trays, in the fridge',
  fridge: 'In its pot, in the fridge',
  pot: 'In its pot, on the counter',
};

/** What is left, and how soon each way brings it out of danger. */
function Cooling({ ways, units }: { ways: Schemas['Cooled'][]; units: Units }) {
  return (
    <Box as="section" aria-label="Cool what is left">
      <Heading as="h2" fontFamily="heading" fontSize="lead" mb={2}>
        Cool what is left
      </Heading>
      <Box as="ul" listStyleType="none">
        {ways.map((way) => (
          <Flex as="li" key={way.cool_in} gap={4} borderTopWidth="1px" borderColor="line" py={2}>
            <Text flex="1" fontWeight={600}>
              {coolIn[way.cool_in]}
              {way.trays != null && (
                <Text as="span" fontWeight={400} color="soft">
                  {' '}
                  {way.trays === 1 ? 'one tray' : `${way.trays} trays`},{' '}
                  {format('small_length', way.depth_mm, units)} deep
                </Text>
              )}
            </Text>
            <Text
              whiteSpace="nowrap"
              fontVariantNumeric="tabular-nums"
              color={way.in_time ? 'soft' : 'caution'}
              fontWeight={way.in_time ? 400 : 700}
            >
              {span(way.to_5_min)} to cold{way.in_time ? '' : ': too slow'}
            </Text>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}

function Close({ cook, units }: { cook: Schemas['CookAnswer']; units: Units }) {
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
