import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState, type ReactNode } from 'react';
import {
  counted,
  money,
  withHoles,
  withOffer,
  withPinOrder,
  withPinout,
  type Board,
  type HolesRead,
  type OfferRead,
  type PadRead,
  type PinOrder,
} from '@/core';
import { Said } from '../shelf/Said';
import { NumberBox } from '../build/NumberBox';

/** What of a page is more than single figures: its pads, the pins of its plugs, its price. Each lands as a whole, once it was looked at. */
export function Proposals({
  board,
  read: { pads, orders, offer, holes },
  said,
  onTake,
}: {
  board: Board;
  read: { pads: PadRead[]; orders: PinOrder[]; offer: OfferRead | null; holes: HolesRead[] };
  said: { origin: 'claim' | 'manual' | 'print' | 'report' | 'tested'; seen: string };
  onTake: (next: (board: Board) => Board) => void;
}) {
  return (
    <>
      {pads.length > 0 && <Pads board={board} pads={pads} said={said} onTake={onTake} />}
      {orders.map((o) => (
        <Proposal
          key={o.start}
          words={`${o.harness ? 'Pins of the harness' : `Pins of "${o.label}"`}: ${o.pins.join(', ')}`}
          act={o.harness ? 'Take the order' : 'Add the plug'}
          onTake={() => onTake((b) => withPinOrder(b, o))}
        />
      ))}
      {holes.length > 0 && (
        <Proposal
          words={`Holes: ${holes.map((h) => `${h.alongMm} x ${h.acrossMm} mm, ${h.screw ?? 'screws not said'}`).join('; ')}. Along first: turn the board if the page counts from the side.`}
          act="Take the holes"
          onTake={() => onTake((b) => withHoles(b, holes, said))}
        />
      )}
      {offer && <Price offer={offer} seen={said.seen} onTake={onTake} />}
    </>
  );
}

function Proposal({
  words,
  act,
  onTake,
  children,
}: {
  words: string;
  act: string;
  onTake: () => void;
  children?: ReactNode;
}) {
  const [done, setDone] = useState(false);
  return (
    <Box
      sx={{ border: '1px solid var(--hair)', p: 1, my: 0.5, fontSize: 12.5 }}
      role="group"
      aria-label={words.slice(0, 60)}
    >
      {words}
      {children}
      <Box sx={{ textAlign: 'right' }}>
        {done ? (
          <span role="status">taken</span>
        ) : (
          <Button
            variant="outlined"
            onClick={() => {
              onTake();
              setDone(true);
            }}
          >
            {act}
          </Button>
        )}
      </Box>
    </Box>
  );
}

function Pads({
  board,
  pads,
  said,
  onTake,
}: {
  board: Board;
  pads: PadRead[];
  said: Parameters<typeof Proposals>[0]['said'];
  onTake: (next: (board: Board) => Board) => void;
}) {
  const [out, setOut] = useState<ReadonlySet<number>>(new Set());
  const [all, setAll] = useState(false);
  const kept = pads.filter((_, i) => !out.has(i));
  const ports = new Set(kept.flatMap((p) => ('port' in p.use ? [p.use.port] : []))).size;
  const unplaced = kept.filter((p) => p.edge === null).length;
  const take = () =>
    onTake((b) => {
      const drawn = withPinout(b, kept, said);
      return all
        ? { ...drawn, allPads: { value: true, ...said, source: `${kept.length} pads listed on its page` } }
        : drawn;
    });
  return (
    <Proposal
      words={`${counted(kept.length, 'pad')} listed, ${counted(ports, 'port')} among them${unplaced > 0 ? `; ${unplaced} without a side, put on the left` : ''}${board.pads.length > 0 ? `; the board has ${board.pads.length} already` : ''}`}
      act="Put them on the board"
      onTake={take}
    >
      <Box component="details">
        <summary>Look at them</summary>
        <Box component="table" sx={{ width: '100%' }}>
          <tbody>
            {pads.map((p, i) => (
              <tr key={i}>
                <td>
                  <input
                    type="checkbox"
                    checked={!out.has(i)}
                    aria-label={`Pad ${p.label}`}
                    onChange={() =>
                      setOut(out.has(i) ? new Set([...out].filter((o) => o !== i)) : new Set([...out, i]))
                    }
                  />{' '}
                  {p.label}
                </td>
                <td>{saysUse(p)}</td>
                <td>{p.edge ?? 'side unknown'}</td>
              </tr>
            ))}
          </tbody>
        </Box>
      </Box>
      <FormControlLabel
        control={<Checkbox size="small" checked={all} onChange={(e) => setAll(e.target.checked)} />}
        label="These are all the pads that it has"
      />
    </Proposal>
  );
}

function saysUse({ use, toleratesVolts }: PadRead): string {
  const stands = toleratesVolts === null ? '' : `, stands ${toleratesVolts} V`;
  if ('port' in use) return `port ${use.port} ${use.kind}${stands}`;
  if ('volts' in use) return `${use.volts} V`;
  return 'number' in use ? `${use.kind} ${use.number}` : use.kind;
}

function Price({
  offer,
  seen,
  onTake,
}: {
  offer: OfferRead;
  seen: string;
  onTake: (next: (board: Board) => Board) => void;
}) {
  const [shop, setShop] = useState('shop of the page');
  const [shipping, setShipping] = useState<number | null>(
    offer.shippingCents === null ? null : offer.shippingCents / 100,
  );
  const take = () =>
    onTake(
      (b) =>
        withOffer(
          b,
          {
            shop,
            cents: offer.cents,
            shippingCents: Math.round((shipping ?? 0) * 100),
            ...(offer.currency ? { currency: offer.currency } : {}),
          },
          seen,
        ) ?? b,
    );
  return (
    <Proposal
      words={`Price ${money(offer.cents, offer.currency ?? undefined)}${offer.shippingCents === null ? ', nothing said of shipping' : `, shipping ${money(offer.shippingCents, offer.currency ?? undefined)}`}`}
      act="Add the offer"
      onTake={take}
    >
      <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
        <Said label="Shop" value={shop} most={80} onSay={setShop} />
        <NumberBox
          label="Shipping"
          unit={offer.currency ?? 'EUR'}
          mayBeUnknown
          empty=""
          value={shipping}
          onChange={setShipping}
          width={110}
        />
      </Box>
    </Proposal>
  );
}
