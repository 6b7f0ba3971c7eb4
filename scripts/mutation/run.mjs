import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { bundle } from './bundle.mjs';
import { typesOf } from './types.mjs';

/**
 * Mutation testing of rooms of the core: `npm run mutation -- [ROOM…] [--every 10] [--longest SECONDS]`. Every file of a room is changed in small ways (the mutators of Stryker), and all tests of the core
 * that run a changed place are tried until one notices; what none notices the types may refuse. Prints what was noticed, room by room; survivors are written to `.rung/mutants/ROOM.txt`.
 */
const args = process.argv.slice(2);
const option = (name, otherwise) => {
  const at = args.indexOf(name);
  return at < 0 ? otherwise : Number(args.splice(at, 2)[1]);
};
/** Of so many mutants one is tried. */
const every = option('--every', 1);
/** A test that takes longer is left out. */
const longestMs = 1000 * option('--longest', 0.8);
const rooms = args.length > 0 ? args : ['circuit', 'wiring', 'rungs', 'decide', 'bill', 'guide'];

/** Searches over thousands of random problems: they would run for every mutant. */
const tooLong = /tests\/hostile|soundness|solver\/(oracle|general|improve|search|solve)|wiring\/verify/;
/** Of the tests of its room that run a mutant the quickest, until they would take so long together, and as long of all others. */
const mostMs = 5 * longestMs;
const patienceMs = 30_000 + 6 * mostMs;
/** Those that were slow in an earlier room are not even run once. */
const slowFile = `.rung/mutants/slow-${longestMs}.txt`;

const filesOf = (folder, keep) =>
  readdirSync(folder, { recursive: true })
    .map((name) => path.join(folder, String(name)))
    .filter((name) => name.endsWith('.ts') && keep(name))
    .sort();
const isTest = (name) => name.endsWith('.test.ts');
const testFiles = filesOf('src/core', (name) => isTest(name) && !tooLong.test(name));

