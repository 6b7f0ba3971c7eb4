import type { Board } from '../model/board';
import { interval, isKnown } from '../model/figure';
import type { Link } from '../model/peripheral';
import { mayHaveMore, undrawn } from './all-pads';
import { overlayConditions } from './pad-ways';
import { portGroups, spoken } from './serial-ways';
import { row, way, type Condition, type Way, type Workshop } from './way';

/** The way onto a pad that is not drawn, where there may be one. Serial ports that are all there may still have a pad more, for inverted signals. */
export function undrawnWays(shop: Workshop, link: Link): Way[] {
  if (!mayHaveMore(shop.board) || link.kind === 'motor line') return [];
  const open: Condition = { rung: 4, truth: 'unknown', why: undrawn };
  if (link.kind === 'serial' && allPortsDrawn(shop.board)) return spoken(link).sense === 'inverted' ? invertedPads(shop) : [];
  return [way({ conditions: [open, ...(link.kind === 'video' ? overlayConditions(shop, link) : [])], link: { kind: 'pad', pads: [], what: 'a pad that is not drawn' } })];
}

function invertedPads(shop: Workshop): Way[] {
  return portGroups(shop)
    .filter(({ ports }) => !ports[0]!.taken)
    .map(({ id, ports }) =>
      way({
        conditions: [{ rung: 5, truth: 'unknown', why: `${undrawn}: nobody says whether ${ports[0]!.label} has one for inverted signals` }],
        rows: [{ id: row(shop, { id: `port:${id}`, limit: ports.length }), amount: 1, rung: 4 }],
        link: { kind: 'pad', pads: [], what: `a pad of ${ports[0]!.label} that is not drawn` },
      }),
    );
}

function allPortsDrawn({ claimedPorts, ports }: Board): boolean {
  return isKnown(claimedPorts) && ports.length >= interval(claimedPorts).high;
}
