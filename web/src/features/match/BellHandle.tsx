import { Box } from '@chakra-ui/react';
import { useRef } from 'react';
import { timeScale } from '../../drawings/timeScale';
import { clock, weekday } from '../../format/time';

const QUARTER = 900_000;

/** The bell on its axis: dragged along it, or moved by the arrow keys (a quarter of an hour, with shift an hour). */
export function BellHandle({
  from,
  to,
  width,
  bell,
  zone,
  onBell,
}: {
  from: number;
  to: number;
  width: number;
  bell: number;
  zone: string;
  onBell: (at: number, done: boolean) => void;
}) {
  const held = useRef<{ x: number; bell: number; perPixel: number }>(undefined);
  const x = timeScale(from, to, width)(bell);
  const rung = (clientX: number) => {
    const { x: grabbed, bell: was, perPixel } = held.current!;
    return Math.round((was + (clientX - grabbed) * perPixel) / 300_000) * 300_000;
  };
  return (
    <Box
      role="slider"
      tabIndex={0}
      aria-label="The bell"
      aria-orientation="horizontal"
      aria-valuemin={Math.round(from / 60_000)}
      aria-valuemax={Math.round(to / 60_000)}
      aria-valuenow={Math.round(bell / 60_000)}
      aria-valuetext={`${weekday(bell, zone)} ${clock(bell, zone)}`}
      position="absolute"
      top={0}
      left={`${Math.min(width - 22, Math.max(22, x)) - 22}px`}
      width="44px"
      height="44px"
      cursor="ew-resize"
      borderRadius="10px"
      css={{ touchAction: 'none' }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture?.(event.pointerId);
        // The axis may stretch while it is dragged: what a pixel was worth when it was taken holds.
        held.current = { x: event.clientX, bell, perPixel: (to - from) / width };
      }}
      onPointerMove={(event) => held.current && onBell(rung(event.clientX), false)}
      onPointerUp={(event) => {
        if (held.current) onBell(rung(event.clientX), true);
        held.current = undefined;
      }}
      onPointerCancel={() => (held.current = undefined)}
      onKeyDown={(event) => {
        const way = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
        if (!way) return;
        event.preventDefault();
        onBell(bell + way * (event.shiftKey ? 4 : 1) * QUARTER, true);
      }}
    />
  );
}
