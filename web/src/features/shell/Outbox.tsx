import { Flex, Text } from '@chakra-ui/react';
import { letGo, tryAgain, useOutbox } from '../../api/outbox';
import { Button } from '../../ui/Button';
import { stripes } from '../../ui/states';
import { Above } from './Above';

/** Taps that have not reached the kitchen yet, with the way to send them again; above every place. */
export function Outbox() {
  const waiting = useOutbox();
  const refused = waiting.filter((one) => one.refused);
  const going = waiting.length - refused.length;
  if (waiting.length === 0) return null;
  return (
    <Above css={refused.length > 0 ? stripes : undefined}>
      {going > 0 && (
        <Text flex="1" minW="12rem">
          {going === 1 ? 'One tap waits' : `${going} taps wait`} for the kitchen to answer.{' '}
          {waiting.some((one) => one.unwritten)
            ? 'This browser keeps nothing: leave the page open until they have come.'
            : 'Kept, with the time of the tap.'}
        </Text>
      )}
      {refused.map((one) => (
        <Flex key={one.event.id} align="center" gap={3} flex="1" minW="16rem">
          <Text flex="1" color="caution" fontWeight={600}>
            {one.refused}
          </Text>
          <Button forAll weight="quiet" onClick={() => letGo(one)}>
            Let it go
          </Button>
        </Flex>
      ))}
      <Button forAll onClick={() => void tryAgain()}>
        Try again
      </Button>
    </Above>
  );
}
