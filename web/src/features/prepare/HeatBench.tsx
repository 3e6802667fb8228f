import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { patched } from '../../api/merge';
import { CoalRing } from '../../drawings/CoalRing';
import { span } from '../../format/time';
import { dialOf, format } from '../../format/units';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { Offers } from '../../ui/Offers';
import { RowOf, Rows } from '../../ui/Rows';
import { Slider } from '../../ui/Slider';
import type { BenchProps } from './bench';

/** The dial as a picture: each setting with its time, the water it costs and what becomes of the meat. */
export function HeatBench({ prepared, units, choose, setBench, setForecast, setPlan }: BenchProps) {
  const { dial, coals, dish, offers } = prepared;
  const { heat } = dish;
  const setHeat = (changed: Partial<Schemas['Heat']>) =>
    setPlan('heat', (plan) => patched(plan, { forecast: { heat: changed } }));
  const longest = Math.max(1, ...dial.map((setting) => setting.ready_min ?? 0));
  const wettest = Math.max(0.05, ...dial.map((setting) => setting.loss_l));
  return (
    <Stack gap={5}>
      <Offers label="On or in" offers={offers.source} onChoose={(offer) => choose('source', offer)} />
      <Offers label="Which one" offers={offers.heat} onChoose={(offer) => choose('heated by', offer)} />
      {dial.length > 0 && (
        <Rows
          label="The dial"
          value={dial.find((setting) => setting.chosen)?.words}
          onChange={(words) => {
            const setting = dial.find((found) => found.words === words);
            if (setting) setForecast('dial', { heat: setting.heat });
          }}
        >
          <Flex fontSize="small" color="soft" px={3} pb={1} gap={3} display={{ base: 'none', sm: 'flex' }}>
            <Text width="200px">set to</Text>
            <Text flex="1">tender after</Text>
            <Text width="148px">water lost</Text>
            <Text width="92px" textAlign="right">
              on the plate
            </Text>
          </Flex>
          {dial.map((setting) => (
            <RowOf
              key={setting.words}
              value={setting.words}
              display="flex"
              flexWrap={{ base: 'wrap', sm: 'nowrap' }}
              alignItems="center"
              gap={3}
              width="100%"
              minHeight="60px"
              px={3}
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
            </RowOf>
          ))}
        </Rows>
      )}
      {heat.set_c != null && !dish.chain && (
        <Box maxW="360px">
          <Slider
            label="Oven"
            {...dialOf(heat.set_c, [90, 220], units, (set_c) => setHeat({ set_c }))}
            said={format('dial', heat.set_c, units)}
          />
        </Box>
      )}
      {heat.pit_c != null && !dish.chain && (
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
                wrap: wrap === 'bare' ? undefined : { ...heat.wrap, in: wrap },
              })
            }
          />
          <Choice
            label="Wood"
            value={dish.bench.wood}
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
              {...dialOf(heat.pit_c, [90, 170], units, (pit_c) => setHeat({ pit_c }))}
              said={format('dial', heat.pit_c, units)}
            />
          </Box>
        </Flex>
      )}
      {heat.release != null && !dish.chain && (
        <Flex gap={4} wrap="wrap" align="flex-end">
          <Choice
            label="Let go"
            value={heat.release}
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
                value={heat.wind ?? undefined}
                options={[
                  { value: 'calm', label: 'calm' },
                  { value: 'breezy', label: 'leaves move' },
                  { value: 'windy', label: 'branches move' },
                ]}
                onChange={(wind) => setHeat({ wind })}
              />
              {heat.air_c != null && (
                <Box width="200px">
                  <Slider
                    label="Air outside"
                    value={heat.air_c}
                    min={-25}
                    max={35}
                    step={5}
                    onChange={(air_c) => setHeat({ air_c })}
                    said={format('temperature', heat.air_c, units)}
                  />
                </Box>
              )}
            </Flex>
          </Stack>
        </Flex>
      )}
      <Offers
        label="The last half hour"
        offers={offers.ending}
        onChoose={(offer) => choose('last half hour', offer)}
      />
      {prepared.forecast.stages.length > 1 && (
        <Stack as="ol" gap={1} listStyleType="none">
          {prepared.forecast.stages.map((stage) => (
            <Text as="li" key={`${stage.words} ${stage.from_min}`}>
              <strong>{stage.from_min == null ? '' : `after ${span(stage.from_min)}: `}</strong>
              {stage.words}
            </Text>
          ))}
        </Stack>
      )}
    </Stack>
  );
}
