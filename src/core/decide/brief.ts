import { mayHaveMore } from '../circuit/all-pads';
import { motorAmps, packCells, packVolts } from '../circuit/packs';
import { suppliesOf } from '../circuit/rail-tree';
import { isOnBoard, servedOnBoard } from '../fix/on-board';
import { arranged } from '../sets/arranged';
import { boardKey } from '../bill/basket';
import { draggedIn } from '../bill/dragged-in';
import { exactly, interval, isKnown } from '../quantity/figure';
import { money } from '../quantity/money';
import type { Board } from '../records/board';
import type { Build, Part } from '../records/build';
import type { Mode, Supply } from '../records/peripheral';
import { checkFrame, stackLines } from '../rungs/frame';
import { counted, list, num, type Finding, type FindingCode } from '../rungs/finding';
import { checkMotors } from '../rungs/motors';
import { checkPack } from '../rungs/pack';
import { patternWords } from '../trade/frame';
import { mayShare, protocols, softSerialCarries } from '../trade/protocol';
import { nothingWired } from '../wiring/hookup';
import { ratingShare } from '../trade/rating';
import { insideRange } from '../wiring/supply-ways';

/** One thing that any board must have. A board that fails it does not carry the build, unless something is bought besides. */
export interface BriefLine {
  id: string;
  /** What a seller is asked for. */
  asks: string;
  /** Whose need it is: parts, or the craft itself. */
  because: string[];
  /** What would lower it, or null. */
  lower: string | null;
  fails: (board: Board) => boolean;
}

/**
 * The least that any board must have for a build: worked out before any board is looked at, as bounds that every hookup of the musts keeps. A line says no more than it must: where a part can be wired in
 * several ways, the most modest counts.
 */
export function briefOf(build: Build): BriefLine[] {
  const musts = build.parts.filter((p) => p.priority === 'must' && !servedWithout(p));
  return [
    ...frameLines(build),
    ...packLines(build),
    ...motorLines(build),
    ...portLines(musts),
    ...bothWayLines(musts),
    ...portsInAll(musts),
    ...oneWireLines(musts),
    ...outputLines(build, musts),
    ...busLines(musts),
    ...inputLines(musts),
    ...supplyLines(build, musts),
    ...togetherLines(build, musts),
    ...moneyAndGrams(build, musts),
  ];
}

/** The lines that a board fails. What its own receiver can do, the receiver of the parts list need not ask for. */
export function failedLines(build: Build, board: Board): BriefLine[] {
  return briefOf(servedOnBoard(build, board)).filter((line) => line.fails(board));
}

/** As text for a seller or a forum. */
export function briefText(build: Build): string {
  const lines = briefOf(build).map((l) => `- ${l.asks} (${list(l.because)})`);
  return [`Wanted: a flight controller with its ESCs, a stack or a set, for ${build.name}.`, ...lines, ''].join('\n');
}

/** A part that the board may do the job of asks for nothing. */
function servedWithout({ peripheral }: Part): boolean {
  return peripheral.modes.some((mode) => isOnBoard({ mode }));
}

/** A line that stands or falls with a check of the ladder's first three rungs. */
function checked(
  line: Omit<BriefLine, 'fails' | 'id'>,
  codes: readonly FindingCode[],
  check: (board: Board) => Finding[],
): BriefLine {
  const fails = (board: Board) => check(board).some((f) => codes.includes(f.code) && f.state === 'breaks');
  return { ...line, id: codes[0]!, fails };
}

function frameLines(build: Build): BriefLine[] {
  const { mounts, bayLengthMm, bayWidthMm } = build.frame;
  const frame = { because: ['the frame'], lower: null };
  const check = (board: Board) => checkFrame(build, board);
  // Of a board of no height, all that is left is for the board.
  const others = stackLines(build, { heightMm: { value: 0, origin: 'assumed' } }).reduce((mm, l) => mm + l.mm.low, 0);
  const left = build.frame.bayHeightMm - others;
  return [
    ...(mounts.length > 0
      ? [
          checked(
            {
              ...frame,
              asks: `holes ${mounts.map((m) => `${patternWords(m)} ${m.screw}`).join(' or ')}, or none, to be taped down`,
              lower: 'an adapter plate joins two patterns',
            },
            ['mounting'],
            check,
          ),
        ]
      : []),
    checked({ ...frame, asks: `no larger than ${num(bayLengthMm)} x ${num(bayWidthMm)} mm` }, ['outline'], check),
    checked(
      {
        ...frame,
        asks: `no higher than ${num(left)} mm`,
        lower: others > 0 ? 'lower standoffs, or less above it' : null,
      },
      ['height'],
      check,
    ),
  ];
}

