import { readFileSync } from 'node:fs';
import { fromHtml, isHtml, readSpec, specUnit } from '../src/core';

/** `rung read FILE [--json]`: what Rung understands of a page, as text or as a saved web page. */
export function read(args: string[]): number {
  const file = args.find((a) => !a.startsWith('--'));
  if (!file) {
    console.error('Expected a text file or a saved web page: rung read FILE [--json]');
    return 2;
  }
  let text: string;
  try {
    const said = readFileSync(file, 'utf8');
    text = isHtml(said) ? fromHtml(said) : said;
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
