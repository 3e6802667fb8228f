import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import { useLocation, useNavigate } from 'react-router';
import type { Kitchen, Schemas } from '../../api/client';
import { useAfterwards } from '../../api/queries';
import { clock, span } from '../../format/time';
import { Choice } from '../../ui/Choice';
import { PageHeading } from '../../ui/PageHeading';
import { Fault, Waiting } from '../../ui/states';
import { useCookInHand } from '../cook/useCookInHand';
import { Away } from './Away';
import { Close } from './Close';
import { Plate } from './Plate';
import { SauceBench } from './SauceBench';
import { useSauceInHand } from './useSauceInHand';

const parts = [
  { value: 'sauce', label: 'The sauce' },
  { value: 'plate', label: 'To the plate' },
  { value: 'away', label: 'Hold, cool, keep' },
  { value: 'close', label: 'Close' },
] as const;

type Part = (typeof parts)[number]['value'];

/** From the pot to the plate, and safely away. */
export function Finish() {
  const { cookId, cook, kitchen } = useCookInHand();
  const failed = [cook, kitchen].find((query) => query.isLoadingError);
  if (failed)
    return (
      <>
        <PageHeading title="Finish" srOnly />
        <Fault error={failed.error} retry={() => void failed.refetch()} />
      </>
    );
  if (!cook.data || !kitchen.data) return <Waiting height="60vh" what="Tasting" />;
  return <FinishOf cook={cook.data} kitchen={kitchen.data} key={cookId} />;
}

const heading: Record<Part, string> = {
  sauce: 'Bring the sauce home',
  plate: 'To the plate',
  away: 'Safely away',
  close: 'Close the cook',
};

function FinishOf({ cook, kitchen }: { cook: Schemas['CookAnswer']; kitchen: Kitchen }) {
  const { units, zone } = kitchen;
  const { hash } = useLocation();
  const navigate = useNavigate();
  const dry = !cook.view.tasks.some(({ task }) => task.kind === 'sauce');
  const offered = parts.filter(({ value }) => !(dry && value === 'sauce'));
  const part = offered.find(({ value }) => `#${value}` === hash)?.value ?? offered[0]?.value ?? 'plate';
  const hand = useSauceInHand(cook);
  const after = useAfterwards(cook);
  const { sauce } = hand;
  return (
    <Stack gap={5}>
      <Flex justify="space-between" align="end" wrap="wrap" gap={3}>
        <PageHeading title={`Finish ${cook.plan.name}`}>{heading[part]}</PageHeading>
        <Text fontSize="lead" fontVariantNumeric="tabular-nums">
          {part === 'sauce' &&
            sauce &&
            (sauce.left_min > 0 ? `${span(sauce.left_min)} of work to the sauce, ` : 'The sauce is done, ')}
          plates {clock(cook.view.served_at, zone)}
        </Text>
      </Flex>
      <Choice
        label="What is finished"
        hideLabel
        value={part}
        options={offered}
        onChange={(next) => void navigate(`#${next}`)}
      />
      {part === 'sauce' && <SauceBench cook={cook} hand={hand} after={after.data} units={units} />}
      {part !== 'sauce' && after.isLoadingError && (
        <Fault error={after.error} retry={() => void after.refetch()} />
      )}
      {(part === 'plate' || part === 'away') && !after.data && !after.isError && (
        <Waiting height={380} what="Laying the table" />
      )}
      {part === 'plate' && after.data && <Plate cook={cook} after={after.data} units={units} zone={zone} />}
      {part === 'away' && after.data && <Away after={after.data} />}
      {part === 'close' && (
        <Box maxW="44rem">
          <Close
            cook={cook}
            weighed={after.data?.meat.weighed ? after.data.meat.kg : undefined}
            units={units}
          />
        </Box>
      )}
    </Stack>
  );
}
