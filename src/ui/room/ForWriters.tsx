import Box from '@mui/material/Box';
import { ThemeProvider, type Theme } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { useRoom } from './store';

/** What only changes something: shown to those who may. Readers and guests look. */
export function ForWriters({ children }: { children: ReactNode }) {
  const { rights } = useRoom('rights');
  return rights.mayWrite ? children : null;
}

/** Nothing in it looks as if it could be pressed. */
const still = {
  display: 'contents',
  '&:disabled .MuiButton-root:not(.MuiButton-contained, [role=radio])': {
    color: 'text.secondary',
    borderColor: 'var(--hair)',
  },
};

const asItIs = (theme: Theme): Theme => theme;

const noArrow = () => null;

/** Lists are no elements of a form that a fieldset could hold still. */
const listsStandStill = (theme: Theme): Theme => ({
  ...theme,
  components: {
    ...theme.components,
    MuiSelect: {
      ...theme.components?.MuiSelect,
      defaultProps: { ...theme.components?.MuiSelect?.defaultProps, readOnly: true, IconComponent: noArrow },
    },
  },
});

/** What says how something is, and changes it: everybody sees it, and for those who only look it stands still. */
export function ChangedByWriters({ children }: { children: ReactNode }) {
  const { rights } = useRoom('rights');
  return (
    <Box component="fieldset" role="none" disabled={!rights.mayWrite} sx={still}>
      <ThemeProvider theme={rights.mayWrite ? asItIs : listsStandStill}>{children}</ThemeProvider>
    </Box>
  );
}
