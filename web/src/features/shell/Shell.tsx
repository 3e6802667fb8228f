import { Box, Flex, Text, chakra } from '@chakra-ui/react';
import { Moon, Sun } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link, NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { useChanges, useCook, useKitchen, usePlans } from '../../api/queries';
import { clockDay } from '../../format/time';
import { useNow } from '../../format/useNow';
import { setMode, useMode } from '../../theme/mode';
import { Button } from '../../ui/Button';
import { useInHand } from './inHand';
import { Keys } from './Keys';
import { Trouble } from './Trouble';

const PlaceLink = chakra(NavLink, {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    minHeight: '48px',
    px: { base: '4px', sm: '10px', md: 4 },
    fontFamily: 'heading',
    fontSize: { base: 'small', sm: 'text', md: 'lead' },
    fontWeight: 600,
    color: 'soft',
    borderBottomWidth: '4px',
    borderColor: 'transparent',
    whiteSpace: 'nowrap',
    '&.active': { color: 'ink', borderColor: 'rim' },
    _hover: { color: 'ink' },
  },
});

function Wordmark() {
  return (
    <chakra.a
      asChild
      display={{ base: 'none', sm: 'inline-flex' }}
      alignItems="center"
      gap={2}
      minHeight="44px"
    >
      <Link to="/match" aria-label="Ergastic: start from the cut">
        <svg width="38" height="30" viewBox="0 0 38 30" aria-hidden>
          <rect
            x="1.5"
            y="1.5"
            width="35"
            height="27"
            rx="11"
            fill="var(--chakra-colors-panel)"
            stroke="var(--chakra-colors-rim)"
            strokeWidth="3"
          />
          <path
            d="M8 10h5M8 15h5M8 20h5M13 10q7-3 16 0M13 15q8 0 16 0M13 20q7 3 16 0"
            fill="none"
            stroke="var(--chakra-colors-tender)"
            strokeWidth="2.4"
            strokeLinecap="round"
          />
        </svg>
        <Text as="span" fontFamily="heading" fontSize="lead" fontWeight={800} letterSpacing="-0.01em">
          Ergastic
        </Text>
      </Link>
    </chakra.a>
  );
}

/** The dish in hand and its bell, in every place. */
function DishLine() {
  const inHand = useInHand();
  const plans = usePlans();
  const cook = useCook(inHand.cookId).data;
  const kitchen = useKitchen();
  const now = useNow(30_000);
  const plan = cook?.plan ?? plans.data?.find((found) => found.id === inHand.planId)?.plan;
  const zone = kitchen.data?.zone;
  return (
    <Flex
      className="no-print"
      minHeight="36px"
      align="center"
      gap={3}
      px={{ base: 4, md: 6 }}
      bg="panel"
      borderBottomWidth="1px"
      borderColor="line"
      fontSize={{ base: 'small', md: 'text' }}
      overflow="hidden"
    >
      {plan && zone ? (
        <>
          <Text as="span" fontWeight={700} truncate>
            {plan.name}
          </Text>
          <Text as="span" color="soft" whiteSpace="nowrap">
            for {plan.people}
          </Text>
          <Text as="span" color="rim" fontWeight={700} whiteSpace="nowrap" fontVariantNumeric="tabular-nums">
            bell {clockDay(plan.bell, zone, now)}
          </Text>
        </>
      ) : (
        <Text as="span" color="soft">
          No dish in hand yet: match a cut and plan it
        </Text>
      )}
    </Flex>
  );
}

/** The bar along the top in the order of the work, the dish in hand, and the place itself. On a phone all of it is places. */
export function Shell() {
  useChanges();
  const mode = useMode();
  const inHand = useInHand();
  const navigate = useNavigate();
  const location = useLocation();
  const [keys, setKeys] = useState(false);
  const places = [
    { to: '/match', name: 'Match' },
    { to: inHand.planId ? `/prepare/${inHand.planId}` : '/prepare', name: 'Prepare', match: '/prepare' },
    { to: inHand.planId ? `/sheet/${inHand.planId}` : '/sheet', name: 'Sheet', match: '/sheet' },
    { to: inHand.cookId ? `/cook/${inHand.cookId}` : '/cook', name: 'Cook', match: '/cook' },
    { to: inHand.cookId ? `/finish/${inHand.cookId}` : '/finish', name: 'Finish', match: '/finish' },
    { to: '/log', name: 'Log' },
    { to: '/kitchen', name: 'Kitchen' },
  ];
  const addresses = places.map((place) => place.to).join(' ');
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName);
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key === '?') setKeys((shown) => !shown);
      else if (event.key === 'Escape') setKeys(false);
      else if (/^[1-7]$/.test(event.key)) void navigate(addresses.split(' ')[Number(event.key) - 1]!);
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, [addresses, navigate]);
  return (
    <Box minHeight="100dvh">
      <chakra.a
        href="#place"
        position="absolute"
        left="-999px"
        _focus={{ left: 2, top: 2, zIndex: 2, bg: 'panel', p: 3 }}
      >
        Skip to the place
      </chakra.a>
      <Box as="header" className="no-print" borderBottomWidth="2px" borderColor="rim" px={{ base: 2, md: 6 }}>
        <Flex align="center" gap={{ base: 0, md: 6 }}>
          <Wordmark />
          <Flex
            as="nav"
            aria-label="Places"
            flex="1"
            justify={{ base: 'space-between', sm: 'flex-start' }}
            overflowX="auto"
            css={{ scrollbarWidth: 'none' }}
          >
            {places.map((place) => (
              <PlaceLink
                key={place.name}
                to={place.to}
                className={() => (location.pathname.startsWith(place.match ?? place.to) ? 'active' : '')}
              >
                {place.name}
              </PlaceLink>
            ))}
          </Flex>
          <Button
            display={{ base: 'none', md: 'inline-flex' }}
            weight="quiet"
            px={2}
            aria-label={mode === 'dark' ? 'Light' : 'Dark'}
            title={mode === 'dark' ? 'Light' : 'Dark'}
            onClick={() => setMode(mode === 'dark' ? 'light' : 'dark')}
          >
            {mode === 'dark' ? <Sun size={22} /> : <Moon size={22} />}
          </Button>
        </Flex>
      </Box>
      <DishLine />
      <Trouble />
      <Box
        as="main"
        id="place"
        px={{ base: 4, md: 6 }}
        pt={{ base: 4, md: 5 }}
        pb={{ base: '112px', lg: 8 }}
        maxW="1440px"
        mx="auto"
      >
        <Outlet />
      </Box>
      {keys && <Keys onClose={() => setKeys(false)} />}
    </Box>
  );
}
