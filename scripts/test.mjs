import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { buildWhenStale } from './build.mjs';
import { startCluster } from './cluster.mjs';
import { chromiumPath, installNgspice, installPackages } from './install.mjs';
import { ask, freePort, root, run } from './run.mjs';
import { prepared } from './prepared.mjs';
import { startShopProcess } from './shop.mjs';
import { serve } from './serve.mjs';

let passed = 0;
let failed = 0;

/** One yes/no check, counted as one test. */
function check(name, command, args) {
  const { code, out } = ask(command, args);
  console.log(`${code === 0 ? 'ok  ' : 'FAIL'}  ${name}`);
  if (code !== 0) console.log(out);
  if (code === 0) passed += 1;
  else failed += 1;
}

/** A group of Vitest files; each of their tests counts. */
function vitest(project, env = {}) {
  const report = path.join(root, '.rung', `report-${project}.json`);
  rmSync(report, { force: true });
  const code = run(
    process.execPath,
    [
      bin('vitest/vitest.mjs'),
      'run',
      '--project',
      project,
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${report}`,
    ],
    { env },
  );
  try {
    const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(readFileSync(report, 'utf8'));
    passed += numPassedTests;
    failed += numFailedTests + (numFailedTests === 0 && code !== 0 ? Math.max(1, numFailedTestSuites) : 0);
  } catch {
    console.log(`FAIL  ${project}: no report was written`);
    failed += 1;
  }
}

function bin(file) {
  return path.join(root, 'node_modules', file);
}

installPackages();
installNgspice();
mkdirSync(path.join(root, '.rung'), { recursive: true });
const node = process.execPath;
check('types', node, [bin('typescript/bin/tsc'), '--noEmit', '-p', '.']);
check('lint', node, [bin('eslint/bin/eslint.js'), '.', '--max-warnings', '0']);
check('layout', node, [bin('prettier/bin/prettier.cjs'), '--check', '.']);
check('nothing unused', node, [bin('knip/bin/knip.js')]);
check('dependency rules', node, [
  bin('dependency-cruiser/bin/dependency-cruise.mjs'),
  'src',
  'cli',
  'scripts',
  '--config',
  '.dependency-cruiser.cjs',
]);
check('picture of the rooms', node, [path.join(root, 'scripts/draw-rooms.mjs'), '--check']);
vitest('unit');

const cluster = await startCluster('test-cluster');
const shop = await startShopProcess();
process.env.RUNG_SHOP_URL = shop.address;
let server = null;
try {
  vitest('database', { TEST_DATABASE_URL: cluster.url });
  const chromium = chromiumPath();
  const made = ask(node, [bin('tsx/dist/cli.mjs'), 'scripts/fresh-database.ts', cluster.url]);
  const url = made.out.trim().split('\n').at(-1) ?? '';
  if (made.code !== 0) throw new Error(made.out);
  buildWhenStale();
  const own = prepared(url);
  if (own === null) throw new Error('the database of the screen tests could not be prepared');
  server = await serve(await freePort(), own, ['ignore', 'ignore', 'inherit']);
  vitest('screens', { RUNG_ADDRESS: server.address, RUNG_CHROMIUM: chromium, TEST_DATABASE_URL: url });
} catch (error) {
  console.log(`FAIL  ${error.message}`);
  failed += 1;
} finally {
  server?.child.kill('SIGTERM');
  shop.close();
  cluster.stop();
}

console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 && passed > 0 ? 0 : 1;
