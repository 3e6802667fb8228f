import { Text } from '@chakra-ui/react';
import type { DocumentState } from '../api/LiveDocument';

const said: Record<DocumentState<object>['state'], string> = {
  saved: 'Saved',
  waiting: 'Saving …',
  saving: 'Saving …',
  away: 'Not saved yet. Kept in this browser, tried again by itself.',
  refused: 'Not saved',
};

/** How a document under the hand is kept. */
export function Keeping({ open }: { open: Pick<DocumentState<object>, 'state' | 'unwritten' | 'version'> }) {
  return (
    <Text
      className="no-print"
      fontSize="small"
      color={['refused', 'away'].includes(open.state) ? 'caution' : 'soft'}
      role="status"
      data-keep={open.state}
      data-version={open.version}
    >
      {open.unwritten
        ? 'Not saved yet, and this browser keeps nothing: leave the page open.'
        : said[open.state]}
    </Text>
  );
}
