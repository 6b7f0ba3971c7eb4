/**
 * Amps a pin carries by plug family, and the thinnest and thickest wire it takes. Data sheets of the makers' wire-to-board series, values from memory.
 */
export interface PlugFamily {
  family: string;
  pitchMm: number;
  ampsPerPin: number;
  gauges: { thickest: number; thinnest: number };
}

const table: PlugFamily[] = [
  { family: 'SH', pitchMm: 1, ampsPerPin: 1, gauges: { thickest: 28, thinnest: 32 } },
  { family: 'GH', pitchMm: 1.25, ampsPerPin: 1, gauges: { thickest: 26, thinnest: 30 } },
  { family: 'ZH', pitchMm: 1.5, ampsPerPin: 1, gauges: { thickest: 26, thinnest: 32 } },
  { family: 'PH', pitchMm: 2, ampsPerPin: 2, gauges: { thickest: 24, thinnest: 30 } },
  { family: 'XH', pitchMm: 2.5, ampsPerPin: 3, gauges: { thickest: 22, thinnest: 30 } },
  { family: 'XT30', pitchMm: 5, ampsPerPin: 30, gauges: { thickest: 14, thinnest: 20 } },
  { family: 'XT60', pitchMm: 7.2, ampsPerPin: 60, gauges: { thickest: 10, thinnest: 14 } },
];

/** The family as it is usually written ("JST-SH", "sh 1.0"), or null where Rung has no figures for it. */
export function plugFamily(written: string): PlugFamily | null {
  const words = written.toUpperCase().split(/[^A-Z0-9]+/);
  return table.find((p) => words.includes(p.family)) ?? null;
}
