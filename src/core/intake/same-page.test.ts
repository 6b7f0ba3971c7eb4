import { describe, expect, test } from 'vitest';
import { corpora, measure, type Measured } from '../tests/measure-reader';
import { readSpec } from './read-spec';

const lines = (change: (line: string) => string) => (text: string) => text.split('\n').map(change).join('\n');
const figure = /(?<![\d.,])(\d[\d.,]*(?: ?[x×] ?\d[\d.,]*)* ?(?:mm|g|A|V)\b)/g;
const label = /^([^:\n]{2,30}): (?=\S)/u;
const cells = /\b(\d) ?S? ?(?:[-–]|to) ?(\d) ?S\b/g;
const rail = /\b(\d{1,2}(?:\.\d)?) ?V ?[/@,]? ?(\d(?:\.\d)?) ?A\b/g;
const isTable = (text: string) => /\|.*\||\t| {3,}\S/.test(text);
const wrapped = (line: string) =>
  line.split(' ').reduce((out, word) => {
    const last = out.slice(out.lastIndexOf('\n') + 1);
    return last !== '' && last.length + word.length > 58 ? `${out} \n${word}` : `${out}${out === '' ? '' : ' '}${word}`;
  }, '');

/** Ways of writing the same page, and how many of its right readings may be lost by them. */
const ways: [string, number, (text: string) => string][] = [
  ['all in capitals', 0, (t) => t.toUpperCase()],
  ['lines that end as on another system', 0, (t) => t.replace(/\n/g, '\r\n')],
  ['spaces at the end of each line', 0, lines((l) => `${l}  `)],
  ['a full stop at the end of each line', 0, lines((l) => (/[\p{L}\d]$/u.test(l) && !/[#|]/.test(l) ? `${l}.` : l))],
  ['every line a bullet', 2, lines((l) => (l.trim() && !/[|\t#]|^\s*[-*•]/.test(l) ? `- ${l}` : l))],
  ['figures in bold type', 6, (t) => t.replace(figure, '**$1**')],
  ['figures in bold type of a web page', 1, (t) => t.replace(figure, '<b>$1</b>')],
  ['figures as code', 1, (t) => t.replace(figure, '`$1`')],
  ['labels in bold type', 0, lines((l) => l.replace(/^(\s*(?:[-*•] )?)([^:\n|]{2,30}): (?=\S)/u, '$1**$2:** '))],
  ['a dash behind labels', 21, lines((l) => l.replace(label, '$1 – '))],
  ['a column of labels', 14, lines((l) => l.replace(label, '$1\t'))],
  ['dots behind labels', 23, lines((l) => l.replace(label, '$1 ........ '))],
  ['values below their labels', 30, lines((l) => l.replace(label, '$1:\n'))],
  ['prose broken into short lines', 9, (t) => (isTable(t) ? t : lines(wrapped)(t))],
  ['accents as letters and marks', 1, (t) => t.normalize('NFD')],
  ['units in words', 0, (t) => t.replace(/(\d) ?V\b/g, '$1 volts').replace(/(\d) ?mm\b/g, '$1 millimetres')],
  ['grams in words', 1, (t) => t.replace(/(\d) ?g\b/g, '$1 grams')],
  ['volts of direct current', 0, (t) => t.replace(/(\d) ?V\b(?! ?DC|[-–~.])/g, '$1VDC')],
  ['amps before volts', 3, (t) => t.replace(rail, '$2A@$1V')],
  ['volts times amps', 0, (t) => t.replace(rail, '$1V*$2A')],
  ['milliamps', 1, (t) => t.replace(rail, (_, v: string, a: string) => `${v}V ${Number(a) * 1000}mA`)],
  ['packs named with each count', 4, (t) => t.replace(cells, '$1S LiPo to $2S LiPo')],
  ['cells in words', 2, (t) => t.replace(cells, '$1 to $2 cells')],
  ['burst called max', 3, (t) => t.replace(/\bburst\b/g, 'max').replace(/\bBurst\b/g, 'Max')],
  ['ounces beside grams', 1, (t) => t.replace(/(\d) ?g\b(?! \()/g, '$1 g (0.3 oz)')],
  ['megabytes in words', 0, (t) => t.replace(/\b(\d+) ?MB\b/g, '$1 Mbytes')],
  [
    'sizes with strokes',
    0,
    (t) => t.replace(/(\d\d(?:\.\d)?) ?[x×] ?(\d\d(?:\.\d)?) ?[x×] ?(\d\d?(?:\.\d)?) ?mm/g, '$1 / $2 / $3 mm'),
  ],
  [
    'what else the shop sells below it',
    0,
    (t) => `${t}\n\nYou may also like\nFrame 5 inch carbon, 96 g, 24.90 €\nReceiver 2.4 GHz, 1.2 g, 15 x 11 mm`,
  ],
  ['the way to the page above it', 0, (t) => `Home > Flight controllers > Stacks\nSearch  Cart (2)  Log in\n\n${t}`],
];

describe('the same page written otherwise says the same', () => {
  const names = ['by-another-hand', 'round-eight', 'round-thirteen'];
  const rightOf = (m: Measured) => m.all.rightSure + m.all.rightInDoubt;
  const pages = names
    .flatMap((name) => corpora()[name]!.texts)
    .map((page) => ({ page, right: rightOf(measure({ what: '', texts: [page] })) }));
  test.each(ways)('%s', (_, mayLose, write) => {
    const touched = pages.flatMap(({ page, right }) => {
      const text = write(page.text);
      return text === page.text ? [] : [{ page: { ...page, text }, right }];
    });
    expect(touched.length).toBeGreaterThan(10);
    const after = measure({ what: '', texts: touched.map((t) => t.page) });
    const errors = JSON.stringify(after.errors.slice(0, 40));
    const before = touched.reduce((n, t) => n + t.right, 0);
    expect(before - rightOf(after), errors).toBeLessThanOrEqual(mayLose);
    expect(after.precisionOfSure, errors).toBeGreaterThanOrEqual(0.999);
  });
});

describe('what was misread in one way of writing', () => {
  const said = (text: string) => readSpec(text).map((r) => `${r.field} ${r.value} ${r.doubt}`);
  test.each([
    ['amps before volts, one pair after the other', 'BEC 3A@5V 2A@9V', ['regulators 5@3 sure', 'regulators 9@2 sure']],
    ['amps before volts with strokes', 'BEC: 2A/5V, 3A/9V', ['regulators 5@2 sure', 'regulators 9@3 sure']],
    ['both at their volts', 'outputs 3 A at 5 V and 2 A at 9 V', ['regulators 5@3 sure', 'regulators 9@2 sure']],
    ['seconds are no cells', 'ESC 50 A, 60 A (max 10s)', ['burstAmps 60 sure', 'burstSeconds 10 sure']],
    ['struck out', 'UARTs: 6\n~~Barometer: yes~~', ['claimedPorts 6 sure']],
    [
      'what a heading offers',
      'UARTs: 6\nOptional:\n9 V 2 A regulator',
      ['claimedPorts 6 sure', 'regulators 9@2 likely'],
    ],
    ['a unit in brackets without a colon', 'UARTs 6\nWeight (g) 8.2', ['claimedPorts 6 sure', 'massG 8.2 sure']],
    ['a line broken within a figure', 'A small flight controller of which the mass is 8.2\ng, F722', []],
    ['pins of a plug are no screws', 'UARTs: 6\nESC plug\n5 M1\n6 M2\n7 M3\n8 M4', ['claimedPorts 6 sure']],
  ])('%s', (_, text, right) => {
    if (right.length > 0) expect(said(text)).toEqual(expect.arrayContaining(right));
    else expect(said(text)).toContain('massG 8.2 likely');
    if (/~~|plug/.test(text)) expect(said(text)).toHaveLength(1);
  });
});
