import { createSystem, defaultConfig, defineConfig } from '@chakra-ui/react';

/** Enamelware by day, cast iron by night. Each colour has one meaning, in every drawing and every place. */
const colours = {
  ground: { light: '#F6F4EE', dark: '#1A1917' },
  panel: { light: '#FDFCF9', dark: '#242220' },
  ink: { light: '#1E2329', dark: '#F2EDE3' },
  soft: { light: '#565C63', dark: '#B8B0A4' },
  line: { light: '#D5D1C5', dark: '#3D3A36' },
  rim: { light: '#23395B', dark: '#A9BEDF' },
  heat: { light: '#BC3F25', dark: '#EE8264' },
  liquid: { light: '#236E8D', dark: '#70B9D6' },
  fat: { light: '#C79A2B', dark: '#DDB657' },
  tender: { light: '#7B2D52', dark: '#DD93B5' },
  raw: { light: '#E3B7A8', dark: '#6B3A33' },
  hands: { light: '#55702C', dark: '#A8C47F' },
  caution: { light: '#B3261E', dark: '#FF9187' },
} as const;

export type Colour = keyof typeof colours;

/** The one way a drawing gets a colour: by its meaning, in the mode that is on. */
export const colour = (name: Colour) => `var(--chakra-colors-${name})`;

const semantic = Object.fromEntries(
  Object.entries(colours).map(([name, { light, dark }]) => [name, { value: { base: light, _dark: dark } }]),
);

export const system = createSystem(
  defaultConfig,
  defineConfig({
    globalCss: {
      'html, body': { bg: 'ground', color: 'ink', fontFamily: 'body', lineHeight: 1.45 },
      ':focus-visible': { outline: '3px solid', outlineColor: 'liquid', outlineOffset: '2px' },
      '*': { _motionReduce: { transition: 'none !important', animation: 'none !important' } },
      '.no-print': { _print: { display: 'none !important' } },
    },
    theme: {
      tokens: {
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
        },
      },
      semanticTokens: { colors: semantic },
    },
  }),
);
