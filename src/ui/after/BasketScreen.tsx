'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { parseAsStringLiteral, useQueryState } from 'nuqs';
import {
  arrivesOn,
  basketCsv,
  basketOf,
  priceOf,
  currencySign,
  list,
  orderFor,
  shippingOf,
  type BasketLine,
  unlistedSpan,
  money as moneyIn,
} from '@/core';
import { useMeasure, useWords } from '../frame/ways';
import { NumberBox } from '../form/NumberBox';
import { BuildDoubts } from '../decide/BuildDoubts';
import { useRoom } from '../room/store';
import { ChangedByWriters, ForWriters } from '../room/ForWriters';
import { csv, useTakeOut } from '../frame/take-out';
import { WithBoard, type Chosen } from './use-chosen';
import { today } from '../room/today';
import { aims, OrderWays } from './OrderWays';

/** All that is still to be bought, over shops, less what is at home. */
export function BasketScreen() {
  return <WithBoard title="Basket">{(chosen) => <Basket {...chosen} />}</WithBoard>;
}

function Basket({ board, climb }: Chosen) {
  const { build, edit } = useRoom('build', 'edit');
  const [aim, setAim] = useQueryState('aim', parseAsStringLiteral(aims).withDefault('cheapest'));
  const mass = useMeasure('g');
  const words = useWords();
  const money = (cents: number) => moneyIn(cents, build.currency);
  const lines = basketOf(build, board, climb.hookup);
  const order = orderFor(lines, aim, build);
  const from = new Map(order.from.map((f) => [f.key, f]));
  const grams = lines.reduce((sum, l) => sum + (l.grams ?? 0), 0);
  const unpriced = lines.filter((l) => l.unpriced);
  const unlisted = unlistedSpan(build, lines);
  const unweighed = lines.some((l) => l.grams === null);
  const day = today();
  useTakeOut(() => [
    { says: 'Copy the basket as text', text: () => asText(lines, build.currency) },
    { says: 'Save the basket as CSV', file: csv(`${build.id}-basket`), text: () => basketCsv(lines, build.currency) },
  ]);
  const atHome = (l: BasketLine, n: number) =>
    edit(`home ${l.key}`, (b) => ({ ...b, atHome: { ...b.atHome, [l.key]: Math.max(0, n) } }));
  let said: string;
  if (build.orderedOn) said = words(`Ordered on ${build.orderedOn}`);
  else if (climb.stopsAt === null) said = 'I ordered it today';
  else said = 'I ordered it today all the same';
  return (
    <>
      <BuildDoubts />
      <ForWriters>
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', mb: 1, flexWrap: 'wrap' }}>
          <Button
            variant={climb.stopsAt === null ? 'contained' : 'outlined'}
            onClick={() =>
              edit('ordered', (b) => ({
                ...b,
                stage: 'ordered',
                orderedOn: day,
                ...(order.days === null ? {} : { arrivesOn: arrivesOn(day, order.days) }),
              }))
            }
          >
            {said}
          </Button>
        </Box>
      </ForWriters>
      <Box sx={{ fontSize: 14, mb: 1 }}>
        <strong>{money(order.totalCents)}</strong> landed
        {unpriced.length > 0 && ` without ${list(unpriced.map((l) => l.what))}, whose price nobody says`}
        {order.moreCents > 0 && `, and up to ${money(order.moreCents)} more for shipping that nobody says`}
        {unlisted.lines.length > 0 && `, and up to ${money(unlisted.moreCents)} more for what nobody listed`},{' '}
        {unweighed && 'at least '}
        {mass.show(grams)} {mass.unit},{' '}
        {order.parcels.length === 0
          ? 'no parcels'
          : `${order.parcels.length} parcel${order.parcels.length === 1 ? '' : 's'}: ${order.parcels.map((p) => `${p.shop} (${shippingOf(p, build.currency)}, ${p.days === null ? 'days unknown' : `${p.days} days`})`).join(', ')}`}
        {order.days !== null && order.parcels.length > 0
          ? words(`; all there on ${arrivesOn(build.orderedOn ?? day, order.days)}`)
          : ''}
        .
      </Box>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: { xs: 'wrap', md: 'nowrap' }, alignItems: 'flex-start' }}>
        <Box sx={{ flex: 1, minWidth: 0, overflow: 'auto' }}>
          <table>
            <thead>
              <tr>
                <th>What</th>
                <th className="n">Quantity</th>
                <th className="n">At home</th>
                <th className="n">{currencySign(build.currency)}</th>
                <th className="n">{mass.unit}</th>
                <th>From</th>
                <th>Why</th>
              </tr>
            </thead>
            <tbody>
              {lines.map((l) => {
                const home = build.atHome[l.key] ?? 0;
                return (
                  <tr key={l.key}>
                    <td style={{ whiteSpace: 'normal', textDecoration: home >= l.quantity ? 'line-through' : 'none' }}>
                      {l.what}
                    </td>
                    <td className="n">{amount(l)}</td>
                    <td className="n">
                      <ChangedByWriters>
                        <NumberBox
                          bare
                          label={`At home: ${l.what}`}
                          max={100_000}
                          value={home}
                          onChange={(n) => atHome(l, n ?? 0)}
                          width={46}
                        />
                      </ChangedByWriters>
                    </td>
                    <td className="n">{priceOf({ ...l, cents: from.get(l.key)?.cents ?? l.cents })}</td>
                    <td className="n">{l.grams === null ? 'unknown' : mass.show(l.grams, 1)}</td>
                    <td>{home >= l.quantity ? 'at home' : (from.get(l.key)?.shop ?? whereFrom(l))}</td>
                    <td style={{ whiteSpace: 'normal' }}>{words(l.why)}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <Schedule />
        </Box>
        <Box sx={{ width: { xs: '100%', md: 300 }, flexShrink: 0 }}>
          <OrderWays lines={lines} aim={aim} onAim={(a) => void setAim(a)} />
        </Box>
      </Box>
    </>
  );
}

function whereFrom({ unpriced, mostCents }: BasketLine): string {
  if (mostCents !== undefined) return 'nobody listed it';
  return unpriced ? 'nobody says its price' : 'anywhere, usual price';
}

/** What every build waits for, week by week, is told by this one's parcels; the others stand on the first page. */
function Schedule() {
  const { build } = useRoom('build');
  if (!build.orderedOn) return null;
  return (
    <Typography sx={{ mt: 1 }} color="text.secondary">
      Ordered on {build.orderedOn}. The first page shows which builds wait for parts in which week.
    </Typography>
  );
}

/** "1 piece", "4 pieces", "0.5 m". */
function amount({ quantity, unit }: BasketLine): string {
  return `${quantity} ${unit}${unit === 'm' || quantity === 1 ? '' : 's'}`;
}

function asText(lines: BasketLine[], currency: string): string {
  return lines.map((l) => `${amount(l)}  ${l.what}  ${currencySign(currency)} ${priceOf(l)}`).join('\n');
}
