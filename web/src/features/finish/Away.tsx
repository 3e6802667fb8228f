import { Box, Flex, Grid, Stack, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Lasting, type Lasts } from '../../drawings/Lasting';
import { span } from '../../format/time';
import { Choice } from '../../ui/Choice';
import { Caution } from '../../ui/states';
import { TextLink } from '../../ui/TextLink';
import { LeftOver } from './LeftOver';
import { Section } from './Section';

/** Held hot, cooled, kept, warmed again: whatever does not go on a plate now. */
export function Away({ after }: { after: Schemas['Afterwards'] }) {
  return (
    <Grid
      templateColumns={{ base: 'minmax(0, 1fr)', lg: 'repeat(2, minmax(0, 1fr))' }}
      gap={{ base: 5, lg: 8 }}
    >
      <Stack gap={5} minW={0}>
        <Holding after={after} />
        <Section title="Warm it again">
          <Box as="ul" listStyleType="none">
            {after.reheat.map((way) => (
              <Flex as="li" key={way.warmed_as} gap={4} borderTopWidth="1px" borderColor="line" py={2}>
                <Box flex="1">
                  <Text fontWeight={700}>{way.name}</Text>
                  <Text color="soft">{way.how}</Text>
                </Box>
                <Text whiteSpace="nowrap" fontWeight={600} fontVariantNumeric="tabular-nums">
                  {span(way.min)}
                </Text>
              </Flex>
            ))}
          </Box>
        </Section>
        <Section title="Cold portions">
          <Box as="ul" listStyleType="none">
            {after.cold.map((one) => (
              <Box as="li" key={one.made_up} borderTopWidth="1px" borderColor="line" py={2}>
                <Text fontWeight={700}>{one.name}</Text>
                <Text>{one.how}</Text>
                <Text color="soft">{one.serve}</Text>
              </Box>
            ))}
          </Box>
        </Section>
      </Stack>
      <Stack gap={5} minW={0}>
        <Cooling after={after} />
        <LeftOver left={after.left_over} />
        <DayAfter day={after.day_after} />
      </Stack>
    </Grid>
  );
}

const HOLD_AXIS_H = 8;

function Holding({ after }: { after: Schemas['Afterwards'] }) {
  const rows = after.hold.map((hold): Lasts => {
    const limits = [hold.overcooked_h, hold.safe_h].filter((limit) => limit != null);
    const first = limits.length > 0 ? Math.min(...limits) : undefined;
    const cools = hold.safe_h != null && first === hold.safe_h;
    return {
      key: hold.hold_in,
      name: hold.name,
      words: hold.how,
      hours: first,
      colour: cools ? 'liquid' : 'tender',
      ends: hold.lasts,
    };
  });
  return (
    <Section title="Hold it hot">
      <Lasting label="How long each way of holding is good for" most={HOLD_AXIS_H} rows={rows} />
      <Text mt={3}>{after.party}</Text>
      <Stack mt={3} gap={2}>
        {after.cautions.map((caution) => (
          <Caution key={caution.id}>{caution.text}</Caution>
        ))}
        <TextLink to="/safety">All cautions and your food code</TextLink>
      </Stack>
    </Section>
  );
}

const COOL_AXIS_H = 12;

function Cooling({ after }: { after: Schemas['Afterwards'] }) {
  const [what, setWhat] = useState<'left' | 'all'>('left');
  const some = after.cool_left.length > 0;
  const ways = some && what === 'left' ? after.cool_left : after.cool_all;
  const rows = ways.map((way): Lasts => ({
    key: way.cool_in,
    name: way.name,
    words: way.words,
    hours: way.to_cold_min / 60,
    mark: way.to_cool_min / 60,
    colour: way.in_time ? 'liquid' : 'caution',
    ends: way.ends,
  }));
  return (
    <Section title="Cool it fast">
      {some && (
        <Choice
          label="How much"
          hideLabel
          value={what}
          options={[
            { value: 'left', label: 'what is left over' },
            { value: 'all', label: 'all of it' },
          ]}
          onChange={setWhat}
        />
      )}
      {after.stood != null && <Text mt={2}>{after.stood}</Text>}
      <Box mt={2}>
        <Lasting label="How long each way takes to cold" most={COOL_AXIS_H} rows={rows} />
      </Box>
    </Section>
  );
}

function DayAfter({ day }: { day: Schemas['DayAfter'] }) {
  return (
    <Section title="All of it the day after">
      <Box as="ol" listStyleType="none">
        {day.steps.map((step) => (
          <Box as="li" key={step.words} borderTopWidth="1px" borderColor="line" py={2}>
            <Text fontWeight={600}>{step.words}</Text>
            <Text color="soft">{step.why}</Text>
          </Box>
        ))}
      </Box>
      <Text mt={2} fontWeight={700}>
        {day.words}
      </Text>
    </Section>
  );
}
