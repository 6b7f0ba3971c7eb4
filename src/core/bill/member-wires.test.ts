import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { buildSheet } from '../guide/build-sheet';
import { candidateAt } from '../sets/candidate';
import { demoBuilds, demoShelf } from '../tests/demo';
import { wireList } from './wire-list';

const { boards } = demoShelf();
const belfry = demoBuilds().find((b) => b.id === 'belfry-six')!;

function between(id: string, build = belfry) {
  const board = candidateAt(build, boards, id)!;
  const climb = evaluate(build, board);
  const wires = wireList(build, board, climb.hookup).filter((w) => w.part.startsWith('member '));
  return { board, climb, wires, words: wires.map((w) => `${w.from} <- ${w.to}`) };
}

describe('wires between the members of a set', () => {
  test('a harness that has all lines leaves none', () => {
    expect(between('marlpit-stile~tarnfield-joist-55').wires).toEqual([]);
  });

  test('a power board feeds the ESC, and the controller its 5 V, each with its ground', () => {
    const { wires, words } = between('quillon-turnpike~dunmarrow-batten-45~marlpit-weir-12');
    expect(words).toContain('VBAT, Batten 45 <- Weir 12, VBAT');
    expect(wires.filter((w) => w.net === "the controller's 5 V")).toHaveLength(1);
    expect(wires.filter((w) => w.kind === 'ground').length).toBe(wires.filter((w) => w.kind === 'supply').length);
    // 4 motors of 9 A: 36 A asks for 12 AWG by the usual table of chassis wiring (41 A; the next thinner carries less).
    expect(wires.find((w) => w.net === "motors' pack 1")!.gauge).toBe(12);
  });

  test('a sensor without a line in the harness has a wire to the current input', () => {
    const { words } = between('marlpit-stile~dunmarrow-batten-45~tarnfield-leat');
    expect(words.some((w) => w.startsWith('CURR <- Leat, CURR'))).toBe(true);
  });

  test('single ESCs take the pack from the power board, one pair each, or by their own leads', () => {
    expect(
      between('marlpit-stile~tarnfield-peg-45~marlpit-weir-12').wires.filter(
        (w) => w.kind === 'supply' && w.colour === 'red',
      ).length,
    ).toBeGreaterThanOrEqual(4);
  });

  test('they are weighed, and stand on the build sheet', () => {
    const { board, climb, wires } = between('quillon-turnpike~dunmarrow-batten-45~marlpit-weir-12');
    const sheet = buildSheet(belfry, board, climb);
    expect(sheet.wires.filter((w) => w.part.startsWith('member '))).toHaveLength(wires.length);
    expect(sheet.solder.some((s) => s.does.includes('Weir 12'))).toBe(true);
    expect(sheet.before.map((s) => s.key)).toContain('revision dunmarrow-batten-45');
  });
});
