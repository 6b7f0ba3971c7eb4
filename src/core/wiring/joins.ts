import { railPlugs, type RailPlug } from '../circuit/plug-pins';
import { routeMm } from '../circuit/route';
import type { Compiled } from './compile';
import type { Solution } from '../solver/problem';
import type { Feed, Workshop } from './way';

/** Counts amps under a name. */
function sums() {
  const known = new Map<string, number>();
  return {
    of: (name: string) => known.get(name) ?? 0,
    add: (name: string, amps: number) => known.set(name, (known.get(name) ?? 0) + amps),
  };
}

/**
 * Hands out the pad of a rail that each supply is joined to: the one with fewest wires so far and then the nearest, of those whose pins still carry what it and its guests draw, out and back.
 * A pad that can be soldered carries anything. What the hookup has put on the pins of a plug already counts first.
 */
export function joinsOf(shop: Workshop, compiled: Compiled, solution: Solution): (part: string, feed: Feed) => string {
  const feeds = feedsOf(compiled, solution);
  const through = sums();
  for (const { feed } of feeds) if (feed.throughHost) through.add(feed.throughHost.host, feed.throughHost.amps);
  const out = sums();
  const back = sums();
  const take = (feed: Feed, { plug }: RailPlug, amps: number) => {
    out.add(`${feed.rail} ${plug.id}`, amps);
    back.add(plug.id, amps);
  };
  const soldersAll = shop.build.policies.joints === 'solder';
  const plugsOf = (feed: Feed) => {
    const rail = shop.board.rails.find((r) => r.id === feed.rail);
    return rail && !soldersAll ? railPlugs(shop.board, rail) : [];
  };
  const amps = (part: string, feed: Feed) => feed.peakAmps + through.of(part);
  for (const { part, feed } of feeds) {
    const by = plugsOf(feed).find((p) => p.plug.id === feed.plug);
    if (by) take(feed, by, amps(part, feed));
  }

  const wires = sums();
  return (part, feed) => {
    const plugs = plugsOf(feed);
    const plugAt = (pad: string) => plugs.find((p) => p.pads.includes(pad));
    const carries = (pad: string) => {
      const by = plugAt(pad);
      if (!by || feed.plug !== undefined) return true;
      const left = Math.min(
        by.amps - out.of(`${feed.rail} ${by.plug.id}`),
        (by.groundAmps ?? Infinity) - back.of(by.plug.id),
      );
      return amps(part, feed) <= left + 1e-9;
    };
    const strong = feed.pads.filter(carries);
    const pads = strong.length > 0 ? strong : feed.pads;
    const mine = shop.build.parts.find((p) => p.id === part);
    const mm = (p: string) => routeMm(shop.build, shop.board, mine, p);
    const pad = pads.reduce((best, p) =>
      wires.of(p) < wires.of(best) || (wires.of(p) === wires.of(best) && mm(p) < mm(best)) ? p : best,
    );
    wires.add(pad, 1);
    const by = plugAt(pad);
    if (by && feed.plug === undefined) take(feed, by, amps(part, feed));
    return pad;
  };
}

/** The supplies that the solution has chosen. */
function feedsOf({ parts }: Compiled, { picks }: Solution): { part: string; feed: Feed }[] {
  return parts.flatMap(({ laid, modes }, p) => {
    const pick = picks[p];
    if (!pick) return [];
    return modes[pick.mode]!.needs.flatMap(({ ways }, i) => {
      const feed = ways[pick.choices[i]!]!.feed;
      return feed ? [{ part: laid.part.id, feed }] : [];
    });
  });
}
