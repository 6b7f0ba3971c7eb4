import { laidOut, type Page, type Word } from '@/core';
import type { Prepared, ToPrepare } from '@/workers/picture.worker';
import { under } from '../room/ask-server';
import { askWorker } from './ask-worker';

/** Words below this are noise of a photo. */
const leastConfidence = 25;
/** Lines of this height, in pixels, are read best. */
const bestLine = 30;

export interface ReadPicture {
  page: Page;
  /** The picture as the places on it are meant: straightened. */
  shown: Blob;
}

/** A reader of print in pictures; it runs in a worker of its own and is closed when done. */
export async function printReader(onShare: (share: number) => void) {
  const { createWorker, PSM } = await import('tesseract.js');
  let look = 0;
  const worker = await createWorker('eng', 1, {
    workerPath: under('/reading/worker.min.js'),
    corePath: under('/reading'),
    langPath: under('/reading'),
    workerBlobURL: false,
    cacheMethod: 'none',
    logger: ({ status, progress }) => status === 'recognizing text' && onShare((look + progress) / 2),
  });
  // Rows of a table stay rows.
  await worker.setParameters({ tessedit_pageseg_mode: PSM.SINGLE_COLUMN });
  const looked = async (prepared: Prepared) => {
    const { data } = await worker.recognize(prepared.print, { rotateAuto: true }, { blocks: true, text: false });
    const lines = (data.blocks ?? []).flatMap((b) => b.paragraphs.flatMap((p) => p.lines));
    const words = lines.flatMap((l) =>
      l.words.filter((w) => w.confidence >= leastConfidence).map((w) => placed(w, l.bbox)),
    );
    const heights = lines.map((l) => l.bbox.y1 - l.bbox.y0).sort((a, b) => a - b);
    return { words, line: heights[Math.floor(heights.length / 2)] ?? bestLine };
  };
  const prepare = (picture: Blob, scale: number, signal: AbortSignal) => {
    const question: ToPrepare = { picture, scale };
    return askWorker<Prepared>(
      new Worker(new URL('../../workers/picture.worker.ts', import.meta.url)),
      question,
      signal,
    );
  };
  return {
    /** Two looks: the second at the size at which its lines are read best, or a little larger. Which counts is the one with more words. */
    async read(picture: Blob, number: number, signal: AbortSignal): Promise<ReadPicture> {
      look = 0;
      const first = await prepare(picture, 1.5, signal);
      const a = await looked(first);
      look = 1;
      const fit = (first.scale * bestLine) / a.line;
      const second = await prepare(
        picture,
        Math.abs(fit / first.scale - 1) < 0.12 ? first.scale * 1.25 : Math.min(4, fit),
        signal,
      );
      const b = await looked(second);
      const pages = [
        laidOut(a.words, { number, width: first.width, height: first.height }),
        laidOut(b.words, { number, width: second.width, height: second.height }),
      ];
      const [best, other] = a.words.length > b.words.length ? pages : pages.reverse();
      return { page: { ...best!, secondLook: other!.text }, shown: first.shown };
    },
    close: () => void worker.terminate(),
  };
}

interface Bounds {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** All words of a line stand on its height, whatever letters they have. */
const placed = ({ text, bbox }: { text: string; bbox: Bounds }, line: Bounds): Word => ({
  text,
  x: bbox.x0,
  y: line.y0,
  width: bbox.x1 - bbox.x0,
  height: line.y1 - line.y0,
});
