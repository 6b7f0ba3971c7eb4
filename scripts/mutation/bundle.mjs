import { createInstrumenter } from '@stryker-mutator/instrumenter';
import { build } from 'esbuild';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { createInjector } from 'typed-inject';

const quiet = { isDebugEnabled: () => false, debug() {}, info() {}, warn() {}, error() {}, trace() {}, fatal() {} };

/** All mutants of `sources`, switched by their ids within one bundle of the test files; and which files import each file. */
export async function bundle(sources, testFiles, outfile) {
  const instrumenter = createInjector().provideValue('logger', quiet).injectFunction(createInstrumenter);
  const { files, mutants } = await instrumenter.instrument(
    sources.map((name) => ({ name: path.resolve(name), content: readFileSync(name, 'utf8'), mutate: true })),
    { plugins: null, excludedMutations: [], ignorers: [] },
  );
  const mutated = new Map(files.map((f) => [f.name, f.content]));
  const harness = path.resolve('scripts/mutation/harness.mjs');
  const { metafile } = await build({
    metafile: true,
    stdin: {
      contents: [
        `export { tests, runTest } from ${JSON.stringify(harness)};`,
        `import { inFile } from ${JSON.stringify(harness)};`,
        'export async function load(only) {',
        ...testFiles.map(
          (f) =>
            `if (!only || only.includes(${JSON.stringify(f)})) { inFile(${JSON.stringify(f)}); await import(${JSON.stringify(path.resolve(f))}); }`,
        ),
        '}',
      ].join('\n'),
      resolveDir: process.cwd(),
      loader: 'js',
    },
    bundle: true,
    platform: 'node',
    format: 'esm',
    external: ['highs'],
    // Packages of the older kind ask for what Node brings.
    banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
    outfile,
    logLevel: 'error',
    plugins: [
      {
        name: 'mutants',
        setup({ onResolve, onLoad }) {
          onResolve({ filter: /^vitest$/ }, () => ({ path: harness }));
          onLoad({ filter: /\.ts$/ }, ({ path: file }) =>
            mutated.has(file) ? { contents: mutated.get(file), loader: 'ts' } : null,
          );
        },
      },
    ],
  });
  const importers = new Map();
  for (const [name, { imports }] of Object.entries(metafile.inputs))
    for (const { path: imported } of imports) importers.set(imported, [...(importers.get(imported) ?? []), name]);
  return {
    mutants: mutants.map(({ id, fileName, location, mutatorName, replacement }) => ({
      id,
      file: path.relative(process.cwd(), fileName),
      line: location.start.line + 1,
      location,
      mutatorName,
      replacement,
    })),
    importers,
  };
}
