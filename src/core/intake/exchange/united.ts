import { figuresOf } from '../../figures/board-figures';
import { figureWords, isUnknown, type AnyFigure } from '../../quantity/figure';
import { heard } from '../../quantity/word';
import type { Board, Offer } from '../../records/board';
import { sharedLabel } from '../../records/shared-limit';

/** What two shelves say differently of one figure, and which of it counts now. */
export interface Conflict {
  says: string;
  own: string;
  theirs: string;
  counts: string;
}

export interface United {
  board: Board;
  conflicts: Conflict[];
}

/** All that is drawn of a board: it hangs together, so it is taken or left as a whole. */
const drawn = [
  'pads',
  'ports',
  'rails',
  'sharedLimits',
  'buses',
  'outputs',
  'analogueInputs',
  'video',
  'buzzerPad',
  'grounds',
  'bridges',
  'plugs',
  'harness',
  'allPads',
] as const;

/**
 * One board of two shelves: every word of theirs is heard beside the own ones, what they measured counts as measured by others, and the rule of words says which counts. What is drawn is
 * taken from them where the own board has no pads yet. Nothing of the own board is lost.
 */
export function unitedBoard(own: Board, theirs: Board, how: 'same' | 'other revision' | 'near', seen: string): United {
  const revision = how === 'other revision' ? theirs.revision : undefined;
  const conflicts: Conflict[] = [];
  const together: Together = (says, unit, now, next) => {
    if (!next || isUnknown(next)) return now;
    const made = wordsIn(next).reduceRight((figure, word) => heard(figure, asTheirs(word, revision)), now);
    const [a, b] = [figureWords(now, unit), figureWords(next, unit)];
    if (now && !isUnknown(now) && a !== b) conflicts.push({ says, own: a, theirs: b, counts: figureWords(made, unit) });
    return made;
  };
  let board = own;
  for (const figure of figuresOf(own)) {
    const made = together(figure.says, figure.unit ?? '', figure.get(own), figure.get(theirs));
    if (made && made !== figure.get(own)) board = figure.set(board, made as never);
  }
  board = { ...board, rails: board.rails.map((rail) => withTheirAmps(rail, theirs, together)) };
  if (own.pads.length === 0 && theirs.pads.length > 0) {
    const circuit = Object.fromEntries(drawn.flatMap((key) => (theirs[key] === undefined ? [] : [[key, theirs[key]]])));
    board = { ...board, ...circuit };
  } else {
    board = withTheirShares(board, theirs, together, (word) => asTheirs(word, revision));
    if (theirs.pads.length > 0 && drawing(own) !== drawing(theirs))
      conflicts.push({
        says: 'What is drawn',
        own: `${own.pads.length} pads`,
        theirs: `${theirs.pads.length} pads`,
        counts: `${own.pads.length} pads, your own`,
      });
  }
  const sources = [
    ...(own.sources ?? []),
    ...(theirs.sources ?? []).filter((s) => !own.sources?.some((o) => o.id === s.id)),
  ].slice(-12);
  const entry = {
    when: seen,
    field: 'merged',
    before: `${conflicts.length} said differently`,
    after: `${theirs.maker} ${theirs.name}, revision ${theirs.revision}`.slice(0, 200),
    who: 'from another shelf',
  };
  return {
    board: {
      ...board,
      offers: newestOffers([...own.offers, ...theirs.offers.filter((o) => !o.typed)]),
      ...(sources.length > 0 ? { sources } : {}),
      history: [...own.history, entry].slice(-500),
    },
    conflicts,
  };
}

type Words = Exclude<AnyFigure, { unknown: true }>;

/** The pads as they are drawn, whatever order a file has their keys in. */
const drawing = ({ pads }: Board) =>
  pads
    .map(({ label, face, form, size, edge, order }) => [label, face, form, size, edge, order].join(' '))
    .sort()
    .join('\n');

/** The single words of a figure, the counting one first. */
function wordsIn(figure: Words): AnyFigure[] {
  const { also, ...first } = figure;
  return [first as AnyFigure, ...((also ?? []) as AnyFigure[])].filter(
    (w) => !('reports' in w) || w.reports === undefined,
  );
}

/** A word from another shelf: measured there is measured by others, and what somebody chose there is no choice of ours. */
function asTheirs(word: AnyFigure, revision: string | undefined): AnyFigure {
  if (isUnknown(word)) return word;
  const { chosen: _, ...rest } = word as Words & { chosen?: true };
  return {
    ...rest,
    origin: word.origin === 'measured' ? 'tested' : word.origin,
    ...(revision === undefined ? {} : { ofRevision: revision }),
  } as AnyFigure;
}

type Together = (
  says: string,
  unit: string,
  now: AnyFigure | undefined,
  next: AnyFigure | undefined,
) => AnyFigure | undefined;

/** What regulators carry together, where the own board has rails of the same volts: a limit that it does not know is taken over. */
function withTheirShares(
  own: Board,
  theirs: Board,
  together: Together,
  heardWord: (word: AnyFigure) => AnyFigure,
): Board {
  const here = (id: string) => {
    const rail = theirs.rails.find((r) => r.id === id);
    const volts =
      rail?.source.kind === 'regulator' && 'value' in rail.source.outVolts ? rail.source.outVolts.value : NaN;
    const same = own.rails.filter((r) => givesVolts(r, volts));
    return (same.find((r) => r.label === rail?.label) ?? (same.length === 1 ? same[0] : undefined))?.id;
  };
  const limits = (theirs.sharedLimits ?? []).reduce((all, limit) => {
    const rails = limit.rails.flatMap((id) => here(id) ?? []);
    if (rails.length < limit.rails.length) return all;
    const known = all.find((l) => [...l.rails].sort().join() === [...rails].sort().join());
    if (!known) return [...all, { rails, amps: heardWord(limit.amps) as typeof limit.amps }];
    const amps = together(sharedLabel(own, known), 'A', known.amps, limit.amps) as typeof limit.amps;
    return all.map((l) => (l === known ? { ...l, amps } : l));
  }, own.sharedLimits ?? []);
  return limits.length > 0 ? { ...own, sharedLimits: limits.slice(0, 8) } : own;
}

function withTheirAmps(rail: Board['rails'][number], theirs: Board, together: Together): Board['rails'][number] {
  const { source } = rail;
  if (source.kind !== 'regulator' || !('value' in source.outVolts)) return rail;
  const volts = source.outVolts.value;
  const named = theirs.rails.find((r) => r.label === rail.label && givesVolts(r, volts));
  const others = theirs.rails.filter((r) => givesVolts(r, volts));
  // Of two rails of the same volts only the one of the same name is meant.
  const other = (named ?? (others.length === 1 ? others[0] : undefined))?.source;
  if (other?.kind !== 'regulator') return rail;
  const ratedAmps = together(`${rail.label}, amps`, 'A', source.ratedAmps, other.ratedAmps) as typeof source.ratedAmps;
  return { ...rail, source: { ...source, ratedAmps } };
}

function givesVolts({ source }: Board['rails'][number], volts: number): boolean {
  return source.kind === 'regulator' && 'value' in source.outVolts && source.outVolts.value === volts;
}

/** Of each shop the offer that was seen last. */
function newestOffers(offers: readonly Offer[]): Offer[] {
  const byShop = new Map<string, Offer>();
  for (const offer of offers) {
    const had = byShop.get(offer.shop);
    if (!had || had.seen < offer.seen) byShop.set(offer.shop, offer);
  }
  return [...byShop.values()];
}
