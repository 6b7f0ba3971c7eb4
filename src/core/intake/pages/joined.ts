import type { Place } from '../../quantity/place';
import type { Page } from './page';

/** Several pages as one text, and where a piece of that stands. */
export interface Joined {
  text: string;
  placeAt: (start: number, end: number) => Omit<Place, 'source'>;
}

/** Pages one behind the other, a line apart. */
export function joined(pages: readonly Page[]): Joined {
  const starts: number[] = [];
  let text = '';
  for (const page of pages) {
    starts.push(text.length);
    text += `${page.text}\n`;
  }
  return {
    text,
    placeAt: (start, end) => {
      const at = Math.max(
        0,
        starts.findLastIndex((s) => s <= start),
      );
      const page = pages[at]!;
      const [a, b] = [start - starts[at]!, Math.min(end - starts[at]!, page.text.length)];
      const under = page.spots.filter((s) => s.start < b && s.end > a).map((s) => s.box);
      if (under.length === 0) return { page: page.number, start: a, end: b };
      const left = Math.min(...under.map(([x]) => x));
      const top = Math.min(...under.map(([, y]) => y));
      const right = Math.max(...under.map(([x, , w]) => x + w));
      const bottom = Math.max(...under.map(([, y, , h]) => y + h));
      return { page: page.number, start: a, end: b, box: [left, top, right - left, bottom - top] };
    },
  };
}
