import { describe, expect, test } from 'vitest';
import { isCandidate } from '../sets/roles';
import { demoBuilds, demoShelf } from '../tests/demo';
import { drawnBuild } from '../tests/drawn-build';
import { variedBoard } from '../tests/varied-board';
import { evaluate } from './climb';
import { stoppedEarly } from './stopped-early';
import { sentenceOf } from '../words/finding/sentence-of';

const shelf = demoShelf();
const varied = Array.from({ length: 24 }, (_, i) => variedBoard(7000 + i, shelf.boards)).filter(isCandidate);
const boards = [...shelf.boards.filter(isCandidate), ...varied];
const builds = [...demoBuilds(), ...[1, 2, 3].map((seed) => drawnBuild(seed, 8, demoBuilds(), shelf.peripherals))];

describe('a board that is stopped before its wiring is worked out', () => {
  test.each(builds.map((b) => [b.name, b] as const))(
    'stops where the whole climb stops, costs no more and weighs no more: %s',
    (_, build) => {
      let early = 0;
      for (const board of boards) {
        const whole = evaluate(build, board);
        const light = stoppedEarly(build, board);
        expect(light !== null, board.id).toBe(whole.stopsAt !== null && whole.stopsAt <= 3);
        if (!light) continue;
        early += 1;
        expect([light.stopsAt, light.verdict], board.id).toEqual([whole.stopsAt, whole.verdict]);
        for (const r of [0, 1, 2]) expect(light.rungs[r]!.state, `${board.id} ${r}`).toBe(whole.rungs[r]!.state);
        expect(sentenceOf(light.rungs[light.stopsAt! - 1]!.findings[0]!)).toBe(
          sentenceOf(whole.rungs[whole.stopsAt! - 1]!.findings[0]!),
        );
        expect(light.massG.low).toBeLessThanOrEqual(whole.massG.low + 1e-6);
      }
      expect(early).toBeGreaterThan(10);
    },
  );
});
