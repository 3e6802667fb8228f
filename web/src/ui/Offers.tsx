import type { Schemas } from '../api/client';
import { Choice } from './Choice';

/** What the kitchen offers, of which one holds; nothing where there is nothing to choose. */
export function Offers({
  label,
  offers,
  onChoose,
}: {
  label: string;
  offers: readonly Schemas['Offer'][];
  onChoose: (offer: Schemas['Offer']) => void;
}) {
  if (offers.length < 2) return null;
  return (
    <Choice
      label={label}
      value={offers.find((offer) => offer.chosen)?.id}
      options={offers.map((offer) => ({ value: offer.id, label: offer.words }))}
      onChange={(id) => {
        const chosen = offers.find((offer) => offer.id === id);
        if (chosen) onChoose(chosen);
      }}
    />
  );
}
