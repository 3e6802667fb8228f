import { Combobox, Portal, Text, createListCollection } from '@chakra-ui/react';
import { type KeyboardEvent, useMemo, useState } from 'react';
import type { Schemas } from '../../api/client';
import { useMayChange } from '../../api/role';
import { Labelled } from '../../ui/Labelled';

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
  const may = useMayChange();
  const [typed, setTyped] = useState('');
  const [marked, setMarked] = useState<string | null>(null);
  const [open, setOpen] = useState(false);
  const current = cuts.find((facts) => facts.cut === value);
  const found = useMemo(
    () => search(cuts, typed === current?.name ? '' : typed),
    [cuts, typed, current?.name],
  );
  const collection = useMemo(
    () =>
      createListCollection({
        items: found,
        itemToValue: ({ facts }) => facts.cut,
        itemToString: ({ facts }) => facts.name,
      }),
    [found],
  );
  /** Enter takes what is marked, or the only cut of that name; where several are sold under it, the question stays open. */
  const enter = (event: KeyboardEvent<HTMLInputElement>) => {
    // What stands in the field, whether or not the list has caught up with it.
    const text = event.currentTarget.value;
    if (event.key !== 'Enter' || !text || text === current?.name || marked !== null) return;
    event.preventDefault();
    event.stopPropagation();
    const [only, ...others] = search(cuts, text);
    if (only && others.length === 0) {
      onChange(only.facts.cut);
      return;
    }
    setTyped(text);
    setOpen(true);
  };
  return (
    <Labelled label={label} error={error}>
      <Combobox.Root
        disabled={!may}
        collection={collection}
        value={[value]}
        inputValue={undefined}
        defaultInputValue={current?.name}
        selectionBehavior="replace"
        openOnClick
        positioning={{ sameWidth: false, placement: 'bottom-start' }}
        onInputValueChange={({ inputValue }) => setTyped(inputValue)}
        onHighlightChange={({ highlightedValue }) => setMarked(highlightedValue)}
        open={open}
        onOpenChange={({ open: opens }) => {
          setOpen(opens);
          if (!opens) setTyped('');
        }}
        onValueChange={({ items: [chosen] }) => chosen && onChange(chosen.facts.cut)}
      >
        <Combobox.Control>
          {/* A click puts the caret somewhere: what is typed next takes the place of the name all the same. */}
          <Combobox.Input
            textOverflow="ellipsis"
            px={{ base: '10px', md: 3 }}
            onFocus={(event) => event.currentTarget.select()}
            onClick={(event) => event.currentTarget.select()}
            onKeyDownCapture={enter}
          />
        </Combobox.Control>
        <Portal>
          <Combobox.Positioner>
            <Combobox.Content>
              {typed && found.filter(({ sold }) => sold).length > 1 && (
                <Text px={3} pt={3} fontSize="small" fontWeight={600}>
                  More than one muscle is sold under that name. Which does yours look like?
                </Text>
              )}
              {found.map((item) => (
                <Combobox.Item item={item} key={item.facts.cut}>
                  <Text fontWeight={600} lineHeight={1.25}>
                    {item.facts.name}
                    {item.sold && (
                      <Text as="span" fontWeight={400}>
                        , sold as {item.sold}
                      </Text>
                    )}
                    {!item.facts.suitable && (
                      <Text as="span" fontWeight={400} color="soft">
                        , tender: not for this
                      </Text>
                    )}
                  </Text>
                  <Text fontSize="small" color="soft" lineHeight={1.3}>
                    {item.facts.tell}
                  </Text>
                </Combobox.Item>
              ))}
              <Combobox.Empty>
                No cut of that name here. Try the muscle, such as shoulder, leg, tail or cheek.
              </Combobox.Empty>
            </Combobox.Content>
          </Combobox.Positioner>
        </Portal>
      </Combobox.Root>
    </Labelled>
  );
}
