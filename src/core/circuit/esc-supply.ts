import type { Board, Rail } from '../records/board';
import type { Build, OwnEsc } from '../records/build';

/**
 * The board's rails with those that an ESC's own regulator feeds over the harness as what they are then: a regulator on the pack, with the ESC's figures. Nothing
 * feeds them where the build has no separate ESC, or one that is known to give nothing; where it does not say, or nobody has named the ESC, volts and amps are open.
 */
export function railsFedByEsc(board: Board, { motors }: { motors: Partial<Build['motors']> }): Rail[] {
  if (!board.rails.some((r) => r.source.kind === 'esc')) return board.rails;
  const esc: Pick<OwnEsc, 'gives'> | null = motors.esc === 'separate' ? (motors.ownEsc ?? {}) : null;
  const pack = board.rails.find((r) => r.source.kind === 'pack')?.id;
  const rails = board.rails.map((rail): Rail => {
    if (rail.source.kind !== 'esc' || !esc || pack === undefined || esc.gives === null) return rail;
    const unsaid = { unknown: true as const };
    return {
      ...rail,
      source: {
        kind: 'regulator',
        type: 'buck',
        outVolts: esc.gives?.volts ?? unsaid,
        ratedAmps: esc.gives?.amps ?? unsaid,
        dropOutVolts: unsaid,
        input: pack,
        filtered: false,
      },
    };
  });
  return rails;
}

/** The board as this build's ESC feeds it. */
export function fedByEsc(board: Board, build: { motors: Partial<Build['motors']> }): Board {
  const rails = railsFedByEsc(board, build);
  return rails === board.rails ? board : { ...board, rails };
}
