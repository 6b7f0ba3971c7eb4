/** Why a figure of a board cannot be true, or wants a second look. */
export type DoubtSays =
  | { code: 'ports beyond the processor'; claimed: number; family: string; usual: number; most: number }
  | { code: 'lighter than bare'; massG: number; lengthMm: number; widthMm: number; bareG: number }
  | { code: 'linear too hot'; rail: string; amps: number; outVolts: number; cells: number; watts: number }
  | { code: 'more volts out than in'; rail: string; outVolts: number; inVolts: number }
  | { code: 'strong regulator'; rail: string; amps: number }
  | { code: 'efficiency'; rail: string; share: number }
  | { code: 'rail beyond its pins'; rail: string; amps: number; pins: number; plug: string; pinAmps: number }
  | { code: 'burst below continuous'; burstAmps: number; continuousAmps: number }
  | { code: 'volts below its cells'; cells: number; volts: number; fullVolts: number };
