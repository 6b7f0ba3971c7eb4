import { describe, expect, test } from 'vitest';
import type { z } from 'zod';
import type { boardSchema } from '../records/board';
import { makeBoard, makePart, portsAndPads, serial, unknown, yes } from '../tests/make';
import { bothWayLines, oneWireLines, portLines, portsInAll } from './brief-ports';

/** All its pads are in its file, so that what is not there is absent. */
const board = (sides: string[], change: Partial<z.input<typeof boardSchema>> = {}) =>
  makeBoard({ allPads: yes, ...portsAndPads(sides), ...change });
const part = (...protocols: string[]) =>
  makePart(protocols.join(' '), { links: protocols.map((p, i) => serial(p, `l${i}`)) });
const taken = (sides: string[], at: number, by: object) =>
  board(sides, { ports: portsAndPads(sides).ports!.map((p, i) => (i === at ? { ...p, taken: by } : p)) as never });
const asked = (lines: { asks: string }[]) => lines.map((l) => l.asks);

describe('ports that hear and talk', () => {
  const lines = portLines([part('two-wire-rc'), part('plain-rc')]);
  const [hear, talk] = lines;
  test('each direction is counted for itself', () => {
    expect(asked(lines)).toEqual([
      '2 serial ports that hear, free or to be freed',
      '1 serial port that talks, free or to be freed',
    ]);
    expect([hear!.fails(board(['rt', 'r'])), talk!.fails(board(['rt', 'r']))]).toEqual([false, false]);
    expect([hear!.fails(board(['rt', 't'])), talk!.fails(board(['r', 'r']))]).toEqual([true, true]);
  });
  test('a port that is taken for good is not there; one that can be freed is', () => {
    expect(hear!.fails(taken(['rt', 'rt'], 1, { by: 'own receiver' }))).toBe(true);
    expect(
      hear!.fails(
        taken(['rt', 'rt'], 1, {
          by: 'own receiver',
          release: { what: 'Turn the receiver off', lost: 'the receiver' },
        }),
      ),
    ).toBe(false);
  });
  test('where pads may be missing from the file nothing is said to be absent', () => {
    for (const line of lines) expect(line.fails(board([], { allPads: unknown }))).toBe(false);
  });
  test('of several ways the least counts; who can do without a port asks for none', () => {
    const either = makePart('either', {}, { modes: [{ links: [serial('two-wire-rc')] }, { links: [] }] });
    expect(portLines([either])).toEqual([]);
  });
});

describe('both directions on one port', () => {
  const [line] = bothWayLines([part('two-wire-rc')]);
  test('one that only hears beside one that only talks is none', () => {
    expect(line!.asks).toBe('1 serial port with both directions on pads');
    expect(line!.fails(board(['r', 't']))).toBe(true);
    expect(line!.fails(board(['r', 'rt']))).toBe(false);
    expect(line!.fails(board(['r', 't'], { allPads: unknown }))).toBe(false);
  });
  test('what only hears asks for none', () => expect(bothWayLines([part('plain-rc')])).toEqual([]));
});

describe('ports in all', () => {
  test('a link of both directions counts once', () => {
    expect(asked(portsInAll([part('two-wire-rc'), part('two-wire-rc')]))).toEqual([
      '2 serial ports in all, free or to be freed',
    ]);
    expect(portsInAll([part('two-wire-rc')])).toEqual([]);
  });
  test('two that may share a port ask for one, three for two', () => {
    expect(portsInAll([part('plain-rc'), part('recorder')])).toEqual([]);
    expect(asked(portsInAll([part('plain-rc'), part('recorder'), part('two-wire-rc')]))).toEqual([
      '2 serial ports in all, free or to be freed',
    ]);
  });
  test('the ports of a board are counted whatever their directions, but not those without a pad', () => {
    const [line] = portsInAll([part('two-wire-rc'), part('plain-rc')]);
    expect(line!.fails(board(['rt', 'r']))).toBe(false);
    expect(line!.fails(board(['rt', '']))).toBe(true);
    expect(line!.fails(taken(['rt', 'r'], 0, { by: 'own receiver' }))).toBe(true);
    expect(
      line!.fails(
        taken(['rt', 'r'], 0, { by: 'own receiver', release: { what: 'Turn the receiver off', lost: 'the receiver' } }),
      ),
    ).toBe(false);
  });
});

describe('a link on one wire', () => {
  const [line] = oneWireLines([part('one-wire-telemetry')]);
  const soft = {
    pads: [
      { id: 'vbat', label: 'VBAT' },
      { id: 'o5', label: 'S5' },
    ],
  };
  const output = (can: string[]) =>
    ({ ...soft, outputs: [{ id: 'out5', label: 'S5', pad: 'o5', timer: 'A', can }] }) as never;
  test('sits on a port that talks, or on an output that can stand in for one', () => {
    expect(line!.fails(board(['t']))).toBe(false);
    expect(line!.fails(board(['r']))).toBe(true);
    expect(line!.fails(taken(['rt'], 0, { by: 'own receiver' }))).toBe(true);
    expect(line!.fails(board([], output(['motor', 'soft serial'])))).toBe(false);
    expect(line!.fails(board([], output(['motor'])))).toBe(true);
    expect(line!.fails(board(['r'], { allPads: unknown }))).toBe(false);
  });
  test('who has no such link asks for none', () => expect(oneWireLines([part('two-wire-rc')])).toEqual([]));
});
