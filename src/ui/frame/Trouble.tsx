import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from './Link';

/** A page that cannot be shown, with what went wrong and what to do. */
export function Trouble({ title, children }: { title: string; children: string }) {
  return (
    <Box component="main" sx={{ maxWidth: 560, mx: 'auto', mt: 12, px: 2 }}>
      <Typography variant="h1">{title}</Typography>
      <Typography sx={{ mt: 1.5 }}>{children}</Typography>
      <Typography sx={{ mt: 1.5 }}>
        <Link href="/">All builds</Link>
      </Typography>
    </Box>
  );
}
