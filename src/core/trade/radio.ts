import type { Truth } from '../quantity/truth';

/** What a radio speaks: its system as its maker names it, and its band. */
export interface Radio {
  system: string;
  bandGHz?: number | undefined;
}

/** Bands nearer than this are one: a 2.4 GHz radio is sold as 2.4, 2.42 or 2.45 GHz. Below 1 GHz, 868 and 915 MHz are two. Our own choice, no source. */
const sameBandGHz = { above: 0.1, below: 0.02 };

/** Do the two speak with each other? Names are compared without regard to case, spaces and hyphens; a band that one of them does not say is open. */
export function speakTogether(a: Radio | undefined, b: Radio | undefined): Truth {
  if (!a || !b) return 'unknown';
  const plain = (name: string) => name.toLowerCase().replace(/[\s_-]+/g, '');
  if (plain(a.system) !== plain(b.system)) return 'no';
  if (a.bandGHz === undefined || b.bandGHz === undefined) return 'unknown';
  const near = a.bandGHz < 1 ? sameBandGHz.below : sameBandGHz.above;
  return Math.abs(a.bandGHz - b.bandGHz) <= near ? 'yes' : 'no';
}

export function radioWords({ system, bandGHz }: Radio): string {
  if (bandGHz === undefined) return system;
  return bandGHz < 1 ? `${system}, ${Math.round(bandGHz * 1000)} MHz` : `${system}, ${bandGHz} GHz`;
}
