import { Dialog, Flex, Kbd, Portal, Switch, Text } from '@chakra-ui/react';
import { Button } from '../../ui/Button';
import { useShortcuts, useSingleKeys } from './shortcuts';

/** The keys that work in this place, and the switch for those of a single letter. */
export function Keys({ onClose }: { onClose: () => void }) {
  const shortcuts = useShortcuts();
  const [single, setSingle] = useSingleKeys();
  return (
    <Dialog.Root open onOpenChange={({ open }) => !open && onClose()}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Title>Keys</Dialog.Title>
            <Dialog.Body>
              {shortcuts.map(({ keys, does, single: alone }) => (
                <Flex key={keys} gap={3} mb={2} opacity={alone && !single ? 0.6 : 1}>
                  <Kbd minW="9rem" fontWeight={700} fontFamily="body">
                    {keys}
                  </Kbd>
                  <Text as="span">{does}</Text>
                </Flex>
              ))}
              {[
                ['← →', 'a small step on a slider, along choices, or with the bell'],
                ['Shift + ← →', 'a large step'],
              ].map(([keys, does]) => (
                <Flex key={keys} gap={3} mb={2}>
                  <Kbd minW="9rem" fontWeight={700} fontFamily="body">
                    {keys}
                  </Kbd>
                  <Text as="span">{does}</Text>
                </Flex>
              ))}
              <Switch.Root mt={3} checked={single} onCheckedChange={({ checked }) => setSingle(checked)}>
                <Switch.HiddenInput />
                <Switch.Control>
                  <Switch.Thumb />
                </Switch.Control>
                <Switch.Label>Single letters and figures do something</Switch.Label>
              </Switch.Root>
            </Dialog.Body>
            <Dialog.Footer>
              <Dialog.CloseTrigger asChild>
                <Button forAll>Close</Button>
              </Dialog.CloseTrigger>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
