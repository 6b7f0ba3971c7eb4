export type FileKind = 'text' | 'web page' | 'PDF' | 'picture' | 'table';

const starts: [FileKind, number[]][] = [
  ['PDF', [0x25, 0x50, 0x44, 0x46]],
  ['picture', [0x89, 0x50, 0x4e, 0x47]],
  ['picture', [0xff, 0xd8, 0xff]],
  ['table', [0x50, 0x4b, 0x03, 0x04]],
];

/** What a file is by what is in it, whatever its name says; null for what nobody reads here. */
export function fileKind(head: Uint8Array): FileKind | null {
  const found = starts.find(([, bytes]) => bytes.every((b, i) => head[i] === b))?.[0];
  if (found) return found;
  const ascii = (from: number, to: number) => String.fromCharCode(...head.slice(from, to));
  if (ascii(0, 4) === 'RIFF' && ascii(8, 12) === 'WEBP') return 'picture';
  // A PDF may stand behind a few bytes of something else.
  if (ascii(0, 1024).includes('%PDF-')) return 'PDF';
  if (isMime(ascii(0, 2048))) return 'web page';
  const wide = (head[0] === 0xff && head[1] === 0xfe) || (head[0] === 0xfe && head[1] === 0xff);
  return wide || !head.slice(0, 4096).includes(0) ? 'text' : null;
}

/** A page that a browser saved into one file: a head of MIME that says so. */
function isMime(start: string): boolean {
  return /^[\w-]{2,30}: /.test(start) && /^mime-version:/im.test(start) && /^content-type: *multipart\//im.test(start);
}

/** The text of a file in UTF-8 or UTF-16, else in the usual eight bits of the West. */
export function decoded(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
