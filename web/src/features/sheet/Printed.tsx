import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import type { Schemas } from '../../api/client';
import { clock, date, day, span } from '../../format/time';

type Task = Schemas['MealTask'];

/** More tasks than this are printed small, so that they stay on the one page. */
const MANY = 45;

/** Tasks by the day they begin on. */
function byDay(tasks: Task[], zone: string) {
  const days: { name: string; tasks: Task[] }[] = [];
  for (const task of tasks) {
    const last = days.at(-1);
    const before = last?.tasks[0];
    if (last && before && day(before.start, zone) === day(task.start, zone)) last.tasks.push(task);
    else days.push({ name: date(task.start, zone), tasks: [task] });
  }
  return days;
}

/** Whether the page is on its way to paper. */
function usePrinting() {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    // The browser draws the paper as soon as this returns.
    const begins = () => flushSync(() => setPrinting(true));
    const ends = () => setPrinting(false);
    window.addEventListener('beforeprint', begins);
    window.addEventListener('afterprint', ends);
    return () => {
      window.removeEventListener('beforeprint', begins);
      window.removeEventListener('afterprint', ends);
    };
  }, []);
  return printing;
}

/** On paper only: one page of everything to pin on the wall, and a card a dish. */
export function Printed({ name, sheet }: { name: string; sheet: Schemas['MealSheet'] }) {
  const printing = usePrinting();
  const { tasks, zone } = sheet;
  if (!printing) return null;
  const small = tasks.length > MANY;
  return (
    <Box>
      <Flex align="baseline" gap={4} wrap="wrap">
        <Heading as="h2" fontFamily="heading" fontSize="20pt">
          {name}
        </Heading>
        <Text fontSize="12pt" fontWeight={700}>
          plates {date(sheet.served_at, zone)} {clock(sheet.served_at, zone)}
        </Text>
      </Flex>
      {[...sheet.clock_changes, ...sheet.gave_way, ...sheet.conflicts].map(({ text }) => (
        <Text key={text} fontSize="9pt" borderLeftWidth="3px" borderColor="ink" pl={2} my={1}>
          {text}
        </Text>
      ))}
      <Box css={{ columnCount: 2, columnGap: '18pt' }} fontSize={small ? '7.5pt' : '9.5pt'} lineHeight={1.25}>
        {byDay(tasks, zone).map(({ name: dayName, tasks: ofDay }) => (
          <Box key={dayName}>
            <Text fontWeight={700} fontSize="1.25em" mt={1} css={{ breakAfter: 'avoid' }}>
              {dayName}
            </Text>
            {ofDay.map((task) => (
              <Line key={task.id} task={task} zone={zone} dish={sheet.dishes.length > 1} />
            ))}
          </Box>
        ))}
      </Box>
      {sheet.dishes.map((dish) => (
        <Box key={dish.number} css={{ breakBefore: 'page' }} fontSize="11pt" lineHeight={1.35}>
          <Heading as="h2" fontFamily="heading" fontSize="20pt">
            {dish.dish}
          </Heading>
          <Text mb={2}>
            Lift it {date(dish.lift_at, zone)} {clock(dish.lift_at, zone)}, plates{' '}
            {clock(sheet.served_at, zone)}
          </Text>
          {byDay(
            tasks.filter((task) => task.number === dish.number),
            zone,
          ).map(({ name: dayName, tasks: ofDay }) => (
            <Box key={dayName}>
              <Text fontWeight={700} mt={2} css={{ breakAfter: 'avoid' }}>
                {dayName}
              </Text>
              {ofDay.map((task) => (
                <Box key={task.id} css={{ breakInside: 'avoid' }}>
                  <Line task={task} zone={zone} dish={false} />
                  <Text fontSize="8.5pt" color="soft" pl="5.5em">
                    {task.why}
                  </Text>
                </Box>
              ))}
            </Box>
          ))}
        </Box>
      ))}
    </Box>
  );
}

function Line({ task, zone, dish }: { task: Task; zone: string; dish: boolean }) {
  const minutes = (Date.parse(task.end) - Date.parse(task.start)) / 60_000;
  return (
    <Flex gap="0.6em" css={{ breakInside: 'avoid' }} py="0.15em">
      <Text as="span" fontWeight={700} fontVariantNumeric="tabular-nums" minW="3.4em" flexShrink={0}>
        {clock(task.start, zone)}
        {task.second_time && '²'}
      </Text>
      <Box
        as="span"
        width="0.8em"
        height="0.8em"
        mt="0.2em"
        flexShrink={0}
        borderWidth={task.hands_on ? '1.5px' : 0}
        borderColor="ink"
      />
      <Text as="span" flex="1" fontWeight={task.hands_on ? 600 : 400}>
        {dish && <em>{task.dish}: </em>}
        {task.what}
        {task.whose && ` (${task.whose})`}
        {minutes >= 60 && !task.hands_on && `, ${span(minutes)}`}
      </Text>
    </Flex>
  );
}