function packLines(build: Build): BriefLine[] {
  const pack = { because: ['the pack'], lower: 'another pack' };
  const check = (board: Board) => checkPack(build, board);
  const cells = packCells(build);
  return [
    checked(
      { ...pack, asks: `stands a full pack of ${num(packVolts(build).high, 2)} V (${cells.high}S)` },
      ['full pack'],
      check,
    ),
    checked({ ...pack, asks: `runs on as few as ${counted(cells.low, 'cell')}` }, ['empty pack'], check),
  ];
}

function motorLines(build: Build): BriefLine[] {
  const { motors } = build;
  if (motors.count === 0) return [];
  const check = (board: Board) => checkMotors(arranged(build, board), board);
  if (motors.esc === 'separate')
    return [
      checked(
        { asks: `${counted(motors.count, 'motor output')}`, because: ['the motors'], lower: null },
        ['motor outputs'],
        check,
      ),
    ];
  const { cruise, peak } = motorAmps(build);
  const because = ['the motors'];
  return [
    checked(
      {
        asks: `an ESC with ${counted(motors.count, 'channel')}, on it or bought with it`,
        because,
        lower: 'ESCs that are at home',
      },
      ['esc channels'],
      check,
    ),
    checked(
      {
        asks: `${num(cruise)} A a channel without end, ${num(peak)} A for ${num(motors.peakSeconds, 0)} s`,
        because,
        lower: 'separate ESCs, or smaller propellers',
      },
      ['cruise current', 'full throttle', 'motor pads'],
      check,
    ),
  ];
}

/** The least over a part's ways of what each asks. */
function leastOf(part: Part, count: (mode: Mode) => number): number {
  return Math.min(...part.peripheral.modes.map(count));
}

type SerialLink = Extract<Mode['links'][number], { kind: 'serial' }>;

/** Links that nothing but a side of a port can carry. */
function portLinks(mode: Mode, side: 'rx' | 'tx'): SerialLink[] {
  return mode.links.filter((l): l is SerialLink => {
    if (l.kind !== 'serial' || l.protocol === 'esc-telemetry') return false;
    const p = protocols[l.protocol];
    if (p.onTimerPad || softSerialCarries({ ...p, sense: l.sense ?? p.sense })) return false;
    if (p.wires === 'one wire') return false;
    return side === 'rx' ? p.wires !== 'talk' : p.wires === 'talk' || (p.wires === 'both' && !p.hearOnlyLoses);
  });
}

function portLines(musts: readonly Part[]): BriefLine[] {
  return (['rx', 'tx'] as const).flatMap((side): BriefLine[] => {
    const asking = musts.filter((p) => leastOf(p, (m) => portLinks(m, side).length) > 0);
    const needed = asking.reduce((sum, p) => sum + leastOf(p, (m) => portLinks(m, side).length), 0);
    if (needed === 0) return [];
    const verb = side === 'rx' ? 'hear' : 'talk';
    return [
      {
        id: `ports ${verb}`,
        asks: `${counted(needed, 'serial port')} that ${needed === 1 ? `${verb}s` : verb}, free or to be freed`,
        because: asking.map((p) => p.peripheral.name),
        lower: side === 'rx' ? 'a part on a bus, or one that only talks' : null,
        fails: (board) => {
          if (mayHaveMore(board)) return false;
          const there = board.ports.filter(
            (p) => p[side].length > 0 && (!p.taken || p.taken.release || p.taken.carries),
          );
          return there.length < needed;
        },
      },
    ];
  });
}

