import { evaluate } from '../evaluate/climb';
import type { GeneralSolver } from '../solver/budget';
import type { Board } from '../records/board';
import { buildSchema, type Build } from '../records/build';
import { plausibleEnds } from '../figures/plausible-ends';
import { mayWantAerial } from '../bill/unlisted';
import { euroIn } from '../bill/exchange';
import { centsOf, currencySign } from '../quantity/money';
import { interval, isKnown, isUnknown, type NumberFigure, type Origin } from '../quantity/figure';
import { packVolts } from '../circuit/packs';
import { cellOhm, voltsOfCells } from '../trade/cell';
import { firstOf, type Ranked } from './rank-shelf';

/** A figure of the build that the buyer has not said, and that decides which board is picked, or whether any is. */
export interface BuildQuestion {
  /** Where it stands, for `withBuildFigure`. */
  path: (string | number)[];
  says: string;
  /** Empty for yes or no. */
  unit: string;
  answer: 'number' | 'yes or no';
  /** How to find out. */
  measure: string;
  /** Whose word an answer is: what is read in a manual is derated like any other rating, what was measured is not. */
  origin: 'measured' | 'manual';
  /** What would be picked, at its best and at its worst. */
  wouldPick: string;
}

interface Open extends Omit<BuildQuestion, 'wouldPick' | 'answer'> {
  /** The value that suits every board best, and one that suits none: the rules are monotone in each. */
  ends: [kind: number, harsh: number] | [kind: boolean, harsh: boolean];
}

/** So many of the boards that nothing breaks are tried. */
const mostTried = 30;

/** The build's own open figures that change the pick, tried one by one with the others at what suits best. Empty: the build says enough. */
export function buildQuestionsFor(
  build: Build,
  boards: readonly Board[],
  ranked: readonly Ranked[],
  general: GeneralSolver | null = null,
): BuildQuestion[] {
  const open = openFigures(build);
  if (open.length === 0) return [];
  const tried = ranked
    .filter((r) => r.climb.stopsAt === null)
    .slice(0, mostTried)
    .flatMap((r) => boards.find((b) => b.id === r.climb.boardId) ?? []);
  const today = firstOf(ranked.map((r) => r.climb));
  const picked = (asked: Build) => firstOf(tried.map((b) => evaluate(asked, b, general)));
  return open.flatMap((figure) => {
    const { ends, ...question } = figure;
    if (ends[0] === ends[1]) return [];
    const others = kindly(
      build,
      open.filter((o) => o !== figure),
    );
    const [best, worst] = ends.map((value) => picked(withBuildFigure(others, question.path, value, 'assumed')));
    if (best === today && worst === today) return [];
    // What is picked whether or not it is said hangs on the others alone.
    if (best === worst && best === picked(others)) return [];
    const called = (id: string | null | undefined) => tried.find((b) => b.id === id)?.name ?? 'no board';
    return [
      {
        ...question,
        answer: typeof ends[0] === 'number' ? 'number' : 'yes or no',
        wouldPick:
          best === worst
            ? `${called(best)}, whatever it turns out to be, once it is known`
            : `${called(best)} at its best, ${called(worst)} at its worst`,
      },
    ];
  });
}

/** The build with each open figure at the value that suits boards best: what questions about boards are asked with where none can be picked yet. The same build where none is open. */
export function kindest(build: Build): Build {
  return kindly(build, openFigures(build));
}

function kindly(build: Build, open: readonly Open[]): Build {
  return open.reduce((b, { path, ends }) => withBuildFigure(b, path, ends[0], 'assumed'), build);
}

/** The build with one figure said. */
export function withBuildFigure(
  build: Build,
  path: (string | number)[],
  value: number | boolean,
  origin: Origin,
  seen?: string,
): Build {
  const copy: Build = structuredClone(build);
  const { ownEsc } = copy.motors;
  if (ownEsc && path.includes('gives')) ownEsc.gives ??= { volts: { unknown: true }, amps: { unknown: true } };
  const holder = path
    .slice(0, -1)
    .reduce<Record<string | number, unknown>>(
      (node, key) => node[key] as Record<string | number, unknown>,
      copy as never,
    );
  // A price is an amount, without anybody's word.
  holder[path.at(-1)!] =
    path.at(-1) === 'cents' && typeof value === 'number'
      ? centsOf(value)
      : { value, origin, ...(seen ? { seen } : {}) };
  return buildSchema.parse(copy);
}

