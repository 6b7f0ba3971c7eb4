import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { claims, holes, makeBoard, makeBuild, makePart, portsAndPads, says, serial, unknown } from '../tests/make';
import type { Part } from '../records/build';
import { unlistedParts } from './unlisted';

/** The ranges are common practice, no source; the sums here are worked by hand from them. */
const board = makeBoard(portsAndPads(['rt', 'rt']));
const radio = (kind: Part['peripheral']['kind'], aerial?: boolean): Part => {
  const part = makePart(kind.replace(' ', '-'), { links: [serial('two-wire-rc')] });
  return {
    ...part,
    peripheral: {
      ...part.peripheral,
      kind,
      ...(aerial === undefined ? {} : { aerial: { ...claims(0), value: aerial } }),
    },
  };
};
const whip = (): Part => {
  const part = makePart('whip', { links: [] });
  return {
    ...part,
    peripheral: { ...part.peripheral, kind: 'aerial', modes: [{ ...part.peripheral.modes[0]!, supplies: [] }] },
  };
};
const lines = (parts: Part[], more: Parameters<typeof makeBuild>[0] = {}) => {
  const build = makeBuild(more, parts);
  return unlistedParts(build, board, evaluate(build, board).hookup).map((u) => [u.what, u.grams, u.cents]);
};

describe('what a build needs and nobody listed', () => {
  test('an aerial that nobody says comes along weighs and costs nothing at least; one that surely does not, at least what the lightest does', () => {
    expect(lines([radio('receiver')])).toEqual([['Aerial of receiver', { low: 0, high: 4 }, { low: 0, high: 1000 }]]);
    expect(lines([radio('receiver', false)])).toEqual([
      ['Aerial of receiver', { low: 0.3, high: 4 }, { low: 100, high: 1000 }],
    ]);
    expect(lines([radio('receiver', true)])).toEqual([]);
  });

  test('an aerial on the parts list is that of the part that surely has none', () => {
    expect(lines([radio('receiver'), radio('ground link', false), whip()]).map(([what]) => what)).toEqual([
      'Aerial of receiver',
    ]);
  });

  test('separate ESCs without a name count one a motor; a named one and a capacitor of its own, none', () => {
    const separate = { count: 4, cruiseAmps: 5, peakAmps: 20, peakSeconds: 5, esc: 'separate' as const };
    expect(lines([], { motors: separate })).toEqual([
      ['ESCs that nobody has named', { low: 0, high: 40 }, { low: 0, high: 10_000 }],
    ]);
  });

  test('a servo wired for its signal alone wants a supply, unless its ESC gives one', () => {
    const servo = makePart('flap', { links: [{ kind: 'output', id: 'o', use: 'servo', count: 1 }] });
    const part: Part = {
      ...servo,
      peripheral: {
        ...servo.peripheral,
        kind: 'servo',
        modes: servo.peripheral.modes.map((m) => ({ ...m, supplies: [] })),
      },
    };
    const outputs = makeBoard({
      ...portsAndPads(['rt']),
      outputs: [{ id: 's1', label: 'S1', pad: 's1', timer: 't1', can: ['servo'] }],
      pads: [
        { id: 's1', label: 'S1' },
        { id: 'vbat', label: 'VBAT' },
      ],
      ports: [],
    });
    const build = makeBuild({}, [part]);
    const { hookup } = evaluate(build, outputs);
    expect(unlistedParts(build, makeBoard(), hookup).map((u) => u.what)).toEqual(['Supply for the servos']);
    expect(hookup.parts[0]!.mode).not.toBeNull();
  });

  test('only where the range decides is the verdict open, and it says how to close it', () => {
    const build = makeBuild({}, [radio('receiver')]);
    const sure = evaluate(build, board);
    const { low, high } = sure.massG;
    const limited = (takeOffMassG: number) =>
      evaluate({ ...build, limits: { ...build.limits, takeOffMassG } }, board).rungs[7]!;
    expect(high! - low).toBeCloseTo(4, 6);
    expect(limited(low - 0.1).state).toBe('breaks');
    expect(limited(high! - 1).state).toBe('unknown');
    expect(limited(high! - 1).findings[0]!.fix?.code).toBe('list what is missing');
    expect(['holds', 'strained']).toContain(limited(high!).state);
    const paying = (budgetCents: number) =>
      evaluate({ ...build, limits: { ...build.limits, budgetCents } }, board).rungs[8]!.state;
    expect(paying(sure.totalCents! - 1)).toBe('breaks');
    expect(paying(sure.totalCents! + 999)).toBe('unknown');
    expect(paying(sure.totalCents! + 1000)).not.toBe('unknown');
    const home = { ...build, atHome: { 'unlisted aerial receiver': 1 } };
    expect(
      evaluate({ ...home, limits: { ...build.limits, budgetCents: sure.totalCents! } }, board).rungs[8]!.state,
    ).not.toBe('unknown');
  });
});

test('isolators of which nobody says whether they come with the board: nothing at least, four with one to spare at most (4 x 0.3 g, 5 x 30)', () => {
  const of = (softIsolators: object) => {
    const held = makeBoard({ mounting: holes(says(30.5), 'M3', softIsolators as never) });
    const build = makeBuild();
    return unlistedParts(build, held, evaluate(build, held).hookup).map((u) => [u.what, u.grams, u.cents]);
  };
  expect(of(unknown)).toEqual([['Soft isolators', { low: 0, high: 1.2 }, { low: 0, high: 150 }]]);
  expect(of({ value: true, origin: 'manual' })).toEqual([]);
  expect(of({ value: false, origin: 'manual' })).toEqual([]);
});
