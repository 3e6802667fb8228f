import type { ApiFault, Kitchen, Schemas } from '../../api/client';
import type { Block, Change } from './state';

/** What the line of what else is known is given, and its fields when it is opened. */
export type MoreProps = {
  block: Block;
  change: Change;
  /** The thickness under the hand; it is kept once the hand rests. */
  onSlide: (mm: number) => void;
  cuts: Schemas['AtTheCounter'][];
  kitchen: Kitchen;
  /** Everything filled in, as it was answered last. */
  matched?: Schemas['Matched'];
  fault?: ApiFault;
};
