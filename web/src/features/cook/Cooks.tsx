import { Flex, Stack, Text, chakra } from '@chakra-ui/react';
import { Link, useLocation } from 'react-router';
import type { Schemas } from '../../api/client';
import { useCooks, useKitchen } from '../../api/queries';
import { about, clockDay } from '../../format/time';
import { useNow } from '../../format/useNow';
import { Button } from '../../ui/Button';
import { PageHeading } from '../../ui/PageHeading';
import { Empty, Fault, Waiting } from '../../ui/states';

/** When it is tender, as last reckoned; nothing of one whose clock has not started. */
function tender(cook: Schemas['CookLine'], zone: string): string {
  if (cook.status === 'before') return 'not yet over the heat';
  return cook.tender_from && cook.tender_until
    ? `tender ${about(cook.tender_from, zone)}–${about(cook.tender_until, zone)}`
    : '';
}

/** The cooks under way, to cook on or to finish. */
export function Cooks() {
  const cooks = useCooks();
  const kitchen = useKitchen();
  const now = useNow(60_000);
  const finishing = useLocation().pathname.startsWith('/finish');
  if (cooks.isLoadingError || kitchen.isLoadingError)
    return <Fault error={cooks.error ?? kitchen.error} retry={() => void cooks.refetch()} />;
  if (!cooks.data || !kitchen.data) return <Waiting height="50vh" what="Looking into the pots" />;
  const open = cooks.data.filter((cook) => cook.status !== 'closed' && !cook.broken);
  if (open.length === 0) {
    return (
      <Empty
        title={finishing ? 'Nothing to finish' : 'Nothing is on the heat'}
        action={
          <Button asChild weight="first" size="large">
            <Link to="/sheet">Choose a planned dish</Link>
          </Button>
        }
      >
        <Text>
          {finishing
            ? 'Once a cook is under way, its liquid is skimmed, tasted and brought home here.'
            : 'Start a planned dish and this is the place that says what to do now, what comes next and how the meat is doing.'}
        </Text>
      </Empty>
    );
  }
  return (
    <Stack gap={0} maxW="56rem">
      <PageHeading title={finishing ? 'Which pot?' : 'On the heat'} mb={3} />
      {open.map((cook) => (
        <chakra.a
          key={cook.id}
          asChild
          borderTopWidth="1px"
          borderColor="line"
          minHeight="72px"
          _hover={{ bg: 'panel' }}
        >
          <Link to={`/${finishing ? 'finish' : 'cook'}/${cook.id}`}>
            <Flex gap={5} py={3} px={2} align="baseline" wrap="wrap">
              <Text fontSize="lead" fontWeight={600} flex="1" minW="12rem">
                {cook.name}
              </Text>
              <Text color="soft" fontVariantNumeric="tabular-nums">
                {[
                  tender(cook, kitchen.data.zone),
                  cook.bell && `bell ${clockDay(cook.bell, kitchen.data.zone, now)}`,
                ]
                  .filter(Boolean)
                  .join(', ')}
              </Text>
            </Flex>
          </Link>
        </chakra.a>
      ))}
    </Stack>
  );
}