/** A link that needs both directions has them on one port. */
function bothWayLines(musts: readonly Part[]): BriefLine[] {
  const both = (mode: Mode) =>
    portLinks(mode, 'rx').filter((l) => protocols[l.protocol].wires === 'both' && !protocols[l.protocol].hearOnlyLoses)
      .length;
  const asking = musts.filter((p) => leastOf(p, both) > 0);
  const needed = asking.reduce((sum, p) => sum + leastOf(p, both), 0);
  if (needed === 0) return [];
  return [
    {
      id: 'ports both ways',
      asks: `${counted(needed, 'serial port')} with both directions on pads`,
      because: asking.map((p) => p.peripheral.name),
      lower: null,
      fails: (board) =>
        !mayHaveMore(board) && board.ports.filter((p) => p.rx.length > 0 && p.tx.length > 0).length < needed,
    },
  ];
}

/** One that only hears and one that only talks may share a port, where their protocols allow it; all others need one each. */
function portsInAll(musts: readonly Part[]): BriefLine[] {
  const alone = musts.flatMap((part) => {
    const [mode, ...others] = part.peripheral.modes;
    return others.length === 0
      ? [...portLinks(mode!, 'rx'), ...portLinks(mode!, 'tx')].map((link) => ({ part, link }))
      : [];
  });
  // A link of both directions stands among those that hear and those that talk.
  const links = alone.filter((a, i) => alone.findIndex((b) => b.part === a.part && b.link.id === a.link.id) === i);
  const shareable = links.filter(({ link }) =>
    links.some((other) => other.link !== link && mayShare(protocols[link.protocol], protocols[other.link.protocol])),
  ).length;
  const needed = links.length - Math.floor(shareable / 2);
  if (needed < 2) return [];
  return [
    {
      id: 'ports in all',
      asks: `${counted(needed, 'serial port')} in all, free or to be freed`,
      because: [...new Set(links.map((l) => l.part.peripheral.name))],
      lower: 'parts on a bus, or that share a port',
      fails: (board) =>
        !mayHaveMore(board) &&
        board.ports.filter((p) => p.rx.length + p.tx.length > 0 && (!p.taken || p.taken.release || p.taken.carries))
          .length < needed,
    },
  ];
}

/** A link on one wire sits on a pad that talks, or on an output that can stand in for a port. */
function oneWireLines(musts: readonly Part[]): BriefLine[] {
  const one = (mode: Mode) =>
    mode.links.filter((l) => l.kind === 'serial' && protocols[l.protocol].wires === 'one wire').length;
  const asking = musts.filter((p) => leastOf(p, one) > 0);
  if (asking.length === 0) return [];
  return [
    {
      id: 'one wire',
      asks: 'a port that talks, or an output that can be a soft serial port',
      because: asking.map((p) => p.peripheral.name),
      lower: null,
      fails: (board) =>
        !mayHaveMore(board) &&
        board.ports.every((p) => p.tx.length === 0 || (p.taken && !p.taken.release && !p.taken.carries)) &&
        board.outputs.every((o) => !o.can.includes('soft serial')),
    },
  ];
}

function outputLines(build: Build, musts: readonly Part[]): BriefLine[] {
  const counts = (mode: Mode) => mode.links.reduce((sum, l) => sum + (l.kind === 'output' ? l.count : 0), 0);
  const asking = musts.filter((p) => leastOf(p, counts) > 0);
  const motors = build.motors.esc === 'separate' ? build.motors.count : 0;
  const needed = asking.reduce((sum, p) => sum + leastOf(p, counts), motors);
  if (asking.length === 0) return [];
  return [
    {
      id: 'outputs',
      asks: `${counted(needed, 'output')} on pads, for ${motors > 0 ? 'motors, ' : ''}servos and lights together`,
      because: [...asking.map((p) => p.peripheral.name), ...(motors > 0 ? ['the motors'] : [])],
      lower: null,
      fails: (board) => !mayHaveMore(board) && board.outputs.length < needed,
    },
  ];
}

function busLines(musts: readonly Part[]): BriefLine[] {
  return (['i2c', 'can'] as const).flatMap((kind): BriefLine[] => {
    const asking = musts.filter((p) => leastOf(p, (m) => m.links.filter((l) => l.kind === kind).length) > 0);
    if (asking.length === 0) return [];
    return [
      {
        id: kind,
        asks: kind === 'i2c' ? 'an I2C bus on pads' : 'a CAN bus on pads',
        because: asking.map((p) => p.peripheral.name),
        lower: null,
        fails: (board) => !mayHaveMore(board) && !board.buses.some((b) => b.kind === kind),
      },
    ];
  });
}

