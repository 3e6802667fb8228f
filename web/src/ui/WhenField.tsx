import { DateInput, Field } from '@chakra-ui/react';
import {
  parseDateTime,
  toCalendarDateTime,
  type CalendarDateTime,
  type DateValue,
} from '@internationalized/date';
import { useMayChange } from '../api/role';
import { hoursCounted } from '../format/time';
import type { Units } from '../format/units';
import type { Common } from './Labelled';

type Props = Common & {
  /** `2027-02-06T18:30`, in the kitchen's zone; empty where no time is set. */
  value: string;
  onChange: (value: string) => void;
  units: Units;
};

const read = (text: string): CalendarDateTime | undefined => {
  try {
    return parseDateTime(text);
  } catch {
    return undefined;
  }
};

const written = (value: DateValue) => toCalendarDateTime(value).toString().slice(0, 16);

/** A day and an hour, typed part by part in the kitchen's own way: the day before the month, of 24 hours or of 12. */
export function WhenField({ label, value, onChange, units, error, hint, hideLabel }: Props) {
  const time = read(value);
  const may = useMayChange();
  return (
    <DateInput.Root
      value={time ? [time] : []}
      onValueChange={({ value: [next] }) => onChange(next ? written(next) : '')}
      granularity="minute"
      hourCycle={hoursCounted()}
      locale={units === 'us' ? 'en-US' : 'en-GB'}
      invalid={!!error}
      disabled={!may}
    >
      <DateInput.Label srOnly={hideLabel}>{label}</DateInput.Label>
      <DateInput.Control>
        <DateInput.Segments />
      </DateInput.Control>
      {hint && (
        <Field.Root>
          <Field.HelperText>{hint}</Field.HelperText>
        </Field.Root>
      )}
      {error && (
        <Field.Root invalid>
          <Field.ErrorText>{error}</Field.ErrorText>
        </Field.Root>
      )}
    </DateInput.Root>
  );
}
