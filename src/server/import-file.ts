import { readFile, type Board, type Fault, type Peripheral } from '../core';
import { putBuilds } from '../db/builds';
import type { Database } from '../db/connection';
import { putBoards, putPeripherals } from '../db/library';

export type Imported =
  { ok: true; boards: number; peripherals: number; builds: string[] } | { ok: false; faults: Fault[] };

/** Reads one Rung file and stores what is in it, all or nothing. The demo data comes in this way too. */
export async function importFile(db: Database, text: string): Promise<Imported> {
  const read = readFile(text);
  if (!read.ok) return read;
  const file = read.value;
  let boards: Board[] = [];
  let peripherals: Peripheral[] = [];
  if (file.format === 'rung-shelf') ({ boards, peripherals } = file);
  if (file.format === 'rung-board') boards = [file];
  if (file.format === 'rung-peripheral') peripherals = [file];
  const builds = file.format === 'rung-build' ? [file] : [];
  await db.transaction(async (tx) => {
    if (boards.length > 0) await putBoards(tx, boards);
    if (peripherals.length > 0) await putPeripherals(tx, peripherals);
    if (builds.length > 0) await putBuilds(tx, builds);
  });
  return { ok: true, boards: boards.length, peripherals: peripherals.length, builds: builds.map((b) => b.id) };
}