function openFigures(build: Build): Open[] {
  const scale = { measure: 'Put it on a kitchen scale.', origin: 'measured' as const };
  const sheet = { measure: 'Its manual or its seller says.', origin: 'manual' as const };
  const found: Open[] = [];
  const ask = (figure: NumberFigure | undefined, open: Open) => {
    if (!isKnown(figure)) found.push(open);
    // Of a range its own ends, the kinder one first.
    else if ('low' in figure) {
      const { low, high } = figure;
      found.push({ ...open, ends: open.ends[0] > open.ends[1] ? [high, low] : [low, high] });
    }
  };
  ask(build.bareMassG, {
    path: ['bareMassG'],
    says: 'what the bare craft weighs',
    unit: 'g',
    ...scale,
    ends: [1, 20_000],
  });
  ask(build.pack.massG, {
    path: ['pack', 'massG'],
    says: 'what the pack weighs',
    unit: 'g',
    ...scale,
    ends: [1, 20_000],
  });
  // Of a pack of unknown mass no sag is taken: both ends are nought then, and its resistance is not asked for yet.
  ask(build.pack.cellMilliohm, {
    path: ['pack', 'cellMilliohm'],
    says: "one cell's resistance",
    unit: 'mΩ',
    measure: 'A charger reads it out; or take the drop in volts between two known currents.',
    origin: 'measured',
    ends: [0, cellOhm(build.pack).high * 1000],
  });
  const { ownEsc } = build.motors;
  if (build.motors.esc === 'separate' && ownEsc) {
    const esc = (
      key: 'continuousAmps' | 'burstAmps' | 'burstSeconds' | 'maxCells',
      says: string,
      unit: string,
      most: number,
    ) =>
      ask(ownEsc[key], {
        path: ['motors', 'ownEsc', key],
        says: `${ownEsc.name}: ${says}`,
        unit,
        ...sheet,
        ends: [most, 1],
      });
    esc('continuousAmps', 'amps it stands steadily', 'A', 300);
    esc('burstAmps', 'amps it stands for moments', 'A', 400);
    esc('burstSeconds', 'how long it stands them', 's', 600);
    esc('maxCells', 'cells it stands', 'cells', 14);
    // Of what one gives that is known to give nothing there is nothing to ask.
    if (ownEsc.gives !== null) {
      const given = (key: 'volts' | 'amps', unit: string, ends: Open['ends']): Open => ({
        path: ['motors', 'ownEsc', 'gives', key],
        says: `${ownEsc.name}: ${key} that its own regulator gives, 0 where it has none`,
        unit,
        ...sheet,
        ends,
      });
      const volts = ownEsc.gives?.volts;
      if (!isKnown(volts)) found.push(given('volts', 'V', [5, 0]));
      // Of these neither more nor less is kinder: what lies nearest to 5 V is, and what lies farthest from it is harsh.
      else if ('low' in volts) {
        const [near, far] = [volts.low, volts.high].sort((a, b) => Math.abs(a - 5) - Math.abs(b - 5));
        found.push(given('volts', 'V', [volts.low < 5 && volts.high > 5 ? 5 : near!, far!]));
      }
      ask(ownEsc.gives?.amps, given('amps', 'A', [10, 0]));
    }
    const cells = isKnown(ownEsc.maxCells) ? voltsOfCells(interval(ownEsc.maxCells)) : null;
    // Only of cells are so many said, and high-voltage ones may be too much.
    if (cells && packVolts(build).high > cells.low)
      ask(ownEsc.maxVolts, {
        path: ['motors', 'ownEsc', 'maxVolts'],
        says: `${ownEsc.name}: most volts it stands`,
        unit: 'V',
        ...sheet,
        ends: [cells.high, cells.low],
      });
  }
  build.parts.forEach(({ owned, peripheral: p }, i) => {
    const at = ['parts', i, 'peripheral'];
    if (!owned && p.cents === null)
      found.push({
        path: [...at, 'cents'],
        says: `what ${p.name} costs`,
        unit: currencySign(build.currency),
        measure: 'Any shop that sells it says.',
        origin: 'manual',
        ends: [
          (plausibleEnds.partCents.ends[0] / 100) * euroIn(build),
          (plausibleEnds.partCents.ends[1] / 100) * euroIn(build),
        ],
      });
    if (mayWantAerial(p.kind) && (!p.aerial || isUnknown(p.aerial)))
      found.push({
        path: [...at, 'aerial'],
        says: `whether ${p.name} comes with its aerial, and its mass and price count it`,
        unit: '',
        ...sheet,
        ends: [true, false],
      });
    ask(p.massG, { path: [...at, 'massG'], says: `what ${p.name} weighs`, unit: 'g', ...scale, ends: [0, 5000] });
    p.gives.forEach((give, n) =>
      ask(give.amps, {
        path: [...at, 'gives', n, 'amps'],
        says: `amps that ${give.label} of ${p.name} may carry`,
        unit: 'A',
        ...sheet,
        ends: [10, 0],
      }),
    );
    const several = p.modes.flatMap((mode, m) => mode.supplies.map((supply, s) => ({ supply, m, s })));
    for (const { supply, m, s } of several) {
      const name = supply.label === undefined ? p.name : `${p.name}, ${supply.label}`;
      const supplied = (
        key: 'minVolts' | 'maxVolts' | 'typicalAmps' | 'peakAmps',
        says: string,
        unit: string,
        ends: [number, number],
      ) =>
        ask(supply[key], {
          path: [...at, 'modes', m, 'supplies', s, key],
          says: `${name}: ${says}`,
          unit,
          ...sheet,
          ends,
        });
      supplied('minVolts', 'least volts it takes', 'V', [0, 60]);
      supplied('maxVolts', 'most volts it survives', 'V', [80, 1]);
      supplied('typicalAmps', 'amps it draws steadily', 'A', [0, 10]);
      supplied('peakAmps', 'amps it draws at most', 'A', [0, 10]);
    }
  });
  return found;
}
