import Box from '@mui/material/Box';
import type { AutocompleteRenderGroupParams } from '@mui/material/Autocomplete';

/** Options of a list under what they are, as a group that is announced. */
export function optionGroup({ key, group, children }: AutocompleteRenderGroupParams) {
  return (
    <li key={key} role="group" aria-label={group}>
      <Box role="presentation" sx={{ px: 1.5, pt: 1, fontSize: 11.5, color: 'text.secondary' }}>
        {group}
      </Box>
      <Box component="ul" role="none" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {children}
      </Box>
    </li>
  );
}
