import { expect, test } from 'vitest';
import { demoBuilds } from '../tests/demo';
import { makeBuild, makePart, says, unknown } from '../tests/make';
import { buildDoubts } from './build-doubts';

const receiver = makePart('rx', {}, { kind: 'receiver' });
const sound = makeBuild({}, [receiver]);
const esc = {
  name: 'Own',
  channels: 4,
  continuousAmps: says(40),
  burstAmps: says(50),
  burstSeconds: says(10),
  maxCells: says(6),
};

test('a sound build is not doubted, the demo is not, and what is unknown contradicts nothing', () => {
  expect(buildDoubts(sound)).toEqual([]);
  for (const build of demoBuilds()) expect(buildDoubts(build), build.name).toEqual([]);
  expect(buildDoubts({ ...sound, bareMassG: unknown, pack: { ...sound.pack, massG: unknown } })).toEqual([]);
});

test('without motors nothing is said of their amps', () => {
  const none = { ...sound.motors, count: 0, cruiseAmps: 31, peakAmps: 30 };
  expect(buildDoubts({ ...sound, motors: none })).toEqual([]);
  expect(buildDoubts({ ...sound, motors: { ...none, peakSeconds: 0, cruiseAmps: 1 } })).toEqual([]);
});

test('what no craft flies without is missed; one motor steers nothing, several may', () => {
  const of = (count: number, ...parts: ReturnType<typeof makePart>[]) =>
    buildDoubts({ ...sound, motors: { ...sound.motors, count }, parts }).map((d) => d.split(':')[0]);
  expect(of(4)).toEqual(['Nothing hangs off the board yet']);
  expect(of(4, makePart('gps', {}))).toEqual(['No receiver is on the list']);
  expect(of(1, receiver)).toEqual(['One motor and no servo is on the list']);
  expect(of(2, receiver)).toEqual([]);
  expect(of(1, receiver, makePart('elevon', {}, { kind: 'servo' }))).toEqual([]);
});

test.each([
  [{ motors: { ...sound.motors, cruiseAmps: 31 } }, 'full throttle is the larger one'],
  [{ motors: { ...sound.motors, peakSeconds: 0 } }, 'lasts 0 s'],
  [{ frame: { ...sound.frame, standoffMm: 12, overhangMm: 8 } }, 'nothing is left for a board'],
  [{ limits: { ...sound.limits, budgetCents: 0 } }, 'nothing can be bought'],
  [{ limits: { ...sound.limits, takeOffMassG: 480 } }, 'weigh 480 g'],
  [
    {
      motors: {
        ...sound.motors,
        esc: 'separate',
        ownEsc: { ...esc, count: 1, pins: [], heightMm: 6, burstAmps: says(30) },
      },
    },
    'the burst is the larger one',
  ],
  [
    {
      motors: {
        ...sound.motors,
        esc: 'separate',
        ownEsc: { ...esc, count: 1, pins: [], heightMm: 6, maxCells: says(3) },
      },
    },
    'stands 3 cells, and the pack has 4',
  ],
] as const)('%j: %s', (change, words) => {
  const doubts = buildDoubts({ ...sound, ...(change as object) });
  expect(doubts).toHaveLength(1);
  expect(doubts[0]).toContain(words);
});

// Maximum power transfer, any electronics handbook: 6 cells of 12 milliohm at 3.1 V rest at 18.6 V behind 72 milliohm; half of that is reached at 129 A.
test('motors that would pull a pack below half of its volts are doubted, up to there they are not', () => {
  const pack = { ...sound.pack, cells: 6, chemistry: 'li-ion' as const, cellMilliohm: says(12) };
  const at = (peakAmps: number, of: typeof sound.pack = pack) =>
    buildDoubts({ ...sound, pack: of, motors: { ...sound.motors, count: 6, cruiseAmps: 5, peakAmps } });
  expect(at(21.5)).toEqual([]);
  expect(at(21.6)).toEqual([expect.stringContaining('6 motors at full throttle draw 129.6 A')]);
  expect(at(28)[0]).toContain('from 18.6 to 6.5 V');
  // What nobody has measured may be nothing.
  expect(at(28, { ...pack, cellMilliohm: unknown })).toEqual([]);
});
