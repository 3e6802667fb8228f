import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';

const ways: Record<Schemas['Leads'], (cook: string) => string> = {
  finish: (cook) => `/finish/${cook}`,
  close: (cook) => `/finish/${cook}#close`,
};

/** What may be done now: what the tap does stands on the button. */
export function Actions({
  cook,
  actions,
  onHappened,
  plain = false,
}: {
  cook: string;
  actions: Schemas['Action'][];
  onHappened: (happened: Schemas['Happened']) => void;
  /** None of them is the one next thing. */
  plain?: boolean;
}) {
  return actions.map((action, i) => {
    const weight = i === 0 && !plain ? 'first' : 'plain';
    const size = plain ? 'normal' : 'large';
    const { happened, leads } = action;
    if (leads)
      return (
        <Button key={action.id} weight={weight} size={size} asChild>
          <Link to={ways[leads](cook)}>{action.words}</Link>
        </Button>
      );
    return (
      <Button key={action.id} weight={weight} size={size} onClick={() => happened && onHappened(happened)}>
        {action.words}
      </Button>
    );
  });
}
