import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, says } from '../tests/make';
import { commonBreak } from './common-break';
import { rankClimbs } from './rank-shelf';
import { sentenceOf } from '../words/finding/sentence-of';

/** Judged by hand from the rungs of each board: the definition, not a source. */
describe('what stands in the way of every board', () => {
  const channels = (n: number) =>
    makeBoard({
      id: `b${n}`,
      name: `Board ${n}`,
      esc: { channels: says(n), continuousAmps: says(40), burstAmps: says(50), burstSeconds: says(10) },
    });
  const hexa = makeBuild({ motors: { count: 6, cruiseAmps: 6, peakAmps: 18, peakSeconds: 5, esc: 'on the board' } });
  const at = (boards: ReturnType<typeof makeBoard>[], build = hexa) =>
    commonBreak(rankClimbs(boards.map((b) => evaluate(build, b))));
  test('the lowest rung that breaks on all, what it is about, and how the first board fails', () => {
    const found = at([channels(4), channels(2)])!;
    expect([found.rung, found.about]).toEqual(['Motors', ['ESC channels']]);
    expect(sentenceOf(found.finding)).toContain('6 motors need a channel each');
    expect(found.finding.fix?.code).toBe('separate ESCs');
  });
  test('what it is about is named only where it is the same on all', () => {
    const weak = makeBoard({
      id: 'weak',
      name: 'Weak',
      esc: { channels: says(6), continuousAmps: says(3), burstAmps: says(4), burstSeconds: says(10) },
    });
    expect(at([channels(4), weak])).toMatchObject({ rung: 'Motors', about: [] });
  });
  test('nothing where one board passes, and nothing on an empty shelf', () => {
    expect(at([channels(4), channels(6)])).toBeNull();
    expect(at([channels(4)], makeBuild())).toBeNull();
    expect(at([])).toBeNull();
  });
});
