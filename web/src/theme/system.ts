import { createSystem, defineConfig } from '@chakra-ui/react';
import { defaultBaseConfig } from '@chakra-ui/react/preset-base';
import { recipes, slotRecipes } from './recipes';

/** Enamelware by day, cast iron by night. Each colour has one meaning, in every drawing and every place. */
const colours = {
  ground: { light: '#F6F4EE', dark: '#1A1917' },
  panel: { light: '#FDFCF9', dark: '#242220' },
  ink: { light: '#1E2329', dark: '#F2EDE3' },
  soft: { light: '#565C63', dark: '#B8B0A4' },
  /** Between rows: seen when looked for. */
  line: { light: '#D5D1C5', dark: '#3D3A36' },
  /** Round what can be touched: three to one against the ground. */
  edge: { light: '#827C70', dark: '#8A8377' },
  rim: { light: '#23395B', dark: '#A9BEDF' },
  heat: { light: '#BC3F25', dark: '#EE8264' },
  liquid: { light: '#236E8D', dark: '#70B9D6' },
  fat: { light: '#C79A2B', dark: '#DDB657' },
  tender: { light: '#7B2D52', dark: '#DD93B5' },
  raw: { light: '#E3B7A8', dark: '#8F5148' },
  hands: { light: '#55702C', dark: '#A8C47F' },
  caution: { light: '#B3261E', dark: '#FF9187' },
  /** Over what waits behind a dialog. */
  shade: { light: 'rgb(30 35 41 / 0.45)', dark: 'rgb(0 0 0 / 0.6)' },
} as const;

export type Colour = keyof typeof colours;

/** The one way a drawing gets a colour: by its meaning, in the mode that is on. */
export const colour = (name: Colour) => `var(--chakra-colors-${name})`;

const semantic = Object.fromEntries(
  Object.entries(colours).map(([name, { light, dark }]) => [name, { value: { base: light, _dark: dark } }]),
);

/** Steps of four pixels: `4` is sixteen of them. */
const steps = Object.fromEntries(
  [0.5, 1, 1.5, 2, 3, 4, 5, 6, 7, 8, 10, 12, 16, 20, 24].map((step) => [
    String(step),
    { value: `${step * 4}px` },
  ]),
);

export const system = createSystem(
  defaultBaseConfig,
  defineConfig({
    preflight: true,
    globalCss: {
      html: { colorScheme: 'light', '&.dark': { colorScheme: 'dark' } },
      'html, body': { bg: 'ground', color: 'ink', fontFamily: 'body', lineHeight: 1.45 },
      ':focus-visible': { outline: '3px solid', outlineColor: 'liquid', outlineOffset: '2px' },
      '*': { _motionReduce: { transition: 'none !important', animation: 'none !important' } },
      // Beside a bed nothing may light the room.
      'html.night body': { filter: 'brightness(0.45)' },
      '.no-print': { _print: { display: 'none !important' } },
    },
    theme: {
      breakpoints: { sm: '480px', md: '768px', lg: '1024px', xl: '1280px' },
      tokens: {
        spacing: steps,
        sizes: steps,
        fonts: {
          heading: { value: "'Bricolage Grotesque Variable', system-ui, sans-serif" },
          body: { value: "'Figtree Variable', system-ui, sans-serif" },
        },
        fontSizes: {
          small: { value: '14px' },
          text: { value: '16px' },
          lead: { value: '20px' },
          title: { value: '28px' },
          large: { value: '44px' },
          far: { value: '72px' },
          across: { value: '112px' },
        },
      },
      semanticTokens: { colors: semantic },
      recipes,
      slotRecipes,
    },
  }),
);
