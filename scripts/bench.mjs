import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { root, run, stop } from './run.mjs';

const [name, ...rest] = process.argv.slice(2);
const file = path.join('bench', `${name}.mts`);
if (!name || !existsSync(path.join(root, file)))
  stop(
    `Expected the name of a benchmark: ${readdirSync(path.join(root, 'bench'))
      .map((f) => path.parse(f).name)
      .join(', ')}.`,
  );
process.exitCode = run(process.execPath, ['--expose-gc', '--import', 'tsx', file, ...rest]);
