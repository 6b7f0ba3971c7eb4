export interface PartPin {
  name: string;
  colour?: string;
  of?: string;
}

export interface Wire {
  part: string;
  partName: string;
  /** As printed on the board, with its place where that is printed more than once. */
  from: string;
  padId: string | null;
  face: 'top' | 'bottom';
  to: string;
  /** The part's own pin with the colour on its own plug (empty: not said), or its role in plain words; which of its supplies, where it takes several. */
  pin: PartPin;
  /** What is one net has one name: a rail, ground, or a signal of a part. */
  net: string;
  gauge: number;
  lengthMm: number;
  colour: string;
  grams: number;
  kind: 'signal' | 'supply' | 'ground';
  /** Where a colour of the part's own plug misleads. */
  warning?: string;
}

/** AWG of a wire that carries a signal: common practice, no source. */
export const signalGauge = 28;
