import { expect, test } from 'vitest';
import { evaluate } from '../../evaluate/climb';
import type { RungState } from '../../rungs/finding';
import type { Says } from '../../rungs/says/says';
import { demoBuilds, demoShelf } from '../../tests/demo';
import { manyPairs } from '../../tests/many-climbs';
import { adviceWords } from './advice-words';
import { firstSentence, sentenceOf } from './sentence-of';

const port = { id: 'p1', label: 'UART 1' };

test.each<[RungState, Says, string]>([
  [
    'breaks',
    { code: 'holes on the frame', offered: '20 x 20 mm M2', has: '30.5 mm M3', meet: 'holes apart' },
    'The frame takes 20 x 20 mm M2; the board has 30.5 mm M3: the holes do not meet.',
  ],
  [
    'strained',
    {
      code: 'in the bay',
      bayMm: [40, 36],
      member: null,
      boardMm: [36, 36],
      airMm: 0,
      turned: null,
      overMm: 0,
    },
    'The bay is 40 x 36 mm, the board 36 x 36 mm: no air is left.',
  ],
  [
    'unknown',
    {
      code: 'in the bay',
      bayMm: [40, 36],
      member: 'Stile',
      boardMm: [Infinity, 30],
      airMm: -Infinity,
      turned: null,
      overMm: -Infinity,
    },
    'The bay is 40 x 36 mm, Stile unknown x 30 mm: nobody says how large the board is.',
  ],
  [
    'holds',
    {
      code: 'height of the bay',
      bayMm: 20,
      stackMm: { low: 14, high: 14 },
      lines: [
        { what: 'standoffs', mm: 4 },
        { what: 'the board', mm: 10 },
      ],
    },
    'The bay is 20 mm high, the stack 14 mm (standoffs: 4 + the board: 10): 6 mm is left.',
  ],
  [
    'unknown',
    {
      code: 'height of the bay',
      bayMm: 20,
      stackMm: { low: 4, high: Infinity },
      lines: [{ what: 'standoffs', mm: 4 }],
    },
    'The bay is 20 mm high, and nobody says how high the board builds. 16 mm is left for it (standoffs: 4).',
  ],
  [
    'strained',
    { code: 'USB reach', side: 'front', comesTo: 'left', openSides: ['left'], yawOffset: 90 },
    'The USB plug comes to the left, where the frame is open. The board lies with its arrow at 90 degrees: set a yaw offset of 90.',
  ],
  [
    'strained',
    {
      code: 'full pack',
      cells: [4, 6],
      fullVolts: 25.2,
      member: null,
      standsVolts: 26,
      standsCells: null,
      margin: 0.0317,
    },
    '4 cells and 6 cells reach up to 25.2 V when full; the board takes 26 V at most: only 3 % is left for spikes.',
  ],
  [
    'breaks',
    { code: 'empty pack', packs: 1, fewestCells: 1, emptyVolts: 3, member: 'Stile', fromCells: 2 },
    'The pack has 1 cell (3 V empty under load); Stile asks for 2 or more: it may not start, or drop out in flight.',
  ],
  [
    'strained',
    {
      code: 'cruise',
      amps: 18,
      carries: { low: 20, high: 20 },
      derated: { rated: { low: 25, high: 25 }, share: 0.8 },
      margin: 0.11,
    },
    'Each motor cruises at 18 A; a channel carries 20 A (25 A x 80 %) without end: only 11 % to spare.',
  ],
  [
    'holds',
    {
      code: 'full throttle',
      amps: 40,
      seconds: 5,
      gives: { low: 55, high: 55 },
      forSeconds: null,
      burstIgnored: false,
      margin: 0.4,
    },
    'Full throttle draws 40 A a motor for up to 5 s; a channel gives 55 A for an unknown number of s.',
  ],
  [
    'strained',
    { code: 'pin orders differ', pins: 2, meet: [{ board: 'VBAT', esc: 'GND' }], burns: true },
    'The pin orders differ at 2 pins. Plugged straight, VBAT would meet GND: that burns a board. Re-pin the plug first; the build sheet has the table.',
  ],
  [
    'breaks',
    {
      code: 'pack leads',
      gauge: 30,
      carriesAmps: 1,
      cruiseAmps: 40,
      peakAmps: 100,
      mm: 100,
      lostVolts: 6.8,
      celsius: Infinity,
    },
    'The leads are 30 AWG: good for 1 A steady by the usual table; the motors cruise at 40 A and peak at 100 A, when 100 mm out and back lose 6.8 V. Cruising they never stop getting hotter in air of 40 C, more than the 200 C that silicone stands.',
  ],
  [
    'breaks',
    { code: 'lines clash board to board', missing: [], meet: { board: 'VBAT', esc: 'M1' } },
    'The two sit board to board, so no line can be moved, and VBAT meets M1.',
  ],
  [
    'unknown',
    {
      code: 'link',
      part: 'receiver',
      link: { kind: 'serial', id: 's', protocol: 'two-wire-rc' },
      on: 'UART 1',
      lost: [{ code: 'soft serial is slow' }],
      open: [{ code: 'inverter unsaid', port }, { code: 'processor unsaid' }],
    },
    'receiver: two-wire RC link (printed CRSF) on UART 1; runs on soft serial: slow, and it costs the processor time; nobody says whether UART 1 has an inverter and nobody says which processor family the board has.',
  ],
  [
    'unknown',
    {
      code: 'rail load',
      rail: '5 V',
      parts: ['cam', 'tx'],
      typicalMa: 500,
      peakMa: 900,
      usableMa: 2000,
      share: 0.8,
      printedMa: 2500,
      ownMa: 0,
      byHeat: false,
      intoReserve: false,
      unsaid: ['cam'],
      free: 0.5,
    },
    'cam and tx together draw at least 0.5 A, 0.9 A at peak; the 5 V rail may carry 2 A (2.5 A x 80 %); nobody says what cam draws.',
  ],
  [
    'breaks',
    {
      code: 'too few ports',
      parts: ['gps', 'receiver'],
      links: 2,
      there: 1,
      sense: 'inverted or plain',
      claim: { ports: 3, free: 1, taken: [{ port: 'UART 2', by: 'the ESC' }] },
    },
    'Gps and receiver need 2 serial ports between them with the sense each needs (inverted or plain); 1 is there. The board claims 3 ports; 1 is free (UART 2: the ESC).',
  ],
  [
    'breaks',
    {
      code: 'too much load',
      limits: [
        {
          of: 'rail',
          parts: ['a', 'b'],
          rail: '5 V',
          steadyMa: 2000,
          peakMa: 2500,
          maySteadyMa: 1999,
          mayPeakMa: 2000,
          held: { by: 'heat', share: 1, ownMa: 100 },
        },
        {
          of: 'rail',
          parts: ['a', 'b'],
          rail: '9 V',
          steadyMa: 1000,
          peakMa: 1200,
          maySteadyMa: 800,
          mayPeakMa: 1000,
          held: null,
        },
        { of: 'plug', parts: ['a'], ma: 1500, plug: 'camera', pinMa: 1000, over: 'ground pins' },
      ],
    },
    "a and b would draw 2 A of the 5 V rail, 2.5 A at peak; it may carry 1.999 A (a linear regulator: more turns into too much heat on the full pack, after the board's own 0.1 A), 2 A for moments; or 1 A of the 9 V rail, 1.2 A at peak; it may carry 0.8 A, 1 A for moments; a would draw 1.5 A through the camera plug; 1 A go back over its ground pins: too little.",
  ],
  [
    'strained',
    {
      code: 'left out',
      part: 'lights',
      priority: 'nice',
      because: { code: 'no way', part: 'lights', needs: 'a supply in its range', lacks: [], outside: 0, modes: 2 },
    },
    'lights (nice) is left out. It needs a supply inside its range: the board has no supply pads. None of its 2 ways works here.',
  ],
  [
    'unknown',
    {
      code: 'take-off mass',
      limitG: 250,
      massG: { low: 200, high: Infinity },
      unsaid: ['Tarn X'],
      unlisted: [{ what: 'an aerial', grams: { low: 1, high: 4 } }],
    },
    'It may or may not stay below the limit of 250 g: with all that the hookup drags in it weighs at least 200 g (nobody says what Tarn X weighs). In that, nobody has listed: an aerial (1 to 4 g).',
  ],
  [
    'breaks',
    { code: 'take-off mass', limitG: 93, massG: { low: 93.2, high: 93.2 }, unsaid: [], unlisted: [] },
    '0.2 g over the limit of 93 g: with all that the hookup drags in it weighs 93.2 g.',
  ],
  [
    'strained',
    { code: 'take-off mass', limitG: 241.5, massG: { low: 238, high: 241.25 }, unsaid: [], unlisted: [] },
    'Only 0.3 g below the limit of 241.5 g: with all that the hookup drags in it weighs 238 to 241.3 g.',
  ],
  [
    'breaks',
    {
      code: 'price',
      currency: 'EUR',
      budgetCents: 5000,
      sumCents: 6200,
      boards: [{ name: null, bought: { cents: 4000, shop: 'Quayside' } }],
      restCents: 1700,
      parcels: 1,
      shippingCents: 500,
      unsent: [],
      unsentCents: 0,
      dutied: true,
      unsaid: ['cam'],
      unlisted: [],
    },
    '€12.00 over the budget of €50.00: the board is €40.00 at Quayside, all else still to buy €17.00, shipping €5.00 for 1 parcel, duty and tax included, €62.00 together. Nobody says what cam costs: it comes on top.',
  ],
  [
    'unknown',
    {
      code: 'price',
      currency: 'EUR',
      budgetCents: 5000,
      sumCents: 4700,
      boards: [{ name: null, bought: { cents: 4000, shop: 'Quayside' } }],
      restCents: 700,
      parcels: 1,
      shippingCents: 0,
      unsent: ['Quayside'],
      unsentCents: 4000,
      dutied: false,
      unsaid: [],
      unlisted: [],
    },
    '€3.00 below the budget of €50.00: the board is €40.00 at Quayside, all else still to buy €7.00, €47.00 together. Nobody says what sending from Quayside costs: up to €40.00 more.',
  ],
])('%s, sentence %#', (state, says, sentence) => expect(sentenceOf({ says, state })).toBe(sentence));

test('what is said of a sixth of the recorded climbs is whole: no figure is missing from a sentence, and each ends as one', () => {
  const { boards, peripherals } = demoShelf();
  const said = manyPairs(demoBuilds(), boards, peripherals)
    .filter((_, i) => i % 6 === 0)
    .flatMap(({ build, board }) => evaluate(build, board).rungs.flatMap((r) => r.findings));
  for (const f of said) {
    expect(sentenceOf(f)).toMatch(/^\S.*[.]$/);
    expect(sentenceOf(f)).not.toMatch(/undefined|NaN|Infinity|null|\[object| {2}|;\.|\(\)/);
    if (f.fix) expect(adviceWords(f.fix)).toMatch(/^[A-Z].*\.$/);
  }
  expect(new Set(said.map((f) => f.says.code)).size).toBeGreaterThan(40);
});

test('a rung without findings says nothing', () => {
  expect(firstSentence(null)).toBe('');
  expect(firstSentence({ findings: [] })).toBe('');
});
