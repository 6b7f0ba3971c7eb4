import { parseArgs } from 'node:util';
import { briefOf, briefText } from '../src/core';
import { complain, openFile } from './open-file';

/** Prints the least that any board must have for a build. */
export function brief(args: string[]): number {
  let options: { build?: string; json?: boolean };
  try {
    options = parseArgs({ args, options: { build: { type: 'string' }, json: { type: 'boolean' } } }).values;
  } catch (error) {
    console.error(`brief: ${error instanceof Error ? error.message.split('\n')[0] : 'these words are not understood'}`);
    return 2;
  }
  if (!options.build) {
    console.error('brief: expected --build FILE.');
    return 2;
  }
  const build = openFile(options.build, 'rung-build');
  if (!build.ok) return complain(options.build, build.faults);
  const lines = briefOf(build.value).map(({ id, asks, because, lower }) => ({ id, asks, because, lower }));
  console.log(options.json ? JSON.stringify({ build: build.value.id, lines }, null, 2) : briefText(build.value));
  return 0;
}
