import { defineRecipe, defineSlotRecipe } from '@chakra-ui/react';
import {
  checkboxAnatomy,
  comboboxAnatomy,
  dateInputAnatomy,
  dialogAnatomy,
  fieldAnatomy,
  fieldsetAnatomy,
  menuAnatomy,
  nativeSelectAnatomy,
  numberInputAnatomy,
  radioGroupAnatomy,
  sliderAnatomy,
  switchAnatomy,
  tabsAnatomy,
  toastAnatomy,
} from '@chakra-ui/react/anatomy';

/** A line to type or choose in: its edge can be seen by day and by night. */
export const line = {
  width: '100%',
  minHeight: '44px',
  px: 3,
  bg: 'panel',
  color: 'ink',
  borderWidth: '2px',
  borderStyle: 'solid',
  borderColor: 'edge',
  borderRadius: '10px',
  fontSize: 'text',
  fontFamily: 'body',
  fontVariantNumeric: 'tabular-nums',
  _focusVisible: { borderColor: 'rim', outline: '3px solid', outlineColor: 'liquid', outlineOffset: '0' },
  _invalid: { borderColor: 'caution' },
  _placeholder: { color: 'soft', opacity: 1 },
} as const;

const label = { display: 'block', fontSize: 'small', color: 'soft', mb: 1 } as const;
const ring = { outline: '3px solid', outlineColor: 'liquid', outlineOffset: '2px' } as const;
const sheet = {
  bg: 'panel',
  color: 'ink',
  borderWidth: '2px',
  borderColor: 'rim',
  borderRadius: '10px',
} as const;

const field = defineSlotRecipe({
  className: 'field',
  slots: fieldAnatomy.keys(),
  base: {
    root: { minW: 0, width: '100%' },
    label,
    helperText: { display: 'block', fontSize: 'small', color: 'soft', mt: 1 },
    errorText: { display: 'block', fontSize: 'small', color: 'caution', mt: 1, fontWeight: 600 },
  },
});

const fieldset = defineSlotRecipe({
  className: 'fieldset',
  slots: fieldsetAnatomy.keys(),
  base: {
    root: { border: 0, p: 0, m: 0, minW: 0 },
    legend: label,
    content: { display: 'flex', flexWrap: 'wrap', gap: '6px' },
    errorText: { fontSize: 'small', color: 'caution', mt: 1, fontWeight: 600 },
  },
});

const nativeSelect = defineSlotRecipe({
  className: 'select',
  slots: nativeSelectAnatomy.keys(),
  base: {
    root: { position: 'relative', width: '100%' },
    field: { ...line, appearance: 'none', pr: '40px', textOverflow: 'ellipsis' },
    indicator: {
      position: 'absolute',
      right: '12px',
      top: '12px',
      pointerEvents: 'none',
      color: 'soft',
      '& svg': { width: '20px', height: '20px' },
    },
  },
});

const numberInput = defineSlotRecipe({
  className: 'number',
  slots: numberInputAnatomy.keys(),
  base: { root: { width: '100%', minW: 0 }, input: line },
});

const dateInput = defineSlotRecipe({
  className: 'when',
  slots: dateInputAnatomy.keys(),
  base: {
    root: { width: '100%' },
    label,
    control: { display: 'flex' },
    segmentGroup: {
      ...line,
      px: { base: '6px', md: 3 },
      fontSize: { base: 'small', md: 'text' },
      display: 'flex',
      alignItems: 'center',
      whiteSpace: 'pre',
      _focusWithin: { borderColor: 'rim' },
    },
    segment: {
      px: '1px',
      borderRadius: '4px',
      outline: 'none',
      fontVariantNumeric: 'tabular-nums',
      _focus: { bg: 'rim', color: 'ground' },
      '&[data-type=literal]': { color: 'soft' },
    },
  },
});

