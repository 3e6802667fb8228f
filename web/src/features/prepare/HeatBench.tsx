import { Box, Flex, Stack, Text, chakra } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { CoalRing } from '../../drawings/CoalRing';
import { span } from '../../format/time';
import { dialOf, format } from '../../format/units';
import { Choice } from '../../ui/Choice';
import { NumberField, Slider } from '../../ui/fields';
import { without, type BenchProps } from './bench';

const HALF_HOUR = 30;

/** The dial as a picture: each setting with its time, the water it costs and what becomes of the meat. */
export function HeatBench({ plan, bench, prepared, units, setBench, setForecast, setPlan }: BenchProps) {
  const { dial, coals } = prepared;
  const { forecast } = plan;
  const heat = forecast.heat ?? {};
  const setHeat = (changed: Partial<Schemas['Heat']>) =>
    setForecast('heat', { heat: without({ ...heat, ...changed }) });
  const longest = Math.max(1, ...dial.map((setting) => setting.ready_min ?? 0));
  const wettest = Math.max(0.05, ...dial.map((setting) => setting.loss_l));
  // In a chain the way in hand is that of its first stage.
  const way = forecast.method ?? forecast.stages?.[0]?.method;
  const inPot = way === 'braise' || way === 'stew';
  const p50 = prepared.forecast.ready_min.p50;
  const posture =
    forecast.stages && forecast.stages.length === 2 ? (forecast.stages[1]?.lid ?? 'tight') : 'same';
  return (
    <Stack gap={5}>
      {inPot && !forecast.stages && (
        <Choice
          label="On or in"
          value={heat.source ?? 'oven'}
          options={[
            { value: 'oven', label: 'the oven' },
            { value: 'hob', label: 'the hob' },
            { value: 'coals', label: 'coals' },
          ]}
          onChange={(source) =>
            setForecast('source', {
              heat:
                source === 'oven'
                  ? { source, set_c: 150 }
                  : source === 'hob'
                    ? { source, simmer: 'gentle' }
                    : { source, under: 14, over: 7 },
            })
          }
        />
      )}
      {dial.length > 0 && (
        <Box role="radiogroup" aria-label="The dial">
          <Flex fontSize="small" color="soft" px={3} pb={1} gap={3} display={{ base: 'none', sm: 'flex' }}>
            <Text width="200px">set to</Text>
            <Text flex="1">tender after</Text>
            <Text width="148px">water lost</Text>
            <Text width="92px" textAlign="right">
              on the plate
            </Text>
          </Flex>
          {dial.map((setting) => (
            <chakra.button
              key={setting.words}
              role="radio"
              aria-checked={setting.chosen}
              onClick={() => setForecast('dial', { heat: setting.heat })}
              display="flex"
              flexWrap={{ base: 'wrap', sm: 'nowrap' }}
              alignItems="center"
              gap={3}
              width="100%"
              minHeight="60px"
              px={3}
              textAlign="left"
              cursor="pointer"
              borderTopWidth="1px"
              borderColor="line"
              bg={setting.chosen ? 'panel' : 'transparent'}
              boxShadow={setting.chosen ? 'inset 6px 0 0 var(--chakra-colors-rim)' : undefined}
            >
              <Box width={{ base: '100%', sm: '200px' }} flexShrink={0}>
                <Text fontWeight={700} lineHeight={1.2}>
                  {setting.words}
                </Text>
                <Text fontSize="small" color="soft" lineHeight={1.2}>
                  {setting.looks}
                </Text>
              </Box>
              <Flex flex="1" align="center" gap={2} minW="180px">
                <Box
                  height="14px"
                  borderRadius="4px"
                  bg="tender"
                  width={`${(100 * (setting.ready_min ?? longest)) / longest / 2}%`}
                  opacity={setting.ready_min == null ? 0.25 : 1}
                />
                <Box>
                  <Text fontSize="small" fontWeight={600} whiteSpace="nowrap" lineHeight={1.2}>
                    {setting.ready_min == null ? 'never' : span(Math.round(setting.ready_min / 5) * 5)}
                  </Text>
                  {setting.window_min != null && (
                    <Text fontSize="small" color="soft" whiteSpace="nowrap" lineHeight={1.2}>
                      right for {span(Math.round(setting.window_min / 5) * 5)}
                      {setting.breaks_up && ', breaks up'}
                    </Text>
                  )}
                </Box>
              </Flex>
              <Flex width="148px" flexShrink={0} align="center" gap={2}>
                <Box
                  height="14px"
                  borderRadius="4px"
                  bg="liquid"
                  width={`${Math.max(2, (70 * setting.loss_l) / wettest)}px`}
                />
                <Text fontSize="small" fontWeight={600} whiteSpace="nowrap">
                  {format('volume', Number(setting.loss_l.toFixed(2)), units)}
                </Text>
              </Flex>
              <Text width="92px" fontSize="small" fontWeight={600} textAlign="right" flexShrink={0}>
                {setting.yield_kg == null ? '' : format('mass', Number(setting.yield_kg.toFixed(2)), units)}
              </Text>
            </chakra.button>
          ))}
        </Box>
      )}
      {inPot && heat.source !== 'hob' && heat.source !== 'coals' && !forecast.stages && (
        <Box maxW="360px">
          <Slider
            label="Oven"
            {...dialOf(heat.set_c ?? 150, [90, 220], units, (set_c) => setHeat({ set_c }))}
            said={format('dial', heat.set_c ?? 150, units)}
          />
        </Box>
      )}
      {forecast.method === 'smoke' && (
        <Flex gap={4} wrap="wrap">
          <Choice
            label="Wrapped"
            value={heat.wrap?.in ?? 'bare'}
            options={[
              { value: 'bare', label: 'bare, for bark' },
              { value: 'paper', label: 'paper at the stall' },
              { value: 'foil', label: 'foil at the stall' },
            ]}
            onChange={(wrap) =>
              setHeat({
                wrap: wrap === 'bare' ? undefined : { in: wrap, at_core_c: heat.wrap?.at_core_c ?? 70 },
              })
            }
          />
          <Choice
            label="Wood"
            value={bench.wood ?? 'oak'}
            options={[
              { value: 'alder', label: 'alder' },
              { value: 'apple', label: 'apple' },
              { value: 'oak', label: 'oak' },
              { value: 'beech', label: 'beech' },
              { value: 'hickory', label: 'hickory' },
            ]}
            onChange={(wood) => setBench('wood', { wood })}
          />
          <Box width="260px">
            <Slider
              label="Pit"
              {...dialOf(heat.pit_c ?? 110, [90, 170], units, (pit_c) => setHeat({ pit_c }))}
              said={format('dial', heat.pit_c ?? 110, units)}
            />
          </Box>
        </Flex>
      )}
      {forecast.method === 'pressure' && (
        <Flex gap={4} wrap="wrap" align="flex-end">
          <Choice
            label="Let go"
            value={heat.release ?? 'natural'}
            options={[
              { value: 'natural', label: 'by itself' },
              { value: 'quick', label: 'at once: 2 to 4 in 100 of its juice boils out' },
            ]}
            onChange={(release) => setHeat({ release })}
          />
          <Box width="132px">
            <NumberField
              label="At pressure"
              value={heat.at_pressure_min ?? undefined}
              unit="min"
              step={5}
              placeholder={String(Math.round(prepared.forecast.at_pressure_min?.p50 ?? 0))}
              onChange={(at_pressure_min) => setHeat({ at_pressure_min })}
            />
          </Box>
        </Flex>
      )}
      {coals && (
        <Flex gap={6} wrap="wrap" align="center">
          <CoalRing ring={coals} />
          <Stack gap={3} flex="1 1 280px">
            <Flex gap={3} wrap="wrap">
              {(['under', 'over'] as const).map((where) => (
                <Box width="112px" key={where}>
                  <NumberField
                    label={where === 'under' ? 'Coals under' : 'Coals on the lid'}
                    value={coals[where]}
                    unit=""
                    step={1}
                    onChange={(count) => count !== undefined && setHeat({ [where]: Math.round(count) })}
                  />
                </Box>
              ))}
            </Flex>
            <Text fontSize="small">
              Like an oven at {format('dial', coals.like_c, units)}. A simmer here wants some{' '}
              {coals.for_a_simmer[0]} under and {coals.for_a_simmer[1]} on the lid: {coals.words}.
            </Text>
            <Text fontSize="small">
              Turn the pot a quarter and the lid back every {coals.turn_every_min} min. Light the next lot{' '}
              {Math.round(coals.light_after_min)} min after the last went on; fresh ones on after{' '}
              {coals.fresh_at_min.map((minute) => span(minute)).join(', ') || 'none'}.
            </Text>
            <Flex gap={4} wrap="wrap">
              <Choice
                label="Wind"
                value={heat.wind ?? 'calm'}
                options={[
                  { value: 'calm', label: 'calm' },
                  { value: 'breezy', label: 'leaves move' },
                  { value: 'windy', label: 'branches move' },
                ]}
                onChange={(wind) => setHeat({ wind })}
              />
              <Box width="200px">
                <Slider
                  label="Air outside"
                  value={heat.air_c ?? 15}
                  min={-25}
                  max={35}
                  step={5}
                  onChange={(air_c) => setHeat({ air_c })}
                  said={format('temperature', heat.air_c ?? 15, units)}
                />
              </Box>
            </Flex>
          </Stack>
        </Flex>
      )}
      {inPot && p50 != null && p50 > 2 * HALF_HOUR && (
        <Choice
          label="The last half hour"
          value={posture}
          options={[
            { value: 'same', label: 'as before' },
            { value: 'none', label: 'uncovered, meat turned up for a crust' },
            { value: 'ajar', label: 'lid ajar, to lose water' },
          ]}
          onChange={(lid) =>
            setPlan('last half hour', (before) => {
              const first = before.forecast.stages?.[0];
              const [method, before_heat] = [
                before.forecast.method ?? first?.method ?? undefined,
                before.forecast.heat ?? first?.heat ?? undefined,
              ];
              return {
                ...before,
                forecast: without(
                  lid === 'same'
                    ? { ...before.forecast, stages: undefined, method, heat: before_heat }
                    : {
                        ...before.forecast,
                        method: undefined,
                        heat: undefined,
                        stages: [
                          without({
                            method,
                            heat: before_heat,
                            until: { min: Math.round((p50 - HALF_HOUR) / 5) * 5 },
                          }),
                          { lid: lid },
                        ],
                      },
                ),
              };
            })
          }
        />
      )}
      {(prepared.forecast.stages?.length ?? 0) > 1 && (
        <Stack as="ol" gap={1} listStyleType="none">
          {prepared.forecast.stages?.map((stage, i) => (
            <Text as="li" key={i}>
              <strong>{stage.from_min == null ? '' : `after ${span(stage.from_min)}: `}</strong>
              {stage.words}
            </Text>
          ))}
        </Stack>
      )}
    </Stack>
  );
}
