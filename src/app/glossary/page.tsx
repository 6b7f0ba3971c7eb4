import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from '@/ui/frame/Link';
import { glossary, rungNames, rungWords } from '@/core';

export const metadata = { title: 'Words' };

/** The words of the trade, in plain ones. */
export default function Page() {
  const sorted = [...glossary].sort((a, b) => a.term.localeCompare(b.term, 'en', { sensitivity: 'base' }));
  return (
    <Box component="main" sx={{ maxWidth: 720, mx: 'auto', px: 3, py: 4 }}>
      <Typography variant="h1">
        <Link href="/">Rung</Link>: words
      </Typography>
      <Box component="dl" sx={{ m: 0, mt: 2 }}>
        {sorted.map(({ term, means }) => (
          <Box key={term} id={term} sx={{ display: 'flex', gap: 2, borderBottom: '1px solid var(--hair)', py: 0.75 }}>
            <Box component="dt" sx={{ width: 170, flexShrink: 0, fontWeight: 620 }}>
              {term}
            </Box>
            <Box component="dd" sx={{ m: 0 }}>
              {means}
            </Box>
          </Box>
        ))}
      </Box>
      <Typography variant="h2" sx={{ mt: 3 }}>
        The ten rungs
      </Typography>
      <Box component="ol" sx={{ pl: 3 }}>
        {rungNames.map((name) => (
          <li key={name} id={name}>
            <strong>{name}</strong>: {rungWords[name]}
          </li>
        ))}
      </Box>
    </Box>
  );
}
