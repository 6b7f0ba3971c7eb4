import { csvLines } from '../records/csv-lines';
import type { Wire } from '../bill/wire';

/** Every wire of a hookup as a table (RFC 4180). */
export function wiresCsv(wires: readonly Wire[]): string {
  return csvLines(
    ['part', 'from pad', 'face', 'to', 'net', 'AWG', 'mm', 'colour'],
    wires.map((w) => [w.partName, w.from, w.face, w.to, w.net, w.gauge, w.lengthMm, w.colour]),
  );
}