/** A few words of which one holds. */
const radioGroup = defineSlotRecipe({
  className: 'one-of',
  slots: radioGroupAnatomy.keys(),
  base: {
    label,
    item: {
      display: 'inline-flex',
      alignItems: 'center',
      minHeight: '44px',
      px: 3,
      fontWeight: 600,
      borderRadius: '10px',
      borderWidth: '2px',
      borderColor: 'edge',
      bg: 'panel',
      color: 'ink',
      cursor: 'pointer',
      _checked: { borderColor: 'rim', bg: 'rim', color: 'ground' },
      _focusVisible: ring,
      _disabled: { opacity: 0.55, cursor: 'default' },
    },
  },
});

const checkbox = defineSlotRecipe({
  className: 'any-of',
  slots: checkboxAnatomy.keys(),
  base: {
    root: {
      display: 'inline-flex',
      alignItems: 'center',
      gap: 2,
      minHeight: '44px',
      px: 3,
      fontWeight: 600,
      borderRadius: '10px',
      borderWidth: '2px',
      borderColor: 'edge',
      bg: 'panel',
      color: 'soft',
      cursor: 'pointer',
      _checked: { borderColor: 'rim', color: 'ink' },
      _focusVisible: ring,
    },
    control: {
      display: 'inline-flex',
      alignItems: 'center',
      justifyContent: 'center',
      width: '20px',
      height: '20px',
      flexShrink: 0,
      borderWidth: '2px',
      borderColor: 'edge',
      borderRadius: '5px',
      color: 'ground',
      _checked: { bg: 'rim', borderColor: 'rim' },
    },
  },
});

const switchRecipe = defineSlotRecipe({
  className: 'switch',
  slots: switchAnatomy.keys(),
  base: {
    root: {
      display: 'inline-flex',
      alignItems: 'center',
      gap: 3,
      minHeight: '44px',
      cursor: 'pointer',
      _focusVisible: ring,
    },
    control: {
      display: 'inline-flex',
      width: '48px',
      height: '28px',
      p: '3px',
      flexShrink: 0,
      borderRadius: '14px',
      borderWidth: '2px',
      borderColor: 'edge',
      bg: 'panel',
      _checked: { bg: 'rim', borderColor: 'rim' },
    },
    thumb: {
      width: '18px',
      height: '18px',
      borderRadius: '9px',
      bg: 'edge',
      transition: 'translate 120ms',
      _checked: { bg: 'ground', translate: '20px 0' },
    },
    label: { fontWeight: 600 },
  },
});

const slider = defineSlotRecipe({
  className: 'slider',
  slots: sliderAnatomy.keys(),
  base: {
    root: { width: '100%', touchAction: 'none' },
    label: { fontSize: 'small', color: 'soft' },
    control: { display: 'flex', alignItems: 'center', height: '44px', cursor: 'pointer' },
    track: { height: '8px', width: '100%', borderRadius: '4px', bg: 'edge', overflow: 'hidden' },
    range: { height: '100%', bg: 'rim' },
    thumb: {
      width: '24px',
      height: '24px',
      borderRadius: '12px',
      bg: 'panel',
      borderWidth: '4px',
      borderColor: 'rim',
      cursor: 'grab',
      _focusVisible: ring,
      // A finger finds it although it is drawn smaller.
      _after: { content: '""', position: 'absolute', inset: '-14px' },
    },
  },
});

const combobox = defineSlotRecipe({
  className: 'find',
  slots: comboboxAnatomy.keys(),
  base: {
    root: { width: '100%', minW: 0 },
    label,
    input: line,
    positioner: { zIndex: 10 },
    content: { ...sheet, maxHeight: '340px', minWidth: { base: '0', sm: '340px' }, overflowY: 'auto' },
    item: {
      display: 'block',
      minHeight: '44px',
      px: 3,
      py: 2,
      cursor: 'pointer',
      _highlighted: { bg: 'ground', boxShadow: 'inset 6px 0 0 var(--chakra-colors-rim)' },
    },
    empty: { px: 3, py: 3, color: 'soft' },
  },
});

