import { createTheme } from '@mui/material/styles';

/** Paper, ink and metal; the four state colours come second to shape and word. */
export const schemes = {
  light: {
    paper: '#f6f2e8',
    sheet: '#fbf8f1',
    ink: '#1b2838',
    faded: '#566274',
    hair: '#cfc7b4',
    copper: '#9a4a1c',
    copperSoft: '#f0dfcf',
    holds: '#43622f',
    strained: '#7a5000',
    unknown: '#51637a',
    breaks: '#9c2f20',
    pencil: '#857d6c',
  },
  dark: {
    paper: '#151b22',
    sheet: '#1b232c',
    ink: '#e9e3d5',
    faded: '#a5adb8',
    hair: '#3a4552',
    copper: '#e39a66',
    copperSoft: '#3b2a20',
    holds: '#9cc07c',
    strained: '#dfae4a',
    unknown: '#a3b6cc',
    breaks: '#ee8a78',
    pencil: '#66707c',
  },
} as const;

const palette = (s: (typeof schemes)['light' | 'dark']) => ({
  primary: { main: s.copper, contrastText: s.paper },
  secondary: { main: s.ink, contrastText: s.paper },
  success: { main: s.holds },
  warning: { main: s.strained },
  info: { main: s.unknown },
  error: { main: s.breaks },
  background: { default: s.paper, paper: s.sheet },
  text: { primary: s.ink, secondary: s.faded },
  divider: s.hair,
});

const variables = (s: object) =>
  Object.fromEntries(Object.entries(s).map(([name, value]) => [`--${name}`, value as string]));

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-scheme' },
  colorSchemes: { light: { palette: palette(schemes.light) }, dark: { palette: palette(schemes.dark) } },
  shape: { borderRadius: 3 },
  spacing: 6,
  typography: {
    fontFamily: '"Archivo Variable", system-ui, sans-serif',
    fontSize: 13,
    h1: { fontSize: 20, fontWeight: 620, fontStretch: '88%', letterSpacing: 0 },
    h2: { fontSize: 15, fontWeight: 620, fontStretch: '90%' },
    h3: { fontSize: 13, fontWeight: 620 },
    body1: { fontSize: 13, lineHeight: 1.4 },
    body2: { fontSize: 12, lineHeight: 1.35 },
    button: { textTransform: 'none', fontWeight: 560 },
    caption: { fontSize: 11, lineHeight: 1.3 },
  },
  transitions: { create: () => 'none' },
  components: {
    MuiFormControlLabel: { styleOverrides: { root: { marginLeft: -5 } } },
    MuiCssBaseline: {
      styleOverrides: {
        '[data-scheme="light"], :root': variables(schemes.light),
        '[data-scheme="dark"]': variables(schemes.dark),
        progress: { accentColor: 'var(--copper)' },
        body: { fontVariantNumeric: 'tabular-nums', scrollbarColor: 'var(--hair) transparent' },
        ':focus-visible': { outline: '2px solid var(--copper)', outlineOffset: 1 },
        a: { color: 'var(--copper)' },
        'td > a:only-child': { display: 'inline-block', minHeight: 24, minWidth: 24 },
        '.toured': { outline: '2px dashed var(--copper)', outlineOffset: 3 },
        '.skip': { position: 'absolute', left: 8, top: -60, zIndex: 10, padding: 8, background: 'var(--paper)' },
        '.skip:focus': { top: 8 },
        '#page:focus': { outline: 'none' },
        '@media (prefers-reduced-motion: reduce)': {
          '*': { animation: 'none !important', transition: 'none !important', scrollBehavior: 'auto !important' },
        },
        '.sr': {
          position: 'absolute',
          width: 1,
          height: 1,
          overflow: 'hidden',
          clipPath: 'inset(50%)',
          whiteSpace: 'nowrap',
        },
        table: { borderCollapse: 'collapse', width: '100%' },
        'th, td': {
          textAlign: 'left',
          padding: '3px 8px 3px 0',
          borderBottom: '1px solid var(--hair)',
          fontSize: 12,
          verticalAlign: 'top',
        },
        th: { fontWeight: 560, color: 'var(--faded)' },
        'td:first-of-type': { whiteSpace: 'nowrap' },
        'td.n, th.n': { textAlign: 'right', paddingRight: 10 },
        '.print-only': { display: 'none' },
        '@media print': {
          '.print-only': { display: 'block' },
          // In either scheme, also where no script turns it.
          '[data-scheme="dark"]': { ...variables(schemes.light), colorScheme: 'light' },
          // Lists scroll on the screen; on paper they go on.
          '.paper': { overflow: 'visible !important', height: 'auto !important', display: 'block !important' },
          '.paper-wide': { page: 'wide' },
          // What can only be pressed says nothing on paper.
          '.MuiButton-contained, .MuiButton-outlined, .MuiButton-root[aria-expanded], .MuiButton-root[aria-haspopup]': {
            display: 'none !important',
          },
          'tr, li, [role="row"]': { breakInside: 'avoid' },
          'h1, h2, h3': { breakAfter: 'avoid' },
          '.no-print': { display: 'none !important' },
          'html, body': { background: '#fff !important', fontSize: '10pt' },
          main: { overflow: 'visible !important' },
          '@page wide': { size: 'landscape' },
          '@page': {
            margin: '14mm',
            '@bottom-right': { content: '"page " counter(page) " of " counter(pages)', fontSize: '8pt' },
          },
        },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true, size: 'small' },
      styleOverrides: {
        root: { borderRadius: 3, padding: '2px 10px', minWidth: 0 },
        outlined: { borderColor: 'var(--copper)' },
      },
    },
    MuiPaper: {
      defaultProps: { elevation: 0 },
      styleOverrides: { root: { backgroundImage: 'none', border: '1px solid var(--hair)' } },
    },
    MuiTextField: { defaultProps: { size: 'small', variant: 'standard' } },
    MuiInput: {
      styleOverrides: {
        root: {
          fontSize: 13,
          '&::before': { borderBottom: '1px solid var(--pencil)' },
          '&::after': { borderBottomColor: 'var(--copper)', transition: 'none' },
        },
        input: { padding: '2px 0', height: '1.5em' },
      },
    },
    MuiInputLabel: { styleOverrides: { root: { fontSize: 12, color: 'var(--faded)', transition: 'none' } } },
    MuiSelect: {
      defaultProps: { size: 'small', variant: 'standard' },
      styleOverrides: { select: { padding: '2px 0', fontSize: 13 } },
    },
    MuiMenuItem: { styleOverrides: { root: { fontSize: 13, minHeight: 0, padding: '3px 12px' } } },
    MuiCheckbox: { defaultProps: { size: 'small' }, styleOverrides: { root: { padding: 3 } } },
    MuiTooltip: {
      styleOverrides: { tooltip: { fontSize: 12, background: 'var(--ink)', color: 'var(--paper)', borderRadius: 2 } },
    },
  },
});
