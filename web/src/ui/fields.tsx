import { Box, Flex, Text, chakra } from '@chakra-ui/react';
import { useId, useState, type ReactNode } from 'react';

const input = {
  minHeight: '44px',
  px: 3,
  bg: 'panel',
  color: 'ink',
  borderWidth: '2px',
  borderColor: 'line',
  borderRadius: '10px',
  fontSize: 'text',
  fontVariantNumeric: 'tabular-nums',
  _focus: { borderColor: 'rim' },
  '&[aria-invalid=true]': { borderColor: 'caution' },
} as const;

/** A bare line to type in, for fields that bring a label of their own. */
export const TextInput = chakra('input', { base: { ...input, width: '100%' } });
const Select = chakra('select', { base: { ...input, width: '100%' } });
const TextArea = chakra('textarea', { base: { ...input, width: '100%', py: 2, minHeight: '88px' } });

type Common = { label: string; error?: string; hint?: ReactNode; hideLabel?: boolean };

function Labelled({
  label,
  error,
  hint,
  hideLabel,
  id,
  children,
}: Common & { id: string; children: ReactNode }) {
  return (
    <Box minW={0}>
      <chakra.label htmlFor={id} display="block" fontSize="small" color="soft" mb={1} srOnly={hideLabel}>
        {label}
      </chakra.label>
      {children}
      {hint && (
        <Text fontSize="small" color="soft" mt={1}>
          {hint}
        </Text>
      )}
      {error && (
        <Text fontSize="small" color="caution" mt={1} role="alert">
          {error}
        </Text>
      )}
    </Box>
  );
}

type NumberProps = Common & {
  value: number | undefined;
  onChange: (value: number | undefined) => void;
  unit: string;
  factor?: number;
  step?: number;
  placeholder?: string;
};

/** A figure with its unit. What is typed stays as typed until it is left; what is kept is SI. */
export function NumberField({
  value,
  onChange,
  unit,
  factor = 1,
  step,
  placeholder,
  ...common
}: NumberProps) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const shown = value === undefined ? '' : String(Number((value * factor).toFixed(2)));
  const given = typed ?? shown;
  const wrong = given !== '' && !Number.isFinite(Number(given.replace(',', '.')));
  return (
    <Labelled id={id} {...common} error={wrong ? `“${given}” is not a number` : common.error}>
      <Flex align="center" gap={2}>
        <TextInput
          id={id}
          inputMode="decimal"
          autoComplete="off"
          aria-invalid={wrong || !!common.error}
          placeholder={placeholder}
          value={given}
          onChange={(event) => {
            const text = event.target.value;
            setTyped(text);
            const figure = Number(text.replace(',', '.'));
            if (text.trim() === '') onChange(undefined);
            else if (Number.isFinite(figure)) onChange(figure / factor);
          }}
          onBlur={() => {
            if (!wrong) setTyped(undefined);
          }}
          onKeyDown={(event) => {
            const direction = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
            if (!direction || !step) return;
            event.preventDefault();
            const next = Number(
              ((value ?? 0) * factor + direction * step * (event.shiftKey ? 5 : 1)).toFixed(3),
            );
            setTyped(undefined);
            onChange(Math.max(0, next) / factor);
          }}
        />
        {unit && (
          <Text as="span" color="soft" minW="2.2em">
            {unit}
          </Text>
        )}
      </Flex>
    </Labelled>
  );
}

type TextProps = Common & {
  value: string;
  onChange: (value: string) => void;
  type?: string;
  long?: boolean;
  maxLength?: number;
};

/** A line of text, or a few. */
export function TextField({ value, onChange, type = 'text', long, maxLength, ...common }: TextProps) {
  const id = useId();
  return (
    <Labelled id={id} {...common}>
      {long ? (
        <TextArea
          id={id}
          value={value}
          maxLength={maxLength}
          onChange={(event) => onChange(event.target.value)}
        />
      ) : (
        <TextInput
          id={id}
          type={type}
          value={value}
          maxLength={maxLength}
          aria-invalid={!!common.error}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
    </Labelled>
  );
}

type SelectProps = Common & { value: string; onChange: (value: string) => void; children: ReactNode };

/** One of a list too long for [`Choice`]. */
export function SelectField({ value, onChange, children, ...common }: SelectProps) {
  const id = useId();
  return (
    <Labelled id={id} {...common}>
      <Select
        id={id}
        value={value}
        aria-invalid={!!common.error}
        onChange={(event) => onChange(event.target.value)}
      >
        {children}
      </Select>
    </Labelled>
  );
}

type SliderProps = {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  onChange: (value: number) => void;
  said: string;
};

/** A figure that is dragged; arrows move it a step, shift by five. */
export function Slider({ label, value, min, max, step, onChange, said }: SliderProps) {
  const id = useId();
  return (
    <Box>
      <Flex justify="space-between" fontSize="small" color="soft" gap={2} whiteSpace="nowrap">
        <chakra.label htmlFor={id}>{label}</chakra.label>
        <Text as="span" color="ink" fontWeight={600} fontVariantNumeric="tabular-nums">
          {said}
        </Text>
      </Flex>
      <chakra.input
        id={id}
        type="range"
        width="100%"
        height="44px"
        css={{ accentColor: 'var(--chakra-colors-rim)' }}
        value={value}
        min={min}
        max={max}
        step={step}
        aria-valuetext={said}
        onChange={(event) => onChange(Number(event.target.value))}
        onKeyDown={(event) => {
          if (!event.shiftKey || !['ArrowLeft', 'ArrowRight'].includes(event.key)) return;
          event.preventDefault();
          const next = value + (event.key === 'ArrowRight' ? 5 : -5) * step;
          onChange(Math.min(max, Math.max(min, next)));
        }}
      />
    </Box>
  );
}
