import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

export function NoDatabase() {
  return (
    <Box component="main" sx={{ maxWidth: 560, mx: 'auto', mt: 12, px: 2 }}>
      <Typography variant="h1">The database does not answer</Typography>
      <Typography sx={{ mt: 1.5 }}>
        Rung is running, but it cannot reach its database, so it has nothing to show. What you typed and had not saved
        is kept in this browser. When the database is back, load this page again.
      </Typography>
    </Box>
  );
}
