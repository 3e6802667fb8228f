import type { ReactNode } from 'react';

/** The frame of a drawing that only shows: what it shows is said in words for whoever does not see it. */
export function Picture({
  width,
  height,
  label,
  children,
}: {
  width: number;
  height: number;
  label: string;
  children: ReactNode;
}) {
  return (
    <svg width={width} height={height} role="img" aria-label={label} style={{ display: 'block' }}>
      {children}
    </svg>
  );
}
