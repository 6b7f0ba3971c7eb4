import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { candidateAt } from '../sets/candidate';
import { demoBuilds, demoShelf } from '../tests/demo';
import { makeBoard, makeBuild, makePart, motorOutputs, ownEsc, says, supply, unknown } from '../tests/make';
import { sentenceOf } from '../words/finding/sentence-of';
import type { Board } from '../records/board';

/** All that hangs on the board takes the pack: only the board itself asks for 5 V. */
const parts = [makePart('video', { supply: supply(7, 26, 0.5) })];
const outputs = motorOutputs('m1', 'm2', 'm3', 'm4');
const pads = ['vbat', 'five', 'm1', 'm2', 'm3', 'm4'].map((id) => ({ id, label: id }));
const pack = { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' as const } };
const usb = { id: 'usb', label: 'USB', pads: [], source: { kind: 'usb' as const, dropVolts: 0.3 } };
const fromEsc = { id: 'esc-5v', label: '5 V from the ESC', pads: [], source: { kind: 'esc' as const } };
const either = {
  id: '5v',
  label: '5 V',
  pads: ['five'],
  ownAmps: says(0.15),
  source: { kind: 'either' as const, of: ['usb', 'esc-5v'] },
};
const board = (more: object = {}): Board =>
  makeBoard({
    kind: 'flight controller',
    esc: undefined,
    pads,
    outputs,
    rails: [pack, usb, fromEsc, either],
    ...more,
  } as never);

const own = (gives: object | null | undefined) => ownEsc(gives === undefined ? {} : { gives });
const flown = (esc?: object) =>
  makeBuild(
    {
      motors: {
        count: 4,
        cruiseAmps: 6,
        peakAmps: 30,
        peakSeconds: 5,
        esc: 'separate',
        ...(esc ? { ownEsc: esc } : {}),
      },
    } as never,
    parts,
  );
const said = (esc: object | undefined, of = board()) => {
  const rails = evaluate(flown(esc), of).rungs[5]!;
  return [rails.state, rails.findings.find((f) => f.code === 'own supply')?.says.code];
};
const volts = (v: unknown) => own({ volts: v, amps: says(2) });

describe('the board itself must live in flight, though nothing hangs on its 5 V (common practice, no source)', () => {
  test.each([
    ['an ESC that gives 5 V', volts(says(5)), ['holds', 'fed by the ESC']],
    ['one that is tuned up for its wires', volts(says(5.4)), ['holds', 'fed by the ESC']],
    [
      'one that gives nothing: only USB is left, which shows it alive on the desk',
      own(null),
      ['breaks', 'nothing feeds the board'],
    ],
    ['one that gives the volts of servos', volts(says(6)), ['breaks', 'fed by the ESC']],
    ['one that gives those of video', volts(says(9)), ['breaks', 'fed by the ESC']],
    ['one that gives too little', volts(says(3.3)), ['breaks', 'fed by the ESC']],
    ['one of which nobody says what it gives', own(undefined), ['unknown', 'fed by the ESC']],
    ['one of which nobody says how many volts', volts(unknown), ['unknown', 'fed by the ESC']],
    [
      'one whose volts are a range over the end',
      volts({ low: 5, high: 6, origin: 'claim' }),
      ['unknown', 'fed by the ESC'],
    ],
    ['one that nobody has named', undefined, ['unknown', 'fed by the ESC']],
  ])('%s', (_, esc, expected) => expect(said(esc)).toEqual(expected));

  test('a controller with a regulator of its own needs no ESC for that', () => {
    const buck = {
      kind: 'regulator',
      type: 'buck',
      outVolts: says(5),
      ratedAmps: says(2),
      dropOutVolts: says(0.5),
      input: 'pack',
    };
    expect(said(own(null), board({ rails: [pack, usb, { ...either, source: buck }] }))).toEqual(['holds', undefined]);
    // Either of its own and the ESC's: it runs without the ESC.
    const two = { ...either, source: { kind: 'either', of: ['usb', 'esc-5v', 'made'] } };
    const made = { id: 'made', label: 'Made', pads: [], source: buck };
    expect(said(own(null), board({ rails: [pack, usb, fromEsc, made, two] }))).toEqual(['holds', undefined]);
  });

  test('where nobody says from which rail it draws, it is the one that an ESC feeds; of a board that may have more than is drawn it is open', () => {
    const unsaid = board({ rails: [pack, usb, fromEsc, { ...either, ownAmps: undefined }] });
    expect(said(own(null), unsaid)).toEqual(['breaks', 'nothing feeds the board']);
    const partly = board({ allPads: { unknown: true } });
    expect(said(own(null), partly)).toEqual(['unknown', 'nothing feeds the board']);
  });

  test('a regulator behind a rail that is dead is dead as well', () => {
    const linear = {
      kind: 'regulator',
      type: 'linear',
      outVolts: says(3.3),
      ratedAmps: says(0.5),
      dropOutVolts: says(1),
      input: '5v',
    };
    const rails = [
      pack,
      usb,
      fromEsc,
      { ...either, ownAmps: undefined },
      { id: '3v3', label: '3.3 V', pads: [], ownAmps: says(0.1), source: linear },
    ];
    expect(said(own(null), board({ rails }))).toEqual(['breaks', 'nothing feeds the board']);
  });
});

test('a controller of the demo that makes no 5 V beside an ESC that makes none; a power board gives it', () => {
  const { boards } = demoShelf();
  const belfry = demoBuilds().find((b) => b.id === 'belfry-six')!;
  const build = { ...belfry, parts: [] };
  const found = (id: string) =>
    evaluate(build, candidateAt(build, boards, id)!)
      .rungs[5]!.findings.filter((f) => f.code === 'own supply')
      .map(sentenceOf);
  expect(found('quillon-turnpike~oxbow-dwang-35')).toEqual([
    'In flight nothing feeds the 5 V from the ESC, on which the board itself runs: Dwang 35 makes no 5 V.',
  ]);
  expect(found('quillon-turnpike~oxbow-dwang-35~dunmarrow-rill')).toEqual([]);
});
