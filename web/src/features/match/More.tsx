import { Text, chakra } from '@chakra-ui/react';
import { Suspense, lazy, memo, useState } from 'react';
import { format } from '../../format/units';
import { useFields } from '../../api/queries';
import { kitsOf } from './kits';
import type { MoreProps } from './moreProps';
import { eaten } from './state';

// It comes when it is opened.
const MoreFields = lazy(async () => ({ default: (await import('./MoreFields')).MoreFields }));

/** What else is known of the meat and the evening; nothing here has to be said before an answer shows. */
export const More = memo(function More({ block, change, onSlide, cuts, kitchen, matched, fault }: MoreProps) {
  const { units } = kitchen;
  const [opened, setOpened] = useState(false);
  const on = matched?.on_the_block;
  const free = matched?.kit ?? [];
  const fields = useFields(!!block.kit);
  const here = kitsOf(kitchen, fields.data?.things ?? []);
  const people = block.people ?? matched?.people;
  const said = [
    people && `for ${people}`,
    `eaten as ${eaten.find(({ value }) => value === (block.as ?? on?.eaten_as))?.label ?? 'usual'}`,
    block.mm && `${format('small_length', block.mm, units)} thick`,
    block.pieces && `${block.pieces} pieces`,
    block.age && (block.age === 'mature' ? 'older animal' : 'young beef'),
    block.frozen && 'frozen',
    block.also.length > 0 && `with ${block.also.length} more in the pot`,
    block.kit &&
      here.length > 0 &&
      `on ${here.filter(({ value }) => free.includes(value)).length} of ${here.length} things`,
    block.away && block.back && 'away for a while',
    block.price !== undefined && format('price', block.price, units),
  ].filter(Boolean);
  return (
    <chakra.details mt={-2} mb={-2}>
      <chakra.summary
        onClick={() => setOpened(true)}
        minHeight="44px"
        display="inline-flex"
        alignItems="center"
        gap={3}
        cursor="pointer"
        maxWidth="100%"
      >
        <Text
          as="span"
          color="rim"
          fontWeight={700}
          textDecoration="underline"
          textUnderlineOffset="4px"
          whiteSpace="nowrap"
        >
          More about the meat
        </Text>
        <Text as="span" fontSize="small" color="soft" truncate>
          {said.join(', ')}
        </Text>
      </chakra.summary>
      {opened && (
        <Suspense>
          <MoreFields {...{ block, change, onSlide, cuts, kitchen, matched, fault }} />
        </Suspense>
      )}
    </chakra.details>
  );
});
