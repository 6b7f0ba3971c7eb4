import { readFileSync } from 'node:fs';
import { readSpec, specUnit } from '../src/core';

/** `rung read FILE [--json]`: what Rung understands of a spec sheet. */
export function read(args: string[]): number {
  const file = args.find((a) => !a.startsWith('--'));
  if (!file) {
    console.error('Expected a text file: rung read FILE [--json]');
    return 2;
  }
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch {
    console.error(`${file}: there is no such file, or it cannot be read.`);
    return 2;
  }
  const readings = readSpec(text);
  if (args.includes('--json')) {
    console.log(JSON.stringify(readings, null, 2));
    return 0;
  }
  for (const r of readings)
    console.log(
      `${r.field.padEnd(16)} ${String(r.value).padEnd(10)} ${specUnit(r.field).padEnd(6)} ${r.doubt.padEnd(12)} "${r.quote}"${r.why ? `  (${r.why})` : ''}`,
    );
  console.log(`${readings.length} figures understood. Nothing is kept; what is not listed was not used.`);
  return 0;
}
