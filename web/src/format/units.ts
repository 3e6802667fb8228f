import type { Schemas } from '../api/client';

export type Units = Schemas['Units'];
type Kind =
  | 'temperature'
  | 'dial'
  | 'mass'
  | 'small_mass'
  | 'volume'
  | 'small_volume'
  | 'length'
  | 'small_length'
  | 'strength'
  | 'price';

const tidy = (value: number, digits: number) =>
  value.toLocaleString('en', { maximumFractionDigits: digits, minimumFractionDigits: 0, useGrouping: false });

const signs: Record<number, string> = { 0: '', 1: '⅛', 2: '¼', 3: '⅜', 4: '½', 5: '⅝', 6: '¾', 7: '⅞' };

/** `2½`, `¾`, `3`: as measures are marked in an American kitchen, in steps of one over `parts`. */
function marked(value: number, parts: 2 | 4 | 8): string {
  const steps = Math.max(value > 0 ? 1 : 0, Math.round(value * parts));
  const sign = signs[((steps % parts) * 8) / parts] ?? '';
  const whole = Math.floor(steps / parts);
  return whole === 0 && sign ? sign : `${whole}${sign}`;
}

const [poundKg, ounceG, cupL] = [0.45359237, 28.349523, 0.23658824];

function pounds(kg: number): string {
  const ounces = Math.round((kg * 1000) / ounceG);
  if (ounces < 16) return `${ounces} oz`;
  if (ounces >= 160) return `${marked(kg / poundKg, 2)} lb`;
  return ounces % 16 === 0 ? `${ounces / 16} lb` : `${Math.floor(ounces / 16)} lb ${ounces % 16} oz`;
}

function cups(l: number): string {
  if (l < 0.03) return `${marked(l / 0.0147868, 2)} tbsp`;
  if (l >= 3.9 * cupL) return `${marked(l / cupL / 4, 4)} qt`;
  return `${marked(l / cupL, 4)} ${l > 1.12 * cupL ? 'cups' : 'cup'}`;
}

const inches = (mm: number) =>
  mm > 0 && mm < 1.6 ? 'under ⅛ in' : `${marked(mm / 25.4, mm < 25.4 ? 8 : 4)} in`;

/** SI in, the cook's units out. Small kinds are grams, millilitres and millimetres. */
const table: Record<Kind, Record<Units, (si: number) => string>> = {
  temperature: {
    metric: (c) => `${tidy(c, 0)} °C`,
    us: (c) => `${tidy(c * 1.8 + 32, 0)} °F`,
  },
  /** What an oven or a pit is set to: an American dial goes by 25 °F. */
  dial: {
    metric: (c) => `${tidy(c, 0)} °C`,
    us: (c) => `${Math.round((c * 1.8 + 32) / 25) * 25} °F`,
  },
  mass: { metric: (kg) => `${tidy(kg, 2)} kg`, us: pounds },
  small_mass: {
    metric: (g) => `${tidy(g, g < 10 ? 1 : 0)} g`,
    us: (g) => {
      if (g < ounceG) return `${tidy(g, g < 10 ? 1 : 0)} g`;
      return g < 1000 * poundKg ? `${marked(g / ounceG, 4)} oz` : pounds(g / 1000);
    },
  },
  volume: { metric: (l) => `${tidy(l, 2)} L`, us: cups },
  small_volume: { metric: (ml) => `${tidy(ml, 0)} mL`, us: (ml) => cups(ml / 1000) },
  length: { metric: (cm) => `${tidy(cm, 1)} cm`, us: (cm) => inches(cm * 10) },
  small_length: { metric: (mm) => `${tidy(mm, 0)} mm`, us: inches },
  /** Salt in a liquid, g a kilo. */
  strength: {
    metric: (grams) => `${tidy(grams, 0)} g a kilo`,
    us: (grams) => `${tidy(grams / 10, 1)} %`,
  },
  /** Money a kilo. */
  price: {
    metric: (kilo) => `${kilo.toFixed(2)} a kilo`,
    us: (kilo) => `${(kilo * poundKg).toFixed(2)} a pound`,
  },
};

export const format = (kind: Kind, si: number, units: Units) => table[kind][units](si);

/** `10 to 13 g a kilo`: the unit once. */
export const range = (kind: Kind, from: number, to: number, units: Units) =>
  `${format(kind, from, units).split(' ')[0]} to ${format(kind, to, units)}`;

/** An editable figure: what is typed is in the cook's units, what is kept is SI. */
export const editable = {
  mass: { metric: { unit: 'kg', factor: 1, step: 0.1 }, us: { unit: 'lb', factor: 2.20462, step: 0.25 } },
  small_length: {
    metric: { unit: 'mm', factor: 1, step: 5 },
    us: { unit: 'in', factor: 1 / 25.4, step: 0.25 },
  },
  length: { metric: { unit: 'cm', factor: 1, step: 1 }, us: { unit: 'in', factor: 1 / 2.54, step: 0.5 } },
  volume: { metric: { unit: 'L', factor: 1, step: 0.1 }, us: { unit: 'qt', factor: 1.05669, step: 0.1 } },
  price: {
    metric: { unit: 'a kilo', factor: 1, step: 0.5 },
    us: { unit: 'a pound', factor: poundKg, step: 0.25 },
  },
  altitude: { metric: { unit: 'm', factor: 1, step: 50 }, us: { unit: 'ft', factor: 3.28084, step: 100 } },
} as const;

export const temperatureIn = (typed: number, units: Units) => (units === 'us' ? (typed - 32) / 1.8 : typed);
export const temperatureOut = (celsius: number, units: Units) =>
  units === 'us' ? celsius * 1.8 + 32 : celsius;
export const temperatureUnit = (units: Units) => (units === 'us' ? '°F' : '°C');

/** The dial at hand, for a slider: steps of 5 °C, or of 25 °F. What is kept is °C. */
export function dialOf(
  celsius: number,
  within: [number, number],
  units: Units,
  onChange: (celsius: number) => void,
) {
  if (units === 'metric') return { value: celsius, min: within[0], max: within[1], step: 5, onChange };
  const [min, value, max] = [within[0], celsius, within[1]].map(
    (c) => Math.round(temperatureOut(c, 'us') / 25) * 25,
  ) as [number, number, number];
  return { value, min, max, step: 25, onChange: (typed: number) => onChange(temperatureIn(typed, 'us')) };
}

/** How many hours the kitchen's clock counts to. */
export type Hours = { units: Units; clock?: 'h24' | 'h12' | null };

export const hourCycle = ({ units, clock }: Hours): 12 | 24 =>
  (clock ?? (units === 'us' ? 'h12' : 'h24')) === 'h12' ? 12 : 24;
