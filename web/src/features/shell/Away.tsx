import { Text } from '@chakra-ui/react';
import { useEffect } from 'react';
import { useReach } from '../../api/reach';
import { span } from '../../format/time';
import { useDeviceNow } from '../../format/useNow';
import { Button } from '../../ui/Button';
import { Above } from './Above';
import { useRested } from './useRested';

/** That the kitchen does not answer, and how old what is shown is; that a newer page is there. Above every place. */
export function Away() {
  const { lost, newer } = useReach();
  if (lost !== undefined) return <Lost />;
  return newer ? <Newer /> : null;
}

function Lost() {
  const { asOf } = useReach();
  const now = useDeviceNow(10_000);
  const old = asOf === undefined ? 0 : (now - asOf) / 60_000;
  return (
    <Above>
      <Text flex="1" minW="16rem">
        <Text as="span" fontWeight={700}>
          The kitchen does not answer.{' '}
        </Text>
        What is shown is {old < 1 ? 'of a moment ago' : `${span(old)} old`}. Clocks and alarms go on; taps
        wait with their own time.
      </Text>
    </Above>
  );
}

/** A newer page is loaded by itself as soon as nobody is at this one; what is typed is kept. */
function Newer() {
  const rested = useRested(20_000);
  useEffect(() => {
    if (rested) globalThis.location.reload();
  }, [rested]);
  return (
    <Above>
      <Text flex="1" minW="16rem">
        The kitchen has a newer Ergastic.
      </Text>
      <Button forAll onClick={() => globalThis.location.reload()}>
        Load it
      </Button>
    </Above>
  );
}
