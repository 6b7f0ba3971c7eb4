import type { RungState } from '../../rungs/finding';

/** A sentence for each code: `state` is that of the finding that says it. */
export type WordsOf<S extends { code: string }> = {
  [C in S['code']]: (says: Extract<S, { code: C }>, state: RungState) => string;
};

/** Why a check that holds is strained: the end of its sentence. `margin`: 0.1 is a tenth to spare. */
export function onlySpare(state: RungState, margin: number | undefined): string {
  return state === 'strained' && margin !== undefined ? `: only ${Math.round(margin * 100)} % to spare` : '';
}
