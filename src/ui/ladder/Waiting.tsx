import Box from '@mui/material/Box';
import { Link } from '../frame/Link';

interface Props {
  build: string;
  boards: readonly { id: string; name: string; maker: string }[];
}

/** Boards that have not climbed yet, by name: each opens already. */
export function Waiting({ build, boards }: Props) {
  return (
    <Box component="ul" aria-label="Boards that may carry this build" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {boards.map(({ id, name, maker }) => (
        <Box
          component="li"
          key={id}
          sx={{
            display: 'flex',
            alignItems: 'center',
            height: 37,
            px: 3,
            gap: 2,
            borderBottom: '1px solid var(--hair)',
          }}
        >
          <Box sx={{ width: 182, flexShrink: 0, lineHeight: 1.15 }}>
            <Box
              component={Link}
              href={`/b/${build}/board/${id}`}
              sx={{ color: 'text.primary', fontWeight: 600, textDecoration: 'none' }}
            >
              {name}
            </Box>
            <Box sx={{ fontSize: 11, color: 'text.secondary' }}>{maker}</Box>
          </Box>
          <Box sx={{ color: 'text.secondary' }}>not climbed yet</Box>
        </Box>
      ))}
    </Box>
  );
}
