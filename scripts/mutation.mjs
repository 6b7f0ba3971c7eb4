import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';

/**
 * Mutation testing of rooms of the core: `npm run mutation -- [ROOM…] [--share 0.2] [--seed 1]`. A share below 1 takes stretches of lines drawn by the seed,
 * since all of a room takes hours on two cores. Prints what was killed, room by room; survivors stand above the table, file by file.
 */
const stretch = 12;
const args = process.argv.slice(2);
const option = (name, otherwise) => {
  const at = args.indexOf(`--${name}`);
  return at < 0 ? otherwise : Number(args.splice(at, 2)[1]);
};
const share = option('share', 1);
let seed = option('seed', 1);
const rooms = args.length > 0 ? args : ['circuit', 'wiring', 'rungs', 'decide', 'bill', 'guide'];

/** Mulberry32. */
function random() {
  seed = (seed + 0x6d2b79f5) | 0;
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
}

const stretchesOf = (room) =>
  readdirSync(`src/core/${room}`, { recursive: true })
    .filter((name) => /\.ts$/.test(name) && !name.includes('.test.'))
    .flatMap((name) => {
      const file = `src/core/${room}/${name}`;
      const lines = readFileSync(file, 'utf8').split('\n').length;
      return Array.from({ length: Math.ceil(lines / stretch) }, (_, i) => [
        i * stretch + 1,
        Math.min((i + 1) * stretch, lines),
      ])
        .filter(() => random() < share)
        .map(([from, to]) => `${file}:${from}-${to}`);
    });

const table = {};
for (const room of rooms) {
  const mutate = stretchesOf(room).join();
  execFileSync('npx', ['stryker', 'run', '--mutate', mutate], { stdio: 'inherit' });
  const { files } = JSON.parse(readFileSync('.rung/mutation.json', 'utf8'));
  const count = {};
  for (const { mutants } of Object.values(files))
    for (const { status } of mutants) count[status] = (count[status] ?? 0) + 1;
  const killed = (count.Killed ?? 0) + (count.Timeout ?? 0);
  const met = killed + (count.Survived ?? 0) + (count.NoCoverage ?? 0);
  table[room] = {
    mutants: met,
    killed,
    survived: count.Survived ?? 0,
    'not run by any test': count.NoCoverage ?? 0,
    'killed %': Math.round((1000 * killed) / met) / 10,
  };
}
console.table(table);
