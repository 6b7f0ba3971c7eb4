import { harnessLine } from './harness-line';

export interface Meeting {
  /** Counted from one. */
  pin: number;
  board: string;
  esc: string;
  /** Pack or ground would meet something else. */
  burns: boolean;
}

const kindOf = (label: string): 'ground' | 'pack' | 'signal' => {
  const line = harnessLine(label);
  return line === 'ground' || line === 'pack' ? line : 'signal';
};

/** Does the print on a pin or a pad mean ground? */
export function isGround(label: string): boolean {
  return kindOf(label) === 'ground';
}

/** Pins at which the two ends of a straight harness carry different things; pins that one end lacks meet "nothing". */
export function meetings(board: readonly string[], esc: readonly string[]): Meeting[] {
  const found: Meeting[] = [];
  for (let i = 0; i < Math.max(board.length, esc.length); i++) {
    const [a, b] = [board[i], esc[i]];
    if (a !== undefined && b !== undefined && a.trim().toUpperCase() === b.trim().toUpperCase()) continue;
    if (a !== undefined && b !== undefined && kindOf(a) === kindOf(b) && kindOf(a) !== 'signal') continue;
    const burns =
      a !== undefined &&
      b !== undefined &&
      kindOf(a) !== kindOf(b) &&
      (kindOf(a) !== 'signal' || kindOf(b) !== 'signal');
    found.push({ pin: i + 1, board: a ?? 'nothing', esc: b ?? 'nothing', burns });
  }
  return found;
}
