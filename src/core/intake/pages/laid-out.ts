import type { Page, Word } from './page';

/**
 * The text of a page from its words by where they stand: lines by height, and cells of a line apart by three spaces, so that a table stays one. `width`, `height`: of the page,
 * in the words' unit. Linear but for sorting.
 */
export function laidOut(words: readonly Word[], page: { number: number; width: number; height: number }): Page {
  const lines: Word[][] = [];
  for (const word of [...words]
    .filter((w) => w.text.trim() !== '')
    .sort((a, b) => middle(a) - middle(b) || a.x - b.x)) {
    const line = lines.at(-1);
    // Of one line is what stands within half its height.
    if (line && Math.abs(middle(word) - middle(line[0]!)) < Math.max(2, Math.min(word.height, line[0]!.height)) * 0.5)
      line.push(word);
    else lines.push([word]);
  }
  let text = '';
  const spots: Page['spots'] = [];
  for (const line of lines) {
    line.sort((a, b) => a.x - b.x);
    line.forEach((word, i) => {
      const before = line[i - 1];
      if (before) text += between(before, word);
      spots.push({
        start: text.length,
        end: text.length + word.text.length,
        box: [word.x / page.width, word.y / page.height, word.width / page.width, word.height / page.height],
      });
      text += word.text;
    });
    text += '\n';
  }
  return { number: page.number, text, spots };
}

const middle = (w: Word) => w.y + w.height / 2;

/** Nothing within a word that was cut, one space between words, three between cells. */
function between(a: Word, b: Word): string {
  const gap = b.x - (a.x + a.width);
  const letter = Math.max(1, a.height);
  if (gap < letter * 0.12 && !/\s$/.test(a.text) && !/^\s/.test(b.text)) return '';
  return gap > letter * 1.1 ? '   ' : ' ';
}
