import { and, asc, inArray, ne, not, or, sql, type SQL } from 'drizzle-orm';
import { boardKinds, isCandidate, newestVersion, sieveOf, type Bound, type Build } from '../core';
import type { Database } from './connection';
import { boards } from './schema';

/** A first part of a shelf should be here in a moment. */
export const mostLikely = 300;

/** Boards that climb by themselves. */
export const climbs = inArray(
  boards.kind,
  boardKinds.filter((kind) => isCandidate({ kind })),
);

/**
 * Boards that may carry a build, by the bounds that its brief puts on their columns. No board is missing that can carry it. Those of which the buyer has a pick or a fix come along, and those written by an older
 * Rung, of which the columns may know nothing.
 */
export function mayCarry(build: Build): SQL {
  const beyond = sieveOf(build).map(isBeyond);
  const sifted = beyond.length > 0 ? sql`coalesce(${or(...beyond)}, false)` : sql`false`;
  const known = [...build.picks.map((p) => p.board.id), ...Object.keys(build.fixes)];
  return and(climbs, or(not(sifted), ne(boards.format, String(newestVersion)), inArray(boards.id, known)))!;
}

/** What a page can say of a board before any has climbed. */
export interface NamedBoard {
  id: string;
  name: string;
  maker: string;
}

/** The first of the boards that may carry a build, by maker and name. */
export function namesOfLikely(db: Database, build: Build, most: number): Promise<NamedBoard[]> {
  return db
    .select({ id: boards.id, name: boards.name, maker: boards.maker })
    .from(boards)
    .where(mayCarry(build))
    .orderBy(asc(boards.maker), asc(boards.name), asc(boards.id))
    .limit(most);
}

/** Null where nobody says: then neither. */
function isBeyond({ figure, ...bound }: Bound): SQL {
  const column = boards[figure];
  return 'most' in bound ? sql`${column} > ${bound.most}` : sql`${column} < ${bound.least}`;
}
