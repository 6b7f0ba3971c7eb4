import { createHash } from 'node:crypto';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { corpora, measure, type Measured, type Tally } from '../tests/measure-reader';
import { readSpec } from './read-spec';

const counts = (t: Tally) =>
  `${t.rightSure} right, ${t.rightInDoubt} right in doubt, ${t.wrongSure} wrong, ${t.wrongInDoubt} wrong in doubt, ${t.missed} missed`;

/** Of every reading, with its place, its doubt and its reason. */
const printOf = ({ readings }: Measured) =>
  createHash('sha256').update(JSON.stringify(readings)).digest('hex').slice(0, 8);

describe('the reader on the corpora', () => {
  // Each by itself, so that a changed rule is noticed in a fraction of a second.
  test.each([
    ['by-another-hand', '264 right, 180 right in doubt, 0 wrong, 0 wrong in doubt, 1 missed; d0a3be99'],
    ['first', '316 right, 201 right in doubt, 0 wrong, 0 wrong in doubt, 0 missed; 91b43b9c'],
    ['round-eight', '453 right, 236 right in doubt, 0 wrong, 6 wrong in doubt, 18 missed; 1add8cfa'],
    ['round-eleven', '240 right, 131 right in doubt, 0 wrong, 1 wrong in doubt, 9 missed; b196aa34'],
    ['round-fourteen', '205 right, 84 right in doubt, 0 wrong, 5 wrong in doubt, 8 missed; aeff9f77'],
    ['round-fifteen', '169 right, 87 right in doubt, 0 wrong, 2 wrong in doubt, 5 missed; 53092994'],
    ['round-five', '214 right, 191 right in doubt, 0 wrong, 2 wrong in doubt, 9 missed; 928ba451'],
    ['round-four', '259 right, 262 right in doubt, 0 wrong, 2 wrong in doubt, 8 missed; d28c3f35'],
    ['round-nine', '213 right, 124 right in doubt, 0 wrong, 5 wrong in doubt, 8 missed; af1292f8'],
    ['round-one', '470 right, 280 right in doubt, 0 wrong, 1 wrong in doubt, 1 missed; fe4f0efe'],
    ['round-seven', '745 right, 523 right in doubt, 0 wrong, 7 wrong in doubt, 12 missed; 70f3f124'],
    ['round-six', '273 right, 199 right in doubt, 0 wrong, 5 wrong in doubt, 7 missed; 83d3f6b3'],
    ['round-sixteen', '210 right, 158 right in doubt, 0 wrong, 1 wrong in doubt, 1 missed; 4460f704'],
    ['round-seventeen', '172 right, 165 right in doubt, 0 wrong, 0 wrong in doubt, 2 missed; e2e04301'],
    ['round-eighteen', '163 right, 133 right in doubt, 0 wrong, 1 wrong in doubt, 0 missed; 4bf4af9a'],
    ['round-nineteen', '146 right, 138 right in doubt, 0 wrong, 3 wrong in doubt, 3 missed; de73b3ab'],
    ['round-twenty-one', '184 right, 83 right in doubt, 0 wrong, 1 wrong in doubt, 4 missed; 4c31db8d'],
    ['round-twenty-four', '172 right, 173 right in doubt, 0 wrong, 0 wrong in doubt, 1 missed; f25ee601'],
    ['round-twenty-three', '234 right, 223 right in doubt, 0 wrong, 0 wrong in doubt, 7 missed; 0802dae5'],
    ['round-twenty-two', '205 right, 100 right in doubt, 0 wrong, 4 wrong in doubt, 0 missed; 586423e4'],
    ['round-twenty', '190 right, 133 right in doubt, 0 wrong, 1 wrong in doubt, 5 missed; 85dd397e'],
    ['round-ten', '288 right, 220 right in doubt, 0 wrong, 1 wrong in doubt, 16 missed; fa55d6ac'],
    ['round-thirteen', '196 right, 78 right in doubt, 0 wrong, 0 wrong in doubt, 4 missed; 93bcbda3'],
    ['round-three', '367 right, 264 right in doubt, 0 wrong, 2 wrong in doubt, 9 missed; 21d46237'],
    ['round-twelve', '121 right, 104 right in doubt, 0 wrong, 1 wrong in doubt, 10 missed; f7ecbc66'],
    ['round-two', '388 right, 262 right in doubt, 0 wrong, 1 wrong in doubt, 1 missed; 016a75a4'],
  ])('%s: of what is sure 99.5 % is right, of all 98 %, 95 % is found, and it is what was looked at', (name, read) => {
    const corpus = corpora()[name]!;
    const found = measure(corpus);
    const errors = JSON.stringify(found.errors.slice(0, 8));
    expect(corpus.texts.length).toBeGreaterThanOrEqual(24);
    expect(found.precisionOfSure, errors).toBeGreaterThanOrEqual(0.995);
    expect(found.precision, errors).toBeGreaterThanOrEqual(0.98);
    expect(found.recall, errors).toBeGreaterThanOrEqual(0.95);
    expect(`${counts(found.all)}; ${printOf(found)}`).toBe(read);
  });
  test('every corpus is looked at', () => expect(Object.keys(corpora())).toHaveLength(26));
  test('a no behind a label is plain, in a sentence it is not', () => {
    const doubt = (text: string) => readSpec(text)[0]!.doubt;
    expect([doubt('Barometer: no'), doubt('There is no barometer on this board')]).toEqual(['sure', 'likely']);
  });
  test('what only one of several boards in a list has is no surer for that', () => {
    const found = readSpec('Tern: F405, 5 UARTs, 5 V 2 A, no baro\nKnot: F722, 6 UARTs, 5 V 3 A, 9 V 2 A, baro');
    expect(found.find((r) => r.value === '9@2')).toMatchObject({
      doubt: 'likely',
      why: 'the page lists several boards: ask which',
    });
  });
  test('marks both sides of a contradiction', () => {
    expect(readSpec('Weight: 8 g\nweight 9 g').map((r) => [r.value, r.doubt])).toEqual([
      [8, 'contradicted'],
      [9, 'contradicted'],
    ]);
  });
  test.each([
    ['without barometer', 'barometer', false],
    ['Barometer: no', 'barometer', false],
    ['OSD: none', 'overlayChip', false],
    ['ohne Barometer', 'barometer', false],
    ['We left out the barometer.', 'barometer', false],
    ['Is there a barometer? Sorry, there is not.', 'barometer', false],
    ['barometer: nei', 'barometer', false],
    ['Peso 8 g, barometro assente', 'barometer', false],
    ['no OSD, barometer, 8 MB flash', 'barometer', true],
    ['w/ OSD no Baro Type-C', 'overlayChip', true],
    ['w/ OSD no Baro Type-C', 'barometer', false],
    ['BARO NO  OSD YES', 'overlayChip', true],
    ['BARO NO  OSD YES', 'barometer', false],
    ['Barometer? Leider nein.', 'barometer', false],
    ['Poids : 7,8 g ; Alimentation : 3S ; Baromètre : non', 'barometer', false],
    ['3 UART | Baro | no OSD', 'barometer', true],
    ['3 UART | Baro | no OSD', 'overlayChip', false],
    ['Gyro 1, baro 0, flash 1 (16 MB)', 'barometer', false],
    ['OSD chip: removed since batch 4', 'overlayChip', false],
    ['no blackbox', 'storageMb', 0],
    ['| Analog OSD | without |', 'overlayChip', false],
    ['Barometr / Barometer: brak / none\nWaga / Weight: 8 g\nPamięć / Flash: 16 MB', 'barometer', false],
    ['| Item | Value | Note |\n| Barometer | | none |\n| Mass | 8 g | |', 'barometer', false],
    ['Analog OSD chip\nNo (digital only)', 'overlayChip', false],
    ['<dt>Baro</dt><dd>&#10007;</dd>', 'barometer', false],
    ['anna: baro?\nbo: nope', 'barometer', false],
    ['Blackbox: N', 'storageMb', 0],
    ['Nor is there flash for a blackbox.', 'storageMb', 0],
    ['Das Barometer ist nicht verbaut. Gewicht 8 g, Lochabstand 30,5 mm', 'barometer', false],
    ['Barometer: not supported, sold as an option', 'barometer', false],
  ])('what the text says is not there is never read as there: %s', (text, field, value) => {
    expect(readSpec(text).find((r) => r.field === field)!.value).toBe(value);
  });
  test.each([
    ['| Barometer | optional |', 'barometer', 'optional'],
    ['OSD (on the pro version only)', 'overlayChip', 'pro version'],
    ['microSD slot (no onboard flash)', 'storageMb', 'card'],
    ['Weight 9.8 g FC only', 'massG', 'fc only'],
    ['5V BEC: 3A, input 7-30V', 'packMaxVolts', 'regulator'],
    ['It has a mass of 8.4 g and the holes are 30.5 mm apart', 'patternMm', 'sentence'],
    ['UARTs: 5 or 6', 'claimedPorts', 'or'],
    ['I put the barometer where it sees no wind', 'barometer', 'no'],
    ['ESC: rated 3 A', 'continuousAmps', 'regulator'],
  ])('what the text leaves open is in doubt, and says by which words: %s', (text, field, word) => {
    const found = readSpec(text).find((r) => r.field === field)!;
    expect(found.doubt).toBe('likely');
    expect(found.why).toContain(word);
  });
  test.each([
    ['90A current sensor (132A peak)', [['sensorAmps', 90]]],
    ['25.4x25.4mm, ø3.2 holes', [['patternMm', 25.4]]],
    [
      '1.3 in x 1.3 in',
      [
        ['lengthMm', 33.02],
        ['widthMm', 33.02],
      ],
    ],
    ['Alimentation 4,5 a 10 V', [['packMaxVolts', 10]]],
    ['Voeding: van 7 tot 26 V', [['packMaxVolts', 26]]],
    ['BEC: 5 V, 2 a 3 A', [['regulators', '5@2']]],
    [
      'Weight 8 g controller only, stack 20 g',
      [
        ['massG', 8],
        ['massIncludes', 'controller only'],
        ['massG', 20],
      ],
    ],
  ])('%s', (text, figures) => expect(readSpec(text).map((r) => [r.field, r.value])).toEqual(figures));
  test('a quote is the text as it stands, also in full width', () => {
    const text = '重量：８．２ｇ';
    const [reading] = readSpec(text);
    expect([reading!.value, text.slice(reading!.start, reading!.end)]).toEqual([8.2, text]);
  });
});

