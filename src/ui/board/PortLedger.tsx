import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { portSums, type Board, type Hookup } from '@/core';

export function PortLedger({ hookup, board }: { hookup: Hookup; board: Board }) {
  const claims = board.claimedPorts;
  const claimed =
    'value' in claims
      ? `Claims ${claims.value}`
      : 'low' in claims
        ? `Claims ${claims.low} to ${claims.high}`
        : 'Claims nothing';
  const { asDelivered, used } = portSums(hookup.ports);
  return (
    <section aria-label="Ports">
      <Typography variant="h2">Ports</Typography>
      <Box sx={{ fontSize: 12.5, mb: 0.5 }}>
        {claimed}; {asDelivered} {asDelivered === 1 ? 'is' : 'are'} free as delivered; {used} used here.
      </Box>
      <table>
        <thead>
          <tr>
            <th>Port</th>
            <th>Can</th>
            <th>Carries</th>
            <th>Held by</th>
          </tr>
        </thead>
        <tbody>
          {hookup.ports.map((p) => (
            <tr key={p.port}>
              <td>{p.label}</td>
              <td style={{ whiteSpace: 'nowrap' }}>
                {p.hears && p.talks
                  ? 'hear and talk'
                  : p.hears
                    ? 'hear, not talk'
                    : p.talks
                      ? 'talk, not hear'
                      : 'nothing'}
              </td>
              <td>{p.usedBy.join(', ') || (p.takenBy && !p.released ? '' : 'free')}</td>
              <td>{p.takenBy ? `${p.takenBy}${p.released ? ' (released)' : ''}` : ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {hookup.releases.map((r) => (
        <Box key={r.port} sx={{ mt: 0.5, fontSize: 12.5 }}>
          {r.port}: {r.what}. Lost: {r.lost}.
        </Box>
      ))}
    </section>
  );
}
