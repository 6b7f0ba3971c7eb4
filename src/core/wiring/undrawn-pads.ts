import type { Board } from '../records/board';
import { interval, isKnown } from '../quantity/figure';
import type { Part } from '../records/build';
import type { Link, Supply } from '../records/peripheral';
import { mayHaveMore } from '../circuit/all-pads';
import { gaugeFor } from '../trade/wire';
import { overlayConditions } from './pad-ways';
import { portGroups, spoken } from './serial-ways';
import { ampsAt, unsaidDraw } from './supply-ways';
import { row, way, type Condition, type Way, type Workshop } from './way';
import { portRow } from './keys';

/** The way onto a pad that is not drawn, where there may be one. Serial ports that are all there may still have a pad more, for inverted signals. */
export function undrawnWays(shop: Workshop, link: Link): Way[] {
  if (!mayHaveMore(shop.board) || link.kind === 'motor line') return [];
  const open: Condition = { rung: 4, truth: 'unknown', reason: { code: 'pad not drawn' } };
  if (link.kind === 'serial' && allPortsDrawn(shop.board))
    return spoken(link).sense === 'inverted' ? invertedPads(shop) : [];
  return [
    way({
      conditions: [open, ...(link.kind === 'video' ? overlayConditions(shop, link) : [])],
      link: { kind: 'pad', pads: [], what: 'a pad that is not drawn' },
    }),
  ];
}

/** The supply that a rail would give which nobody has drawn: whatever the part takes. */
export function undrawnSupply(shop: Workshop, part: Part, supply: Supply): Way[] {
  if (!mayHaveMore(shop.board)) return [];
  const volts = interval(supply.minVolts);
  const at = { swing: { low: volts, high: volts } };
  const unsaid = unsaidDraw(part, supply);
  return [
    way({
      conditions: [{ rung: 6, truth: 'unknown', reason: { code: 'rail not drawn' } }, ...unsaid],
      feed: {
        rail: 'undrawn',
        label: 'a rail that is not drawn',
        pads: [],
        volts,
        typicalAmps: ampsAt(supply, 'typicalAmps', at, shop.world),
        peakAmps: ampsAt(supply, 'peakAmps', at, shop.world),
        unsaid: unsaid.length > 0,
        usbAmps: null,
        gauge: gaugeFor(ampsAt(supply, 'peakAmps', at, shop.world)) ?? 10,
        lostVolts: 0,
      },
    }),
  ];
}

function invertedPads(shop: Workshop): Way[] {
  return portGroups(shop)
    .filter(({ ports }) => !ports[0]!.taken)
    .map(({ id, ports }) =>
      way({
        conditions: [
          {
            rung: 5,
            truth: 'unknown',
            reason: { code: 'inverted pad not drawn', port: { id: ports[0]!.id, label: ports[0]!.label } },
          },
        ],
        rows: [{ id: row(shop, { id: portRow(id), limit: ports.length, pool: 'port' }), amount: 1, rung: 4 }],
        link: { kind: 'pad', pads: [], what: `a pad of ${ports[0]!.label} that is not drawn` },
      }),
    );
}

function allPortsDrawn({ claimedPorts, ports }: Board): boolean {
  return isKnown(claimedPorts) && ports.length >= interval(claimedPorts).high;
}
