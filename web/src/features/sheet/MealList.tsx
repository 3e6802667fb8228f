import { Box, Flex, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import type { Schemas } from '../../api/client';
import { tap } from '../../api/outbox';
import { clock, date, day, hourAndMinute, instantOf, localText, millis, span } from '../../format/time';
import type { Units } from '../../format/units';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { Caution } from '../../ui/states';
import { WhenField } from '../../ui/WhenField';
import { useHands } from '../devices/hands';

type Task = Schemas['MealTask'];
type Said = { at?: string; min?: number };

type Props = {
  sheet: Schemas['MealSheet'];
  units: Units;
  now: number;
  chosen?: string;
  onChoose: (task: string | undefined) => void;
  /** What is said of a task; nothing where it is to move freely again. */
  onSay: (task: Task, said: Said | undefined) => void;
};

const DAY = 86_400_000;

/** An evening begins. */
const EVENING = 17;

/** `Today`, `Tonight`, `Tomorrow`, `On the day`: how far off it is, as it is said. */
function spoken(at: string, zone: string, now: number, serveAt: string) {
  if (day(at, zone) === day(now, zone)) return hourAndMinute(at, zone)[0] >= EVENING ? 'Tonight' : 'Today';
  if (day(at, zone) === day(now + DAY, zone)) return 'Tomorrow';
  return day(at, zone) === day(serveAt, zone) ? 'On the day' : '';
}

/** The meal in words, numbered as in the picture: when, which dish, what, why. */
export function MealList({ sheet, units, now, chosen, onChoose, onSay }: Props) {
  const { tasks, zone, serve_at: serveAt } = sheet;
  const alone = sheet.dishes.length === 1;
  useEffect(() => {
    if (chosen) document.getElementById(`task-${chosen}`)?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  return (
    <Box as="ol" listStyleType="none" aria-label="Sheet of the meal" className="no-print">
      {tasks.map((task, i) => {
        const minutes = (millis(task.end) - millis(task.start)) / 60_000;
        const before = tasks[i - 1];
        const said = spoken(task.start, zone, now, serveAt);
        const newDay =
          !before ||
          day(task.start, zone) !== day(before.start, zone) ||
          said !== spoken(before.start, zone, now, serveAt);
        const amiss = sheet.conflicts.filter((conflict) => conflict.tasks[0] === task.id);
        return (
          <Box
            as="li"
            key={task.id}
            id={`task-${task.id}`}
            aria-current={chosen === task.id ? 'true' : undefined}
          >
            {newDay && (
              <Text fontFamily="heading" fontSize="lead" fontWeight={700} mt={i === 0 ? 0 : 4} mb={1}>
                {said && `${said}, `}
                {date(task.start, zone)}
              </Text>
            )}
            <Flex
              columnGap={{ base: 3, md: 4 }}
              wrap={{ base: 'wrap', md: 'nowrap' }}
              py={2}
              px={{ base: 0, md: 2 }}
              borderTopWidth="1px"
              borderColor="line"
              bg={chosen === task.id ? 'panel' : undefined}
              css={{ breakInside: 'avoid' }}
              color={task.done ? 'soft' : undefined}
            >
              <Text
                display={{ base: 'none', md: 'block' }}
                color="soft"
                minW="1.8rem"
                textAlign="right"
                fontVariantNumeric="tabular-nums"
                fontSize="small"
                pt={1}
              >
                {i + 1}
              </Text>
              <Box minW="3.6rem">
                <Text fontSize="lead" fontWeight={700} fontVariantNumeric="tabular-nums" lineHeight={1.3}>
                  {clock(task.start, zone)}
                </Text>
                <Text display={{ base: 'block', md: 'none' }} color="soft" fontSize="small">
                  {minutes > 0 ? span(minutes) : ''}
                </Text>
                {task.second_time && (
                  <Text fontSize="small" color="caution">
                    second time
                  </Text>
                )}
              </Box>
              <Box
                width="12px"
                flexShrink={0}
                borderRadius="4px"
                borderWidth="2px"
                borderColor={task.hands_on && !task.done ? 'hands' : 'soft'}
                bg={!task.hands_on ? 'transparent' : task.done ? 'soft' : 'hands'}
                borderStyle={task.kind === 'hold' ? 'dotted' : 'solid'}
                title={task.hands_on ? 'hands-on' : 'waiting'}
              />
              <Box flex="1" minW={0}>
                <Text fontSize="small" color="soft">
                  {[
                    !alone && task.dish,
                    task.taken || task.whose,
                    task.pinned && 'pinned',
                    task.done && 'done',
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </Text>
                <Text
                  fontWeight={task.hands_on && !task.done ? 600 : 400}
                  textDecoration={task.done ? 'line-through' : undefined}
                >
                  {task.what}
                </Text>
                {amiss.map((conflict) => (
                  <Caution key={conflict.text}>{conflict.text}</Caution>
                ))}
                <Text color="soft" fontSize="small">
                  {task.why}
                </Text>
                {(task.done ? [] : task.cautions).map((caution) => (
                  <Caution key={caution.id}>{caution.text}</Caution>
                ))}
                {task.moves && chosen === task.id && (
                  <Moved task={task} zone={zone} units={units} onSay={(said) => onSay(task, said)} />
                )}
              </Box>
              {task.cook && task.hands_on && !task.taken && <IHaveIt cook={task.cook} task={task} />}
              {task.moves && (
                <Flex
                  className="no-print"
                  flexBasis={{ base: '100%', md: 'auto' }}
                  justify="flex-end"
                  alignSelf="center"
                >
                  <Button
                    weight="quiet"
                    aria-expanded={chosen === task.id}
                    aria-label={`Move it: ${task.what}`}
                    onClick={() => onChoose(chosen === task.id ? undefined : task.id)}
                  >
                    {chosen === task.id ? 'Close' : 'Move'}
                  </Button>
                </Flex>
              )}
              <Text
                display={{ base: 'none', md: 'block' }}
                color="soft"
                minW="4.2rem"
                textAlign="right"
                fontVariantNumeric="tabular-nums"
                fontSize="small"
                pt={1}
              >
                {minutes > 0 ? span(minutes) : ''}
                <Box as="span" srOnly>
                  {task.hands_on ? ' hands-on' : ' waiting'}
                </Box>
              </Text>
            </Flex>
          </Box>
        );
      })}
    </Box>
  );
}

/** When a task starts and how long it takes, by typing: kept when the field is left. */
function Moved({
  task,
  zone,
  units,
  onSay,
}: {
  task: Task;
  zone: string;
  units: Units;
  onSay: (said: Said | undefined) => void;
}) {
  const [at, setAt] = useState<string>();
  const [min, setMin] = useState<number>();
  const takes = (millis(task.end) - millis(task.start)) / 60_000;
  return (
    <Flex gap={4} wrap="wrap" align="flex-end" mt={2} className="no-print">
      <Box
        onBlur={(event) => {
          if (event.currentTarget.contains(event.relatedTarget)) return;
          const starts = at && instantOf(at, zone);
          if (starts && starts !== task.start) onSay({ at: starts });
          setAt(undefined);
        }}
      >
        <WhenField label="Starts" value={at ?? localText(task.start, zone)} units={units} onChange={setAt} />
      </Box>
      <Box
        maxW="9rem"
        onBlur={() => {
          if (min && Math.round(min) !== takes) onSay({ min: Math.round(min) });
          setMin(undefined);
        }}
      >
        <NumberField label="Takes" value={min ?? takes} unit="min" min={1} onChange={setMin} />
      </Box>
      {(task.pinned || task.own_min) && <Button onClick={() => onSay(undefined)}>As it comes</Button>}
    </Flex>
  );
}

/** Takes a task of a dish that is being cooked in hand: the other cook sees it, and its alarm is answered. */
function IHaveIt({ cook, task }: { cook: string; task: Task }) {
  const hands = useHands();
  const [tapped, setTapped] = useState(false);
  return (
    <Flex className="no-print" flexBasis={{ base: '100%', md: 'auto' }} justify="flex-end" alignSelf="center">
      <Button
        disabled={tapped}
        aria-label={`I have it: ${task.what}`}
        onClick={() => {
          setTapped(true);
          tap(cook, { kind: 'task_taken', task: task.step, hands });
        }}
      >
        I have it
      </Button>
    </Flex>
  );
}
