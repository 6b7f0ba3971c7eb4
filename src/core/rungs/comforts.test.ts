import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { holes, makeBoard, makeBuild, makePart, portsAndPads, says, serial, unknown } from '../tests/make';
import { sentenceOf } from '../words/finding/sentence-of';

type Change = Parameters<typeof makeBoard>[0];
type Wishes = NonNullable<Parameters<typeof makeBuild>[0]>['comforts'];

const yes = { value: true, origin: 'print' as const };
const no = { value: false, origin: 'print' as const };
const gyro = (value: 'high' | 'usual') => ({ gyroNoise: { value, origin: 'print' as const } });
const comforts = (build: Build, board: Board) => evaluate(build, board).rungs[9]!.findings;
const one = (wishes: Wishes, change: Change) => {
  const findings = comforts(makeBuild({ comforts: wishes }), makeBoard(change));
  expect(findings).toHaveLength(1);
  return findings[0]!;
};

/** A wish, and boards that meet it, miss it and do not say. */
const wishes: [string, Wishes, met: Change, missed: Change, unsaid: Change | null][] = [
  ['Barometer', { barometer: true }, { barometer: yes }, { barometer: no }, { barometer: unknown }],
  ['Storage', { storageMb: 16 }, { storageMb: says(16) }, { storageMb: says(15) }, { storageMb: unknown }],
  ['Gyro', { quietGyro: true }, gyro('usual'), gyro('high'), { gyroNoise: unknown }],
  [
    'Plugs',
    { plugs: true },
    { plugs: [{ id: 'p', label: 'receiver', family: 'SH', pins: [{ name: 'V', pad: 'vbat' }] }] },
    { plugs: [] },
    null,
  ],
  ['Button', { buttonReach: true }, { buttonSide: 'left' }, { buttonSide: 'rear' }, {}],
];

describe('each comfort by itself: met holds, missed strains, unsaid is unknown and never a yes', () => {
  test.each(wishes)('%s', (about, wish, met, missed, unsaid) => {
    expect([one(wish, met).about, one(wish, met).state]).toEqual([about, 'holds']);
    expect(one(wish, missed).state).toBe('strained');
    if (unsaid) expect(one(wish, unsaid).state).toBe('unknown');
  });
  test.each(wishes)('%s never breaks a board, nor makes it undecided', (_, wish, __, missed, unsaid) => {
    for (const change of [missed, unsaid ?? missed]) {
      const climb = evaluate(makeBuild({ comforts: wish }), makeBoard(change));
      expect([climb.stopsAt, climb.verdict === 'cannot say yet']).toEqual([null, false]);
    }
  });
  test('what is not wished for is not said', () => {
    const findings = comforts(makeBuild(), makeBoard({ barometer: no, storageMb: unknown, ...gyro('high') }));
    expect(findings.map((f) => sentenceOf(f))).toEqual(['No preferences are set.']);
  });
});

describe('what the wishes hang on', () => {
  test('spare ports are counted after the hookup has taken its own', () => {
    const { ports, pads } = portsAndPads(['rt', 'rt', 'rt']);
    const build = (spare: number) =>
      makeBuild({ comforts: { sparePorts: spare } }, [makePart('gps', { links: [serial('positioning')] })]);
    expect([
      comforts(build(2), makeBoard({ ports, pads }))[0]!.state,
      comforts(build(3), makeBoard({ ports, pads }))[0]!.state,
    ]).toEqual(['holds', 'strained']);
  });
  test('a sensitive gyro is no fault where the newer part is preferred and it is mounted soft', () => {
    const at = (softIsolators: typeof yes | typeof no | typeof unknown, school: 'newer part' | 'noise tolerance') =>
      comforts(
        makeBuild({ comforts: { quietGyro: true }, policies: { gyro: school } }),
        makeBoard({
          ...gyro('high'),
          mounting: holes(says(30.5), 'M3', softIsolators),
        }),
      )[0]!.state;
    expect([at(yes, 'newer part'), at(no, 'newer part'), at(unknown, 'newer part')]).toEqual([
      'holds',
      'strained',
      'unknown',
    ]);
    expect(at(yes, 'noise tolerance')).toBe('strained');
  });
  test('only pads that are used make work on the underside', () => {
    const { ports, pads } = portsAndPads(['rt', 'rt']);
    const under = (...ids: string[]) => pads!.map((p) => (ids.includes(p.id) ? { ...p, face: 'bottom' as const } : p));
    const build = makeBuild({ comforts: { topSide: true } }, [makePart('gps', { links: [serial('positioning')] })]);
    const state = (...ids: string[]) => comforts(build, makeBoard({ ports, pads: under(...ids) }))[0]!;
    // Of two ports alike the one on top is nearer.
    expect([state('r2', 't2').state, state('r1', 't1').state]).toEqual(['holds', 'holds']);
    expect([state('r1', 'r2').state, state('r1', 't1', 'r2', 't2').state]).toEqual(['strained', 'strained']);
    expect(sentenceOf(state('r1', 't1', 'r2', 't2'))).toContain('2 pads');
  });
  test('the processor: the oldest families are asked about, an F4 with many links has little headroom, known support is believed', () => {
    const about = (family: 'F3' | 'F4' | 'H7', links: number, supported?: boolean) => {
      const ways = Array.from({ length: links }, (_, i) => serial('positioning', `l${i}`));
      const drawn = portsAndPads(ways.map(() => 'rt'));
      const board = makeBoard({
        processor: { value: family, origin: 'manual' },
        ...drawn,
        ...(supported === undefined
          ? {}
          : { firmware: { target: unknown, supported: { value: supported, origin: 'report' as const } } }),
      });
      return comforts(makeBuild({}, [makePart('p', { links: ways })]), board)
        .filter((f) => f.code === 'processor')
        .map((f) => sentenceOf(f));
    };
    expect(about('H7', 8)).toEqual([]);
    expect(about('F4', 5)).toEqual([]);
    expect(about('F4', 6)[0]).toContain('6 serial links are much for the F4');
    expect(about('F3', 1)[0]).toContain('support may have ended');
    expect(about('F3', 1, true)).toEqual([]);
    expect(about('H7', 1, false)[0]).toContain('no longer brought up to date');
  });
  test('each wish carries the weight that the buyer gave it', () => {
    const build = makeBuild({
      comforts: {
        barometer: true,
        storageMb: 4,
        weights: {
          barometer: 3,
          compass: 1,
          storage: 0,
          gyro: 1,
          'spare ports': 1,
          plugs: 1,
          'top side': 1,
          button: 1,
        },
      },
    });
    expect(comforts(build, makeBoard()).map((f) => [f.about, f.counts])).toEqual([
      ['Barometer', 3],
      ['Storage', 0],
    ]);
  });
});