test('no text hangs or breaks it, and every mark lies inside the text', () => {
  const piece = fc.oneof(
    fc.string(),
    fc.constantFrom(
      '5V',
      '@',
      '3A',
      ' x ',
      '30.5',
      'mm',
      'UART',
      '3-6S',
      '\t',
      '\n',
      '９',
      '((((',
      '1'.repeat(50),
      ' '.repeat(40),
      'burst',
      'g',
    ),
  );
  fc.assert(
    fc.property(
      fc.array(piece, { maxLength: 60 }).map((p) => p.join('')),
      (text) => {
        for (const r of readSpec(text)) expect(r.start >= 0 && r.end <= text.length && r.start < r.end).toBe(true);
      },
    ),
    { numRuns: 3000, seed: 4 },
  );
});

test('a megabyte on one single line is read as far as one board can go: what stands around a figure is looked for near it', () => {
  const found = readSpec('uart x5 5v 3a '.repeat(70_000));
  expect(found.length).toBeGreaterThanOrEqual(2000);
  expect(found.length).toBeLessThan(10_000);
});

test('a long text is read piece by piece as if it were read at once: the same figures, each where it stands', () => {
  const filler = 'A fine thing for those who like to fly.\n';
  const text = `${filler.repeat(700)}5V/3A BEC\n${filler.repeat(900)}weight 8.5 g\n${filler.repeat(600)}UART x5`;
  expect(readSpec(text).map((r) => [r.field, r.value, text.slice(r.start, r.end)])).toEqual([
    ['regulators', '5@3', '5V/3A'],
    ['massG', 8.5, 'weight 8.5 g'],
    ['claimedPorts', 5, 'UART x5'],
  ]);
});
