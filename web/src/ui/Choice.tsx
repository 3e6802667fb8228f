import { Box, Flex, VisuallyHidden, chakra } from '@chakra-ui/react';
import { useId } from 'react';

type Props<T extends string> = {
  label: string;
  /** None holds where it is not given. */
  value: T | undefined;
  options: readonly { value: T; label: string; hint?: string }[];
  onChange: (value: T) => void;
  hideLabel?: boolean;
  /** Quieter, for what is changed seldom. */
  small?: boolean;
};

/** A few words of which one holds. Native radios, so the arrow keys move along them. */
export function Choice<T extends string>({ label, value, options, onChange, hideLabel, small }: Props<T>) {
  const name = useId();
  return (
    <chakra.fieldset border="0" p={0} m={0} minW={0}>
      <chakra.legend fontSize="small" color="soft" mb={1} srOnly={hideLabel}>
        {label}
      </chakra.legend>
      <Flex wrap="wrap" gap="6px">
        {options.map((option) => (
          <chakra.label
            key={option.value}
            title={option.hint}
            display="inline-flex"
            alignItems="center"
            minHeight="44px"
            px={small ? 2 : 3}
            fontSize={small ? 'small' : 'text'}
            borderRadius="10px"
            borderWidth="2px"
            borderColor={option.value === value ? 'rim' : 'line'}
            bg={option.value === value ? 'rim' : 'panel'}
            color={option.value === value ? 'ground' : 'ink'}
            fontWeight={600}
            cursor="pointer"
            _focusWithin={{ outline: '3px solid', outlineColor: 'liquid', outlineOffset: '2px' }}
          >
            <VisuallyHidden asChild>
              <input
                type="radio"
                name={name}
                value={option.value}
                checked={option.value === value}
                onChange={() => onChange(option.value)}
              />
            </VisuallyHidden>
            <Box as="span">{option.label}</Box>
          </chakra.label>
        ))}
      </Flex>
    </chakra.fieldset>
  );
}
