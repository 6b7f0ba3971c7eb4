import { createHash } from 'node:crypto';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { basketCsv, basketOf, orderFor } from '../bill/basket';
import { wireList } from '../bill/wire-list';
import { briefText } from '../decide/brief';
import { buildSheet, sheetMarkdown } from '../guide/build-sheet';
import { wiresCsv } from '../words/wires-csv';
import { candidateAt } from '../sets/candidate';
import { isCandidate, roleOf } from '../sets/roles';
import { setId } from '../sets/set-id';
import { sideBySide } from '../decide/side-by-side';
import { evaluate, type Climb } from '../evaluate/climb';
import { adviceWords } from '../words/finding/advice-words';
import { sentenceOf } from '../words/finding/sentence-of';
import { variedBoard } from './varied-board';
import { variedShelf } from './varied-shelf';

export interface TellingPair {
  name: string;
  build: Build;
  board: Board;
}

/** What a build may be changed to, so that rungs speak that the demo's own builds leave silent. */
const changes: ((b: Build) => void)[] = [
  () => undefined,
  (b) => {
    b.motors.esc = 'separate';
    delete b.motors.ownEsc;
  },
  (b) => {
    b.pack = {
      ...b.pack,
      leadGauge: 26,
      connector: 'XT30',
      mostAmps: { value: 10, origin: 'claim' },
      cellMilliohm: { unknown: true },
    };
  },
  (b) => {
    b.policies = { ...b.policies, currentSensing: 'none', batteryLeads: 'first', burst: 'ignored' };
    b.frame = { ...b.frame, mounts: [] };
  },
  (b) => {
    b.limits = { ...b.limits, budgetCents: 10_000, takeOffMassG: 100 };
    for (const p of b.parts) p.peripheral.lights = 300;
  },
  (b) => {
    b.comforts = { ...b.comforts, barometer: true, compass: true, storageMb: 16, quietGyro: true, sparePorts: 2 };
    b.comforts = { ...b.comforts, plugs: true, topSide: true, buttonReach: true };
    b.capacitor = { microfarads: 100, volts: 16 };
    for (const p of b.parts) p.onUsb = true;
  },
  (b) => {
    b.motors.count = 0;
  },
];

/** Eighty pairs of a build and a board, or a set, that between them make nearly everything be said that can be. */
export function tellingPairs(builds: readonly Build[], shelf: readonly Board[]): TellingPair[] {
  const alone = shelf.filter(isCandidate);
  const of = (role: ReturnType<typeof roleOf>) => shelf.filter((b) => roleOf(b) === role);
  const [controllers, escs, powers] = [of('controller'), of('esc'), of('power board')];
  const pairs = builds.flatMap((build, n) =>
    [
      ...changes.map((_, i) => alone[(7 * n + 5 * i) % alone.length]!),
      ...[1, 2, 3].map((i) => variedBoard(31 * n + i, alone)),
      ...[0, 1, 2].flatMap((i) => {
        const members = [controllers[(n + 3 * i) % controllers.length]!, escs[(2 * n + i) % escs.length]!];
        const more = i === 2 ? [powers[n % powers.length]!] : [];
        return candidateAt(build, shelf, setId([...members, ...more].map((b) => b.id))) ?? [];
      }),
    ].map((board, i) => ({ build, board, change: i % changes.length })),
  );
  return pairs.map(changedBy);
}

/** For each of some builds a board of the shelf, one made of a seed, and a set of two or three such members. */
export function drawnPairs(builds: readonly Build[], shelf: readonly Board[]): TellingPair[] {
  const alone = shelf.filter(isCandidate);
  return builds.flatMap((build, i) => {
    const counts = { 'flight controller': 1, esc: 1, 'power board': i % 3 === 0 ? 1 : 0 };
    const members = variedShelf(700 + i, counts, shelf);
    const set = candidateAt(build, members, setId(members.map((b) => b.id)));
    return [alone[(3 * i) % alone.length]!, variedBoard(900 + i, alone), ...(set ? [set] : [])].map((board) =>
      changedBy({ build, board, change: i % changes.length }),
    );
  });
}

function changedBy({ build, board, change }: { build: Build; board: Board; change: number }): TellingPair {
  const changed = structuredClone(build);
  changes[change]!(changed);
  return { name: `${build.id} (${change}) ${board.id}`, build: changed, board };
}

