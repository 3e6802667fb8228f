const MINUTE = 60_000;

/** A stretch of time in which something is done, with its place in pixels. */
export type Stretch = { from: number; to: number; x: number; width: number };

export type Folded = {
  stretches: Stretch[];
  x: (at: number) => number;
  /** Which moment lies there; before the first stretch and after the last it goes on at their pace. */
  at: (x: number) => number;
  creases: { x: number; from: number; to: number }[];
};

const CREASE = 34;

/** Time with its empty stretches folded away: spans with less than `gap` minutes between them stay together. */
export function fold(spans: { from: number; to: number }[], width: number, gap = 100): Folded {
  const sorted = [...spans].sort((a, b) => a.from - b.from);
  const merged: { from: number; to: number }[] = [];
  for (const span of sorted) {
    const last = merged[merged.length - 1];
    if (last && span.from - last.to < gap * MINUTE) last.to = Math.max(last.to, span.to);
    else merged.push({ ...span });
  }
  // A little air at each side, and never so thin that it can't be seen.
  const aired = merged.map(({ from, to }) => ({
    from: from - 10 * MINUTE,
    to: Math.max(to, from + 30 * MINUTE) + 10 * MINUTE,
  }));
  const total = aired.reduce((sum, { from, to }) => sum + (to - from), 0);
  const room = width - CREASE * (aired.length - 1);
  let x = 0;
  const stretches = aired.map(({ from, to }) => {
    const wide = ((to - from) / total) * room;
    const stretch = { from, to, x, width: wide };
    x += wide + CREASE;
    return stretch;
  });
  const creases = stretches.flatMap((next, i) => {
    const before = stretches[i - 1];
    return before ? [{ x: next.x - CREASE / 2, from: before.to, to: next.from }] : [];
  });
  const place = (at: number) => {
    for (const stretch of stretches) {
      if (at < stretch.from) return stretch.x - CREASE / 2;
      if (at <= stretch.to)
        return stretch.x + ((at - stretch.from) / (stretch.to - stretch.from)) * stretch.width;
    }
    return width;
  };
  const moment = (px: number) => {
    const [first, last] = [stretches[0], stretches.at(-1)];
    if (!first || !last) return 0;
    const within = stretches.find((stretch) => px <= stretch.x + stretch.width) ?? last;
    const before = stretches[stretches.indexOf(within) - 1];
    if (before && px < within.x)
      return before.to + ((px - before.x - before.width) / CREASE) * (within.from - before.to);
    return within.from + ((px - within.x) / within.width) * (within.to - within.from);
  };
  return { stretches, x: place, at: moment, creases };
}
