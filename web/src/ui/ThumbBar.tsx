import { Box, Portal } from '@chakra-ui/react';
import { useEffect, useState, type ReactNode } from 'react';

const WIDE = '(min-width: 1024px)';

/** Whether there is a table's room, and not a phone's. */
function useWide(): boolean {
  const [query] = useState(() => matchMedia(WIDE));
  const [wide, setWide] = useState(query.matches);
  useEffect(() => {
    const tell = () => setWide(query.matches);
    query.addEventListener('change', tell);
    return () => query.removeEventListener('change', tell);
  }, [query]);
  return wide;
}

/** Holds the one next action: in its place on a table, at the foot of the page on a phone, where the thumb is. */
export function ThumbBar({ children }: { children: ReactNode }) {
  const wide = useWide();
  const foot = typeof document === 'undefined' ? null : document.getElementById('thumb');
  if (wide || !foot)
    return (
      <Box className="no-print" css={{ '& > *': { width: '100%' } }}>
        {children}
      </Box>
    );
  return (
    <Portal container={{ current: foot }}>
      <Box
        as="section"
        aria-label="The next thing"
        bg="panel"
        borderTopWidth="2px"
        borderColor="rim"
        p={3}
        css={{ '& > *': { width: '100%' } }}
      >
        {children}
      </Box>
    </Portal>
  );
}