/** A worker that answers one question at a time: `value`, or `late` where it took too long, or the `error` that ended it. */
async function start(file, from = {}) {
  const worker = new Worker(path.resolve('scripts/mutation/worker.mjs'), {
    workerData: { file, ...from },
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
  return {
    failed: ready.value === 'ready' ? null : (ready.error?.stack ?? 'not ready'),
    ask: (question, ms = patienceMs) => {
      worker.postMessage(question);
      return heard(ms);
    },
    end: () => worker.terminate(),
  };
}

/**
 * Which tests, and the loading of which test files, run each mutant. A constant of a file is worked out once, while the first test file loads that asks for it: who uses it is who runs
 * anything else of its file, or of the files that import it.
 */
function whoRuns({ tests, by }, room, { fileOf, importers }) {
  const usable = (i) => tests[i].fault === null && tests[i].ms < longestMs;
  const runs = new Map();
  const inFile = new Map();
  for (const [who, ids] of by)
    for (const [id, hits] of Object.entries(ids)) {
      const own = runs.get(id) ?? { among: [], loads: [], hits: 0 };
      runs.set(id, own);
      if (who.startsWith('load ')) own.loads.push(who.slice(5));
      else if (usable(Number(who))) {
        own.among.push(Number(who));
        own.hits = Math.max(own.hits, hits);
        const file = fileOf.get(id);
        inFile.set(file, (inFile.get(file) ?? new Set()).add(Number(who)));
      }
    }
  const users = (file, asked = new Set([file])) => {
    const own = inFile.get(file);
    if (own) return own;
    const further = (importers.get(file) ?? []).filter((f) => !asked.has(f));
    for (const f of further) asked.add(f);
    return new Set(further.flatMap((f) => [...users(f, asked)]));
  };
  const ofRoom = (i) => tests[i].file.startsWith(`src/core/${room}/`);
  const within = (some) => {
    let ms = 0;
    return some.sort((a, b) => tests[a].ms - tests[b].ms).filter((i) => (ms += tests[i].ms) <= mostMs);
  };
  const quickest = (among) => [...within(among.filter(ofRoom)), ...within(among.filter((i) => !ofRoom(i)))];
  const msOf = (file) => tests.reduce((sum, t) => sum + (t.file === file ? t.ms : 0), 0);
  // The three quickest, and of those of the room itself the longest: it asks the most.
  const quickFiles = (loads) => {
    const quick = loads.filter((f) => msOf(f) < mostMs).sort((a, b) => msOf(a) - msOf(b));
    const own = quick.filter((f) => f.startsWith(`src/core/${room}/`)).at(-1);
    return [...new Set([...quick.slice(0, 3), ...(own ? [own] : [])])];
  };
  for (const [id, own] of runs) {
    const loads = quickFiles(own.loads);
    const anew =
      own.loads.length > 0 ? quickest([...users(fileOf.get(id))].filter((i) => !loads.includes(tests[i].file))) : [];
    Object.assign(own, { among: quickest(own.among), loads, anew });
  }
  return runs;
}

async function room(name) {
  const file = path.resolve(`.rung/mutants/${name}.mjs`);
  mkdirSync(path.dirname(file), { recursive: true });
  const sources = filesOf(`src/core/${name}`, (f) => !isTest(f));
  const { mutants: all, importers } = await bundle(sources, testFiles, file);
  const mutants = all.filter((_, i) => i % every === 0);
  let worker = await start(file);
  if (worker.failed) throw new Error(worker.failed);
  const slow = existsSync(slowFile) ? readFileSync(slowFile, 'utf8').split('\n') : [];
  const { value: covered } = await worker.ask({ slow }, 1_200_000);
  const slowNow = covered.tests.filter((t) => t.ms >= longestMs).map((t) => `${t.file} ${t.name}`);
  writeFileSync(slowFile, slowNow.join('\n'));
  for (const t of covered.tests) if (t.fault !== null) console.error(`Fails without any mutant: ${t.file} ${t.name}`);
  const runs = whoRuns(covered, name, { fileOf: new Map(all.map((m) => [m.id, m.file])), importers });
  const count = { mutants: mutants.length, noticed: 0, 'never ends': 0, 'types refuse': 0, survived: 0, 'not run': 0 };
  const refused = typesOf(sources, importers);
  const survivors = [];
  const noticedBy = new Map();
  for (const [n, mutant] of mutants.entries()) {
    if (n % 250 === 0) console.error(`${name}: ${n} of ${mutants.length}, ${survivors.length} left`);
    const own = runs.get(mutant.id);
    let found = { value: null };
    if (own && own.among.length > 0) {
      // What noticed a change near by is asked first.
      const near = noticedBy.get(mutant.file) ?? [];
      const among = [...near.filter((i) => own.among.includes(i)), ...own.among.filter((i) => !near.includes(i))];
      found = await worker.ask({ id: mutant.id, among, mostHits: 200 * own.hits + 1000 });
      if (typeof found.value === 'number')
        noticedBy.set(mutant.file, [found.value, ...near.filter((i) => i !== found.value)].slice(0, 20));
      if (found.late || found.error) {
        await worker.end();
        worker = await start(file);
      }
    }
    if (found.value === null && own && own.loads.length + own.anew.length > 0) {
      // What is worked out while a file loads is worked out anew, with the mutant in place from the start.
      const only = [...new Set([...own.loads, ...own.anew.map((i) => covered.tests[i].file)])];
      const again = await start(file, { active: mutant.id, only });
      const among = [...covered.tests.entries()]
        .filter(([, t]) => only.includes(t.file))
        .flatMap(([i, t], place) => (own.loads.includes(t.file) || own.anew.includes(i) ? [place] : []));
      found = again.failed ? { value: -1 } : await again.ask({ id: mutant.id, among, mostHits: Infinity });
      await again.end();
    }
    if (found.late || found.error) count['never ends'] += 1;
    else if (found.value !== null) count.noticed += 1;
    else if (refused(mutant)) count['types refuse'] += 1;
    else {
      count[own ? 'survived' : 'not run'] += 1;
      const change = mutant.replacement.replace(/\s+/g, ' ').slice(0, 160);
      survivors.push(`${mutant.file}:${mutant.line} ${mutant.mutatorName}${own ? '' : ' (not run)'}: ${change}`);
    }
  }
  await worker.end();
  writeFileSync(`.rung/mutants/${name}.txt`, survivors.join('\n'));
  const byTests = count.noticed + count['never ends'];
  const percent = (some) => Math.round((1000 * some) / mutants.length) / 10;
  return { ...count, '% by tests': percent(byTests), '% by npm test': percent(byTests + count['types refuse']) };
}

const table = {};
for (const name of rooms) {
  table[name] = await room(name);
  console.table(table);
}
