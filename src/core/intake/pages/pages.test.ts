import { describe, expect, test } from 'vitest';
import { newBoard } from '../../records/new-board';
import { boardSchema } from '../../records/board';
import { readSpec } from '../read-spec';
import { fromHtml, isHtml } from './from-html';
import { joined } from './joined';
import { withPictureOfPage } from './kept-source';
import { laidOut } from './laid-out';
import type { Word } from './page';
import { withReadings } from './with-readings';

const word = (text: string, x: number, y: number, width = text.length * 6, height = 10): Word => ({
  text,
  x,
  y,
  width,
  height,
});

describe('a page laid out by where its words stand', () => {
  const page = laidOut(
    [
      word('2.5 A', 200, 21),
      word('Weight', 10, 40),
      word('5 V regulator', 10, 20),
      word('8.1', 200, 40),
      word('g', 220, 41),
      word('Marsh Wren', 10, 0),
    ],
    { number: 3, width: 400, height: 100 },
  );
  test('lines by height, cells of a table apart, words in reading order whatever the order in the file', () =>
    expect(page.text).toBe('Marsh Wren\n5 V regulator   2.5 A\nWeight   8.1 g\n'));
  test('every word knows its place, so a figure read from it does', () => {
    const whole = joined([{ number: 2, text: 'front page', spots: [] }, page]);
    const mass = readSpec(whole.text).find((r) => r.field === 'massG')!;
    expect(whole.placeAt(mass.start, mass.end)).toMatchObject({
      page: 3,
      box: [10 / 400, 0.4, expect.any(Number) as number, expect.any(Number) as number],
    });
    expect(page.text.slice(...[whole.placeAt(mass.start, mass.end)].flatMap((p) => [p.start, p.end]))).toBe(mass.quote);
  });
});

describe('a saved page', () => {
  const html = `<!doctype html><html><head><title>x</title><style>b{}</style></head><body><nav>Home 65A</nav><script>let w = '9 g'</script>
    <h1>Marsh Wren F7</h1><table><tr><th>Property</th><th>Value</th></tr><tr><td>Weight</td><td>8.1&nbsp;g</td></tr></table>
    <ul><li>5 V, 2 A</li><li hidden>12 V, 9 A</li></ul><p style="display:none">45 A</p><dl><dt>Holes</dt><dd>30.5 mm</dd></dl><img alt="USB-C plug"></body></html>`;
  test('words that a reader sees, tables and lists as lines; nothing hidden, no scripts, no menus', () =>
    expect(fromHtml(html).split('\n').filter(Boolean)).toEqual([
      'Marsh Wren F7',
      'Property | Value',
      'Weight | 8.1 g',
      '- 5 V, 2 A',
      'Holes: 30.5 mm',
      'USB-C plug',
    ]));
  test('what is no page of the web is told by its marks', () => {
    expect([isHtml(html), isHtml('<div><p>a</p><ul><li>b</li></ul></div>'), isHtml('weight < 9 g, 5 V > 4 V')]).toEqual(
      [true, true, false],
    );
  });
  test.each([
    ['nested ten thousand deep', '<div>'.repeat(10_000) + 'x'],
    ['cut in the middle', html.slice(0, 220)],
    ['a script that never ends', '<script>' + 'a'.repeat(1000)],
  ])('hostile: %s', (_, text) => expect(typeof fromHtml(text)).toBe('string'));
});

describe('figures keep the place they were read from', () => {
  const pages = [{ number: 1, text: 'Weight: 8.1 g', spots: [] }];
  const whole = joined(pages);
  const source = { id: 's-1', name: 'manual.pdf', kind: 'PDF' as const, seen: '2026-11-28' };
  const board = withReadings(
    newBoard('m', 'M', 'T'),
    readSpec(whole.text),
    { origin: 'manual', seen: '2026-11-28' },
    { source, pages, joined: whole },
  );
  test('with the page, once, and its picture when that comes', () => {
    expect(board.massG).toMatchObject({ value: 8.1, place: { source: 's-1', page: 1, start: 0, end: 13 } });
    expect(board.sources).toMatchObject([{ id: 's-1', pages: [{ number: 1, text: 'Weight: 8.1 g' }] }]);
    const pictured = withPictureOfPage(board, 's-1', 1, 'photo');
    expect(pictured.sources![0]!.pages[0]!.picture).toBe('photo');
    expect(withPictureOfPage(pictured, 's-1', 2, 'other')).toBe(pictured);
    expect(boardSchema.safeParse(pictured).error).toBeUndefined();
  });
});