const menu = defineSlotRecipe({
  className: 'menu',
  slots: menuAnatomy.keys(),
  base: {
    positioner: { zIndex: 20 },
    content: { ...sheet, minWidth: '220px', py: 1, outline: 'none' },
    item: {
      display: 'flex',
      alignItems: 'center',
      gap: 3,
      minHeight: '48px',
      px: 4,
      fontWeight: 600,
      fontSize: 'text',
      cursor: 'pointer',
      _highlighted: { bg: 'ground', boxShadow: 'inset 6px 0 0 var(--chakra-colors-rim)' },
    },
    separator: { borderTopWidth: '1px', borderColor: 'line', my: 1 },
  },
});

const dialog = defineSlotRecipe({
  className: 'dialog',
  slots: dialogAnatomy.keys(),
  base: {
    backdrop: { position: 'fixed', inset: 0, zIndex: 30, bg: 'shade' },
    positioner: {
      position: 'fixed',
      inset: 0,
      zIndex: 31,
      display: 'flex',
      alignItems: { base: 'flex-end', md: 'center' },
      justifyContent: 'center',
      p: { base: 2, md: 6 },
    },
    content: {
      ...sheet,
      borderRadius: '14px',
      width: '100%',
      maxWidth: '34rem',
      maxHeight: '90dvh',
      overflowY: 'auto',
      p: 5,
      outline: 'none',
    },
    title: { fontFamily: 'heading', fontSize: 'title', fontWeight: 700, lineHeight: 1.15 },
    body: { my: 4 },
    footer: { display: 'flex', gap: 3, flexWrap: 'wrap' },
  },
});

const tabs = defineSlotRecipe({
  className: 'tabs',
  slots: tabsAnatomy.keys(),
  base: {
    list: { display: 'flex', flexWrap: 'wrap', gap: '2px' },
    trigger: {
      minHeight: '44px',
      px: { base: 3, md: 4 },
      fontWeight: 600,
      fontSize: 'text',
      cursor: 'pointer',
      whiteSpace: 'nowrap',
      color: 'soft',
      borderBottomWidth: '4px',
      borderColor: 'line',
      _selected: { color: 'ink', borderColor: 'rim', fontWeight: 700 },
      _focusVisible: { ...ring, outlineOffset: '-3px' },
    },
    content: { outline: 'none' },
  },
});

const toast = defineSlotRecipe({
  className: 'told',
  slots: toastAnatomy.keys(),
  base: {
    root: {
      ...sheet,
      display: 'flex',
      alignItems: 'center',
      gap: 3,
      p: 3,
      pl: 4,
      maxWidth: 'calc(100vw - 16px)',
      zIndex: 40,
      translate: 'var(--x) var(--y)',
      scale: 'var(--scale)',
      height: 'var(--height)',
      opacity: 'var(--opacity)',
      willChange: 'translate, opacity, scale',
      '&[data-type=error]': { borderColor: 'caution' },
    },
    title: { fontWeight: 600 },
    actionTrigger: {
      minHeight: '44px',
      px: 3,
      fontWeight: 700,
      color: 'rim',
      textDecoration: 'underline',
      cursor: 'pointer',
    },
    closeTrigger: { minHeight: '44px', minWidth: '44px', color: 'soft', cursor: 'pointer' },
  },
});

/** The same for controls of one part. */
export const recipes = {
  input: defineRecipe({ className: 'line', base: line }),
  textarea: defineRecipe({ className: 'lines', base: { ...line, py: 2, minHeight: '88px' } }),
  heading: defineRecipe({ className: 'heading', base: { fontFamily: 'heading', fontWeight: 700 } }),
  kbd: defineRecipe({ className: 'key', base: { fontFamily: 'body' } }),
};

/** How the library's controls look here, by the name each has there. */
export const slotRecipes = {
  field,
  fieldset,
  nativeSelect,
  numberInput,
  dateInput,
  radioGroup,
  checkbox,
  switch: switchRecipe,
  slider,
  combobox,
  menu,
  dialog,
  tabs,
  toast,
};
