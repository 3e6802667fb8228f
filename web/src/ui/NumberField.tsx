import { Flex, NumberInput, Text, useFieldContext } from '@chakra-ui/react';
import { useState, type ComponentProps } from 'react';
import { useMayChange } from '../api/role';
import { Labelled, type Common } from './Labelled';

type Props = Common & {
  value: number | undefined;
  onChange: (value: number | undefined) => void;
  unit: string;
  factor?: number;
  step?: number;
  placeholder?: string;
  /** The least that can be typed, as shown: figures are not below nothing but for a few. */
  min?: number;
};

const shownAs = (value: number | undefined, factor: number) =>
  value === undefined ? '' : String(Number((value * factor).toFixed(2)));

/** The line itself: a number input does not by itself take on the hint and the error of its field. */
function Line(props: ComponentProps<typeof NumberInput.Input>) {
  const { ids, invalid } = useFieldContext();
  return (
    <NumberInput.Input
      aria-describedby={invalid ? `${ids.errorText} ${ids.helperText}` : ids.helperText}
      {...props}
    />
  );
}

/** A figure with its unit. What is typed stays as typed until it is left; what is kept is SI. */
export function NumberField({
  value,
  onChange,
  unit,
  factor = 1,
  step = 1,
  placeholder,
  min = 0,
  ...common
}: Props) {
  const [typed, setTyped] = useState<string>();
  const may = useMayChange();
  return (
    <Labelled {...common}>
      <Flex align="center" gap={2}>
        <NumberInput.Root
          value={typed ?? shownAs(value, factor)}
          min={min}
          step={step}
          disabled={!may}
          // What is too much is said by the kitchen, which names what is allowed: nothing typed is changed.
          clampValueOnBlur={false}
          formatOptions={{ useGrouping: false, maximumFractionDigits: 3 }}
          onValueChange={(details) => {
            setTyped(details.value);
            if (details.value === '') onChange(undefined);
            else if (Number.isFinite(details.valueAsNumber)) onChange(details.valueAsNumber / factor);
          }}
          onBlur={() => setTyped(undefined)}
        >
          <Line
            placeholder={placeholder}
            inputMode="decimal"
            onBeforeInput={(event) => {
              // Half of the world writes the comma where the other half writes the point.
              if (event.data !== ',') return;
              event.preventDefault();
              const line = event.currentTarget;
              line.setRangeText('.', line.selectionStart ?? 0, line.selectionEnd ?? 0, 'end');
              line.dispatchEvent(new InputEvent('input', { bubbles: true }));
            }}
          />
        </NumberInput.Root>
        {unit && (
          <Text as="span" color="soft" minW="2.2em">
            {unit}
          </Text>
        )}
      </Flex>
    </Labelled>
  );
}
