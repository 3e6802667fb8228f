import { Box, Flex, Text } from '@chakra-ui/react';
import { memo, useState } from 'react';
import type { Kitchen, Schemas } from '../../api/client';
import { span } from '../../format/time';
import { Button } from '../../ui/Button';
import { Age, Thickness } from './MoreFields';
import type { Block, Change } from './state';

/** The one question whose answer narrows the band most; everything shows without it. */
export const AskOne = memo(function AskOne({
  ask,
  block,
  change,
  onSlide,
  on,
  kitchen,
}: {
  ask?: Schemas['Ask'] | null;
  block: Block;
  change: Change;
  onSlide: (mm: number) => void;
  on?: Schemas['OnTheBlock'] | null;
  kitchen: Kitchen;
}) {
  // Once it is being answered the question stays, so that a slider is not taken out of the hand.
  const [held, setHeld] = useState<Schemas['Ask']>();
  const [passed, setPassed] = useState<string[]>([]);
  const shown = held ?? ask;
  if (!shown || passed.includes(`${block.cut}.${shown.field}`)) return null;
  const answered = shown.field === 'thickness_mm' ? block.mm !== undefined : block.age !== undefined;
  return (
    <Flex
      as="section"
      aria-label="One question"
      gap={{ base: 3, md: 5 }}
      wrap="wrap"
      align="center"
      borderLeftWidth="6px"
      borderColor="tender"
      pl={4}
      minHeight="56px"
    >
      <Box flex="1" minW="16rem">
        <Text fontWeight={700}>{shown.question}</Text>
        <Text fontSize="small" color="soft">
          {answered
            ? 'The bands follow.'
            : `That would narrow the band by some ${span(Math.max(5, Math.round(shown.narrows_min / 5) * 5))}. ${shown.how}`}
        </Text>
      </Box>
      <Box
        width={{ base: '100%', sm: '260px' }}
        onFocus={() => setHeld(shown)}
        onPointerDown={() => setHeld(shown)}
      >
        {shown.field === 'thickness_mm' && <Thickness {...{ block, onSlide, on, kitchen }} />}
        {shown.field === 'age' && <Age block={block} change={change} />}
      </Box>
      <Button
        weight="quiet"
        onClick={() => {
          setPassed((before) => (answered ? before : [...before, `${block.cut}.${shown.field}`]));
          setHeld(undefined);
        }}
      >
        {answered ? 'Good' : 'Don’t know'}
      </Button>
    </Flex>
  );
});
