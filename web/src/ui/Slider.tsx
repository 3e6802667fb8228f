import { Flex, Slider as Chakra, Text } from '@chakra-ui/react';

import { useMayChange } from '../api/role';

type Props = {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  onChange: (value: number) => void;
  said: string;
};

/** A figure that is dragged; arrows move it a step, with shift ten. */
export function Slider({ label, value, min, max, step, onChange, said }: Props) {
  const may = useMayChange();
  const shown = Math.min(max, Math.max(min, value));
  return (
    <Chakra.Root
      value={[shown]}
      min={min}
      max={max}
      step={step}
      disabled={!may}
      onValueChange={({ value: [next] }) => next !== undefined && onChange(next)}
      getAriaValueText={() => said}
    >
      <Flex justify="space-between" fontSize="small" gap={2} whiteSpace="nowrap">
        <Chakra.Label>{label}</Chakra.Label>
        <Text as="span" fontWeight={600} fontVariantNumeric="tabular-nums">
          {said}
        </Text>
      </Flex>
      <Chakra.Control>
        <Chakra.Track>
          <Chakra.Range />
        </Chakra.Track>
        <Chakra.Thumb index={0}>
          <Chakra.HiddenInput />
        </Chakra.Thumb>
      </Chakra.Control>
    </Chakra.Root>
  );
}
