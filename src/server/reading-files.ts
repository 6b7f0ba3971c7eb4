import { readFile } from 'node:fs/promises';
import path from 'node:path';

/** Files of packages that run in the page: by the name they are asked for, where they lie. A pattern's name goes behind its folder. */
const places: [asked: RegExp, folder: string][] = [
  [/^pdf\.worker\.min\.mjs$/, 'pdfjs-dist/build'],
  [/^cmaps\/([\w-]+\.bcmap)$/, 'pdfjs-dist/cmaps'],
  [/^fonts\/([\w-]+\.(?:pfb|ttf))$/, 'pdfjs-dist/standard_fonts'],
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
  for (const [asked, folder] of places) {
    const match = asked.exec(name);
    if (!match) continue;
    const file = path.join(/* turbopackIgnore: true */ process.cwd(), 'node_modules', folder, match[1] ?? name);
    const body = await readFile(file).catch(() => null);
    return body && { body, type: types[path.extname(name)] ?? 'application/octet-stream' };
  }
  return null;
}
