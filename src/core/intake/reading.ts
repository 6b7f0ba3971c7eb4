/** What a spec sheet can say of a board. Volts, amps, millimetres, grams, megabytes, seconds; regulators as "volts@amps". */
export const specFields = [
  'processor',
  'claimedPorts',
  'takenPort',
  'cellsMin',
  'cellsMax',
  'packMaxVolts',
  'continuousAmps',
  'burstAmps',
  'burstSeconds',
  'sensorAmps',
  'patternMm',
  'screw',
  'lengthMm',
  'widthMm',
  'heightMm',
  'massG',
  'massIncludes',
  'regulators',
  'barometer',
  'overlayChip',
  'storageMb',
  'usbPlug',
] as const;
export type SpecField = (typeof specFields)[number];

export const specUnits: Partial<Record<SpecField, string>> = {
  packMaxVolts: 'V',
  continuousAmps: 'A',
  burstAmps: 'A',
  burstSeconds: 's',
  sensorAmps: 'A',
  patternMm: 'mm',
  lengthMm: 'mm',
  widthMm: 'mm',
  heightMm: 'mm',
  massG: 'g',
  storageMb: 'MB',
  cellsMin: 'cells',
  cellsMax: 'cells',
};

/** One figure understood in a text: where it stands, what it means, and how sure the reader is. */
export interface Reading {
  field: SpecField;
  value: number | string | boolean;
  /** Offsets into the text as it was pasted. */
  start: number;
  end: number;
  quote: string;
  /** sure: named by its own word; likely: read from its shape; contradicted: the text says something else as well. */
  doubt: 'sure' | 'likely' | 'contradicted';
  /** Why there is doubt. */
  why?: string;
}
