import { Box, Flex, Text } from '@chakra-ui/react';
import { useEffect } from 'react';
import type { Schemas } from '../../api/client';
import { clock, date, day, millis, span } from '../../format/time';
import { Caution } from '../../ui/states';

type Props = { tasks: Schemas['MealTask'][]; zone: string; now: number; chosen?: string };

const DAY = 86_400_000;

/** `Tonight`, `Tomorrow`, or none: how far off a day is, as it is said. */
function spoken(at: string, zone: string, now: number) {
  if (day(at, zone) === day(now, zone)) return 'Today, ';
  return day(at, zone) === day(now + DAY, zone) ? 'Tomorrow, ' : '';
}

/** The meal in words, numbered as in the picture: when, which dish, what, why. */
export function MealList({ tasks, zone, now, chosen }: Props) {
  useEffect(() => {
    if (chosen) document.getElementById(`task-${chosen}`)?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  return (
    <Box as="ol" listStyleType="none" aria-label="Sheet of the meal">
      {tasks.map((task, i) => {
        const minutes = (millis(task.end) - millis(task.start)) / 60_000;
        const before = tasks[i - 1];
        const newDay = !before || day(task.start, zone) !== day(before.start, zone);
        return (
          <Box
            as="li"
            key={task.id}
            id={`task-${task.id}`}
            aria-current={chosen === task.id ? 'true' : undefined}
          >
            {newDay && (
              <Text fontFamily="heading" fontSize="lead" fontWeight={700} mt={i === 0 ? 0 : 4} mb={1}>
                {spoken(task.start, zone, now)}
                {date(task.start, zone)}
              </Text>
            )}
            <Flex
              gap={{ base: 3, md: 4 }}
              py={2}
              px={{ base: 0, md: 2 }}
              borderTopWidth="1px"
              borderColor="line"
              bg={chosen === task.id ? 'panel' : undefined}
              css={{ breakInside: 'avoid' }}
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
                borderColor={task.hands_on ? 'hands' : 'soft'}
                bg={task.hands_on ? 'hands' : 'transparent'}
                borderStyle={task.kind === 'hold' ? 'dotted' : 'solid'}
                title={task.hands_on ? 'hands-on' : 'waiting'}
              />
              <Box flex="1" minW={0}>
                <Text fontSize="small" color="soft">
                  {task.dish}
                  {task.whose && `, ${task.whose}`}
                  {task.pinned && ', pinned'}
                </Text>
                <Text fontWeight={task.hands_on ? 600 : 400}>{task.what}</Text>
                <Text color="soft" fontSize="small">
                  {task.why}
                </Text>
                {task.cautions.map((caution) => (
                  <Caution key={caution.id}>{caution.text}</Caution>
                ))}
              </Box>
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
