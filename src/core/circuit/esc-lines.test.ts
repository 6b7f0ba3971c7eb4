import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import type { Board } from '../records/board';
import { makeBoard, makeBuild, makePart, says } from '../tests/make';
import { sentenceOf } from '../words/finding/sentence-of';

/**
 * A stack's harness carries the motor outputs of its controller to its ESC: their pads are on the board, but they are not free. Outputs of one timer run at one
 * rate (common practice of the trade, no source). Boards as sold: four motor outputs on two timers, one more on a third, lights on a fourth.
 */
const outputs: Board['outputs'] = [
  { id: 'm1', label: 'M1', pad: 'm1', timer: 't1', can: ['motor', 'servo'] },
  { id: 'm2', label: 'M2', pad: 'm2', timer: 't1', can: ['motor', 'servo', 'soft serial'] },
  { id: 'm3', label: 'M3', pad: 'm3', timer: 't2', can: ['motor', 'servo'] },
  { id: 'm4', label: 'M4', pad: 'm4', timer: 't2', can: ['motor', 'servo'] },
  { id: 'm6', label: 'M6', pad: 'm6', timer: 't3', can: ['motor', 'servo'] },
];
const pads = ['vbat', ...outputs.map((o) => o.pad), 'led'].map((id) => ({ id, label: id.toUpperCase() }));
const esc = { channels: says(4), continuousAmps: says(40), burstAmps: says(50), burstSeconds: says(10) };
const flag = (value: boolean) => ({ value, origin: 'manual' as const });
const wants = (use: 'servo' | 'light' | 'motor', count: number) =>
  makePart('it', { links: [{ kind: 'output', id: 'signal', use, count }] });

/** What a part comes to, and the pads it goes to. */
function wired(
  board: Parameters<typeof makeBoard>[0],
  motors: { count: number; esc: 'on the board' | 'separate' },
  part = wants('servo', 1),
) {
  const climb = evaluate(
    makeBuild({ motors: { cruiseAmps: 6, peakAmps: 30, peakSeconds: 5, ...motors } }, [part]),
    makeBoard({ outputs, pads, ...board }),
  );
  const ends = climb.hookup.parts.find((p) => p.id === 'it')?.links.flatMap((l) => l.pads.map((p) => p.pad)) ?? [];
  return {
    state: climb.rungs[3]!.state,
    pads: ends,
    says: climb.rungs[3]!.findings.map((f) => sentenceOf(f)).join(' '),
  };
}

describe('outputs that drive the ESC on the board', () => {
  const quad = { count: 4, esc: 'on the board' } as const;

  test('a stack has only what its harness leaves', () => {
    expect(wired({}, quad)).toMatchObject({ state: 'holds', pads: ['m6'] });
    const two = wired({}, quad, wants('servo', 2));
    expect(two.state).toBe('breaks');
    expect(two.says).toContain(
      'needs 2 servo outputs: only 1 is free, the others drive the ESC on the board or share a timer with one that does',
    );
  });

  test('with fewer motors the others are free, unless they share a timer', () => {
    expect(wired({}, { count: 1, esc: 'on the board' }, wants('servo', 3))).toMatchObject({
      state: 'holds',
      pads: ['m3', 'm4', 'm6'],
    });
    expect(wired({}, { count: 1, esc: 'on the board' }, wants('servo', 4)).state).toBe('breaks');
    expect(wired({}, { count: 0, esc: 'on the board' }, wants('servo', 5)).state).toBe('holds');
  });

  test('lights on a timer of a motor do not work either', () => {
    const lit = (timer: string) =>
      wired(
        { outputs: [...outputs, { id: 'led', label: 'LED', pad: 'led', timer, can: ['light'] }] },
        quad,
        wants('light', 1),
      ).state;
    expect([lit('t1'), lit('t4')]).toEqual(['breaks', 'holds']);
  });

  test('an ESC with lines of its own leaves them all, and one of which nobody says is not known to', () => {
    expect(wired({ esc: { ...esc, drivenByOutputs: flag(false) } }, quad, wants('servo', 5)).state).toBe('holds');
    const unsaid = wired({ kind: 'all-in-one' }, quad, wants('servo', 2));
    expect(unsaid.state).toBe('unknown');
    expect(unsaid.says).toContain('nobody says whether the motor outputs on pads drive the ESC');
    expect(wired({ kind: 'all-in-one' }, quad)).toMatchObject({ state: 'holds', pads: ['m6'] });
    expect(
      wired({ kind: 'all-in-one', esc: { ...esc, drivenByOutputs: flag(true) } }, quad, wants('servo', 2)).state,
    ).toBe('breaks');
  });

  test('the pads that the ESC holds are named with their holder, so that the drawing can strike them', () => {
    const held = (change: Parameters<typeof makeBoard>[0], esc: 'on the board' | 'separate' = 'on the board') =>
      evaluate(
        makeBuild({ motors: { count: 3, cruiseAmps: 6, peakAmps: 30, peakSeconds: 5, esc } }),
        makeBoard({
          outputs,
          pads,
          analogueInputs: [{ id: 'c', label: 'CURR', kind: 'current', pad: 'led' }],
          currentSensor: { fullScaleAmps: says(160) },
          ...change,
        }),
      ).hookup.held;
    const escs = ['m1', 'm2', 'm3'].map((pad) => ({ pad, by: 'the ESC on the board' }));
    expect(held({})).toEqual([...escs, { pad: 'led', by: 'the sensor of the ESC on the board' }]);
    expect(held({}, 'separate')).toEqual([]);
    expect(held({ kind: 'all-in-one' }).map((h) => h.by)).toEqual(escs.map(() => 'the ESC on the board, perhaps'));
  });

  test('with separate ESCs the outputs are theirs, and one on the board holds none', () => {
    expect(wired({}, { count: 4, esc: 'separate' })).toMatchObject({ state: 'holds' });
    expect(wired({}, { count: 4, esc: 'separate' }, wants('servo', 2)).state).toBe('breaks');
  });
});
