import { motorAmps } from '../circuit/packs';
import { padWords } from '../circuit/pad-words';
import { groundFor } from '../circuit/ground-pads';
import { interval, isKnown } from '../quantity/figure';
import type { Board, Member, Rail } from '../records/board';
import type { Build } from '../records/build';
import { entryOf, feedBridge, feedsOf, giverOf, linesOfFiveMeet, positionOf } from '../sets/feed';
import { inWhole } from '../sets/member-parts';
import { piecesOf } from '../sets/pieces';
import { isSingleEsc, memberOf } from '../sets/roles';
import { sensingOf } from '../sets/sensing';
import { hasLine } from '../trade/harness-line';
import { wireColours } from '../trade/sundries';
import { gaugeFor, wireGramsPerM } from '../trade/wire';
import type { Hookup } from '../wiring/hookup';
import { signalGauge, type Wire } from './wire';

/** From one board of a stack to the next, with slack to open it; to an ESC on an arm. Common practice of the trade, no source. */
const lengthsMm = { inStack: 40, toArm: 120 } as const;

/** What a controller may draw of the pack, and what a regulator of which nobody says it may give: our own choice, no source. */
const assumedAmps = 3;

/** A wire from one member of a set to another: the two pads, what it carries. */
interface Between {
  from: Member;
  /** Pads as they are called in the whole. */
  fromPad: string;
  toPad: string;
  net: string;
  amps: number | null;
  kind: 'signal' | 'supply';
  colour: string;
  lengthMm: number;
}

/** The wires between the members of a set that their harness does not bring, each supply with its ground. */
export function memberWires(build: Build, board: Board, hookup: Hookup): Wire[] {
  const taken = new Map<string, number>();
  return betweens(build, board, hookup).flatMap((b) => {
    const gauge = b.amps === null ? signalGauge : (gaugeFor(b.amps) ?? 10);
    const wire = wireOf(board, b, gauge);
    if (b.kind === 'signal') return [wire];
    const [fromGround, toGround] = [b.fromPad, b.toPad].map((pad) => groundFor(board, pad, taken));
    if (!fromGround || !toGround) return [wire];
    taken.set(toGround, (taken.get(toGround) ?? 0) + 1);
    const back = { ...b, fromPad: fromGround, toPad: toGround, net: 'ground', colour: wireColours.ground };
    return [wire, { ...wireOf(board, back, gauge), kind: 'ground' as const }];
  });
}

function wireOf(board: Board, { from, fromPad, toPad, net, kind, colour, lengthMm }: Between, gauge: number): Wire {
  const pin = { name: labelOf(board, fromPad) };
  return {
    part: `member ${from.board.id}`,
    partName: from.board.name,
    padId: toPad,
    face: board.pads.find((p) => p.id === toPad)?.face ?? 'top',
    from: padWords(board, toPad),
    to: `${from.board.name}, ${pin.name}`,
    pin,
    net,
    gauge,
    lengthMm,
    colour,
    kind,
    grams: (wireGramsPerM(gauge) * lengthMm) / 1000,
  };
}

function betweens(build: Build, board: Board, hookup: Hookup): Between[] {
  const pieces = piecesOf(board);
  if (!pieces) return [];
  const { controller, esc } = pieces;
  const escMember = memberOf(board, 'esc');
  const powerMember = memberOf(board, 'power board');
  const found: Between[] = [];
  const own = (pad: string | undefined) => (pad === undefined ? undefined : inWhole('controller', pad));

  // The pack reaches the controller through the harness, or by a wire from the member that has it.
  const packPad = own(
    board.rails.find((r) => controller.rails.some((x) => x.id === r.id) && r.source.kind === 'pack')?.pads[0],
  );
  const byHarness =
    esc !== undefined && !isSingleEsc(esc) && [controller, esc].every((b) => hasLine(b.escPlug?.pins ?? [], 'pack'));
  const packFrom = powerMember ?? escMember;
  const packOf = (m: Member) => m.board.rails.find((r) => r.source.kind === 'pack')?.pads[0];
  if (packPad && packFrom && !byHarness && packOf(packFrom))
    found.push({
      from: packFrom,
      fromPad: inWhole(packFrom.role, packOf(packFrom)!),
      toPad: packPad,
      net: 'pack',
      amps: assumedAmps,
      kind: 'supply',
      colour: wireColours.pack,
      lengthMm: lengthsMm.inStack,
    });

  // A power board stands between the pack and every ESC.
  if (powerMember && escMember && packOf(powerMember) && packOf(escMember)) {
    const each = (build.motors.count * motorAmps(build).cruise) / escMember.count;
    for (let i = 0; i < escMember.count; i++)
      found.push({
        from: powerMember,
        fromPad: inWhole('power board', packOf(powerMember)!),
        toPad: inWhole('esc', packOf(escMember)!),
        net: `motors' pack ${i + 1}`,
        amps: each,
        kind: 'supply',
        colour: wireColours.pack,
        lengthMm: escMember.count > 1 ? lengthsMm.toArm : lengthsMm.inStack,
      });
  }

  const position =
    hookup.bridges.find((b) => b.bridge === feedBridge)?.position ?? onlyFeed(feedsOf(pieces).map(positionOf));
  const feeders: Record<string, Member | undefined> = { [positionOf('power board')]: powerMember, esc: escMember };
  const feeder = position === undefined ? undefined : feeders[position];
  const entry = feeder && padOfEntry(board, controller);
  const giver = feeder && giverOf(feeder.board);
  const plugged = feeder?.role === 'esc' && linesOfFiveMeet(pieces);
  if (feeder && entry && giver?.pads[0] && !plugged)
    found.push({
      from: feeder,
      fromPad: inWhole(feeder.role, giver.pads[0]),
      toPad: entry,
      net: "the controller's 5 V",
      amps: ratedAmps(giver),
      kind: 'supply',
      colour: wireColours.supply,
      lengthMm: lengthsMm.inStack,
    });

  const sensing = sensingOf(pieces)[0];
  const reader = controller.analogueInputs.find((i) => i.kind === 'current');
  const senser = sensing?.by === 'wire' ? memberOf(board, sensing.role) : undefined;
  const sends = senser?.board.pads.find((p) => hasLine([p.label], 'current'));
  if (senser && reader)
    found.push({
      from: senser,
      fromPad: sends ? inWhole(senser.role, sends.id) : '',
      toPad: inWhole('controller', reader.pad),
      net: 'current',
      amps: null,
      kind: 'signal',
      colour: wireColours.other,
      lengthMm: lengthsMm.inStack,
    });
  return found;
}

function onlyFeed(feeds: readonly string[]): string | undefined {
  return feeds.length === 1 ? feeds[0] : undefined;
}

/** A pad of the net into which 5 V comes from outside. */
function padOfEntry(board: Board, controller: Board): string | undefined {
  const entry = entryOf(controller);
  const net = controller.rails.filter(
    (r) => r === entry || (entry && r.source.kind === 'either' && r.source.of.includes(entry.id)),
  );
  const pad = net.flatMap((r) => r.pads).at(-1);
  return pad !== undefined && board.pads.some((p) => p.id === pad) ? pad : undefined;
}

function ratedAmps({ source }: Rail): number {
  if (source.kind !== 'regulator' || !isKnown(source.ratedAmps)) return assumedAmps;
  return interval(source.ratedAmps).high;
}

/** A line that leaves by the plug has no pad of its own. */
function labelOf(board: Board, pad: string): string {
  return board.pads.find((p) => p.id === pad)?.label ?? 'the current line of its plug';
}
