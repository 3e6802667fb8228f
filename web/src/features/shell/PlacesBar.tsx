import { Box, Flex, Text, chakra, useBreakpointValue } from '@chakra-ui/react';
import { Keyboard, Moon, Sun } from 'lucide-react';
import { Suspense, lazy } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { setMode, useMode } from '../../theme/mode';
import { Button } from '../../ui/Button';
import { useInHand } from './inHand';
import { plainKey, useShortcut } from './shortcuts';

// Only a phone has need of it.
const PhoneMenu = lazy(async () => ({ default: (await import('./PhoneMenu')).PhoneMenu }));

const PlaceLink = chakra(Link, {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    minHeight: '48px',
    minWidth: '44px',
    px: { base: '2px', sm: '10px', md: 4 },
    fontFamily: 'heading',
    fontSize: { base: 'text', md: 'lead' },
    fontWeight: 600,
    color: 'soft',
    borderBottomWidth: '4px',
    borderColor: 'transparent',
    whiteSpace: 'nowrap',
    '&[aria-current=page]': { color: 'ink', borderColor: 'rim' },
    _hover: { color: 'ink' },
  },
});

type Place = { to: string; name: string; at: string; beside?: boolean };

/** The places in the order of the work, with the dish in hand; beside them those of the kitchen. */
function usePlaces(): Place[] {
  const { planId, cookId } = useInHand();
  const of = (place: string, id: string | undefined) => (id ? `/${place}/${id}` : `/${place}`);
  return [
    { to: '/match', name: 'Match', at: '/match' },
    { to: of('prepare', planId), name: 'Prepare', at: '/prepare' },
    { to: of('sheet', planId), name: 'Sheet', at: '/sheet' },
    { to: of('cook', cookId), name: 'Cook', at: '/cook' },
    { to: of('finish', cookId), name: 'Finish', at: '/finish' },
    { to: '/log', name: 'Log', at: '/log', beside: true },
    { to: '/kitchen', name: 'Kitchen', at: '/kitchen', beside: true },
  ];
}

function Wordmark() {
  return (
    <chakra.a
      asChild
      display={{ base: 'none', md: 'inline-flex' }}
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

/** The bar along the top. On a phone the five of the work stand in it, and the rest behind one button: nothing scrolls sideways. */
export function PlacesBar({ onKeys }: { onKeys: () => void }) {
  const places = usePlaces();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const mode = useMode();
  const narrow = useBreakpointValue({ base: true, md: false }, { ssr: false });
  const turn = () => setMode(mode === 'dark' ? 'light' : 'dark');
  const light = mode === 'dark' ? 'Day' : 'Night';
  useShortcut({
    keys: `1 – ${places.length}`,
    does: places.map((place) => place.name).join(', '),
    single: true,
    matches: (event) => plainKey(...places.map((_, i) => String(i + 1)))(event),
    run: (event) => {
      const place = places[Number(event.key) - 1];
      if (place) void navigate(place.to);
    },
  });
  const link = (place: Place) => (
    <PlaceLink
      key={place.name}
      to={place.to}
      aria-current={pathname.startsWith(place.at) ? 'page' : undefined}
      display={place.beside ? { base: 'none', md: 'inline-flex' } : 'inline-flex'}
    >
      {place.name}
    </PlaceLink>
  );
  return (
    <Flex
      as="header"
      className="no-print"
      borderBottomWidth="2px"
      borderColor="rim"
      px={{ base: 1, md: 6 }}
      align="center"
    >
      <Wordmark />
      <Flex
        as="nav"
        aria-label="Places"
        flex="1"
        ml={{ md: 6 }}
        justify={{ base: 'space-between', sm: 'flex-start' }}
      >
        {places.map(link)}
      </Flex>
      <Flex display={{ base: 'none', md: 'flex' }}>
        <Button forAll weight="quiet" px={2} aria-label="Keys" title="Keys (?)" onClick={onKeys}>
          <Keyboard size={22} aria-hidden />
        </Button>
        <Button forAll weight="quiet" px={2} aria-label={light} title={light} onClick={turn}>
          {mode === 'dark' ? <Sun size={22} aria-hidden /> : <Moon size={22} aria-hidden />}
        </Button>
      </Flex>
      {narrow && (
        <Suspense fallback={<Box width="40px" />}>
          <PhoneMenu
            items={[
              ...places
                .filter((place) => place.beside)
                .map(({ name, to }) => ({ name, run: () => void navigate(to) })),
              { name: light, run: turn },
              { name: 'Keys', run: onKeys },
            ]}
          />
        </Suspense>
      )}
    </Flex>
  );
}
