import { readFileSync } from 'node:fs';
import { readSpec } from '../src/core/intake/read-spec';
import { measure, type Corpus } from '../src/core/tests/measure-reader';

const corpus = JSON.parse(readFileSync('src/core/intake/corpus.json', 'utf8')) as Corpus;
const found = measure(corpus);
console.table(found.fields);
for (const w of found.wrong) console.log(`wrong: ${w.field} ${w.value} in ${JSON.stringify(w.text)}`);
for (const m of found.missed) console.log(`missed: ${m.field} ${m.value} in ${JSON.stringify(m.text)}`);
const one = corpus.texts.map((t) => t.text).join('\n');
const megabyte = one.repeat(Math.ceil(1e6 / one.length)).slice(0, 1e6);
readSpec(megabyte.slice(0, 1e5));
const start = performance.now();
readSpec(megabyte);
const ms = performance.now() - start;
const rate = (f: (typeof found.fields)[number]) => f.right / Math.max(1, f.right + f.wrong + f.missed);
const worst = [...found.fields].sort((a, b) => rate(a) - rate(b))[0]!;
console.log(
  JSON.stringify({
    texts: corpus.texts.length,
    precision: Number(found.precision.toFixed(4)),
    recall: Number(found.recall.toFixed(4)),
    worstField: worst.field,
    msPerMegabyte: Math.round(ms),
  }),
);
