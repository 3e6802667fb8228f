import type { Schemas } from '../api/client';

export type Units = Schemas['Units'];
type Kind = 'temperature' | 'mass' | 'small_mass' | 'volume' | 'small_volume' | 'length' | 'small_length';

const tidy = (value: number, digits: number) =>
  value.toLocaleString('en', { maximumFractionDigits: digits, minimumFractionDigits: 0, useGrouping: false });

/** SI in, the cook's units out. Small kinds are grams, millilitres and millimetres. */
const table: Record<Kind, Record<Units, (si: number) => string>> = {
  temperature: {
    metric: (c) => `${tidy(c, 0)} °C`,
    us: (c) => `${tidy(c * 1.8 + 32, 0)} °F`,
  },
  mass: { metric: (kg) => `${tidy(kg, 2)} kg`, us: (kg) => `${tidy(kg * 2.20462, 1)} lb` },
  small_mass: {
    metric: (g) => `${tidy(g, g < 10 ? 1 : 0)} g`,
    us: (g) => `${tidy(g / 28.3495, g < 28 ? 2 : 1)} oz`,
  },
  volume: { metric: (l) => `${tidy(l, 2)} L`, us: (l) => `${tidy(l * 1.05669, 1)} qt` },
  small_volume: { metric: (ml) => `${tidy(ml, 0)} mL`, us: (ml) => `${tidy(ml / 29.5735, 1)} fl oz` },
  length: { metric: (cm) => `${tidy(cm, 1)} cm`, us: (cm) => `${tidy(cm / 2.54, 1)} in` },
  small_length: { metric: (mm) => `${tidy(mm, 0)} mm`, us: (mm) => `${tidy(mm / 25.4, 1)} in` },
};

export const format = (kind: Kind, si: number, units: Units) => table[kind][units](si);

const spoken: [RegExp, Kind][] = [
  [/(-?\d+(?:\.\d+)?) °C/g, 'temperature'],
  [/(\d+(?:\.\d+)?) kg\b/g, 'mass'],
  [/(\d+(?:\.\d+)?) L\b/g, 'volume'],
  [/(\d+(?:\.\d+)?) mL\b/g, 'small_volume'],
  [/(\d+(?:\.\d+)?) mm\b/g, 'small_length'],
  [/(\d+(?:\.\d+)?) cm\b/g, 'length'],
  [/(\d+(?:\.\d+)?) g\b(?!\/)/g, 'small_mass'],
];

/** A sentence of the kitchen's in the cook's units: the core always speaks SI, and this is the one place it is put otherwise. */
export function say(sentence: string, units: Units): string {
  if (units === 'metric') return sentence;
  const pair = /(\d+(?:\.\d+)?) (to|and|–) (?=\d+(?:\.\d+)? °C)/g;
  const whole = sentence.replace(pair, (_, value: string, word: string) => `${value} °C ${word} `);
  return spoken.reduce(
    (text, [pattern, kind]) =>
      text.replace(pattern, (_, value: string) => format(kind, Number(value), units)),
    whole,
  );
}

/** An editable figure: what is typed is in the cook's units, what is kept is SI. */
export const editable = {
  mass: { metric: { unit: 'kg', factor: 1, step: 0.1 }, us: { unit: 'lb', factor: 2.20462, step: 0.25 } },
  small_length: {
    metric: { unit: 'mm', factor: 1, step: 5 },
    us: { unit: 'in', factor: 1 / 25.4, step: 0.25 },
  },
  length: { metric: { unit: 'cm', factor: 1, step: 1 }, us: { unit: 'in', factor: 1 / 2.54, step: 0.5 } },
  volume: { metric: { unit: 'L', factor: 1, step: 0.1 }, us: { unit: 'qt', factor: 1.05669, step: 0.1 } },
  altitude: { metric: { unit: 'm', factor: 1, step: 50 }, us: { unit: 'ft', factor: 3.28084, step: 100 } },
} as const;

export const temperatureIn = (typed: number, units: Units) => (units === 'us' ? (typed - 32) / 1.8 : typed);
export const temperatureOut = (celsius: number, units: Units) =>
  units === 'us' ? celsius * 1.8 + 32 : celsius;
export const temperatureUnit = (units: Units) => (units === 'us' ? '°F' : '°C');
