import { heaviestPack } from '../circuit/packs';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { interval, isUnknown, type Interval, type NumberFigure } from '../quantity/figure';
import { bought } from '../sets/roles';
import { ground } from '../quantity/ground';
import { planGrounds } from '../figures/plan-figures';
import { draggedIn } from '../bill/dragged-in';
import { flownBeside } from '../bill/flown';
import { unlistedParts } from '../bill/unlisted';
import type { Hookup } from '../wiring/hookup';
import { comfort } from '../trade/comfort';
import { atLeast, flag } from '../quantity/truth';
import { massIncludes } from '../trade/mass-words';
import { sundries } from '../trade/sundries';
import { num, span } from '../quantity/spelled';
import { marginOf, stateWithin, type Finding } from './finding';

export interface MassLine {
  what: string;
  grams: Interval;
  figure: NumberFigure;
  /** The build needs it and nobody listed it. */
  unlisted?: true;
}

/** Everything that leaves the ground, line by line. A part that the hookup leaves out weighs nothing, unless it is a must: then it is still owed. */
export function massLines(
  build: Build,
  board: Board,
  hookup: Hookup,
  dragged = draggedIn(build, board, hookup),
): MassLine[] {
  const line = (what: string, figure: NumberFigure): MassLine => ({
    what,
    figure,
    grams: atLeastZero(interval(figure)),
  });
  const flown = flownBeside(hookup);
  return [
    line('Bare craft', build.bareMassG),
    line('Pack', heaviestPack(build)),
    ...bought(board).map((m) =>
      m.count === 1
        ? line(m.board.name, m.board.massG)
        : line(`${m.count} x ${m.board.name}`, manyOf(m.board.massG, m.count)),
    ),
    ...build.parts.filter((p) => flown.has(p.id)).map((p) => line(p.peripheral.name, p.peripheral.massG)),
    ...dragged.map((s) => line(s.what, { value: s.grams, origin: 'assumed', source: s.why })),
    ...deliveredCapacitor(board).map((figure) => line('Capacitor delivered with the board', figure)),
    ...unlistedParts(build, board, hookup).map(({ what, grams, why }) => ({
      ...line(what, { ...grams, origin: 'assumed', source: why }),
      unlisted: true as const,
    })),
    ...(hookup.cost.deciGrams > 0
      ? [
          line('Extras of the hookup', {
            value: hookup.cost.deciGrams / 10,
            origin: 'assumed' as const,
            source: 'converters, filters and releases of this hookup',
          }),
        ]
      : []),
  ];
}

function manyOf(figure: NumberFigure, count: number): NumberFigure {
  if (isUnknown(figure)) return figure;
  const { low, high } = interval(figure);
  return { low: count * low, high: count * high, origin: figure.origin };
}

/** A capacitor that comes with the board and is not in its stated mass; where nobody says, it may be. */
function deliveredCapacitor({ capacitor, massIncludes: words }: Board): NumberFigure[] {
  if (!capacitor) return [];
  const { grams } = sundries.capacitor;
  // A figure says more than words.
  const included = capacitor.inMass ? flag(capacitor.inMass) : massIncludes(words, /capacitor/i);
  if (included === 'yes') return [];
  if (included === 'no') return [{ value: grams, origin: 'assumed', source: 'the stated mass is without it' }];
  return [{ low: 0, high: grams, origin: 'assumed', source: 'the stated mass does not say whether it includes one' }];
}

export function total(lines: MassLine[]): Interval {
  return lines.reduce((sum, l) => ({ low: sum.low + l.grams.low, high: sum.high + l.grams.high }), { low: 0, high: 0 });
}

/** Rung 8: take-off mass against the limit. */
export function checkWeight(build: Build, lines: MassLine[]): Finding[] {
  const mass = total(lines);
  const limit = build.limits.takeOffMassG;
  const margin = marginOf(limit, mass.high);
  const truth = atLeast({ low: limit, high: limit }, mass);
  const state = stateWithin(truth, margin, comfort.weight);
  const unknown = lines.filter((l) => !Number.isFinite(l.grams.high)).map((l) => l.what);
  const unlisted = lines.filter((l) => l.unlisted).map((l) => ({ what: l.what, grams: l.grams }));
  return [
    {
      rung: 8,
      state,
      code: 'take-off mass',
      about: 'Take-off mass',
      says: { code: 'take-off mass', limitG: limit, massG: mass, unsaid: unknown, unlisted },
      needed: Number.isFinite(mass.high) ? span(mass.low, mass.high, 'g', 0) : `at least ${num(mass.low, 0)} g`,
      given: `${num(limit, 0)} g`,
      ...(margin === undefined ? {} : { margin }),
      ...(state === 'unknown' && unlisted.length > 0 ? { fix: { code: 'list what is missing' } as const } : {}),
      grounds: [...planGrounds(build, 'take-off limit'), ...lines.map((l) => ground(l.what, l.figure, 'g'))],
    },
  ];
}

function atLeastZero(i: Interval): Interval {
  return { low: Math.max(0, i.low), high: i.high };
}