function inputLines(musts: readonly Part[]): BriefLine[] {
  const lines: BriefLine[] = [];
  const want = (id: string, asks: string, needs: (m: Mode) => boolean, has: (b: Board) => boolean) => {
    const asking = musts.filter((p) => p.peripheral.modes.every(needs));
    if (asking.length > 0)
      lines.push({
        id,
        asks,
        because: asking.map((p) => p.peripheral.name),
        lower: null,
        fails: (b) => !mayHaveMore(b) && !has(b),
      });
  };
  for (const kind of ['signal strength', 'air speed'] as const)
    want(
      kind,
      `an analogue input for ${kind}`,
      (m) => m.links.some((l) => l.kind === 'analogue' && l.input === kind),
      (b) => b.analogueInputs.some((i) => i.kind === kind),
    );
  want(
    'camera',
    'a camera input',
    (m) => m.links.some((l) => l.kind === 'video' && l.role === 'camera'),
    (b) => (b.video?.cameraIns.length ?? 0) > 0,
  );
  want(
    'buzzer',
    'a buzzer pad',
    (m) => m.links.some((l) => l.kind === 'buzzer'),
    (b) => b.buzzerPad !== undefined,
  );
  return lines;
}

function supplyLines(build: Build, musts: readonly Part[]): BriefLine[] {
  const gives = build.parts.flatMap((p) => p.peripheral.gives);
  return musts.flatMap((part): BriefLine[] => {
    const { modes, name } = part.peripheral;
    // Where it may be wired in several ways, or another part may feed it, a board need not have what one of them wants.
    const [supply] = modes[0]!.supplies;
    if (modes.length > 1 || !supply) return [];
    const fedByPart = gives.some(
      (g) => insideRange({ swing: { low: interval(g.volts), high: interval(g.volts) } }, supply) !== 'no',
    );
    if (fedByPart) return [];
    const amps = leastAmps(supply);
    return [
      {
        id: `supply ${part.id}`,
        asks: `a supply inside ${rangeWords(supply)}${amps > 0 ? ` that gives ${num(amps, 2)} A` : ''}`,
        because: [name],
        lower: `another way to feed ${name}`,
        fails: (board) =>
          !mayHaveMore(board) &&
          !suppliesOf(board, build, 'best').some(
            (s) =>
              !s.deadInFlight &&
              insideRange(s, supply) !== 'no' &&
              s.regulators.every(
                ({ source, perAmp }) =>
                  !isKnown(source.ratedAmps) || interval(source.ratedAmps).high >= amps * perAmp * 0.999 - 0.001,
              ),
          ),
      },
    ];
  });
}

/** Where a part is surely fed: in one way only, by no other part, and not from the raw pack. */
function surelyRegulated(build: Build, { peripheral: { modes } }: Part): Supply | null {
  const [supply] = modes[0]!.supplies;
  if (modes.length > 1 || modes[0]!.supplies.length !== 1 || !supply || supply.draw === 'constant power') return null;
  const pack = { swing: { low: exactly(packVolts(build).low), high: exactly(packVolts(build).high) } };
  const others = build.parts.flatMap((p) => p.peripheral.gives);
  const given = others.some(
    (g) => insideRange({ swing: { low: interval(g.volts), high: interval(g.volts) } }, supply) !== 'no',
  );
  return given || insideRange(pack, supply) !== 'no' ? null : supply;
}

/** Volts up to which supplies count as one class, with those of 5 V. */
const lowVolts = 6;

