import { Flex, VisuallyHidden, chakra } from '@chakra-ui/react';

type Props<T extends string> = {
  label: string;
  value: readonly T[];
  options: readonly { value: T; label: string }[];
  onChange: (value: T[]) => void;
};

/** A few words of which any hold. Native boxes, so tab and space do. */
export function Toggles<T extends string>({ label, value, options, onChange }: Props<T>) {
  return (
    <chakra.fieldset border="0" p={0} m={0} minW={0}>
      <chakra.legend fontSize="small" color="soft" mb={1}>
        {label}
      </chakra.legend>
      <Flex wrap="wrap" gap="6px">
        {options.map((option) => {
          const on = value.includes(option.value);
          return (
            <chakra.label
              key={option.value}
              display="inline-flex"
              alignItems="center"
              minHeight="44px"
              px={3}
              borderRadius="10px"
              borderWidth="2px"
              borderColor={on ? 'rim' : 'line'}
              bg="panel"
              color={on ? 'ink' : 'soft'}
              fontWeight={600}
              textDecoration={on ? undefined : 'line-through'}
              cursor="pointer"
              _focusWithin={{ outline: '3px solid', outlineColor: 'liquid', outlineOffset: '2px' }}
            >
              <VisuallyHidden asChild>
                <input
                  type="checkbox"
                  checked={on}
                  onChange={() =>
                    onChange(
                      options
                        .map((other) => other.value)
                        .filter((other) => (other === option.value ? !on : value.includes(other))),
                    )
                  }
                />
              </VisuallyHidden>
              {option.label}
            </chakra.label>
          );
        })}
      </Flex>
    </chakra.fieldset>
  );
}
