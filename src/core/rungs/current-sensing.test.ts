import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { buildSheet } from '../guide/build-sheet';
import type { NumberFigure } from '../quantity/figure';
import { makeBoard, makeBuild, says, unknown } from '../tests/make';
import { currentIsSensed } from './current-sensing';

/** Where a sensor sits, and whether the current of separate ESCs passes it: common practice, no source. */
const kinds = ['stack', 'all-in-one', 'flight controller'] as const;
const board = (kind: (typeof kinds)[number], esc = kind !== 'flight controller') =>
  makeBoard({
    kind,
    currentSensor: { fullScaleAmps: says(160), ...(kind === 'all-in-one' ? { throughAmps: says(130) } : {}) },
    ...(esc ? {} : { esc: undefined }),
    outputs: [1, 2, 3, 4].map((n) => ({
      id: `m${n}`,
      label: `M${n}`,
      pad: `m${n}`,
      timer: 'a',
      can: ['motor' as const],
    })),
    pads: [{ id: 'vbat', label: 'VBAT' }, ...[1, 2, 3, 4].map((n) => ({ id: `m${n}`, label: `M${n}` }))],
  });
const build = (esc: 'on the board' | 'separate', currentSensing?: 'none') =>
  makeBuild({
    motors: { count: 4, cruiseAmps: 6, peakAmps: 30, peakSeconds: 5, esc },
    ...(currentSensing ? { policies: { currentSensing } } : {}),
  });
const said = (climb: ReturnType<typeof evaluate>) => climb.rungs[2]!.findings.map((f) => `${f.about} ${f.state}`);

describe('is the current of the motors sensed', () => {
  test.each(kinds)('%s', (kind) => {
    expect(currentIsSensed(build('separate'), board(kind))).toBe(kind !== 'stack');
    expect(currentIsSensed(build('separate', 'none'), board(kind))).toBe(false);
    expect(currentIsSensed(build('on the board'), board(kind, true))).toBe(true);
    expect(currentIsSensed(build('separate'), makeBoard({ kind }))).toBe(false);
  });

  test('a stack whose ESC goes unused says so, and that it senses nothing; the sheet asks for no current scale', () => {
    const climb = evaluate(build('separate'), board('stack'));
    expect(said(climb)).toEqual(expect.arrayContaining(['ESC on the board strained', 'Current sensing strained']));
    expect(said(climb).some((s) => s.startsWith('Current sensor'))).toBe(false);
    expect(buildSheet(build('separate'), board('stack'), climb).calibrate.map((s) => s.key)).not.toContain(
      'current scale',
    );
  });

  test('an all-in-one senses a separate ESC through its shunt, also where nobody says which ESC it is', () => {
    expect(said(evaluate(build('separate'), board('all-in-one')))).toEqual(
      expect.arrayContaining(['Current sensing holds', 'Current sensor holds', 'ESC on the board strained']),
    );
  });

  test('four motors of 30 A through what carries 130, 120, 119 A, and through what nobody says', () => {
    const through = (throughAmps: NumberFigure | undefined) =>
      evaluate(build('separate'), {
        ...board('all-in-one'),
        currentSensor: { fullScaleAmps: says(160), ...(throughAmps ? { throughAmps } : {}) },
      }).rungs[2]!.findings.find((f) => f.about === 'Current sensing')!.state;
    expect([says(130), says(120), says(119), unknown, undefined].map(through)).toEqual([
      'holds',
      'holds',
      'strained',
      'unknown',
      'unknown',
    ]);
  });

  test('a controller without an ESC leaves nothing unused, and is calibrated', () => {
    const climb = evaluate(build('separate'), board('flight controller'));
    expect(said(climb)).toEqual(expect.arrayContaining(['Current sensor holds']));
    expect(said(climb).some((s) => s.startsWith('ESC on the board'))).toBe(false);
    expect(buildSheet(build('separate'), board('flight controller'), climb).calibrate.map((s) => s.key)).toContain(
      'current scale',
    );
  });
});
