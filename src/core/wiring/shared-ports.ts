import { mayShare } from '../trade/protocol';
import type { LaidNeed, LaidPart } from './laid';
import { portGroups, sideWays, spoken, type Spoken } from './serial-ways';
import { sideKey, type RowKey, type SideKey } from './keys';
import { row, tag, way, type Way, type Workshop } from './way';

/**
 * Lets a link use the other side of a port that an earlier part's link is on, where the protocol table allows it.
 * The host's ways are tagged with the group of ports they end on; the rider's way wants the same tag.
 */
export function shareSides(shop: Workshop, laid: LaidPart[]): void {
  laid.forEach((host, h) => {
    for (const rider of laid.slice(h + 1)) {
      for (const guest of serialNeeds(rider)) {
        const seat = hostNeed(host, guest.protocol);
        if (!seat) continue;
        // A host with two links has two seats; each is told apart.
        const id = sideKey(host.part.id, seat.need.id);
        const once = row(shop, { id, limit: 1 });
        markHost(shop, host, seat.need, id);
        guest.need.ways.push(...ridingWays(shop, host, seat.need, guest.protocol, id, once));
      }
    }
  });
}

const needsOf = new WeakMap<LaidPart, { need: LaidNeed; protocol: Spoken }[]>();

function serialNeeds(l: LaidPart): { need: LaidNeed; protocol: Spoken }[] {
  let needs = needsOf.get(l);
  if (!needs) needsOf.set(l, (needs = findSerialNeeds(l)));
  return needs;
}

function findSerialNeeds(l: LaidPart): { need: LaidNeed; protocol: Spoken }[] {
  return l.modes.flatMap((m) =>
    m.needs.flatMap((need) => {
      if (need.link?.kind !== 'serial') return [];
      return [{ need, protocol: spoken(need.link) }];
    }),
  );
}

/** Only a part with a single mode is a host: then its link is there whenever the part is. */
function hostNeed(host: LaidPart, guest: Spoken): { need: LaidNeed } | null {
  if (host.modes.length !== 1) return null;
  return serialNeeds(host).find(({ protocol }) => mayShare(protocol, guest)) ?? null;
}

/** Each way of the host says where it ends; left out, it ends nowhere. Done once however many could ride. */
function markHost(shop: Workshop, host: LaidPart, need: LaidNeed, id: SideKey): void {
  if (host.unmetTags?.some((t) => t.id === id)) return;
  for (const w of need.ways) w.tags = [...w.tags, tag(shop, id, w.link?.kind === 'port' ? w.link.group : 'elsewhere')];
  host.unmetTags = [...(host.unmetTags ?? []), tag(shop, id, 'nowhere')];
}

function ridingWays(shop: Workshop, host: LaidPart, seat: LaidNeed, guest: Spoken, id: SideKey, once: RowKey): Way[] {
  const groups = new Set(seat.ways.flatMap((w) => (w.link?.kind === 'port' ? [w.link.group] : [])));
  return portGroups(shop)
    .filter((g) => groups.has(g.id))
    .flatMap((g) => {
      const side = guest.wires === 'talk' ? 'tx' : 'rx';
      return sideWays(shop, g, guest, side).map((end) =>
        way({
          conditions: end.conditions,
          cost: end.cost,
          lost: end.lost,
          rows: [{ id: once, amount: 1, rung: 4 }],
          tags: [...end.tags, tag(shop, id, g.id)],
          link: {
            kind: 'port',
            group: g.id,
            [side]: end.link?.kind === 'pad' ? end.link.pads : [],
            with: `${host.part.id}/${seat.id}`,
          },
        }),
      );
    });
}
