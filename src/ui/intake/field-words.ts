import type { Reading } from '@/core';

const words: Partial<Record<Reading['field'], string>> = {
  claimedPorts: 'serial ports',
  takenPort: 'port taken',
  cellsMin: 'fewest cells',
  cellsMax: 'most cells',
  packMaxVolts: 'most volts',
  continuousAmps: 'continuous',
  burstAmps: 'burst',
  burstSeconds: 'burst time',
  sensorAmps: 'sensor',
  patternMm: 'hole pattern',
  lengthMm: 'length',
  widthMm: 'width',
  heightMm: 'height',
  massG: 'mass',
  massIncludes: 'mass includes',
  regulators: 'regulator, V@A',
  overlayChip: 'overlay chip',
  storageMb: 'storage',
  usbPlug: 'USB plug',
};

/** What a field of a page is called beside its value. */
export const fieldWords = (field: Reading['field']): string => words[field] ?? field;
