import { useState } from 'react';

/** The last answer there was: a figure that is refused leaves the picture standing that was good before. */
export function useLastGood<T>(value: T | undefined): T | undefined {
  const [last, setLast] = useState(value);
  if (value !== undefined && value !== last) setLast(value);
  return value ?? last;
}
