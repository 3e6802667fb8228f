import { Box, Flex, Text } from '@chakra-ui/react';
import { useWhatIf } from '../../api/queries';
import type { Schemas } from '../../api/client';
import { bandTimes, ReadyBand } from '../../drawings/ReadyBand';
import { useWidth } from '../../drawings/useWidth';
import { about, millis } from '../../format/time';
import { useNow } from '../../format/useNow';
import { Button } from '../../ui/Button';
import { Fault, Waiting } from '../../ui/states';

type Props = {
  cook: Schemas['CookAnswer'];
  zone: string;
  from: number;
  to: number;
  onHappened: (happened: Schemas['Happened']) => void;
};

/** What could be done now, each drawn on the one axis with what it wins and costs; one tap does it, and undo takes it back. */
export function WhatIf({ cook, zone, from, to, onHappened }: Props) {
  const found = useWhatIf(cook);
  if (found.isLoadingError) return <Fault error={found.error} retry={() => void found.refetch()} />;
  if (!found.data) return <Waiting height={300} what="Trying each way" />;
  const { as_it_is, choices } = found.data;
  if (choices.length === 0)
    return <Text color="soft">Once the meat is over the heat, this shows where each change would lead.</Text>;
  return (
    <Box as="ul" listStyleType="none">
      {[as_it_is, ...choices].map((choice) => (
        <Row key={choice.id} {...{ cook, zone, from, to, choice, as_it_is, onHappened }} />
      ))}
    </Box>
  );
}

function Row({
  cook,
  zone,
  from,
  to,
  choice,
  as_it_is,
  onHappened,
}: Props & { choice: Schemas['CouldDo']; as_it_is: Schemas['CouldDo'] }) {
  const { ref, width } = useWidth<HTMLDivElement>(720);
  const now = useNow(30_000);
  const { happened } = choice;
  const start = millis(cook.view.heat_on_at ?? cook.view.planned_heat_on_at);
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" py={2}>
      <Flex gap={4} align="center" wrap="wrap">
        <Box flex="1" minW="14rem">
          <Text fontWeight={700} fontSize="lead" lineHeight={1.2}>
            {choice.words}
          </Text>
          <Text fontSize="small">
            {choice.cost || 'Where it leads if nothing is changed.'} Plates {about(choice.served_at, zone)}
            {choice.late_min > 0 ? ', late' : ''}.
          </Text>
        </Box>
        {happened && (
          <Button aria-label={`Do it: ${choice.words}`} onClick={() => onHappened(happened)}>
            Do it
          </Button>
        )}
      </Flex>
      <div ref={ref}>
        <ReadyBand
          {...{ from, to, width, zone, start, now }}
          height={58}
          serveAt={millis(happened?.kind === 'serve_at_moved' ? happened.serve_at : cook.view.serve_at)}
          ready={bandTimes(choice.band.ready)}
          tooFar={bandTimes(choice.band.overcooked)}
          ghost={choice === as_it_is ? undefined : bandTimes(as_it_is.band.ready)}
          label={choice.words}
        />
      </div>
    </Box>
  );
}
