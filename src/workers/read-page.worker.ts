import PostalMime from 'postal-mime';
import readXlsx from 'read-excel-file/web-worker';
import {
  fromHtml,
  heldAgainst,
  joined,
  readBridges,
  readHoles,
  readOffer,
  readParcel,
  readPinOrders,
  readPinout,
  readSpec,
  readSupplies,
  type BridgeRead,
  type HolesRead,
  type OfferRead,
  type PadRead,
  type ParcelRead,
  type Page,
  type PinOrder,
  type Reading,
  type SuppliesRead,
} from '../core';
import { answerWith } from './answered';

export type ReadQuestion =
  | { about: 'readings'; pages: Page[] }
  | { about: 'web page'; html: string }
  | { about: 'saved page'; file: ArrayBuffer }
  | { about: 'table'; file: ArrayBuffer };

/** What of a page is more than single figures. */
export interface Proposed {
  pads: PadRead[];
  orders: PinOrder[];
  offer: OfferRead | null;
  holes: HolesRead[];
  supplies: SuppliesRead;
  bridges: BridgeRead[];
  parcel: ParcelRead | null;
}

export interface ReadAnswers {
  readings: Proposed & { readings: Reading[] };
  /** Text of the page. */
  'web page': string;
  /** The same, of a page that was saved with its pictures into one file (MHTML, RFC 2557). */
  'saved page': string;
  /** Text of each sheet. */
  table: string[];
}

/** Reading a long page takes seconds; the page that asked stays free meanwhile. */
onmessage = ({ data }: MessageEvent<ReadQuestion>) =>
  answerWith<ReadAnswers[ReadQuestion['about']]>(async () => {
    switch (data.about) {
      case 'readings':
        return readPages(data.pages);
      case 'web page':
        return fromHtml(data.html);
      case 'saved page': {
        const { html, text } = await PostalMime.parse(data.file);
        return html === undefined ? (text ?? '') : fromHtml(html);
      }
      case 'table': {
        const sheets = await readXlsx(new Blob([data.file]));
        return sheets.map(({ data: rows }) => rows.map((r) => r.map((c) => String(c ?? '')).join('\t')).join('\n'));
      }
    }
  });

function readPages(pages: Page[]): ReadAnswers['readings'] {
  const { text } = joined(pages);
  return {
    readings: figuresOf(pages),
    pads: readPinout(text),
    orders: readPinOrders(text),
    offer: readOffer(text),
    holes: readHoles(text),
    supplies: readSupplies(text),
    bridges: readBridges(text),
    parcel: readParcel(text),
  };
}

function figuresOf(pages: Page[]): Reading[] {
  const whole = joined(pages);
  const readings = readSpec(whole.text);
  const pictures = new Set(pages.filter((p) => p.secondLook !== undefined).map((p) => p.number));
  if (pictures.size === 0) return readings;
  const again = readSpec(joined(pages.map((p) => ({ ...p, text: p.secondLook ?? p.text }))).text);
  return heldAgainst(readings, again, (r) => pictures.has(whole.placeAt(r.start, r.end).page));
}
