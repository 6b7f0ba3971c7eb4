import { isDeepStrictEqual } from 'node:util';
import {
  buildDifferences,
  differencesOf,
  readFile,
  type Board,
  type Build,
  type Fault,
  type Peripheral,
} from '../core';
import { buildsWith, putBuilds } from '../db/builds';
import type { Database } from '../db/connection';
import { boardsWith, peripheralsWith, putBoards, putPeripherals } from '../db/library';

/** What is to happen to things of the file that are here already and say something else. */
export const overs = ['ask', 'replace', 'keep'] as const;
export type Over = (typeof overs)[number];

/** One thing that is here already, with what the two say differently. */
export interface Differing {
  kind: 'build' | 'board' | 'part';
  id: string;
  name: string;
  differs: string[];
}

export type Imported =
  | { ok: true; boards: number; peripherals: number; builds: string[]; kept: number }
  | { ok: false; faults: Fault[] }
  | { ok: false; faults: []; differing: Differing[] };

type Thing = Build | Board | Peripheral;

/**
 * Reads one Rung file and stores what is in it, all or nothing. Nothing here is overwritten silently: `ask` stores nothing where something differs, and says what. What
 * is replaced is kept in the past. The demo data comes in this way too.
 */
export async function importFile(db: Database, text: string, over: Over = 'replace'): Promise<Imported> {
  const read = readFile(text);
  if (!read.ok) return read;
  const file = read.value;
  const of: { boards: Board[]; peripherals: Peripheral[]; builds: Build[] } = {
    boards: file.format === 'rung-board' ? [file] : [],
    peripherals: file.format === 'rung-peripheral' ? [file] : [],
    builds: file.format === 'rung-build' ? [file] : [],
    ...(file.format === 'rung-shelf' ? { boards: file.boards, peripherals: file.peripherals } : {}),
  };
  return db.transaction(async (tx): Promise<Imported> => {
    const boards = sorted(of.boards, await boardsWith(tx, idsOf(of.boards)));
    const peripherals = sorted(of.peripherals, await peripheralsWith(tx, idsOf(of.peripherals)));
    const builds = sorted(of.builds, await buildsWith(tx, idsOf(of.builds)));
    const pairs = [...builds.differing, ...boards.differing, ...peripherals.differing];
    if (over === 'ask' && pairs.length > 0) return { ok: false, faults: [], differing: pairs.map(differing) };
    const taken = <T extends Thing>({ fresh, differing: pairs }: Sorted<T>) =>
      over === 'keep' ? fresh : [...fresh, ...pairs.map((p) => p.file)];
    await putBoards(tx, taken(boards));
    await putPeripherals(tx, taken(peripherals));
    await putBuilds(tx, taken(builds));
    return {
      ok: true,
      boards: of.boards.length,
      peripherals: of.peripherals.length,
      builds: of.builds.map((b) => b.id),
      kept: over === 'keep' ? pairs.length : 0,
    };
  });
}

interface Sorted<T> {
  fresh: T[];
  differing: { file: T; here: T }[];
}

/** What is not here yet, and what is here and says something else; what says the same is left alone. */
function sorted<T extends Thing>(list: T[], here: Map<string, T>): Sorted<T> {
  const found: Sorted<T> = { fresh: [], differing: [] };
  for (const file of list) {
    const there = here.get(file.id);
    if (!there) found.fresh.push(file);
    else if (!isDeepStrictEqual(there, file)) found.differing.push({ file, here: there });
  }
  return found;
}

function idsOf(list: readonly Thing[]): string[] {
  return list.map((one) => one.id);
}

function differing({ file, here }: { file: Thing; here: Thing }): Differing {
  if (file.format === 'rung-board' && here.format === 'rung-board') {
    const differs = differencesOf(here, file).map((d) => `${d.says}: here ${d.before}, in the file ${d.after}`);
    return { kind: 'board', id: file.id, name: `${file.maker} ${file.name}`, differs: differs.slice(0, 12) };
  }
  if (file.format === 'rung-build' && here.format === 'rung-build')
    return { kind: 'build', id: file.id, name: file.name, differs: buildDifferences(here, file) };
  const keys = Object.keys({ ...file, ...here }).filter(
    (k) => !isDeepStrictEqual(file[k as keyof Thing], here[k as keyof Thing]),
  );
  return { kind: 'part', id: file.id, name: file.name, differs: keys.slice(0, 12) };
}
