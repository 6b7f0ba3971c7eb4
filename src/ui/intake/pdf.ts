import type { PDFDocumentProxy } from 'pdfjs-dist';
import type { TextItem } from 'pdfjs-dist/types/src/display/api';
import { laidOut, type Page } from '@/core';
import { under } from '../room/ask-server';

/** A PDF as it is read page by page. */
export interface Pdf {
  pages: number;
  /** The text of a page by where its words stand; a scanned page has none. */
  page: (number: number) => Promise<Page>;
  picture: (number: number, width: number) => Promise<Blob>;
  close: () => void;
}

/** Opens a PDF; throws the sentence that says why not. */
export async function openPdf(bytes: ArrayBuffer): Promise<Pdf> {
  const pdfjs = await import('pdfjs-dist');
  pdfjs.GlobalWorkerOptions.workerSrc = under('/reading/pdf.worker.min.mjs');
  const task = pdfjs.getDocument({
    data: bytes,
    cMapUrl: under('/reading/'),
    cMapPacked: true,
    standardFontDataUrl: under('/reading/'),
    isEvalSupported: false,
    enableXfa: false,
  });
  const document = await task.promise.catch((error: { name?: string }) => {
    throw new Error(
      error.name === 'PasswordException'
        ? 'This PDF is locked with a password. Open it where you can, print it into a new PDF, and drop that.'
        : 'This PDF cannot be opened: it is broken or not a PDF. Nothing of it was read.',
    );
  });
  return {
    pages: document.numPages,
    page: (number) => textOf(document, number),
    picture: (number, width) => drawn(document, number, width),
    close: () => void task.destroy(),
  };
}

async function textOf(document: PDFDocumentProxy, number: number): Promise<Page> {
  const page = await document.getPage(number);
  const view = page.getViewport({ scale: 1 });
  const { items } = await page.getTextContent();
  const words = items
    .filter((i): i is TextItem => 'str' in i && i.str.trim() !== '')
    .map((i) => {
      const [x, y] = view.convertToViewportPoint(i.transform[4] as number, i.transform[5] as number) as [
        number,
        number,
      ];
      const height = i.height || Math.abs(i.transform[3] as number) || 10;
      return { text: i.str, x, y: y - height, width: i.width, height };
    });
  page.cleanup();
  return laidOut(words, { number, width: view.width, height: view.height });
}

async function drawn(pdf: PDFDocumentProxy, number: number, width: number): Promise<Blob> {
  const page = await pdf.getPage(number);
  const view = page.getViewport({ scale: width / page.getViewport({ scale: 1 }).width });
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(view.width), Math.round(view.height)];
  await page.render({ canvas, viewport: view }).promise;
  page.cleanup();
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('A page could not be drawn.'))),
      'image/jpeg',
      0.8,
    ),
  );
}
