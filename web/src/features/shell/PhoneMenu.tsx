import { Menu, Portal } from '@chakra-ui/react';
import { Ellipsis } from 'lucide-react';
import { Button } from '../../ui/Button';

/** What a phone's bar has no room for. */
export function PhoneMenu({ items }: { items: { name: string; run: () => void }[] }) {
  return (
    <Menu.Root onSelect={({ value }) => items.find(({ name }) => name === value)?.run()}>
      <Menu.Trigger asChild>
        <Button forAll weight="quiet" px={1} aria-label="More places">
          <Ellipsis size={24} aria-hidden />
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            {items.map(({ name }) => (
              <Menu.Item key={name} value={name}>
                {name}
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
