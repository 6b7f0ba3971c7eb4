import type { Board } from './board';
import type { Fault } from './fault';

/** Faults that a schema cannot see: names inside a board that point at nothing, doubles, rails that feed themselves. */
export function checkBoard(board: Board, at: string): Fault[] {
  const faults: Fault[] = [];
  const pads = known(board.pads, 'pads');
  const rails = known(board.rails, 'rails');
  const bridges = new Map(board.bridges.map((b) => [b.id, new Set(b.positions.map((p) => p.id))]));
  known(board.ports, 'ports');
  known(board.bridges, 'bridges');
  known(board.outputs, 'outputs');
  known(board.buses, 'buses');

  function known(things: { id: string }[], where: string): Set<string> {
    const ids = new Set<string>();
    things.forEach((t, i) => {
      if (ids.has(t.id))
        faults.push({
          field: `${at}${where}[${i}].id`,
          sentence: `"${t.id}" stands twice; each needs a name of its own.`,
        });
      ids.add(t.id);
    });
    return ids;
  }
  const want = (set: Set<string>, id: string | undefined, field: string, what: string) => {
    if (id !== undefined && !set.has(id))
      faults.push({ field: at + field, sentence: `Expected the id of a ${what} of this board; found "${id}".` });
  };
  const wantPosition = (bridge: string, position: string, field: string) => {
    const positions = bridges.get(bridge);
    if (!positions)
      faults.push({ field: at + field, sentence: `Expected the id of a bridge of this board; found "${bridge}".` });
    else if (!positions.has(position))
      faults.push({ field: at + field, sentence: `Bridge "${bridge}" has no position "${position}".` });
  };

  board.ports.forEach((port, i) =>
    (['rx', 'tx'] as const).forEach((side) =>
      port[side].forEach((end, j) => {
        const field = `ports[${i}].${side}[${j}]`;
        want(pads, end.pad, `${field}.pad`, 'pad');
        if (end.switch) {
          wantPosition(end.switch.bridge, end.switch.plainAt, `${field}.switch`);
          wantPosition(end.switch.bridge, end.switch.invertedAt, `${field}.switch`);
        }
      }),
    ),
  );
  board.rails.forEach((rail, i) => {
    rail.pads.forEach((p, j) => want(pads, p, `rails[${i}].pads[${j}]`, 'pad'));
    const s = rail.source;
    if (s.kind === 'regulator') want(rails, s.input, `rails[${i}].source.input`, 'rail');
    if (s.kind === 'either') {
      s.of.forEach((r, j) => want(rails, r, `rails[${i}].source.of[${j}]`, 'rail'));
      for (const r of Object.keys(s.dropVolts ?? {}))
        want(new Set(s.of), r, `rails[${i}].source.dropVolts.${r}`, 'rail that feeds this one');
    }
    if (s.kind === 'bridge') {
      for (const [position, r] of Object.entries(s.byPosition)) {
        wantPosition(s.bridge, position, `rails[${i}].source.byPosition`);
        want(rails, r, `rails[${i}].source.byPosition.${position}`, 'rail');
      }
    }
  });
  board.sharedLimits?.forEach((l, i) =>
    l.rails.forEach((r, j) => want(rails, r, `sharedLimits[${i}].rails[${j}]`, 'rail')),
  );
  board.grounds.forEach((p, i) => want(pads, p, `grounds[${i}]`, 'pad'));
  board.bridges.forEach((b, i) => wantPosition(b.id, b.factory, `bridges[${i}].factory`));
  board.outputs.forEach((o, i) => want(pads, o.pad, `outputs[${i}].pad`, 'pad'));
  board.analogueInputs.forEach((o, i) => {
    want(pads, o.pad, `analogueInputs[${i}].pad`, 'pad');
    if (o.at) wantPosition(o.at.bridge, o.at.position, `analogueInputs[${i}].at`);
  });
  if (board.digitalCurrent?.at)
    wantPosition(board.digitalCurrent.at.bridge, board.digitalCurrent.at.position, 'digitalCurrent.at');
  board.buses.forEach((b, i) => b.pads.forEach((p, j) => want(pads, p, `buses[${i}].pads[${j}]`, 'pad')));
  board.video?.cameraIns.forEach((p, i) => want(pads, p, `video.cameraIns[${i}]`, 'pad'));
  want(pads, board.video?.out, 'video.out', 'pad');
  want(pads, board.video?.cameraControl, 'video.cameraControl', 'pad');
  want(pads, board.buzzerPad, 'buzzerPad', 'pad');
  const feeding = feedingFault(board);
  if (feeding) faults.push({ field: `${at}rails`, sentence: feeding });
  return faults;
}

/** The rails a rail is fed from, over all bridge positions. */
export function feedersOf(source: Board['rails'][number]['source']): string[] {
  if (source.kind === 'regulator') return [source.input];
  if (source.kind === 'either') return source.of;
  if (source.kind === 'bridge') return Object.values(source.byPosition);
  return [];
}

/** More ways to supply one rail than any board has: each is tried out. */
export const mostWaysToFeed = 64;

/** What cannot be right about who feeds whom: a rail that feeds itself, or one that bridges can feed in too many ways. Each rail is visited once. */
function feedingFault(board: Board): string | null {
  const rails = new Map(board.rails.map((r) => [r.id, r]));
  const ways = new Map<string, number | 'open'>();
  let fault: string | null = null;
  const visit = (id: string): number => {
    const known = ways.get(id);
    if (known === 'open') fault ??= `Rail "${id}" is fed, step by step, from itself.`;
    if (known !== undefined) return known === 'open' ? 0 : known;
    ways.set(id, 'open');
    const rail = rails.get(id);
    const feeders = rail ? feedersOf(rail.source) : [];
    const each = feeders.map(visit);
    // What is fed by whichever of several is up combines the ways of each.
    const together = rail?.source.kind === 'either';
    const count = each.reduce(
      (all, n) => (together ? all * Math.max(1, n) : all + n),
      together || each.length === 0 ? 1 : 0,
    );
    if (count > mostWaysToFeed)
      fault ??= `Rail "${id}" can be fed in more than ${mostWaysToFeed} ways, over all positions of its bridges: more than Rung tries out.`;
    ways.set(id, count);
    return count;
  };
  for (const { id } of board.rails) if (!fault) visit(id);
  return fault;
}
