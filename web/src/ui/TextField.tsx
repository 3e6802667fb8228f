import { Input, Textarea } from '@chakra-ui/react';
import { Labelled, type Common } from './Labelled';

type Props = Common & {
  value: string;
  onChange: (value: string) => void;
  long?: boolean;
  maxLength?: number;
};

/** A line of text, or a few. */
export function TextField({ value, onChange, long, maxLength, ...common }: Props) {
  return (
    <Labelled {...common}>
      {long ? (
        <Textarea
          autoresize
          maxH="24rem"
          value={value}
          maxLength={maxLength}
          onChange={(event) => onChange(event.target.value)}
        />
      ) : (
        <Input value={value} maxLength={maxLength} onChange={(event) => onChange(event.target.value)} />
      )}
    </Labelled>
  );
}
