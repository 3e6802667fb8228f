import { Flex, Text, chakra } from '@chakra-ui/react';
import { Redo2, Undo2 } from 'lucide-react';
import { useCook, useKitchen, usePlans } from '../../api/queries';
import { clockDay } from '../../format/time';
import { useNow } from '../../format/useNow';
import { Button } from '../../ui/Button';
import { useInHand } from './inHand';
import { controlKey, plainKey, useShortcut } from './shortcuts';
import { useUndoing } from './undo';

/** The dish in hand and its bell, in every place; and in the same corner always, undo. */
export function DishLine() {
  const inHand = useInHand();
  const plans = usePlans();
  const cook = useCook(inHand.cookId).data;
  const kitchen = useKitchen();
  const now = useNow(30_000);
  const plan = cook?.plan ?? plans.data?.find((found) => found.id === inHand.planId)?.plan;
  // What was moved while it cooks is the bell.
  const serveAt = cook?.view.serve_at ?? plan?.serve_at;
  const zone = kitchen.data?.zone;
  return (
    <Flex
      as="section"
      aria-label="The dish in hand"
      className="no-print"
      minHeight="44px"
      align="center"
      gap={3}
      pl={{ base: 4, md: 6 }}
      pr={{ base: 1, md: 4 }}
      bg="panel"
      borderBottomWidth="1px"
      borderColor="line"
      fontSize={{ base: 'small', md: 'text' }}
    >
      {plan && serveAt && zone ? (
        <Flex gap={3} minW={0} flex="1" align="center">
          <Text as="span" fontWeight={700} truncate>
            {plan.name}
          </Text>
          <Text as="span" color="soft" whiteSpace="nowrap" display={{ base: 'none', sm: 'inline' }}>
            for {plan.people}
          </Text>
          <Text as="span" color="rim" fontWeight={700} whiteSpace="nowrap" fontVariantNumeric="tabular-nums">
            bell {clockDay(serveAt, zone, now)}
          </Text>
        </Flex>
      ) : (
        <Text as="span" color="soft" flex="1">
          No dish in hand yet
        </Text>
      )}
      <UndoCorner />
    </Flex>
  );
}

function UndoCorner() {
  const { undo, undoes, redo, redoes } = useUndoing();
  useShortcut({
    keys: 'Ctrl + Z',
    does: 'undo the last thing',
    single: false,
    matches: controlKey('z', false),
    run: () => undo?.(),
  });
  useShortcut({
    keys: 'U',
    does: 'the same',
    single: true,
    matches: plainKey('u'),
    run: () => undo?.(),
  });
  useShortcut({
    keys: 'Ctrl + Y',
    does: 'put back what was undone last',
    single: false,
    matches: (event) => controlKey('y')(event) || controlKey('z', true)(event),
    run: () => redo?.(),
  });
  if (!undo && !redo && undoes === undefined) return null;
  const [undoWords, redoWords] = [undoes ? `Undo ${undoes}` : 'Undo', redoes ? `Put back ${redoes}` : 'Redo'];
  return (
    <Flex flexShrink={0} maxW="60%">
      <Button weight="quiet" px={2} onClick={undo} disabled={!undo} aria-label={undoWords} title={undoWords}>
        <Undo2 size={20} aria-hidden />
        {undoes && (
          <Text as="span" truncate maxW="18rem">
            Undo
            <chakra.span display={{ base: 'none', md: 'inline' }}> {undoes}</chakra.span>
          </Text>
        )}
      </Button>
      <Button weight="quiet" px={2} onClick={redo} disabled={!redo} aria-label={redoWords} title={redoWords}>
        <Redo2 size={20} aria-hidden />
      </Button>
    </Flex>
  );
}
