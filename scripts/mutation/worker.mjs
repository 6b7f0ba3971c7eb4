import { parentPort, workerData } from 'node:worker_threads';

/**
 * One bundle, loaded once. Told the `slow` tests: which of the others run which mutants; else which test notices a mutant. `active`: a mutant that is there from the start;
 * `only`: the test files to load.
 */
const { file, active, only } = workerData;
const stryker = (globalThis.__stryker__ ??= {});
if (active !== undefined) stryker.activeMutant = active;
const { tests, runTest, load } = await import(file);
await load(only);

async function fails(one) {
  try {
    await runTest(one);
    return null;
  } catch (error) {
    return String(error?.message ?? error);
  }
}

/** Every test once, but those known to be slow. */
async function cover(slow) {
  const seen = [];
  for (const [i, one] of tests.entries()) {
    if (slow.includes(`${one.file} ${one.name}`)) {
      seen.push({ file: one.file, name: one.name, ms: Infinity, fault: null });
      continue;
    }
    stryker.currentTestId = String(i);
    const began = performance.now();
    const fault = await fails(one);
    seen.push({ file: one.file, name: one.name, ms: performance.now() - began, fault });
  }
  return { tests: seen, by: Object.entries(stryker.mutantCoverage?.perTest ?? {}) };
}

/** The index of the first test that fails; null where none does. */
async function tryMutant({ id, among, mostHits }) {
  stryker.currentTestId = undefined;
  stryker.activeMutant = id;
  stryker.hitCount = 0;
  stryker.hitLimit = mostHits;
  for (const i of among ?? tests.keys()) if ((await fails(tests[i])) !== null) return i;
  return null;
}

parentPort.on('message', async (asked) => {
  parentPort.postMessage(asked.slow ? await cover(asked.slow) : await tryMutant(asked));
});
parentPort.postMessage('ready');
