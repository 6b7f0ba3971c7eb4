import { expect, test } from 'vitest';
import { readingFile } from './reading-files';

test.each([
  'pdf.worker.min.mjs',
  'worker.min.js',
  'tesseract-core-simd-lstm.wasm.js',
  'tesseract-core-relaxedsimd-lstm.wasm.js',
  'tesseract-core-lstm.wasm.js',
  'eng.traineddata.gz',
  'UniGB-UTF16-H.bcmap',
  'LiberationSans-Regular.ttf',
])('%s ships with Rung', async (name) => expect((await readingFile(name))!.body.length).toBeGreaterThan(500));

test.each([
  '',
  '../package.json',
  '..%2fpackage.json',
  'package.json',
  'x/../../package.json',
  '.env',
  'none.bcmap',
  'a/b.ttf',
])('%j is no such file', async (name) => expect(await readingFile(name)).toBeNull());
