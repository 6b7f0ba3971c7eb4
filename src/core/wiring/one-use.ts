import { busPads, sharedPads, supplyPads } from '../circuit/shared-pads';
import { not } from '../quantity/truth';
import { heldPads } from './held-pads';
import type { LaidPart } from './laid';
import { outputGroups } from './output-ways';
import { freeing } from './serial-ways';
import { tag, type Condition, type Place, type Way, type Workshop } from './way';

/**
 * The one place where it is enforced that a pad has one use and a bridge one position, for every kind of link: each way on a pad that more than one function of the
 * board could want takes the pad for itself, and one on a pad that the board holds waits for it to be freed. Pads of a bus carry all that rides the bus.
 */
export function enforceOneUse(shop: Workshop, laid: LaidPart[]): void {
  for (const { part, modes } of laid)
    for (const { needs } of modes)
      for (const need of needs)
        need.ways = need.ways.map((w) => onePosition(w.link ? onePad(shop, w, w.link, `${part.id}/${need.id}`) : w));
}

function onePad(shop: Workshop, w: Way, place: Place, link: string): Way {
  const shared = sharedPads(shop.board);
  const pads = padsOf(shop, place);
  const user = place.kind === 'bus' ? `bus ${place.bus}` : link;
  // A bus that shares a port names the port's pads once more.
  const wires = place.kind === 'bus' ? (shop.board.buses.find((b) => b.id === place.bus)?.pads ?? []) : pads;
  const twice = new Set(wires).size < wires.length;
  const taken = [...new Set(pads)].filter((p) => shared.has(p)).map((p) => tag(shop, `pad:${p}`, user));
  const held = heldPads(shop).filter((h) => pads.includes(h.pad) && !ownHold(place, h.freedBy));
  const powered = place.kind === 'input' ? [] : pads.filter((p) => supplyPads(shop.board).has(p));
  if (!twice && taken.length + held.length + powered.length === 0) return w;
  const conditions: Condition[] = twice ? [{ rung: 4, truth: 'no', reason: { code: 'one pad twice' } }] : [];
  conditions.push(
    ...powered.map((p): Condition => ({
      rung: 4,
      truth: 'no',
      reason: { code: 'pad held', pad: labelOf(shop, p), by: 'a supply' },
    })),
  );
  conditions.push(
    ...held.flatMap((h): Condition[] =>
      h.freedBy === null
        ? [{ rung: 4, truth: not(h.sure), reason: { code: 'pad held', pad: labelOf(shop, h.pad), by: h.by } }]
        : [],
    ),
  );
  const ports = new Set(held.flatMap((h) => (h.freedBy === null ? [] : [h.freedBy])));
  const bare: Way = { ...w, conditions: [...w.conditions, ...conditions], tags: [...w.tags, ...taken] };
  return shop.board.ports.filter((p) => ports.has(p.id)).reduce((way, port) => freeing(shop, port, way), bare);
}

/** A way onto a port that is taken has paid for its release already, or takes what the harness brings. */
function ownHold(place: Place, port: string | null): boolean {
  return place.kind === 'port' && place.group === port;
}

/** The pads that a way takes for sure. Of like ports, outputs and inputs with pads of their own, and of several free camera inputs, any will do. */
function padsOf(shop: Workshop, place: Place): string[] {
  switch (place.kind) {
    case 'port':
      return [...(place.rx ?? []), ...(place.tx ?? [])];
    case 'soft serial':
      return outputPads(shop, [place.group]);
    case 'output':
      return outputPads(
        shop,
        place.take.map((t) => t.group),
      );
    case 'bus':
      return shop.board.buses.filter((b) => b.id === place.bus).flatMap((b) => busPads(b, shop.board.ports));
    case 'input':
      return shop.board.analogueInputs.filter((i) => i.id === place.group).map((i) => i.pad);
    case 'pad':
      return place.pads.length === 1 ? place.pads : [];
  }
}

function outputPads(shop: Workshop, groups: readonly string[]): string[] {
  return outputGroups(shop)
    .filter((g) => groups.includes(g.id) && g.outputs.length === 1)
    .map((g) => g.outputs[0]!.pad);
}

/** A way that wants one bridge, or one of anything else that stands one way, in two positions does not go. */
function onePosition(w: Way): Way {
  const twice = w.tags.find((t) => w.tags.some((u) => u.id === t.id && u.value !== t.value));
  if (!twice) return w;
  const tags = w.tags.filter((t, i) => w.tags.findIndex((u) => u.id === t.id) === i);
  return {
    ...w,
    tags,
    conditions: [...w.conditions, { rung: 4, truth: 'no', reason: { code: 'two positions at once' } }],
  };
}

function labelOf(shop: Workshop, id: string): { id: string; label: string } {
  return { id, label: shop.board.pads.find((p) => p.id === id)?.label ?? id };
}
