import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Term } from '../frame/Term';
import { portSums, type Board, type Hookup } from '@/core';

export function PortLedger({ hookup, board }: { hookup: Hookup; board: Board }) {
  const claims = board.claimedPorts;
  let claimed: string;
  if ('value' in claims) claimed = `Claims ${claims.value}`;
  else if ('low' in claims) claimed = `Claims ${claims.low} to ${claims.high}`;
  else claimed = 'Claims nothing';
  const { asDelivered, used } = portSums(hookup.ports);
  return (
    <section aria-label="Ports">
      <Typography variant="h2">
        <Term of="port (UART)">Ports</Term>
      </Typography>
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
          {hookup.ports.map((p) => {
            let said: string;
            if (p.hears && p.talks) said = 'hear and talk';
            else if (p.hears) said = 'hear, not talk';
            else if (p.talks) said = 'talk, not hear';
            else said = 'nothing';
            return (
              <tr key={p.port}>
                <td>{p.label}</td>
                <td style={{ whiteSpace: 'nowrap' }}>{said}</td>
                <td>{p.usedBy.join(', ') || (p.takenBy && !p.released ? '' : 'free')}</td>
                <td>{p.takenBy ? `${p.takenBy}${p.released ? ' (released)' : ''}` : ''}</td>
              </tr>
            );
          })}
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
