import { Flex, chakra } from '@chakra-ui/react';
import { NavLink } from 'react-router';

const Way = chakra(NavLink, {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    minHeight: '44px',
    color: 'soft',
    fontWeight: 600,
    borderBottomWidth: '3px',
    borderColor: 'transparent',
    '&.active': { color: 'ink', borderColor: 'tender' },
  },
});

/** Three ways to begin: from the cut, from the dish, or from the side of beef. */
export function MatchNav() {
  return (
    <Flex as="nav" aria-label="Begin from" gap={{ base: 4, md: 5 }} mt={-3} whiteSpace="nowrap">
      <Way to="/match" end>
        From the cut
      </Way>
      <Way to="/match/buy">What to buy</Way>
      <Way to="/match/cuts">Side of beef</Way>
    </Flex>
  );
}
