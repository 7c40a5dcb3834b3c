import { definePreset } from '@primeuix/themes';
import button from '@primeuix/themes/aura/button';
import dialog from '@primeuix/themes/aura/dialog';
import inputtext from '@primeuix/themes/aura/inputtext';
import select from '@primeuix/themes/aura/select';
import base from '@primeuix/themes/aura/base';

const room = {
  ground: 'var(--ground)',
  sheet: 'var(--sheet)',
  rule: 'var(--rule)',
  ink: 'var(--ink)',
  ink2: 'var(--ink-2)',
  verdigris: 'var(--verdigris)',
  onVerdigris: 'var(--on-verdigris)',
  touched: 'var(--touched)',
};

const none = 'none';

/** Field shapes that inputs and selects share. */
const formField = {
  paddingX: '8px',
  paddingY: '4px',
  borderRadius: 'var(--corner)',
  focusRing: { width: '2px', style: 'solid', color: room.verdigris, offset: '0', shadow: none },
  transitionDuration: 'var(--motion)',
  sm: { fontSize: 'var(--size-beside)', paddingX: '6px', paddingY: '2px' },
  lg: { fontSize: 'var(--size-read)', paddingX: '12px', paddingY: '8px' },
};

const colourScheme = {
  surface: { 0: room.sheet },
  primary: {
    color: room.verdigris,
    contrastColor: room.onVerdigris,
    hoverColor: room.verdigris,
    activeColor: room.verdigris,
  },
  highlight: {
    background: room.touched,
    focusBackground: room.touched,
    color: room.ink,
    focusColor: room.ink,
  },
  mask: { background: 'rgb(19 26 24 / 0.4)', color: room.ink },
  formField: {
    background: room.sheet,
    disabledBackground: room.ground,
    filledBackground: room.sheet,
    filledHoverBackground: room.sheet,
    filledFocusBackground: room.sheet,
    borderColor: room.rule,
    hoverBorderColor: room.ink2,
    focusBorderColor: room.verdigris,
    invalidBorderColor: 'var(--mark)',
    color: room.ink,
    disabledColor: room.ink2,
    placeholderColor: room.ink2,
    iconColor: room.ink2,
    shadow: none,
  },
  text: {
    color: room.ink,
    hoverColor: room.ink,
    mutedColor: room.ink2,
    hoverMutedColor: room.ink,
  },
  content: {
    background: room.sheet,
    hoverBackground: room.touched,
    borderColor: room.rule,
    color: room.ink,
    hoverColor: room.ink,
  },
  overlay: {
    select: { background: room.sheet, borderColor: room.ink2, color: room.ink },
    popover: { background: room.sheet, borderColor: room.ink2, color: room.ink },
    modal: { background: room.sheet, borderColor: room.ink2, color: room.ink },
  },
  list: {
    option: {
      focusBackground: room.touched,
      selectedBackground: room.touched,
      selectedFocusBackground: room.touched,
      color: room.ink,
      focusColor: room.ink,
      selectedColor: room.verdigris,
      selectedFocusColor: room.verdigris,
    },
  },
};

/** A button beside the primary one: ruled, or bare. */
const quietButton = {
  hoverBackground: room.touched,
  activeBackground: room.touched,
  borderColor: room.rule,
  color: room.ink,
};
const buttonColours = {
  outlined: { primary: quietButton, secondary: quietButton },
  text: { primary: quietButton, secondary: { ...quietButton, color: room.ink2 } },
};

/** Flat and ruled: the composing room's look for the components we take from the library. */
export const preset = definePreset(
  { ...base, components: { button, dialog, inputtext, select } },
  {
    semantic: {
      transitionDuration: 'var(--motion)',
      focusRing: {
        width: '2px',
        style: 'solid',
        color: room.verdigris,
        offset: '1px',
        shadow: none,
      },
      formField,
      content: { borderRadius: 'var(--corner)' },
      list: { padding: '0', gap: '0', option: { padding: '5px 8px', borderRadius: '0' } },
      overlay: {
        select: { borderRadius: 'var(--corner)', shadow: none },
        popover: { borderRadius: 'var(--corner)', padding: '12px', shadow: none },
        modal: { borderRadius: 'var(--corner)', padding: '16px', shadow: none },
      },
      colorScheme: { light: colourScheme, dark: colourScheme },
    },
    components: {
      button: {
        root: {
          borderRadius: 'var(--corner)',
          paddingX: '12px',
          paddingY: '4px',
          gap: '6px',
          iconOnlyWidth: '28px',
          label: { fontWeight: '550' },
          raisedShadow: none,
        },
        colorScheme: { light: buttonColours, dark: buttonColours },
      },
      dialog: {
        root: { shadow: none, borderRadius: 'var(--corner)' },
        header: { padding: '16px 16px 8px' },
        title: { fontSize: '16px', fontWeight: '650' },
        content: { padding: '0 16px 16px' },
      },
      select: { dropdown: { width: '20px' } },
    },
  },
);