/**
 * Every finding of a pair, a line each: what it is about, its sentence, figures, advice, and what it leans on. Then digests, of what would be too much to read: of
 * each thing that its hookup holds, and of what goes along to shop and bench.
 */
export function toldOf({ build, board }: TellingPair): string[] {
  const climb = evaluate(build, board);
  return [
    climb.verdict,
    ...climb.rungs.flatMap((r) =>
      r.findings.map((f) =>
        [
          `${f.rung} ${f.state}`,
          `${f.code}, ${f.about}${f.member === undefined ? '' : `, of ${f.member}`}`,
          sentenceOf(f),
          `${f.given ?? ''} of ${f.needed ?? ''}${f.margin === undefined ? '' : `, ${f.margin.toFixed(3)}`}${f.counts === undefined ? '' : `, counts ${f.counts}`}`,
          f.fix ? adviceWords(f.fix) : '',
          f.grounds.map((g) => `${g.what}: ${g.figure} (${g.origin})`).join('; '),
        ].join(' | '),
      ),
    ),
    Object.entries({ ...climb.hookup, ...papersOf(build, board, climb) })
      .map(([what, held]) => `${what} ${digestOf(held)}`)
      .join(', '),
  ];
}

function papersOf(build: Build, board: Board, climb: Climb): Record<string, unknown> {
  const basket = basketOf(build, board, climb.hookup);
  return {
    wires: wiresCsv(wireList(build, board, climb.hookup)),
    basket,
    order: orderFor(basket, 'fastest', build),
    sheet: sheetMarkdown(buildSheet(build, board, climb)),
    brief: briefText(build),
  };
}

/** Eight letters that stand for what would be too much to read. */
export function digestOf(held: unknown): string {
  return createHash('sha256').update(JSON.stringify(held)).digest('hex').slice(0, 8);
}

/** A board and a set that carry each build of the demo, where there are such. */
const carriers: Record<string, string[]> = {
  'attic-mouse': ['quillon-coracle'],
  'belfry-six': ['tarnfield-keel-f7', 'tarnfield-thwart~tarnfield-joist-55'],
  gutterling: ['marlpit-rafter'],
  saltgrass: ['oxbow-heron-wing', 'oxbow-heron-wing~tarnfield-peg-45'],
  thimble: ['dunmarrow-grebe'],
};

/** The build of a buyer who has some of it at home, pays duty, in dollars, and flies without a receiver. */
export function abroad(build: Build): Build {
  return {
    ...build,
    currency: 'USD',
    rates: { EUR: 1.1 },
    imports: ['Mast & Line', 'Gable Parts'].map((shop, i) => ({
      shop,
      dutyPercent: 4 + i,
      taxPercent: 19,
      feeCents: i === 0 ? 600 : 0,
    })),
    atHome: Object.fromEntries(build.parts.slice(0, 2).map((p, i) => [`part ${p.peripheral.id}`, i])),
    parts: build.parts
      .filter((p) => p.peripheral.kind !== 'receiver')
      .map((p, i) => (i === 2 ? { ...p, peripheral: { ...p.peripheral, cents: null } } : { ...p, owned: i === 1 })),
  };
}

/** What goes along to the shop and to the bench with what carries a build, and how the two stand side by side. */
export function carriedOf(build: Build, shelf: readonly Board[]): string[] {
  const carried = carriers[build.id]!.map((id) => {
    const board = candidateAt(build, shelf, id)!;
    return { board, climb: evaluate(build, board) };
  });
  const rows = sideBySide(
    carried.map((c) => c.climb),
    build,
  );
  return [
    ...briefText(build).split('\n'),
    ...rows.map((row) => JSON.stringify(row)),
    ...carried.flatMap(({ board, climb }) => {
      const basket = basketOf(build, board, climb.hookup);
      const texts = [
        wiresCsv(wireList(build, board, climb.hookup)),
        basketCsv(basket, build.currency),
        JSON.stringify(orderFor(basket, 'cheapest', build)),
        JSON.stringify(orderFor(basket, 'fastest', build)),
        JSON.stringify(orderFor(basket, 'fewest parcels', build)),
        sheetMarkdown(buildSheet(build, board, climb)),
      ];
      return [`${build.id} on ${board.id}`, ...texts.flatMap((text) => text.split('\n'))];
    }),
  ];
}
