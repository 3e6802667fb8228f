import type { Schemas } from '../../api/client';

type Sound = Schemas['Sound'];

/**
 * The sounds of the kitchen, made here from plain tones: a struck pan for work, two knocks on wood for a look, a low horn for
 * trouble. Nothing is fetched to ring.
 */
let context: AudioContext | undefined;

/** Whether the browser lets this page ring: not before it was tapped, or never. */
export type MayRing = 'yes' | 'not yet' | 'never';

const listeners = new Set<() => void>();
const tell = () => listeners.forEach((hear) => hear());

export function mayRing(): MayRing {
  if (typeof AudioContext === 'undefined') return 'never';
  return context?.state === 'running' ? 'yes' : 'not yet';
}

export function onMayRing(hear: () => void): () => void {
  listeners.add(hear);
  return () => listeners.delete(hear);
}

/** Asks the browser for sound; it gives it in the moment of a tap. */
export async function allowRinging(): Promise<void> {
  if (typeof AudioContext === 'undefined') return;
  if (!context) {
    context = new AudioContext();
    context.onstatechange = tell;
  }
  if (context.state !== 'running') await context.resume().catch(() => undefined);
  tell();
}

type Partial = { hertz: number; loud: number; fades: number };

/** A struck body: some partials that die away, each at its own pace. */
function struck(at: number, partials: Partial[], loud: number, audio: AudioContext) {
  for (const { hertz, loud: share, fades } of partials) {
    const tone = audio.createOscillator();
    const gain = audio.createGain();
    tone.frequency.value = hertz;
    gain.gain.setValueAtTime(0.0001, at);
    gain.gain.exponentialRampToValueAtTime(loud * share, at + 0.008);
    gain.gain.exponentialRampToValueAtTime(0.0001, at + fades);
    tone.connect(gain).connect(audio.destination);
    tone.start(at);
    tone.stop(at + fades + 0.05);
  }
}

/** A horn: a rough tone that swells and falls. */
function blown(at: number, hertz: number, lasts: number, loud: number, audio: AudioContext) {
  const tone = audio.createOscillator();
  const gain = audio.createGain();
  const soft = audio.createBiquadFilter();
  tone.type = 'sawtooth';
  tone.frequency.value = hertz;
  soft.type = 'lowpass';
  soft.frequency.value = hertz * 6;
  gain.gain.setValueAtTime(0.0001, at);
  gain.gain.exponentialRampToValueAtTime(loud, at + 0.09);
  gain.gain.setValueAtTime(loud, at + lasts - 0.12);
  gain.gain.exponentialRampToValueAtTime(0.0001, at + lasts);
  tone.connect(soft).connect(gain).connect(audio.destination);
  tone.start(at);
  tone.stop(at + lasts + 0.05);
}

const PAN: Partial[] = [
  { hertz: 523, loud: 1, fades: 1.5 },
  { hertz: 1318, loud: 0.55, fades: 1.0 },
  { hertz: 2247, loud: 0.3, fades: 0.5 },
  { hertz: 3410, loud: 0.15, fades: 0.25 },
];
const WOOD: Partial[] = [
  { hertz: 392, loud: 1, fades: 0.16 },
  { hertz: 1030, loud: 0.6, fades: 0.09 },
];

/** How it shakes where a device can: ms on and off. */
export const shakes: Record<Sound, number[]> = {
  work: [300, 150, 300],
  look: [120, 120, 120],
  trouble: [600, 200, 600, 200, 600],
};

/** Whether this screen is to keep quiet, as its cook has said; kept in the browser. */
const QUIET = 'ergastic-quiet';

export function keepsQuiet(): boolean {
  try {
    return localStorage.getItem(QUIET) === 'yes';
  } catch {
    return false;
  }
}

export function keepQuiet(quiet: boolean) {
  localStorage.setItem(QUIET, quiet ? 'yes' : 'no');
  tell();
}

/** Rings once; what the browser will not let sound shakes at least. */
export function ring(sound: Sound, loud = 0.5) {
  if (keepsQuiet()) return;
  // Before the page was tapped the browser refuses to shake, too.
  const tapped = !('userActivation' in navigator) || navigator.userActivation.hasBeenActive;
  if (tapped && 'vibrate' in navigator) navigator.vibrate(shakes[sound]);
  const audio = context;
  if (audio?.state !== 'running') return;
  const now = audio.currentTime + 0.02;
  if (sound === 'work') [0, 0.45, 0.9].forEach((after) => struck(now + after, PAN, loud, audio));
  if (sound === 'look') [0, 0.22, 0.7, 0.92].forEach((after) => struck(now + after, WOOD, loud, audio));
  if (sound === 'trouble')
    [0, 0.7, 1.4].forEach((after, i) => blown(now + after, i % 2 ? 233 : 311, 0.55, loud * 0.8, audio));
}
