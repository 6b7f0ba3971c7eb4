import { readSpec } from '../src/core/intake/read-spec';
import { corpora, measure } from '../src/core/tests/measure-reader';

const all = Object.entries(corpora());
const found = measure({ what: 'all', texts: all.flatMap(([, c]) => c.texts) });
console.table(found.fields);
for (const e of found.errors) console.log(`${e.kind}: ${e.field} ${e.value} | ${e.page}`);
const figures = (m: ReturnType<typeof measure>) => ({
  precision: Number(m.precision.toFixed(4)),
  precisionOfSure: Number(m.precisionOfSure.toFixed(4)),
  recall: Number(m.recall.toFixed(4)),
});
console.table(Object.fromEntries(all.map(([name, c]) => [name, { texts: c.texts.length, ...figures(measure(c)) }])));
const one = all.flatMap(([, c]) => c.texts.map((t) => t.text)).join('\n');
const megabyte = one.repeat(Math.ceil(1e6 / one.length)).slice(0, 1e6);
readSpec(megabyte.slice(0, 1e5));
const timed = (text: string) => {
  const start = performance.now();
  readSpec(text);
  return performance.now() - start;
};
const [half, whole] = [timed(megabyte.slice(0, 5e5)), timed(megabyte)];
console.log(
  JSON.stringify({
    texts: all.reduce((n, [, c]) => n + c.texts.length, 0),
    ...figures(found),
    msPerMegabyte: Math.round(whole),
    twiceTheTextTakes: Number((whole / half).toFixed(2)),
  }),
);