/** What must hang on regulators adds up: together they carry what all of it draws. */
function togetherLines(build: Build, musts: readonly Part[]): BriefLine[] {
  const all = musts.flatMap((part) => {
    const supply = surelyRegulated(build, part);
    return supply ? [{ part, supply }] : [];
  });
  const low = all.filter(({ supply }) => interval(supply.maxVolts).high <= lowVolts);
  const high = all.filter((x) => !low.includes(x));
  return [low, high].flatMap((group): BriefLine[] => {
    if (group.length < 2) return [];
    const sum = (key: 'typicalAmps' | 'peakAmps') =>
      group.reduce((amps, { supply }) => amps + Math.max(0, finiteLow(supply[key])), 0);
    const [steady, peak] = [sum('typicalAmps'), sum('peakAmps')];
    return [
      {
        id: group === low ? 'supplies up to 6 V' : 'supplies above 6 V',
        asks: `regulators ${group === low ? `of up to ${lowVolts} V` : `of more than ${lowVolts} V`} that together carry ${num(steady, 2)} A steady, ${num(peak, 2)} A at peak`,
        because: group.map(({ part }) => part.peripheral.name),
        lower: 'a part with a supply of its own',
        fails: (board) => {
          if (mayHaveMore(board)) return false;
          const feeding = suppliesOf(board, build, 'best').filter(
            (s) => !s.deadInFlight && group.some(({ supply }) => insideRange(s, supply) !== 'no'),
          );
          if (feeding.some((s) => s.regulators.length === 0)) return false;
          const last = new Map(
            feeding.flatMap((s) =>
              s.regulators.filter((r) => r.perAmp === 1).map((r) => [r.rail.id, r.source] as const),
            ),
          );
          let [carries, gives] = [0, 0];
          for (const { ratedAmps } of last.values()) {
            const rated = isKnown(ratedAmps) ? interval(ratedAmps).high : Infinity;
            gives += rated;
            carries += rated * ratingShare(ratedAmps, build.policies.ratedAmps);
          }
          return carries < steady * 0.999 - 0.001 || gives < peak * 0.999 - 0.001;
        },
      },
    ];
  });
}

function finiteLow(figure: Supply['peakAmps']): number {
  return isKnown(figure) && Number.isFinite(interval(figure).low) ? interval(figure).low : 0;
}

/** Amps that it surely draws at peak, at whatever volts. */
function leastAmps(supply: Supply): number {
  if (supply.draw === 'constant power') return 0;
  const figure = isKnown(supply.peakAmps) ? supply.peakAmps : supply.typicalAmps;
  return isKnown(figure) ? interval(figure).low : 0;
}

function rangeWords({ minVolts, maxVolts }: Supply): string {
  const [low, high] = [interval(minVolts).low, interval(maxVolts).high];
  if (!Number.isFinite(low)) return `${num(high, 1)} V at most`;
  return Number.isFinite(high) ? `${num(low, 1)} to ${num(high, 1)} V` : `${num(low, 1)} V or more`;
}

function moneyAndGrams(build: Build, musts: readonly Part[]): BriefLine[] {
  const grams =
    build.limits.takeOffMassG -
    [build.bareMassG, build.pack.massG, ...musts.map((p) => p.peripheral.massG)].reduce(
      (sum, f) => sum + Math.max(0, Number.isFinite(interval(f).low) ? interval(f).low : 0),
      0,
    );
  const cents =
    build.limits.budgetCents -
    musts.reduce((sum, { owned, peripheral }) => {
      if (owned || peripheral.cents === null) return sum;
      return sum + Math.min(peripheral.cents, ...peripheral.offers.map((o) => o.cents));
    }, 0);
  const least = (board: Board) => Math.min(...board.offers.map((o) => o.cents));
  const names = musts.map((p) => p.peripheral.name);
  // What no hookup can do without: leads, capacitor, standoffs. Wires come on top.
  const besides = (board: Board) => draggedIn(arranged(build, board), board, nothingWired(build));
  return [
    {
      id: 'grams',
      asks: `no heavier than ${num(grams, 0)} g`,
      because: ['the take-off limit'],
      lower: names.length > 0 ? `a lighter ${list(names.slice(0, 2))}` : null,
      fails: (board) =>
        isKnown(board.massG) && interval(board.massG).low + besides(board).reduce((sum, l) => sum + l.grams, 0) > grams,
    },
    {
      id: 'money',
      asks: `no more than ${money(Math.max(0, cents))} with shipping`,
      because: ['the budget'],
      lower: names.length > 0 ? 'parts that are at home already' : null,
      fails: (board) => board.offers.length > 0 && least(board) > cents && (build.atHome[boardKey(board)] ?? 0) === 0,
    },
  ];
}
