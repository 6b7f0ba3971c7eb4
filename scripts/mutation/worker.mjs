import { parentPort, workerData } from 'node:worker_threads';

/** One bundle, loaded once. Asked to `cover`: which tests run which mutants; to `try` a mutant: which test notices it. `active`: a mutant that is there from the start. */
const { file, active } = workerData;
const stryker = (globalThis.__stryker__ ??= {});
if (active !== undefined) stryker.activeMutant = active;
const { tests, runTest, load } = await import(file);
await load();

async function fails(one) {
  try {
    await runTest(one);
    return null;
  } catch (error) {
    return String(error?.message ?? error);
  }
}

async function cover() {
  const seen = [];
  for (const [i, one] of tests.entries()) {
    stryker.currentTestId = String(i);
    const began = performance.now();
    const fault = await fails(one);
    seen.push({ file: one.file, name: one.name, ms: performance.now() - began, fault });
  }
  const { static: onLoad = {}, perTest = {} } = stryker.mutantCoverage ?? {};
  return {
    tests: seen,
    onLoad: Object.keys(onLoad),
    by: Object.fromEntries(Object.entries(perTest).map(([i, ids]) => [i, Object.entries(ids)])),
  };
}

/** The index of the first test that fails; null where none does. */
async function tryMutant({ id, among, mostHits }) {
  stryker.currentTestId = undefined;
  stryker.activeMutant = id;
  stryker.hitCount = 0;
  stryker.hitLimit = mostHits;
  for (const i of among) if ((await fails(tests[i])) !== null) return i;
  return null;
}

parentPort.on('message', async (asked) => {
  parentPort.postMessage(asked === 'cover' ? await cover() : await tryMutant(asked));
});
parentPort.postMessage('ready');
