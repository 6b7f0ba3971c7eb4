import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { buildWhenStale } from './build.mjs';
import { startCluster } from './cluster.mjs';
import { chromiumPath, installNgspice, installPackages } from './install.mjs';
import { ask, freePort, listen, root, runBeside } from './run.mjs';
import { prepared } from './prepared.mjs';
import { startShopProcess } from './shop.mjs';
import { serve } from './serve.mjs';

let passed = 0;
/** What failed, each in words, said again at the end. */
const failures = [];

/** Yes/no checks, each counted as one test, two at a time. */
async function checks(all) {
  const next = Object.entries(all)[Symbol.iterator]();
  const one = async () => {
    for (const [name, [file, ...args]] of next) {
      const { code, out } = await listen(process.execPath, [bin(file), ...args]);
      console.log(`${code === 0 ? 'ok  ' : 'FAIL'}  ${name}`);
      if (code !== 0) console.log(out);
      if (code === 0) passed += 1;
      else failures.push(`${name}\n${out}`);
    }
  };
  await Promise.all([one(), one()]);
}

/** A group of Vitest files, or all groups whose names begin so (`database*`); each of their tests counts. */
async function vitest(project, env = {}) {
  const report = path.join(root, '.rung', `report-${project.replace('*', '')}.json`);
  rmSync(report, { force: true });
  const code = await runBeside(
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
    const { numPassedTests, testResults } = JSON.parse(readFileSync(report, 'utf8'));
    passed += numPassedTests;
    const wrong = testResults.flatMap(failuresOf);
    failures.push(...(wrong.length === 0 && code !== 0 ? [`${project}: ended with ${code}`] : wrong));
  } catch {
    failures.push(`${project}: no report was written`);
  }
}

/** The tests of a file that failed; the file itself, when it failed before or after them. */
function failuresOf({ name, status, message, assertionResults }) {
  const file = path.relative(root, name);
  const tests = assertionResults.filter((t) => t.status === 'failed');
  if (tests.length > 0) return tests.map((t) => `${file}: ${t.fullName}\n${t.failureMessages.join('\n')}`);
  // Of a preparation that failed the report keeps no words.
  return status === 'failed'
    ? [`${file}\n${message || 'What its tests need could not be prepared: why stands above.'}`]
    : [];
}

function bin(file) {
  return path.join(root, 'node_modules', file);
}

installPackages();
installNgspice();
mkdirSync(path.join(root, '.rung'), { recursive: true });
await checks({
  lint: ['oxlint/bin/oxlint', '--deny-warnings'],
  // The compiler that programs cannot call yet, and three times as fast; the older one stays for those that do.
  types: ['@typescript/native/bin/tsc', '--noEmit', '-p', '.'],
  'nothing unused': ['knip/bin/knip.js'],
  'dependency rules': [
    'dependency-cruiser/bin/dependency-cruise.mjs',
    'src',
    'cli',
    'scripts',
    '--config',
    '.dependency-cruiser.cjs',
  ],
  layout: ['prettier/bin/prettier.cjs', '--check', '.'],
  'picture of the rooms': ['../scripts/draw-rooms.mjs', '--check'],
});
await vitest('unit');

const cluster = await startCluster('test-cluster');
const shop = await startShopProcess();
process.env.RUNG_SHOP_URL = shop.address;
/** A Rung and a database of its own for each of the files of screen tests that run side by side. */
const servers = [];
try {
  const chromium = chromiumPath();
  // The tests of the database take one processor, one after the other.
  await Promise.all([vitest('database*', { TEST_DATABASE_URL: cluster.url }), buildWhenStale()]);
  for (let i = 0; i < 2; i++) {
    const made = ask(process.execPath, [bin('tsx/dist/cli.mjs'), 'scripts/fresh-database.ts', cluster.url]);
    const url = made.out.trim().split('\n').at(-1) ?? '';
    if (made.code !== 0) throw new Error(made.out);
    const own = prepared(url);
    if (own === null) throw new Error('a database of the screen tests could not be prepared');
    servers.push({ ...(await serve(await freePort(), own, ['ignore', 'ignore', 'inherit'])), url });
  }
  await vitest('screens', {
    RUNG_SERVERS: JSON.stringify(servers.map(({ address, url }) => ({ address, url }))),
    RUNG_CHROMIUM: chromium,
  });
} catch (error) {
  failures.push(error.message);
} finally {
  for (const { child } of servers) child.kill('SIGTERM');
  shop.close();
  cluster.stop();
}

for (const failure of failures) console.log(`FAIL  ${failure}`);
console.log(`${passed} passed, ${failures.length} failed`);
process.exitCode = failures.length === 0 && passed > 0 ? 0 : 1;
