import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { buildSheet } from '../guide/build-sheet';
import { makeBoard, makeBuild, makePart, portsAndPads, serial } from '../tests/make';
import { sentenceOf } from '../words/finding/sentence-of';

/** The harness of a stack brings the telemetry of its ESC on a wire of its own: common practice, no source. */
const taken = {
  by: 'the ESC telemetry line of the harness',
  carries: 'esc-telemetry' as const,
  release: { what: 'Pull the wire', lost: 'no telemetry', effort: 3 },
};
const board = (sides: string[], more: Parameters<typeof makeBoard>[0] = {}) => {
  const { ports, pads } = portsAndPads([...sides, 'rt']);
  const outputs = [1, 2, 3, 4].map((n) => ({
    id: `m${n}`,
    label: `M${n}`,
    pad: `m${n}`,
    timer: 'a',
    can: ['motor' as const],
  }));
  return makeBoard({
    ports: ports!.map((p, i) => (i === sides.length ? { ...p, taken } : p)),
    pads: [...pads!, ...outputs.map((o) => ({ id: o.pad, label: o.label }))],
    outputs,
    ...more,
  });
};
const telemetry = makePart('tell', { links: [serial('esc-telemetry')] });
const positioning = makePart('gps', { links: [serial('positioning')] });
const recorder = makePart('log', { links: [serial('recorder')] });
const separate = { motors: { count: 4, cruiseAmps: 6, peakAmps: 30, peakSeconds: 5, esc: 'separate' as const } };
const at = (climb: ReturnType<typeof evaluate>, part: string) =>
  climb.hookup.parts.find((p) => p.id === part)!.links.map((l) => [l.on, l.pads.map((x) => x.pad)]);

describe('telemetry that the harness brings', () => {
  test('needs no port, no wire and no money, and leaves the others to the other parts', () => {
    const build = makeBuild({}, [telemetry, positioning]);
    const climb = evaluate(build, board(['rt']));
    expect([climb.verdict, at(climb, 'tell'), at(climb, 'gps')]).toEqual([
      'fits',
      [['Port 2, by the harness', []]],
      [['Port 1', ['r1', 't1']]],
    ]);
    expect(climb.hookup.releases).toEqual([]);
    expect(buildSheet(build, board(['rt']), climb).wires.filter((w) => w.part === 'tell')).toEqual([]);
    expect(sentenceOf(climb.rungs[3]!.findings.find((f) => f.about === 'Serial ports')!)).toBe(
      '1 of 2 ports can be used: 1 taken, 0 left free.',
    );
  });
  test('and the port cannot be freed for another part at the same time', () => {
    expect(evaluate(makeBuild({}, [telemetry, positioning]), board([])).stopsAt).toBe(4);
    expect(evaluate(makeBuild({}, [positioning]), board([])).hookup.releases.map((r) => r.what)).toEqual([
      'Pull the wire',
    ]);
  });
  test('a recorder may ride on the other side of its port, whose pad is then not held', () => {
    const climb = evaluate(makeBuild({}, [telemetry, recorder]), board([]));
    expect([climb.verdict, at(climb, 'log')]).toEqual(['fits', [['Port 1', ['t1']]]]);
    expect(climb.hookup.held.map((h) => h.pad)).toEqual(['r1', 'm1', 'm2', 'm3', 'm4']);
  });
  test('with separate ESCs the harness is not plugged in: its port is free, and telemetry wants a wire', () => {
    const climb = evaluate(makeBuild(separate, [telemetry]), board([]));
    expect([at(climb, 'tell'), climb.hookup.releases]).toEqual([[['Port 1', ['r1']]], []]);
  });
  test('what takes the port without bringing telemetry is no help', () => {
    const other = board([], {});
    const climb = evaluate(makeBuild({}, [telemetry]), {
      ...other,
      ports: other.ports.map((p) => ({ ...p, taken: { by: 'a wireless module' } })),
    });
    expect(climb.stopsAt).toBe(4);
  });
});
