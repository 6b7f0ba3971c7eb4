/** What one line between controller and ESC carries. Motor lines are counted from 1. */
export type HarnessLine = 'ground' | 'pack' | '5 V' | 'current' | 'telemetry' | `motor ${number}`;

const words: readonly [RegExp, HarnessLine][] = [
  [/^(G|GND|GROUND|0 ?V|-)$/, 'ground'],
  [/^(V|VBAT|BAT|BATT|PACK|VCC|\+)\+?$/, 'pack'],
  [/^(5 ?V|BEC|5V ?OUT|5V ?IN)$/, '5 V'],
  [/^(C|CUR|CURR|CURRENT|CRT|AMP|I)$/, 'current'],
  [/^(T|TX|RX|TLM|TEL|TELEM|TELEMETRY)$/, 'telemetry'],
];

/** What the print on a pin of the harness means; null where it means none of the usual lines. Common practice of the trade, no source. */
export function harnessLine(label: string): HarnessLine | null {
  const word = label.trim().toUpperCase();
  const known = words.find(([pattern]) => pattern.test(word));
  if (known) return known[1];
  const motor = /^(?:S|M|SIG|MOT|MOTOR|ESC)[ -]?([1-8])?$/.exec(word);
  return motor ? `motor ${Number(motor[1] ?? 1)}` : null;
}

/** Has a plug a pin for this line? */
export function hasLine(pins: readonly string[], line: HarnessLine): boolean {
  return pins.some((p) => harnessLine(p) === line);
}
