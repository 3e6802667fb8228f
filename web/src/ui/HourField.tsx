import { Input } from '@chakra-ui/react';
import { parseTime } from '@internationalized/date';
import { useState } from 'react';
import { hoursCounted } from '../format/time';
import { Labelled, type Common } from './Labelled';

type Props = Common & {
  /** `22:30`; empty where no hour is set. */
  value: string;
  onChange: (value: string) => void;
};

/** `22:30` from what a cook types: 22:30, 22.30, 2230, 10:30 pm, 10 pm. */
export function hourOf(typed: string): string | undefined {
  const found = /^\s*(\d{1,2})(?:[:. ]?(\d{2}))?\s*([ap])?\.?m?\.?\s*$/i.exec(typed);
  if (!found) return undefined;
  const [, hours, minutes = '00', half] = found;
  const twelve = Number(hours) % 12;
  const hour = half ? twelve + (half.toLowerCase() === 'p' ? 12 : 0) : Number(hours);
  try {
    return parseTime(`${String(hour).padStart(2, '0')}:${minutes}`)
      .toString()
      .slice(0, 5);
  } catch {
    return undefined;
  }
}

/** As the kitchen writes an hour. */
function shownAs(value: string): string {
  if (value === '' || hoursCounted() === 24) return value;
  const { hour, minute } = parseTime(value);
  return `${hour % 12 === 0 ? 12 : hour % 12}:${String(minute).padStart(2, '0')} ${hour < 12 ? 'am' : 'pm'}`;
}

/** An hour of the day, typed and shown in the kitchen's own way. */
export function HourField({ value, onChange, error, ...common }: Props) {
  const [typed, setTyped] = useState<string>();
  const wrong = typed !== undefined && typed.trim() !== '' && hourOf(typed) === undefined;
  return (
    <Labelled {...common} error={wrong ? `“${typed}” is not an hour such as ${shownAs('22:30')}` : error}>
      <Input
        value={typed ?? shownAs(value)}
        onChange={(event) => {
          setTyped(event.target.value);
          const hour = hourOf(event.target.value);
          if (hour !== undefined) onChange(hour);
          else if (event.target.value.trim() === '') onChange('');
        }}
        onBlur={() => setTyped(undefined)}
      />
    </Labelled>
  );
}
