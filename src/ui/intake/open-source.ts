import { isHtml, type Page } from '@/core';
import type { ReadAnswers, ReadQuestion } from '@/workers/read-page.worker';
import { askWorker } from './ask-worker';
import { decoded, fileKind, type FileKind } from './file-kind';
import { openPdf } from './pdf';
import { printReader, type ReadPicture } from './recognise';

/** A page, a sheet or a picture that was dropped, pasted or picked: its pages in words, and how one looks. */
export interface OpenedSource {
  kind: FileKind;
  name: string;
  pages: Page[];
  /** A picture of a page; null where it is words alone. */
  pictureOf: (number: number) => Promise<Blob | null>;
  /** What of it was left unread, if anything. */
  said: string | null;
}

export interface OnTheWay {
  /** "Page 3 of 40", and the share that is done. */
  words: string;
  share: number;
}

const mostMegabytes = 60;
const mostPages = 300;
/** Fewer letters than these on a page of a PDF: it is a scan, with a page number at most. */
const scanned = 24;
const pictureWidth = 1100;

/** Opens a file for reading; throws the sentence that says why not, and what to do. */
export async function openSource(
  file: File,
  onWay: (at: OnTheWay) => void,
  signal: AbortSignal,
): Promise<OpenedSource> {
  if (file.size === 0) throw new Error(`"${file.name}" is empty.`);
  if (file.size > mostMegabytes * 1e6)
    throw new Error(
      `"${file.name}" is larger than ${mostMegabytes} MB. Save the pages about the board as a file of their own.`,
    );
  const bytes = await file.arrayBuffer();
  const kind = fileKind(new Uint8Array(bytes.slice(0, 4096)));
  const named = { name: file.name.slice(0, 120), said: null, pictureOf: () => Promise.resolve(null) };
  switch (kind) {
    case null:
      throw new Error(
        `"${file.name}" is neither text, a web page, a PDF, a picture nor a sheet of a table. Copy its words and paste them.`,
      );
    case 'text': {
      const text = decoded(new Uint8Array(bytes));
      return isHtml(text)
        ? { ...named, kind: 'web page', pages: [plainPage(1, await asked({ about: 'web page', html: text }, signal))] }
        : { ...named, kind, pages: [plainPage(1, text)] };
    }
    case 'web page': {
      const text = await asked({ about: 'saved page', file: bytes }, signal).catch(() => '');
      if (text.trim() === '')
        throw new Error(
          `"${file.name}" holds no page that can be read. Save it again as a web page, or copy its words and paste them.`,
        );
      return { ...named, kind, pages: [plainPage(1, text)] };
    }
    case 'table': {
      const sheets = await asked({ about: 'table', file: bytes }, signal).catch(() => {
        throw new Error(`"${file.name}" cannot be opened as a table of a spreadsheet. Save it as .xlsx or .csv.`);
      });
      return { ...named, kind, pages: sheets.map((text, i) => plainPage(i + 1, text)) };
    }
    case 'picture': {
      const [read] = await readPrint([{ number: 1, picture: () => Promise.resolve(file) }], onWay, signal);
      return { ...named, kind, pages: [read!.page], pictureOf: () => Promise.resolve(read!.shown) };
    }
    case 'PDF':
      return { ...named, kind, ...(await pdfPages(bytes, onWay, signal)) };
  }
}

const plainPage = (number: number, text: string): Page => ({ number, text, spots: [] });

function asked<K extends ReadQuestion['about']>(question: Extract<ReadQuestion, { about: K }>, signal: AbortSignal) {
  const worker = new Worker(new URL('../../workers/read-page.worker.ts', import.meta.url));
  return askWorker<ReadAnswers[K]>(worker, question, signal);
}

async function pdfPages(bytes: ArrayBuffer, onWay: (at: OnTheWay) => void, signal: AbortSignal) {
  const pdf = await openPdf(bytes);
  const pages: Page[] = [];
  const last = Math.min(pdf.pages, mostPages);
  for (let number = 1; number <= last; number++) {
    if (signal.aborted) throw new Error('Stopped.');
    onWay({ words: `Page ${number} of ${last}`, share: number / last });
    pages.push(await pdf.page(number));
  }
  const scans = pages.filter((p) => p.text.replace(/\s/g, '').length < scanned).map((p) => p.number);
  const read = await readPrint(
    scans.map((number) => ({ number, picture: () => pdf.picture(number, 2200) })),
    onWay,
    signal,
  );
  return {
    pages: pages.map(
      (p) => read.find((r) => r.page.number === p.number && r.page.spots.length > p.spots.length)?.page ?? p,
    ),
    pictureOf: (number: number) =>
      Promise.resolve(read.find((r) => r.page.number === number)?.shown ?? pdf.picture(number, pictureWidth)),
    said: pdf.pages > last ? `The first ${last} of ${pdf.pages} pages were read.` : null,
  };
}

/** Reads pictures one after the other; ends at once when it is stopped. */
async function readPrint(
  pictures: { number: number; picture: () => Promise<Blob> }[],
  onWay: (at: OnTheWay) => void,
  signal: AbortSignal,
): Promise<ReadPicture[]> {
  if (pictures.length === 0) return [];
  const pages: ReadPicture[] = [];
  onWay({ words: 'The reader of print is on its way', share: 0 });
  const reader = await printReader((share) =>
    onWay({
      words: `Reading the print, ${pages.length + 1} of ${pictures.length}`,
      share: (pages.length + share) / pictures.length,
    }),
  );
  const stopped = new Promise<never>((_, reject) =>
    signal.addEventListener('abort', () => reject(new Error('Stopped.'))),
  );
  try {
    for (const { number, picture } of pictures)
      pages.push(await Promise.race([picture().then((blob) => reader.read(blob, number, signal)), stopped]));
    return pages;
  } catch (error) {
    if (signal.aborted) throw error;
    throw new Error(
      'The picture cannot be read: it is broken, or too large for this machine. Nothing of it was taken.',
      { cause: error },
    );
  } finally {
    reader.close();
  }
}
