import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { arrivesOn, list, money, orderFor, plainMoney, shippingOf, type BasketLine } from '@/core';
import { CopyButton } from '../frame/CopyButton';
import { useWords } from '../frame/ways';
import { useRoom } from '../room/store';
import { today } from '../room/today';

export const aims = ['cheapest', 'fastest', 'fewest parcels'] as const;
export type Aim = (typeof aims)[number];

/** What each way to order comes to, what every parcel holds, and how it stands against the budget. */
export function OrderWays({ lines, aim, onAim }: { lines: BasketLine[]; aim: Aim; onAim: (aim: Aim) => void }) {
  const { build } = useRoom('build');
  const words = useWords();
  const day = build.orderedOn ?? today();
  const ways = aims.map((a) => ({ aim: a, order: orderFor(lines, a, build) }));
  const { order } = ways.find((w) => w.aim === aim)!;
  const budget = build.limits.budgetCents;
  const share = budget > 0 ? order.totalCents / budget : 0;
  const over = order.totalCents > budget;
  return (
    <Box component="aside" aria-label="Ways to order">
      <Typography variant="h2">Ways to order</Typography>
      <table>
        <thead>
          <tr>
            <th>Way</th>
            <th className="n">{build.currency}</th>
            <th className="n">Parcels</th>
            <th>All there</th>
          </tr>
        </thead>
        <tbody>
          {ways.map((w) => (
            <tr key={w.aim} style={w.aim === aim ? { background: 'var(--copperSoft)' } : undefined}>
              <td>
                <Button
                  aria-pressed={w.aim === aim}
                  onClick={() => onAim(w.aim)}
                  sx={{ p: 0, minHeight: 24, fontWeight: w.aim === aim ? 660 : 500 }}
                >
                  {w.aim}
                </Button>
              </td>
              <td className="n">
                {w.order.moreCents > 0 && 'from '}
                {plainMoney(w.order.totalCents)}
              </td>
              <td className="n">{w.order.parcels.length}</td>
              <td>{w.order.days === null ? 'not said' : words(arrivesOn(day, w.order.days))}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Typography variant="h2" sx={{ mt: 2 }}>
        Against the budget
      </Typography>
      <Box aria-hidden sx={{ height: 10, border: '1px solid var(--ink)', my: 0.5 }}>
        <Box
          sx={{
            height: '100%',
            width: `${Math.min(100, share * 100)}%`,
            background: over ? 'var(--breaks)' : 'var(--holds)',
          }}
        />
      </Box>
      <Box sx={{ fontSize: 12.5, color: over ? 'error.main' : 'text.primary' }}>
        {money(order.totalCents, build.currency)} of {money(budget, build.currency)}:{' '}
        {over
          ? `${money(order.totalCents - budget, build.currency)} over`
          : `${money(budget - order.totalCents, build.currency)} left`}
        .
        {order.moreCents > 0 &&
          ` Shipping that nobody says may come to ${money(order.moreCents, build.currency)} more.`}
      </Box>
      {order.parcels.map((p) => {
        const inside = lines.filter((l) => order.from.some((f) => f.key === l.key && f.shop === p.shop));
        return (
          <Box key={p.shop} component="section" aria-label={`Parcel of ${p.shop}`} sx={{ mt: 2, fontSize: 12.5 }}>
            <Box sx={{ display: 'flex', alignItems: 'baseline' }}>
              <Typography variant="h3" sx={{ flex: 1 }}>
                {p.shop}
              </Typography>
              <CopyButton text={() => inside.map((l) => `${l.quantity} x ${l.what}`).join('\n')}>
                Copy the order
              </CopyButton>
            </Box>
            {list(inside.map((l) => l.what))}; {shippingOf(p, build.currency)};{' '}
            {p.days === null ? 'how long it takes is not said' : `there on ${words(arrivesOn(day, p.days))}`}.
          </Box>
        );
      })}
    </Box>
  );
}
