import { Box, Text, chakra } from '@chakra-ui/react';
import { useId, useMemo, useState } from 'react';
import type { Schemas } from '../../api/client';
import { TextInput } from '../../ui/fields';

type Facts = Schemas['AtTheCounter'];
type Found = { facts: Facts; sold?: string };

const plain = (text: string) => text.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');

/** Cuts whose name, or one of whose other names, holds every word typed; names that begin so first. */
export function search(cuts: Facts[], typed: string): Found[] {
  const words = plain(typed).split(/\s+/).filter(Boolean);
  const holds = (name: string) => words.every((word) => plain(name).includes(word));
  const found = cuts.flatMap<Found & { rank: number }>((facts) => {
    const begins = (name: string) => (plain(name).startsWith(words[0] ?? '') ? 0 : 1);
    if (holds(facts.name)) return [{ facts, rank: begins(facts.name) }];
    const sold = facts.also.find(holds);
    return sold ? [{ facts, sold, rank: 2 + begins(sold) }] : [];
  });
  return found.sort((a, b) => a.rank - b.rank);
}

/** Which cut, by any name it is sold under: type, or go through the list. */
export function CutField({
  label,
  cuts,
  value,
  onChange,
  error,
}: {
  label: string;
  cuts: Facts[];
  value: Schemas['Cut'];
  onChange: (cut: Schemas['Cut']) => void;
  error?: string;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const [at, setAt] = useState(0);
  const found = useMemo(() => search(cuts, typed ?? ''), [cuts, typed]);
  const current = cuts.find((facts) => facts.cut === value);
  const open = typed !== undefined;
  const close = () => setTyped(undefined);
  const take = (facts: Facts | undefined) => {
    if (facts) onChange(facts.cut);
    close();
  };
  const start = () => {
    setTyped('');
    setAt(
      Math.max(
        0,
        cuts.findIndex((facts) => facts.cut === value),
      ),
    );
  };
  const move = (to: number) => {
    const next = Math.min(found.length - 1, Math.max(0, to));
    setAt(next);
    document.getElementById(`${id}-${next}`)?.scrollIntoView?.({ block: 'nearest' });
  };
  return (
    <Box position="relative" minW={0}>
      <chakra.label htmlFor={id} display="block" fontSize="small" color="soft" mb={1}>
        {label}
      </chakra.label>
      <TextInput
        id={id}
        role="combobox"
        aria-expanded={open}
        aria-controls={`${id}-list`}
        aria-autocomplete="list"
        aria-activedescendant={open && found[at] ? `${id}-${at}` : undefined}
        aria-invalid={!!error}
        autoComplete="off"
        placeholder={current?.name ?? value}
        value={typed ?? current?.name ?? value}
        onFocus={(event) => {
          event.currentTarget.select();
        }}
        onClick={() => !open && start()}
        onBlur={close}
        onChange={(event) => {
          setTyped(event.target.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            if (!open) start();
            else move(at + (event.key === 'ArrowDown' ? 1 : -1) * (event.shiftKey ? 5 : 1));
          } else if (event.key === 'Enter' && open) {
            event.preventDefault();
            take(found[at]?.facts);
          } else if (event.key === 'Escape') close();
        }}
      />
      {error && (
        <Text fontSize="small" color="caution" mt={1} role="alert">
          {error}
        </Text>
      )}
      {open && (
        <Box
          id={`${id}-list`}
          role="listbox"
          aria-label={label}
          position="absolute"
          zIndex={4}
          top="100%"
          left={0}
          width={{ base: '100%', sm: '340px' }}
          maxHeight="340px"
          overflowY="auto"
          bg="panel"
          borderWidth="2px"
          borderColor="rim"
          borderRadius="10px"
          mt={1}
        >
          {typed && found.filter(({ sold }) => sold).length > 1 && (
            <Text px={3} pt={3} fontSize="small" fontWeight={600}>
              More than one muscle is sold under that name. Which does yours look like?
            </Text>
          )}
          {found.map(({ facts, sold }, i) => (
            <Box
              key={facts.cut}
              id={`${id}-${i}`}
              role="option"
              aria-selected={i === at}
              px={3}
              py={2}
              minHeight="44px"
              cursor="pointer"
              bg={i === at ? 'ground' : undefined}
              boxShadow={i === at ? 'inset 6px 0 0 var(--chakra-colors-rim)' : undefined}
              onPointerDown={(event) => event.preventDefault()}
              onClick={() => take(facts)}
            >
              <Text fontWeight={600} lineHeight={1.25}>
                {facts.name}
                {sold && (
                  <Text as="span" fontWeight={400}>
                    , sold as {sold}
                  </Text>
                )}
                {!facts.suitable && (
                  <Text as="span" fontWeight={400} color="soft">
                    , tender: not for this
                  </Text>
                )}
              </Text>
              <Text fontSize="small" color="soft" lineHeight={1.3}>
                {facts.tell}
              </Text>
            </Box>
          ))}
          {found.length === 0 && (
            <Text px={3} py={3} color="soft">
              No cut of that name here. Try the muscle, such as shoulder, leg, tail or cheek.
            </Text>
          )}
        </Box>
      )}
    </Box>
  );
}
