import type { Build, Pick } from '../records/build';
import type { Board } from '../records/board';
import { bought } from '../sets/roles';
import { setId } from '../sets/set-id';
import { completenessOf } from '../figures/completeness';
import { briefOf } from './brief';
import { firstSentence, sentenceOf } from '../words/finding/sentence-of';
import type { Ranked } from './rank-shelf';

/** A frozen copy of a choice with its reasons and what was open. */
export function pickOf(build: Build, board: Board, ranked: Ranked, firstShare: number | null, when: string): Pick {
  const { climb } = ranked;
  const telling = climb.rungs.flatMap((r) =>
    r.findings.filter((f) => f.state !== 'holds').map((f) => `${r.name} ${f.state}: ${sentenceOf(f)}`),
  );
  const [first, ...others] = bought(board).map((m) => m.board);
  const id = `${when}-${first!.id}`.slice(0, 60);
  const taken = build.picks.filter((p) => p.id === id || p.id.startsWith(`${id}.`)).length;
  return {
    id: taken === 0 ? id : `${id}.${taken}`,
    when,
    board: first!,
    with: others,
    verdict: climb.verdict,
    rank: ranked.rank,
    firstShare,
    cents: climb.totalCents,
    grams: climb.massG.high,
    reasons: telling.slice(0, 40).map((s) => s.slice(0, 600)),
    open: bought(board)
      .flatMap((m) => completenessOf(m.board).missing.map((x) => (board.members ? `${m.board.name}: ${x.ask}` : x.ask)))
      .slice(0, 60),
    brief: briefOf(build).map((l) => l.asks.slice(0, 600)),
  };
}

/** The address of what was picked: a board or a set. */
export function pickedId({ board, with: others }: Pick): string {
  return setId([board, ...others].map((b) => b.id));
}

/** What was picked in words. */
export function pickedName({ board, with: others }: Pick): string {
  return [board, ...others].map((b) => b.name).join(' + ');
}

/** Would the choice be made again today? One sentence. */
export function stillStands(pick: Pick, ranked: readonly Ranked[]): { stands: boolean; sentence: string } {
  const now = ranked.find((r) => r.climb.boardId === pickedId(pick));
  const name = pickedName(pick);
  if (!now)
    return {
      stands: false,
      sentence: `${name} is no longer on the shelf${pick.with.length > 0 ? ', or not among its best sets' : ''}.`,
    };
  const first = ranked[0]!;
  if (now.climb.stopsAt !== null) {
    const stop = now.climb.rungs[now.climb.stopsAt - 1]!;
    return {
      stands: false,
      sentence: `It would not: ${name} now stops at ${stop.name}. ${firstSentence(stop)}`,
    };
  }
  if (now.climb.verdict === 'cannot say yet')
    return {
      stands: false,
      sentence:
        pick.verdict === 'cannot say yet'
          ? `It was picked before it could be said whether it carries the build, and that cannot be said yet: figures of ${name} that decide are unknown.`
          : `That cannot be said: figures of ${name} that decide are now unknown.`,
    };
  if (now.rank === 1) return { stands: true, sentence: `It still stands: ${name} is first, ${now.climb.verdict}.` };
  return {
    stands: pick.rank >= now.rank,
    sentence: `${name} still carries the build, but ${first.climb.boardName} now comes before it (place ${now.rank}, ${pick.rank} when it was picked).`,
  };
}
