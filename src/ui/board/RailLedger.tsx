import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Term } from '../frame/Term';
import type { Hookup } from '@/core';

const amps = (ma: number) => `${(ma / 1000).toFixed(2)} A`;

/** What each regulator, and each output of a part that feeds others, carries, as a bar of its parts against what it may carry. */
export function RailLedger({ hookup }: { hookup: Hookup }) {
  return (
    <section aria-label="Rails">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Term of="rail">Rails</Term>
      </Typography>
      {hookup.rails.length === 0 && <Box sx={{ fontSize: 12.5 }}>No regulator of the board is known.</Box>}
      {[...hookup.rails, ...hookup.together, ...hookup.outputs].map((r) => {
        const full = r.printedMa ?? Math.max(r.peakMa, 1);
        let tone: 'unknown' | 'holds' | 'strained';
        if (r.over) tone = 'strained';
        else if (r.atLeast) tone = 'unknown';
        else tone = 'holds';
        const colour = `var(--${tone})`;
        const width = (ma: number) => `${Math.min(100, (100 * ma) / full)}%`;
        return (
          <Box key={r.rail} sx={{ mb: 1.25 }}>
            <Box
              sx={{ display: 'flex', justifyContent: 'space-between', columnGap: 1, flexWrap: 'wrap', fontSize: 12.5 }}
            >
              <span>
                <strong>{r.label}</strong>: {r.atLeast && 'at least '}
                {amps(r.typicalMa)} steady, {amps(r.peakMa)} at peak
              </span>
              <span>
                {r.usableMa === null
                  ? 'rating unknown'
                  : `may carry ${amps(r.usableMa)}${r.share < 1 ? ` (${Math.round(r.share * 100)} % of the rating)` : ''}`}
              </span>
            </Box>
            <Box aria-hidden sx={{ position: 'relative', height: 12, border: '1px solid var(--ink)', my: 0.25 }}>
              <Box sx={{ position: 'absolute', inset: 0, width: width(r.peakMa), background: colour, opacity: 0.45 }} />
              <Box sx={{ position: 'absolute', inset: 0, width: width(r.typicalMa), background: colour }} />
              {r.usableMa !== null && (
                <Box
                  sx={{
                    position: 'absolute',
                    top: -3,
                    bottom: -3,
                    left: width(r.usableMa),
                    borderLeft: '2px solid var(--copper)',
                  }}
                />
              )}
            </Box>
            <Box sx={{ fontSize: 11.5, color: 'text.secondary' }}>
              {r.parts.map((p) => `${p.name} ${p.unsaid ? 'unknown' : amps(p.peakMa)}`).join(' + ') ||
                'nothing hangs here'}
              {r.ownMa > 0 ? `; the board itself takes ${amps(r.ownMa)} first` : ''}
            </Box>
          </Box>
        );
      })}
    </section>
  );
}
