import { Stack, Text } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { memo, useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiFault, api, type Schemas } from '../../api/client';
import { useKitchen, useMeals } from '../../api/queries';
import { clockDay, inHundred, millis, span } from '../../format/time';
import { format, type Units } from '../../format/units';
import { useNow } from '../../format/useNow';
import { Because } from '../../ui/Because';
import { Button } from '../../ui/Button';
import { Pairs } from '../../ui/Pairs';
import { OWN_TABLE, TableField } from '../../ui/TableField';
import { TextField } from '../../ui/TextField';
import { ThumbBar } from '../../ui/ThumbBar';
import { Caution, Fault } from '../../ui/states';
import { whyOfPlan } from '../why/address';
import { MAX_BESIDE } from './state';

type Choice = Schemas['Choice'];

const fives = (minutes: number) => span(Math.round(minutes / 5) * 5);

/** The facts of a choice that a cook weighs, as pairs of word and figure. */
export function facts(choice: Choice, units: Units, zone: string, now: number): [string, string][] {
  const { cost_a_head: head, cost_per_portion: portion } = choice;
  return [
    ['in time, then held hot', `${inHundred(choice.chance_ready)} in 100`],
    ['the heat left on till the bell', `${inHundred(choice.chance_left_on)} in 100 just right`],
    ['start by', choice.start_by ? clockDay(choice.start_by, zone, now) : 'never tender'],
    ['waits hot', choice.hold_min >= 5 ? `${fives(choice.hold_min)} as a rule` : 'hardly'],
    ['hands', fives(choice.hands_on_min)],
    [
      'on the plate',
      `${format('mass', choice.yield_kg, units)}, ${format('small_mass', Math.round(choice.grams_a_head), units)} a head`,
    ],
    [
      'meat costs',
      head == null || portion == null
        ? 'no price known'
        : `${head.toFixed(2)} a head, ${portion.toFixed(2)} a portion`,
    ],
    [
      'sauce',
      choice.sauce_l > 0
        ? `${format('volume', Number(choice.sauce_l.toFixed(1)), units)}, ${choice.sauce_body}`
        : choice.sauce_body,
    ],
    ['outside', choice.bark ? 'a bark' : 'no bark'],
    ['burns', choice.fuel.words],
    ['to wash', choice.washing_up.words],
  ];
}

/** Why this way, what it comes to, and the one next thing: plan it. */
export const Side = memo(function Side({
  choice,
  units,
  zone,
  now,
  beside,
  onBeside,
  planNow,
}: {
  choice: Choice;
  units: Units;
  zone: string;
  now: number;
  beside: string[];
  onBeside: (ids: string[]) => void;
  /** The plan of this choice for what stands on the screen now, asked anew where the answer is older than that. */
  planNow: (choice: string) => Promise<Schemas['Plan']>;
}) {
  const late = choice.start_by != null && millis(choice.start_by) < now;
  const compared = beside.includes(choice.id);
  return (
    <Stack gap={5}>
      {choice.verdict !== 'unsuitable' && (
        <PlanIt choice={choice} planNow={planNow} key={choice.id + choice.plan.name} />
      )}
      <Because
        why={whyOfPlan(choice.plan)}
        rule={
          <>
            <Text>
              Dozens of cooks of this piece are simulated, spread evenly over what nobody knows: the animal,
              the thickness, the oven, the lid. The band holds the middle eight in ten.
            </Text>
            <Text>
              Work before the heat {fives(choice.lead_min)}; plates {fives(choice.finishing_min)} after
              lifting: skim, sauce, rest, slice.
            </Text>
          </>
        }
      >
        <Text>{choice.why}</Text>
        {choice.start_by && (
          <Text>
            {late ? 'It should have started by ' : 'Start by '}
            <strong>{clockDay(choice.start_by, zone, now)}</strong> to be sure enough.
          </Text>
        )}
        {choice.clashes.map((clash) => (
          <Text key={clash} fontWeight={600}>
            {clash}
          </Text>
        ))}
        {choice.cautions.map((caution) => (
          <Caution key={caution.id}>{caution.text}</Caution>
        ))}
      </Because>
      <Pairs pairs={facts(choice, units, zone, now)} />
      <Button
        onClick={() => onBeside(compared ? beside.filter((id) => id !== choice.id) : [...beside, choice.id])}
        disabled={!compared && beside.length >= MAX_BESIDE}
      >
        {compared ? 'Take it from the comparison' : 'Compare it with others'}
      </Button>
    </Stack>
  );
});

function PlanIt({
  choice,
  planNow,
}: {
  choice: Choice;
  planNow: (choice: string) => Promise<Schemas['Plan']>;
}) {
  const navigate = useNavigate();
  const [name, setName] = useState<string>();
  const [table, setTable] = useState<string>(OWN_TABLE);
  const meals = useMeals();
  const kitchen = useKitchen();
  const now = useNow(60_000);
  // Made once: pressed twice it is still one plan.
  const [id] = useState(() => crypto.randomUUID());
  const save = useMutation({
    mutationFn: async () => {
      const plan = await planNow(choice.id);
      await api.savePlan(id, 0, { ...plan, name: name ?? plan.name });
      if (table !== OWN_TABLE) await api.bringDish(table, id);
    },
    onSuccess: () => navigate(`/prepare/${id}`),
  });
  const fault = save.error instanceof ApiFault && save.error.field === 'plan.name' ? save.error : undefined;
  return (
    <Stack gap={3}>
      <TextField
        label="Call the dish"
        value={name ?? choice.plan.name}
        onChange={setName}
        maxLength={80}
        error={fault?.message}
      />
      {kitchen.data && meals.data && meals.data.length > 0 && (
        <TableField meals={meals.data} value={table} onChange={setTable} zone={kitchen.data.zone} now={now} />
      )}
      <ThumbBar>
        <Button weight="first" size="large" onClick={() => save.mutate()} disabled={save.isPending}>
          Plan it this way
        </Button>
      </ThumbBar>
      {save.error && !fault && <Fault error={save.error} />}
    </Stack>
  );
}
