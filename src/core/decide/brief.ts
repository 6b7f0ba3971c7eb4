import { mayHaveMore } from '../circuit/all-pads';
import { motorAmps, packCells, packVolts } from '../circuit/packs';
import { isOnBoard, servedOnBoard } from '../fix/on-board';
import { arranged } from '../sets/arranged';
import { boardKey } from '../bill/basket';
import { inMoneyOf, offersIn } from '../bill/exchange';
import { draggedIn } from '../bill/dragged-in';
import { numbered } from '../records/part-names';
import { interval, isKnown } from '../quantity/figure';
import { euro, money } from '../quantity/money';
import type { Board } from '../records/board';
import type { Build, Part } from '../records/build';
import type { Mode } from '../records/peripheral';
import { checkFrame, stackLines } from '../rungs/frame';
import { counted, list, num } from '../quantity/spelled';
import { type Finding, type FindingCode } from '../rungs/finding';
import { checkMotors } from '../rungs/motors';
import { checkPack } from '../rungs/pack';
import { patternWords } from '../trade/frame';
import { nothingWired } from '../wiring/hookup';
import { leastOf, type BriefLine } from './brief-line';
import { levelLines } from './brief-levels';
import { bothWayLines, oneWireLines, portLines, portsInAll } from './brief-ports';
import { supplyLines, togetherLines } from './brief-supplies';

/**
 * The least that any board must have for a build: worked out before any board is looked at, as bounds that every hookup of the musts keeps. A line says no more than it must: where a part can be wired in
 * several ways, the most modest counts.
 */
export function briefOf(asked: Build): BriefLine[] {
  const build = numbered(asked);
  const musts = build.parts.filter((p) => p.priority === 'must' && !servedWithout(p));
  return [
    ...frameLines(build),
    ...packLines(build),
    ...motorLines(build),
    ...portLines(musts),
    ...bothWayLines(musts),
    ...portsInAll(musts),
    ...oneWireLines(musts),
    ...levelLines(musts),
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
    checked(
      {
        ...frame,
        asks: `no larger than ${num(bayLengthMm)} x ${num(bayWidthMm)} mm`,
        // It may lie turned by 90 degrees.
        bounds: [
          { figure: 'longMm', most: Math.max(bayLengthMm, bayWidthMm) },
          { figure: 'shortMm', most: Math.min(bayLengthMm, bayWidthMm) },
        ],
      },
      ['outline'],
      check,
    ),
    checked(
      {
        ...frame,
        asks: `no higher than ${num(left)} mm`,
        lower: others > 0 ? 'lower standoffs, or less above it' : null,
        bounds: [{ figure: 'heightMm', most: left }],
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
      {
        ...pack,
        asks: `stands a full pack of ${num(packVolts(build).high, 2)} V (${cells.high}S)`,
        bounds: [{ figure: 'packVolts', least: packVolts(build).high }],
      },
      ['full pack'],
      check,
    ),
    checked(
      {
        ...pack,
        asks: `runs on as few as ${counted(cells.low, 'cell')}`,
        bounds: [{ figure: 'fewestCells', most: cells.low }],
      },
      ['empty pack'],
      check,
    ),
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
        bounds: [{ figure: 'channels', least: motors.count }],
      },
      ['esc channels'],
      check,
    ),
    checked(
      {
        asks: `${num(cruise)} A a channel without end, ${num(peak)} A for ${num(motors.peakSeconds, 0)} s`,
        because,
        lower: 'separate ESCs, or smaller propellers',
        bounds: [
          { figure: 'continuousAmps', least: cruise },
          { figure: 'motorAmps', least: peak },
        ],
      },
      ['cruise current', 'full throttle', 'motor pads'],
      check,
    ),
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
      return sum + Math.min(peripheral.cents, ...offersIn(build, peripheral.offers).offers.map((o) => o.cents));
    }, 0);
  const least = (board: Board) => Math.min(...inMoneyOf(build, board).offers.map((o) => o.cents));
  const names = musts.map((p) => p.peripheral.name);
  // What no hookup can do without: leads, capacitor, standoffs. Wires come on top.
  const besides = (board: Board) => draggedIn(arranged(build, board), board, nothingWired(build));
  return [
    {
      id: 'grams',
      asks: `no heavier than ${num(grams, 0)} g`,
      because: ['the take-off limit'],
      lower: names.length > 0 ? `a lighter ${list(names.slice(0, 2))}` : null,
      bounds: [{ figure: 'massG', most: grams }],
      fails: (board) =>
        isKnown(board.massG) && interval(board.massG).low + besides(board).reduce((sum, l) => sum + l.grams, 0) > grams,
    },
    {
      id: 'money',
      asks: `no more than ${money(Math.max(0, cents), build.currency)} with shipping`,
      because: ['the budget'],
      lower: names.length > 0 ? 'parts that are at home already' : null,
      // What another currency is worth, and what is at home, no column says.
      bounds:
        build.currency === euro && Object.keys(build.rates).length === 0 && Object.keys(build.atHome).length === 0
          ? [{ figure: 'cents', most: cents }]
          : [],
      fails: (board) =>
        Number.isFinite(least(board)) && least(board) > cents && (build.atHome[boardKey(board)] ?? 0) === 0,
    },
  ];
}
