import type { Build, Pick } from '../records/build';
import type { Board } from '../records/board';
import { completenessOf } from '../figures/completeness';
import { rungNames } from '../trade/rungs';
import { briefOf } from './brief';
import type { Ranked } from './rank-shelf';

/** A frozen copy of a choice with its reasons and what was open. */
export function pickOf(build: Build, board: Board, ranked: Ranked, firstShare: number | null, when: string): Pick {
  const { climb } = ranked;
  const telling = climb.rungs.flatMap((r) =>
    r.findings.filter((f) => f.state !== 'holds').map((f) => `${r.name} ${f.state}: ${f.sentence}`),
  );
  const id = `${when}-${board.id}`.slice(0, 60);
  const taken = build.picks.filter((p) => p.id === id || p.id.startsWith(`${id}.`)).length;
  return {
    id: taken === 0 ? id : `${id}.${taken}`,
    when,
    board,
    verdict: climb.verdict,
    rank: ranked.rank,
    firstShare,
    cents: climb.totalCents,
    grams: climb.massG.high,
    reasons: telling.slice(0, 40).map((s) => s.slice(0, 600)),
    open: completenessOf(board)
      .missing.slice(0, 60)
      .map((m) => m.ask),
    brief: briefOf(build).map((l) => l.asks.slice(0, 600)),
  };
}

/** Would the choice be made again today? One sentence. */
export function stillStands(pick: Pick, ranked: readonly Ranked[]): { stands: boolean; sentence: string } {
  const now = ranked.find((r) => r.climb.boardId === pick.board.id);
  if (!now) return { stands: false, sentence: `${pick.board.name} is no longer on the shelf.` };
  const first = ranked[0]!;
  if (now.climb.stopsAt !== null)
    return {
      stands: false,
      sentence: `It would not: ${pick.board.name} now stops at ${rungNames[now.climb.stopsAt - 1]}. ${now.climb.rungs[now.climb.stopsAt - 1]!.findings[0]?.sentence ?? ''}`,
    };
  if (now.climb.verdict === 'cannot say yet')
    return {
      stands: false,
      sentence: `That cannot be said: figures of ${pick.board.name} that decide are now unknown.`,
    };
  if (now.rank === 1)
    return { stands: true, sentence: `It still stands: ${pick.board.name} is first, ${now.climb.verdict}.` };
  return {
    stands: pick.rank >= now.rank,
    sentence: `${pick.board.name} still carries the build, but ${first.climb.boardName} now comes before it (place ${now.rank}, ${pick.rank} when it was picked).`,
  };
}
