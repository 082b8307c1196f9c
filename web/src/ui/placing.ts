// Where the parts of a surface lie: what fills the screen beside what, and what stays in sight.

/** What fills the screen below the strip along the top, and scrolls on its own. */
export const COLUMN = { overflowY: { md: 'auto' }, maxHeight: { md: 'calc(100dvh - 45px)' } } as const

/** The panel at the right of a surface. */
export const PANEL = {
  ...COLUMN,
  bgcolor: 'background.paper',
  borderLeft: { md: 1 },
  borderColor: { md: 'divider' },
  p: 2,
} as const

/** The first column of a wide table stays in sight while the rest is scrolled. */
export const ROW_NAME = {
  position: 'sticky',
  left: 0,
  bgcolor: 'background.default',
  zIndex: 1,
  textAlign: 'left',
  fontWeight: 400,
} as const
