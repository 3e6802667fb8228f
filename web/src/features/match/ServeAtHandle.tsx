import { Box } from '@chakra-ui/react';
import { timeScale } from '../../drawings/timeScale';
import { arrowSteps, useDragged, useHandle } from '../../drawings/useDragged';
import { clockDay } from '../../format/time';
import { useNow } from '../../format/useNow';

const QUARTER = 900_000;
const FIVE_MIN = 300_000;

/** The bell on its axis: dragged along it, or moved by the arrow keys (a quarter of an hour, with shift an hour). */
export function ServeAtHandle({
  from,
  to,
  width,
  serveAt,
  zone,
  onServeAt,
}: {
  from: number;
  to: number;
  width: number;
  serveAt: number;
  zone: string;
  onServeAt: (at: number, done: boolean) => void;
}) {
  const now = useNow(30_000);
  const x = timeScale(from, to, width)(serveAt);
  // The axis may stretch while it is dragged: what a pixel was worth when it was taken holds.
  const handle = useHandle();
  const dragged = useDragged({
    take: () => ({ serveAt, perPixel: (to - from) / width }),
    move: (taken, by, _, done) =>
      onServeAt(Math.round((taken.serveAt + by.x * taken.perPixel) / FIVE_MIN) * FIVE_MIN, done),
  });
  return (
    <Box
      {...handle}
      aria-label="The bell"
      aria-orientation="horizontal"
      aria-valuemin={Math.round(from / 60_000)}
      aria-valuemax={Math.round(to / 60_000)}
      aria-valuenow={Math.round(serveAt / 60_000)}
      aria-valuetext={clockDay(serveAt, zone, now)}
      position="absolute"
      top={0}
      left={`${Math.min(width - 22, Math.max(22, x)) - 22}px`}
      width="44px"
      height="44px"
      cursor="ew-resize"
      borderRadius="10px"
      css={{ touchAction: 'none' }}
      {...dragged()}
      onKeyDown={(event) => {
        const steps = arrowSteps(event, 4);
        if (steps) onServeAt(serveAt + steps * QUARTER, true);
      }}
    />
  );
}
