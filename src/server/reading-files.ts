import { readFile } from 'node:fs/promises';
import path from 'node:path';

/** Files of packages that run in the page: by the name they are asked for, the folder that they lie in. */
const places: [asked: RegExp, folder: string][] = [
  [/^pdf\.worker\.min\.mjs$/, 'pdfjs-dist/build'],
  [/^[\w-]+\.bcmap$/, 'pdfjs-dist/cmaps'],
  [/^[\w-]+\.(?:pfb|ttf)$/, 'pdfjs-dist/standard_fonts'],
  [/^worker\.min\.js$/, 'tesseract.js/dist'],
  [/^tesseract-core(?:-relaxedsimd|-simd)?-lstm\.wasm(?:\.js)?$/, 'tesseract.js-core'],
  [/^eng\.traineddata\.gz$/, '@tesseract.js-data/eng/4.0.0_best_int'],
];

const types: Record<string, string> = {
  '.js': 'text/javascript',
  '.mjs': 'text/javascript',
  '.wasm': 'application/wasm',
};

/** One of those files; null for any other name. */
export async function readingFile(name: string): Promise<{ body: Buffer; type: string } | null> {
  const folder = places.find(([asked]) => asked.test(name))?.[1];
  if (folder === undefined) return null;
  const file = path.join(/* turbopackIgnore: true */ process.cwd(), 'node_modules', folder, name);
  const body = await readFile(file).catch(() => null);
  return body && { body, type: types[path.extname(name)] ?? 'application/octet-stream' };
}
