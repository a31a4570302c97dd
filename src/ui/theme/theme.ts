'use client';
import { createTheme, type ThemeOptions } from '@mui/material/styles';
import { buttons } from './buttons';
import { inputs } from './inputs';
import { surfaces } from './surfaces';
import { tables } from './tables';
import { typography } from './texts';
import { SCHEME, dim, fonts, fraction, paper, sizes, type Colour } from './tokens';
import './types';

type Colours = Readonly<Record<Colour, string>>;

const role = (c: Colours, main: Colour) => ({
  main: c[main],
  light: c[main],
  dark: c[main],
  contrastText: c['on-strong'],
});

/** The house's roles for MUI's: warning is attention, info is stale, error is stop. */
const scheme = (mode: 'light' | 'dark', c: Colours) => ({
  // Beside the palette stands every colour under its own name: `--ink`, `--rule-soft`.
  ...c,
  palette: {
    mode,
    background: { default: c.paper, paper: c.sheet },
    text: { primary: c.ink, secondary: c['ink-soft'], disabled: c['ink-soft'] },
    primary: role(c, 'petrol'),
    secondary: role(c, 'petrol'),
    info: role(c, 'plum'),
    warning: role(c, 'amber'),
    error: role(c, 'brick'),
    success: role(c, 'moss'),
    action: {
      active: c['ink-soft'],
      disabled: c['ink-soft'],
      disabledBackground: c['paper-deep'],
    },
    divider: c.rule,
  },
});

const options = {
  cssVariables: {
    cssVarPrefix: '',
    colorSchemeSelector: SCHEME.selector,
    nativeColor: true,
  },
  colorSchemes: { light: scheme('light', paper), dark: scheme('dark', dim) },
  ...fonts,
  size: sizes,
  fraction,
  shape: { borderRadius: 3 },
  // Who asked their tablet for stillness has it here too.
  motion: { reducedMotion: 'system' },
  shadows: Array.from({ length: 25 }, () => 'none'),
  typography,
  components: { ...buttons, ...inputs, ...surfaces, ...tables },
};

/** MUI with the house's face: ink on paper, thin rules, no shadows, no capitals, no ripple. */
export const theme = createTheme(options as unknown as ThemeOptions);
