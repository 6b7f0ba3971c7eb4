import {
  type Build,
  buildInCurrency,
  euro,
  idFrom,
  newestVersion,
  newOwnEsc,
  readData,
  startingCraft,
  startingPartsOf,
  type StartingKind,
  type StartingPart,
  usualPlan,
} from '../core';
import { addBuild } from '../db/builds';
import type { Database } from '../db/connection';
import { moneyOf } from '../db/money';

/** What a newcomer said of it. */
export interface Beginning {
  kind: StartingKind;
  parts?: readonly { part: StartingPart; owned: boolean }[] | undefined;
  ownEsc?: boolean | undefined;
}

/** A first draft that is sound: what is usual for a kind of craft, or deliberately plain, a five-inch quad without any parts. None of its numbers is said to be the buyer's. */
function draft(id: string, name: string, begin: Beginning | undefined): Build {
  const made = readData(
    {
      format: 'rung-build',
      version: newestVersion,
      id,
      name,
      craft: 'Begun as a quad without parts: figures that are usual for one, until you say yours.',
      frame: {
        name: 'Frame',
        mounts: [{ alongMm: 30.5, screw: 'M3' }],
        bayLengthMm: 44,
        bayWidthMm: 44,
        bayHeightMm: 22,
        openSides: ['left', 'right'],
      },
      pack: { cells: 4, chemistry: 'lipo', massG: { unknown: true } },
      motors: { count: 4, cruiseAmps: 6, peakAmps: 25, peakSeconds: 5, esc: 'on the board' },
      bareMassG: { unknown: true },
      limits: { takeOffMassG: 700, budgetCents: 30_000 },
      said: usualPlan,
      comforts: {},
      policies: {},
      parts: [],
      ...(begin === undefined ? {} : begunAs(begin)),
    },
    'rung-build',
  );
  if (!made.ok) throw new Error('the draft of a new build must be sound');
  return made.value;
}

function begunAs({ kind, parts = [], ownEsc = false }: Beginning): Partial<Build> {
  const craft = startingCraft(kind);
  const motors = craft.motors!;
  return {
    ...craft,
    motors: ownEsc ? { ...motors, esc: 'separate', ownEsc: { ...newOwnEsc(motors), channels: motors.count } } : motors,
    parts: startingPartsOf(kind, parts),
  };
}

/** Leaves room for a number behind the name, whatever it is: ids have at most 64 letters. */
const mostIdLetters = 50;

/** Starts a build under a free id made from its name: a plain draft, or a variant of another one, which keeps all but its picks, log and ticks. */
export async function newBuild(db: Database, name: string, from?: Build, begin?: Beginning): Promise<string> {
  const base = idFrom(name, 'build').slice(0, mostIdLetters);
  const { currency, rates } = await moneyOf(db);
  const paid = (build: Build): Build =>
    currency === euro ? { ...build, rates } : { ...buildInCurrency(build, currency, rates[euro]!), rates };
  for (let n = 1; ; n++) {
    const id = n === 1 ? base : `${base}-${n}`;
    const made: Build = from
      ? { ...from, id, name, forkOf: from.id, picks: [], log: [], done: {}, stage: 'planned' }
      : paid(draft(id, name, begin));
    if (await addBuild(db, made)) return id;
  }
}
