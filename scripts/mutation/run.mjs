import { mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { bundle } from './bundle.mjs';

/**
 * Mutation testing of rooms of the core: `npm run mutation -- [ROOM…]`. Every file of a room is changed in small ways (the mutators of Stryker), and all tests of the core
 * that run a changed place are tried until one notices. Prints what was noticed, room by room; survivors are written to `.rung/mutants/ROOM.txt`.
 */
const rooms =
  process.argv.slice(2).length > 0 ? process.argv.slice(2) : ['circuit', 'wiring', 'rungs', 'decide', 'bill', 'guide'];

/** Searches over thousands of random problems: they would run for every mutant. What takes longer than `longestMs` is left out as well. */
const tooLong = /tests\/hostile|soundness|solver\/(oracle|general|improve|search|solve)|wiring\/verify|corpus/;
const longestMs = 800;
/** Of the tests that run a mutant the quickest, until they would take so long together. */
const mostMs = 4_000;
const patienceMs = 30_000;

const filesOf = (folder, keep) =>
  readdirSync(folder, { recursive: true })
    .map((name) => path.join(folder, String(name)))
    .filter((name) => name.endsWith('.ts') && keep(name))
    .sort();
const isTest = (name) => name.endsWith('.test.ts');
const testFiles = filesOf('src/core', (name) => isTest(name) && !tooLong.test(name));

/** A worker that answers one question at a time; null where it took too long, and then it is gone. */
async function start(file, active) {
  const worker = new Worker(path.resolve('scripts/mutation/worker.mjs'), {
    workerData: { file, active },
    stdout: true,
    stderr: true,
  });
  const heard = (ms) =>
    new Promise((resolve) => {
      const late = setTimeout(() => resolve({ late: true }), ms);
      const done = (answer) => {
        clearTimeout(late);
        worker.removeAllListeners('message').removeAllListeners('error');
        resolve(answer);
      };
      worker.once('message', (value) => done({ value }));
      worker.once('error', (error) => done({ error }));
    });
  const ready = await heard(60_000);
  if (ready.value !== 'ready') return { failed: ready.error?.stack ?? 'not ready', end: () => worker.terminate() };
  return {
    ask: async (question, ms = patienceMs) => {
      worker.postMessage(question);
      return heard(ms);
    },
    end: () => worker.terminate(),
  };
}

async function room(name) {
  const file = path.resolve(`.rung/mutants/${name}.mjs`);
  mkdirSync(path.dirname(file), { recursive: true });
  const mutants = await bundle(
    filesOf(`src/core/${name}`, (f) => !isTest(f)),
    testFiles,
    file,
  );
  let worker = await start(file);
  if (worker.failed) throw new Error(worker.failed);
  const { value: covered } = await worker.ask('cover', 1_200_000);
  const broken = covered.tests.filter((t) => t.fault !== null);
  if (broken.length > 0)
    console.error(`Without any mutant these fail:\n${broken.map((t) => `${t.file} ${t.name}: ${t.fault}`).join('\n')}`);
  const usable = new Set(covered.tests.flatMap((t, i) => (t.fault === null && t.ms < longestMs ? [i] : [])));
  const byMutant = new Map();
  for (const [i, ids] of Object.entries(covered.by))
    if (usable.has(Number(i)))
      for (const [id, hits] of ids) {
        const own = byMutant.get(id) ?? { among: [], hits: 0 };
        own.among.push(Number(i));
        own.hits = Math.max(own.hits, hits);
        byMutant.set(id, own);
      }
  const quick = (a, b) => covered.tests[a].ms - covered.tests[b].ms;
  const onLoad = new Set(covered.onLoad);
  const count = { mutants: mutants.length, noticed: 0, 'in a circle': 0, survived: 0, 'not run by any test': 0 };
  const survivors = [];
  for (const [n, mutant] of mutants.entries()) {
    if (n % 250 === 0) console.error(`${name}: ${n} of ${mutants.length}, ${count.survived} survived`);
    const own = byMutant.get(mutant.id) ?? { among: [], hits: 0 };
    let ms = 0;
    const among = own.among.sort(quick).filter((i) => (ms += covered.tests[i].ms) <= mostMs);
    let found = { value: null };
    if (among.length > 0) found = await worker.ask({ id: mutant.id, among, mostHits: 200 * own.hits + 1000 });
    if (found.value === null && onLoad.has(mutant.id)) {
      // What is worked out while the files load is worked out anew, with the mutant in place from the start.
      const again = await start(file, mutant.id);
      found = again.failed
        ? { value: -1 }
        : await again.ask({ id: mutant.id, among: [...usable].sort(quick), mostHits: Infinity });
      await again.end();
    } else if (found.late || found.error) {
      await worker.end();
      worker = await start(file);
    }
    if (found.late || found.error) count['in a circle'] += 1;
    else if (found.value !== null) count.noticed += 1;
    else {
      const untried = among.length === 0 && !onLoad.has(mutant.id);
      count[untried ? 'not run by any test' : 'survived'] += 1;
      survivors.push(
        `${mutant.file}:${mutant.line} ${mutant.mutatorName}${untried ? ' (not run)' : ''}: ${mutant.replacement.replace(/\s+/g, ' ').slice(0, 160)}`,
      );
    }
  }
  await worker.end();
  writeFileSync(`.rung/mutants/${name}.txt`, survivors.join('\n'));
  return { ...count, '% noticed': Math.round((1000 * (count.noticed + count['in a circle'])) / mutants.length) / 10 };
}

const table = {};
for (const name of rooms) {
  table[name] = await room(name);
  console.table(table);
}
