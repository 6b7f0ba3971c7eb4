import { plain } from '../reader/plain';

/** What a parcel brings beside the board, as far as it counts for a build. */
export interface ParcelRead {
  capacitor: { microfarads: number; volts: number } | null;
  /** Soft mounts between board and frame. */
  isolators: boolean;
  /** The rest, in the page's words. */
  also: string[];
  quote: string;
}

const begins =
  /^[ \t#*=_[\]-]{0,6}(?:in the (?:box|bag|package|parcel)|packag(?:e|ing)(?: (?:contents?|list|includes?))?|package contents?|what(?:'?s| is) (?:in the box|included)\??|box contents?|included(?: in the (?:box|package))?|includes|scope of delivery|delivery includes|packing list|you get|supplied with|lieferumfang|contents?|(?:(?:the )?(?:board|stack|set|controller|esc) )?comes with)[ \t=*\]]{0,3}(?::|$)/;
/** "Comes with a capacitor and soft mounts." */
const sentence =
  /^[ \t*•-]{0,6}(?:(?:the |this )?(?:board|stack|set|controller|esc) )?(?:comes|is delivered|is supplied|delivered|supplied) with (?=[^ :])/;
/** What is named and is not there. */
const missing =
  /\b(?:not?|without|w\/o|optional(?:ly)?|separately|extra|ohne|nicht|keine?|sans|sin|senza|bez|zonder)\b|✗/;
const listLine = /^[ \t]{0,4}(?:[-+*•· ]{0,3}\d{1,2}[ \t]{0,2}(?:x|pcs|pieces)\b|[-+*•·] |\d{1,2} ?x )/;
const itself =
  /\b(?:flight controller|controller(?: board)?|fc|board|stack|esc|aio|4 ?in ?1|pdb|manual|card|sticker|instructions?)\b/;
const isolators =
  /\b(?:gummi(?:s|t[uü]e?llen?|puffer|d[aä]e?mpfer)?|gommini|silentblocs?|grommets?|soft mounts?|dampers?|damping|gummies|isolators?|rubber(?:s| rings?)?|vibration)\b/;

/** What stands under "In the box", or behind it on its line; null where a page says nothing of it, or nothing that counts. */
export function readParcel(text: string): ParcelRead | null {
  const lines = text
    .slice(0, 200_000)
    .replace(/\*{2,}|`|__/g, '')
    .split('\n');
  for (let i = 0; i < lines.length; i++) {
    const head = plain(lines[i]!).trimEnd();
    const told = sentence.exec(head)?.[0];
    if (told === undefined && !begins.test(head)) continue;
    // A sentence behind the list is about the board again.
    const inline = lines[i]!.slice(told?.length ?? head.search(/:|$/) + 1)
      .replace(/\. .*$/, '')
      .trim();
    const gap = lines[i + 1]?.trim() === '' ? 1 : 0;
    const below = lines.slice(i + 1 + gap, i + 31);
    const end = below.findIndex((l) => !listLine.test(l.toLowerCase()));
    const items =
      inline === ''
        ? below.slice(0, end < 0 ? undefined : end)
        : inline.split(/[,;](?![^()]*\))|\s\+\s/).flatMap((item) => (told ? item.split(/\s(?:and|plus)\s/) : item));
    const found = parcelOf(items.map((l) => l.replace(/^[\s\-+*•·]+/, '').trim()).filter((l) => l !== ''));
    if (found) return { ...found, quote: (inline === '' ? items.join(', ') : lines[i]!).trim().slice(0, 200) };
  }
  return null;
}

function parcelOf(items: string[]): Omit<ParcelRead, 'quote'> | null {
  const found: Omit<ParcelRead, 'quote'> = { capacitor: null, isolators: false, also: [] };
  for (const item of items.slice(0, 30)) {
    const small = plain(item);
    if (missing.test(small)) continue;
    const [, microfarads] = /(\d{2,4}) ?(?:uf|µf|μf)/.exec(small) ?? [];
    const [, volts] = /\b(\d{1,2}) ?v\b/.exec(small) ?? [];
    if (microfarads && volts) found.capacitor ??= { microfarads: Number(microfarads), volts: Number(volts) };
    else if (isolators.test(small)) found.isolators = true;
    else if (!itself.test(small) || /\b(?:cable|harness|wire|lead)\b/.test(small)) found.also.push(item.slice(0, 60));
  }
  return found.capacitor || found.isolators ? found : null;
}
