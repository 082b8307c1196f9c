// The look of Jogo: a school-hall floor. Pale wood, graphite, thin coloured court lines; nothing floats, nothing glows.
import { createTheme, type Theme } from '@mui/material/styles'
import type { Strand } from '../api/client'

export type Mode = 'light' | 'dark' | 'pitch'

/** Which look is on, and the way to another. */
export interface Look {
  mode: Mode
  setMode: (mode: Mode) => void
}

interface Floor {
  wood: string
  plank: string
  paper: string
  hair: string
  ink: string
  quiet: string
  warn: string
  strands: Record<Strand, string>
}

declare module '@mui/material/styles' {
  interface Theme {
    floor: Floor
  }
  interface ThemeOptions {
    floor: Floor
  }
}

const FLOORS: Record<Mode, Floor> = {
  light: {
    wood: '#efe2ca',
    plank: '#e7d8bb',
    paper: '#fbf6eb',
    hair: '#cdbb98',
    ink: '#26282b',
    quiet: '#5b574e',
    warn: '#9c2f1f',
    strands: { ball_mastery: '#a2382a', dribbling: '#1f4f8a', receiving: '#1d6844', passing: '#8a5f0e' },
  },
  dark: {
    wood: '#23211d',
    plank: '#2a2823',
    paper: '#191816',
    hair: '#4b463b',
    ink: '#efe8da',
    quiet: '#b8b0a0',
    warn: '#f0937f',
    strands: { ball_mastery: '#e58a78', dribbling: '#88b4ea', receiving: '#7cc9a0', passing: '#dcb25a' },
  },
  // For sun and rain: black on white, and larger.
  pitch: {
    wood: '#ffffff',
    plank: '#ffffff',
    paper: '#ffffff',
    hair: '#000000',
    ink: '#000000',
    quiet: '#000000',
    warn: '#8f0000',
    strands: { ball_mastery: '#8c1d10', dribbling: '#0b3a75', receiving: '#0a5230', passing: '#6b4700' },
  },
}

export const TEXT_FACE = '"Sofia Sans Variable", system-ui, sans-serif'
/** Every letter is as wide as every other, so that a column can be pointed at. */
export const NOTATION_FACE = '"Azeret Mono", monospace'
export const FIGURE_FACE = '"Sofia Sans Extra Condensed", "Sofia Sans Variable", sans-serif'

export function themeOf(mode: Mode): Theme {
  const floor = FLOORS[mode]
  const hair = `1px solid ${floor.hair}`
  return createTheme({
    floor,
    shape: { borderRadius: 2 },
    shadows: Array(25).fill('none') as Theme['shadows'],
    palette: {
      mode: mode === 'dark' ? 'dark' : 'light',
      primary: { main: floor.ink, contrastText: floor.paper },
      error: { main: floor.warn },
      background: { default: floor.wood, paper: floor.paper },
      text: { primary: floor.ink, secondary: floor.quiet },
      divider: floor.hair,
    },
    typography: {
      fontFamily: TEXT_FACE,
      fontSize: mode === 'pitch' ? 17 : 14,
      h1: { fontSize: '1.5rem', fontWeight: 650, lineHeight: 1.15 },
      h2: { fontSize: '1.1rem', fontWeight: 650, lineHeight: 1.2 },
      h3: { fontSize: '0.95rem', fontWeight: 650, lineHeight: 1.25 },
      body2: { fontSize: '0.9rem' },
      caption: { fontSize: '0.82rem', lineHeight: 1.3 },
      button: { textTransform: 'none', fontWeight: 600 },
    },
    components: {
      MuiCssBaseline: {
        styleOverrides: {
          body: { fontVariantNumeric: 'tabular-nums' },
          ':focus-visible': { outline: `3px solid ${floor.strands.dribbling}`, outlineOffset: 2 },
          '@media (prefers-reduced-motion: reduce)': {
            '*': { transition: 'none !important', animation: 'none !important' },
          },
          '@media print': { body: { background: 'none' }, '.no-print': { display: 'none !important' } },
        },
      },
      MuiButtonBase: { defaultProps: { disableRipple: true } },
      MuiButton: {
        defaultProps: { disableElevation: true, variant: 'outlined' },
        styleOverrides: {
          root: {
            minHeight: 36,
            padding: '4px 14px',
            borderColor: floor.ink,
            '@media (pointer: coarse)': { minHeight: 44 },
          },
        },
      },
      MuiDialog: { styleOverrides: { paper: { border: `1px solid ${floor.ink}`, backgroundImage: 'none' } } },
      MuiMenu: { styleOverrides: { paper: { border: `1px solid ${floor.ink}`, backgroundImage: 'none' } } },
      MuiOutlinedInput: {
        styleOverrides: {
          notchedOutline: { borderColor: floor.quiet },
          root: { backgroundColor: floor.paper },
        },
      },
      MuiTableCell: { styleOverrides: { root: { borderBottom: hair, padding: '6px 10px' } } },
    },
  })
}
