import { build } from 'esbuild';
import { expect, test } from 'vitest';

/** What is in a worker besides what is fetched when it is wanted. */
async function inWorker(name: string): Promise<string[]> {
  const { metafile } = await build({
    entryPoints: [`src/workers/${name}.worker.ts`],
    bundle: true,
    write: false,
    metafile: true,
    format: 'esm',
    external: ['highs', './why-not-climbed'],
  });
  return Object.values(metafile.outputs).flatMap(({ inputs }) =>
    Object.entries(inputs).flatMap(([file, { bytesInOutput }]) => (bytesInOutput > 0 ? [file] : [])),
  );
}

// A page waits for them: each is read and compiled anew on every page.
test.each(['climb', 'sets', 'explain'])('the %s worker carries no schemas and no reader of pages', async (name) => {
  const files = await inWorker(name);
  expect(files).toContain('src/core/evaluate/climb.ts');
  expect(
    files.filter((f) => /node_modules\/zod|core\/(intake|words|guide|bench|drawing)\/|-schemas?\./.test(f)),
  ).toEqual([]);
});
