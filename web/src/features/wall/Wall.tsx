import { Box, Flex, Text, VisuallyHidden } from '@chakra-ui/react';
import type { Schemas } from '../../api/client';
import { useAtWork, useChanges, useKitchen } from '../../api/queries';
import { useReach } from '../../api/reach';
import { TimeAxis } from '../../drawings/ReadyBand';
import { clock, clockDay, date, millis, span } from '../../format/time';
import { useDeviceNow, useNow } from '../../format/useNow';
import { stripes } from '../../ui/states';
import { useAwake } from '../alarms/useAwake';
import { useDue, useMayRing, useRinging, type Due } from '../alarms/useAlarms';
import { hoursOf } from '../cook/DishBand';
import { isFollowed } from '../cook/glance';
import { BAND_FROM, DishOnTheWall } from './DishOnTheWall';
import { useDimmed, useFresh, useRoom } from './useWall';

/** So many alarms are read from afar; those after them are counted. */
const ALARMS = 3;

/**
 * The whole kitchen from four metres, on one address: the hour, the next bell, what rings, and every dish with what it asks for
 * now, what comes next and when it is tender. It needs no touch and turns nothing off.
 */
export function Wall() {
  useChanges();
  const work = useAtWork();
  const kitchen = useKitchen();
  const now = useNow(1000);
  const deviceNow = useDeviceNow(10_000);
  const due = useDue();
  useAwake();
  useRinging(due);
  useFresh(due.length === 0);
  useDimmed(Boolean(work.data?.asleep) && due.length === 0);
  const { lost, asOf } = useReach();
  const may = useMayRing();
  const { zone } = kitchen.data ?? { zone: 'UTC' };
  const all = work.data?.dishes ?? [];
  const [dishes, left] = [all.filter(isFollowed), all.filter((dish) => !isFollowed(dish))];
  const minute = Math.floor(now / 60_000);
  const [aside, down] = [minute % 2, Math.floor(minute / 2) % 2];
  return (
    <Flex
      as="main"
      direction="column"
      height="100dvh"
      overflow="hidden"
      // The same picture for a week marks a screen: it moves by a hair every minute, within its own margins.
      css={{
        paddingInline: `calc(2.2vw + ${aside}px) calc(2.2vw - ${aside}px)`,
        paddingBlock: `calc(2vh + ${down}px) calc(2vh - ${down}px)`,
      }}
    >
      <VisuallyHidden>
        <h1>The kitchen on the wall</h1>
      </VisuallyHidden>
      <Head {...{ dishes, zone, now }} name={kitchen.data?.name ?? ''} />
      {lost !== undefined && (
        <Text fontSize="clamp(18px, 2.8vh, 34px)" color="caution" fontWeight={700} role="status">
          The kitchen has not answered for {span(Math.max(1, (deviceNow - (asOf ?? lost)) / 60_000))}. What is
          due shows all the same.
        </Text>
      )}
      {due.length > 0 && <Alarms due={due} />}
      {dishes.length === 0 ? (
        <Flex flex="1" align="center" justify="center">
          <Text fontFamily="heading" fontWeight={700} fontSize="clamp(28px, 7vh, 72px)" color="soft">
            {work.data ? 'Nothing is on the heat' : 'Looking into the pots'}
          </Text>
        </Flex>
      ) : (
        <Dishes {...{ dishes, zone, now }} />
      )}
      {left.length > 0 && (
        <Text color="soft" fontSize="clamp(16px, 2.6vh, 30px)" truncate>
          Left open:{' '}
          {left.map(({ name, serve_at: serveAt }) => `${name} of ${date(serveAt, zone)}`).join(', ')}
        </Text>
      )}
      {may === 'not yet' && (
        <Text color="soft" fontSize="small">
          Silent: this browser lets a page ring only after one tap on it.
        </Text>
      )}
    </Flex>
  );
}

/** What the hours along the foot take, px. */
const AXIS = 52;

type Shown = { dishes: Schemas['OnTheHeat'][]; zone: string; now: number };

/** The hour, and the bell that is nearest. */
function Head({ dishes, zone, now, name }: Shown & { name: string }) {
  const [next] = dishes.filter(({ serve_at: serveAt }) => millis(serveAt) > now - 3_600_000);
  const left = next ? (millis(next.serve_at) - now) / 60_000 : 0;
  return (
    <Flex justify="space-between" align="baseline" gap={6} borderBottomWidth="3px" borderColor="rim" pb="1vh">
      <Text
        fontFamily="heading"
        fontWeight={800}
        fontSize="clamp(48px, 13vh, 150px)"
        lineHeight={0.95}
        letterSpacing="-0.03em"
        fontVariantNumeric="tabular-nums"
      >
        {clock(now, zone)}
      </Text>
      <Box textAlign="right" minW={0}>
        <Text color="soft" fontSize="clamp(16px, 2.6vh, 30px)" truncate>
          {name}
        </Text>
        {next && (
          <Text fontFamily="heading" fontWeight={700} fontSize="clamp(24px, 6vh, 68px)" lineHeight={1.05}>
            Plates {clockDay(next.serve_at, zone, now)}
            <Text as="span" color={left < 0 ? 'caution' : 'soft'} fontWeight={600}>
              {' '}
              {left < 0 ? `${span(-left)} ago` : `in ${span(left)}`}
            </Text>
          </Text>
        )}
      </Box>
    </Flex>
  );
}

/** What rings: answered on a screen in somebody's hand, and gone from here within the second. */
function Alarms({ due }: { due: Due[] }) {
  return (
    <Box role="alert" borderLeftWidth="20px" css={stripes} bg="panel" px="1.6vw" py="1vh" my="1vh">
      {due.slice(0, ALARMS).map(({ cook, dish, alarm }) => (
        <Text
          key={`${cook}${alarm.id}`}
          fontFamily="heading"
          fontWeight={800}
          fontSize={due.length > 1 ? 'clamp(22px, 5vh, 56px)' : 'clamp(28px, 8vh, 92px)'}
          lineHeight={1.08}
          color={alarm.sound === 'trouble' ? 'caution' : 'ink'}
        >
          {dish}: {alarm.words}
        </Text>
      ))}
      {due.length > ALARMS && <Text fontSize="clamp(18px, 3vh, 36px)">And {due.length - ALARMS} more</Text>}
    </Box>
  );
}

function Dishes({ dishes, zone, now }: Shown) {
  const { ref, width, height } = useRoom<HTMLDivElement>();
  const row = (height - AXIS) / dishes.length;
  const banded = row >= BAND_FROM;
  const axis = { ...hoursOf(dishes, now), width, zone, now };
  return (
    <Flex ref={ref} direction="column" flex="1" minHeight={0} overflow="hidden">
      {dishes.map((dish) => (
        <DishOnTheWall key={dish.id} dish={dish} row={banded ? row : height / dishes.length} axis={axis} />
      ))}
      {banded && <TimeAxis {...axis} />}
    </Flex>
  );
}
