import { forgetDrafts } from './drafts';
import { forgetTaps } from './outbox';
import { forget } from './reach';
import { onRoleChanged } from './role';

const leavers = new Set<() => void>();

/** Told when this browser lets go of what it knows of the kitchen. */
export function onForgotten(tell: () => void): () => void {
  leavers.add(tell);
  return () => leavers.delete(tell);
}

/** Lets go of everything of whoever was signed in on this browser: drafts, taps, photos, answers. */
export function forgetEverything() {
  forgetTaps();
  forgetDrafts();
  void import('./photos').then(({ forgetPhotos }) => forgetPhotos());
  forget();
  leavers.forEach((tell) => tell());
}

// Who comes in with another role is somebody else.
onRoleChanged(forgetEverything);
