import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState, type ReactNode } from 'react';
import {
  counted,
  centsOf,
  money,
  plainMoney,
  withBridge,
  withHoles,
  withOffer,
  withParcel,
  withPinOrder,
  withPinout,
  withSupplies,
  type Board,
  type BridgeRead,
  type OfferRead,
  type PadRead,
  type ParcelRead,
  type SuppliesRead,
} from '@/core';
import type { Proposed } from '@/workers/read-page.worker';
import { Said } from '../shelf/Said';
import { Choice } from '../form/Choice';
import { currencyMeant, isCurrency } from '../form/in-form';
import { NumberBox } from '../form/NumberBox';

/** What of a page is more than single figures: its pads, the pins of its plugs, its price. Each lands as a whole, once it was looked at. */
export function Proposals({
  board,
  read: { pads, orders, offer, holes, supplies, bridges, parcel },
  said,
  onTake,
}: {
  board: Board;
  read: Proposed;
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
      {supplies.supplies.length + supplies.shared.length > 0 && (
        <Proposal
          words={`Regulators: ${suppliesWords(supplies)}.`}
          act="Take what is said of them"
          onTake={() => onTake((b) => withSupplies(b, supplies, said))}
        />
      )}
      {bridges.map((b) => (
        <BridgeChoice key={b.quote} bridge={b} said={said} onTake={onTake} />
      ))}
      {parcel && (
        <Proposal
          words={`In the parcel: ${parcelWords(parcel)}.`}
          act="Take what counts"
          onTake={() => onTake((b) => withParcel(b, parcel, said))}
        />
      )}
      {offer && <Price offer={offer} seen={said.seen} onTake={onTake} />}
    </>
  );
}

function suppliesWords({ supplies, shared }: SuppliesRead): string {
  const each = supplies.map((s) =>
    [
      `${s.volts} V`,
      s.type ?? '',
      s.inputVolts ? `in ${s.inputVolts.min} to ${s.inputVolts.max} V` : '',
      s.fedFrom === undefined ? '' : `out of ${s.fedFrom} V`,
      s.servos ? 'for servos' : '',
    ]
      .filter((w) => w !== '')
      .join(', '),
  );
  const all = shared.map((s) =>
    s.volts.length === 0
      ? `all together no more than ${s.amps} A`
      : `${s.volts.map((v) => `${v} V`).join(' and ')} together no more than ${s.amps} A`,
  );
  return [...each, ...all].join('; ');
}

function parcelWords({ capacitor, isolators, also }: ParcelRead): string {
  const counts = [
    capacitor ? `a capacitor of ${capacitor.microfarads} uF, ${capacitor.volts} V` : '',
    isolators ? 'soft mounts' : '',
  ].filter((w) => w !== '');
  return `${counts.join(' and ')}${also.length > 0 ? ` (also ${also.join(', ')}, which no figure of the board is about)` : ''}`;
}

const positionWords = (p: number | 'pack') => (p === 'pack' ? 'pack' : `${p} V`);

/** A bridge is of no use without the position that it is delivered in: where the page is silent, it is asked. */
function BridgeChoice({
  bridge,
  said,
  onTake,
}: {
  bridge: BridgeRead;
  said: Parameters<typeof Proposals>[0]['said'];
  onTake: (next: (board: Board) => Board) => void;
}) {
  const [factory, setFactory] = useState(bridge.factory);
  return (
    <Proposal
      words={`A ${bridge.form} chooses the ${bridge.what ?? 'volts'}${bridge.what ? ' supply' : ''}: ${bridge.positions.map(positionWords).join(' or ')}.`}
      act="Add the bridge"
      ready={factory !== null}
      onTake={() => factory !== null && onTake((b) => withBridge(b, bridge, factory, said))}
    >
      <Box sx={{ mt: 0.5 }}>
        <Choice
          label="As delivered"
          value={factory === null ? notSaid : String(factory)}
          words={[...(factory === null ? [notSaid] : []), ...bridge.positions.map(String)]}
          says={(id) => (id === notSaid ? notSaid : positionWords(id === 'pack' ? id : Number(id)))}
          onChange={(id) => setFactory(bridge.positions.find((p) => String(p) === id) ?? null)}
        />
      </Box>
    </Proposal>
  );
}
const notSaid = 'the page does not say';

function Proposal({
  words,
  act,
  onTake,
  ready = true,
  children,
}: {
  words: string;
  act: string;
  /** Something is still to be said before it can be taken. */
  ready?: boolean;
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
            disabled={!ready}
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
  if ('port' in use) return `port ${use.port} ${use.kind}${use.sense ? `, ${use.sense}` : ''}${stands}`;
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
  const [currency, setCurrency] = useState(offer.currency ?? '');
  const take = () =>
    onTake(
      (b) =>
        withOffer(
          b,
          {
            shop,
            cents: offer.cents,
            shippingCents: shipping === null ? null : centsOf(shipping),
            currency: currencyMeant(currency),
          },
          seen,
        ) ?? b,
    );
  const said = (cents: number) => (offer.currency ? money(cents, offer.currency) : plainMoney(cents));
  return (
    <Proposal
      words={`Price ${said(offer.cents)}${offer.shippingCents === null ? ', nothing said of shipping' : `, shipping ${said(offer.shippingCents)}`}${offer.currency ? '' : '. Which money it is the page does not say: three letters, such as EUR'}`}
      act="Add the offer"
      ready={isCurrency(currencyMeant(currency))}
      onTake={take}
    >
      <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
        <Said label="Shop" value={shop} most={80} onSay={setShop} />
        <Said label="In" value={currency} most={3} onSay={setCurrency} />
        <NumberBox
          label="Shipping"
          unit={currencyMeant(currency)}
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
