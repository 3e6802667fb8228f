import { Box, Flex, Text, chakra } from '@chakra-ui/react';
import { Suspense, lazy, useRef, useState } from 'react';
import { Outlet } from 'react-router';
import { useChanges, useForgetting, useKitchenView, useDevice } from '../../api/queries';
import { useLooks } from '../../api/role';
import { Away } from './Away';
import { DishLine } from './DishLine';
import { Outbox } from './Outbox';
import { PlacesBar } from './PlacesBar';
import { plainKey, useKeyboard, useShortcut } from './shortcuts';
import { Trouble } from './Trouble';
import { useScroll } from './useScroll';

const Ringing = lazy(async () => ({ default: (await import('../alarms/Ringing')).Ringing }));
const FirstVisit = lazy(async () => ({ default: (await import('./FirstVisit')).FirstVisit }));
const Keys = lazy(async () => ({ default: (await import('./Keys')).Keys }));

/**
 * The bar along the top, the dish in hand, and the place itself. On a phone the place scrolls between the bar and the one
 * action at its foot, so that neither ever lies over it.
 */
export function Shell() {
  useChanges();
  // What this device may do is asked with the first page.
  useDevice();
  useForgetting();
  const looks = useLooks();
  const asItCame = useKitchenView().data?.kitchen.as_it_came;
  const [fresh, setFresh] = useState(false);
  // It goes on saying so after it has been put right.
  if (asItCame && !fresh) setFresh(true);
  useKeyboard();
  const [keys, setKeys] = useState(false);
  const place = useRef<HTMLElement>(null);
  useScroll(place);
  useShortcut({
    keys: '?',
    does: 'these keys',
    single: true,
    matches: plainKey('?'),
    run: () => setKeys((shown) => !shown),
  });
  return (
    <Flex
      direction="column"
      minHeight="100dvh"
      height={{ base: '100dvh', lg: 'auto' }}
      css={{ '@media print': { height: 'auto', display: 'block' } }}
    >
      <chakra.a
        href="#place"
        position="absolute"
        left="-999px"
        zIndex={50}
        _focus={{ left: 2, top: 2, bg: 'panel', p: 3 }}
      >
        Skip to the place
      </chakra.a>
      <PlacesBar onKeys={() => setKeys(true)} />
      <DishLine />
      <Away />
      <Suspense>
        <Ringing />
      </Suspense>
      <Trouble />
      {fresh && (
        <Suspense>
          <FirstVisit />
        </Suspense>
      )}
      <Outbox />
      <Box
        ref={place}
        as="main"
        id="place"
        flex="1"
        minHeight={0}
        overflowY={{ base: 'auto', lg: 'visible' }}
        css={{ '@media print': { overflow: 'visible' } }}
      >
        <Box px={{ base: 4, md: 6 }} pt={{ base: 4, md: 5 }} pb={8} width="100%" maxW="1440px" mx="auto">
          {looks && (
            <Text color="soft" fontSize="small" mb={3}>
              This screen only looks: it changes nothing.
            </Text>
          )}
          <Outlet />
        </Box>
      </Box>
      <Box id="thumb" className="no-print" flexShrink={0} display={{ lg: 'none' }} />
      {keys && (
        <Suspense>
          <Keys onClose={() => setKeys(false)} />
        </Suspense>
      )}
    </Flex>
  );
}
