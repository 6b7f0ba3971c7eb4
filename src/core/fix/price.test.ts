import { expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { findFixes } from '../decide/find-fixes';
import { makeBoard, makeBuild } from '../tests/make';
import { fixPrice } from './price';

const esc = { kind: 'separate ESC' as const };
const motors = (count: number) => ({
  count,
  cruiseAmps: 6,
  peakAmps: 30,
  peakSeconds: 5,
  esc: 'on the board' as const,
});
const pins = Array.from({ length: 6 }, (_, i) => `m${i}`);
const board = makeBoard({
  kind: 'flight controller',
  esc: undefined,
  pads: ['vbat', ...pins].map((id) => ({ id, label: id })),
  outputs: pins.map((id) => ({ id, label: id, pad: id, timer: 't', can: ['motor'] })),
});

test('four motors are offered a four-in-one, six single ones', () => {
  const words = (count: number) =>
    findFixes(makeBuild({ motors: motors(count) }), board).flatMap((set) => (set.stopsAt === null ? set.words : []));
  expect(words(4)).toContain('Add a separate four-in-one ESC');
  expect(words(6)).toContain('Add 6 single ESCs');
  expect(fixPrice(esc, 6)).toMatchObject({ cents: 9000, grams: 42 });
});

test('what is to be chosen carries the motors on this pack', () => {
  const build = makeBuild({ motors: motors(6), fixes: { plank: [esc] } });
  expect(evaluate(build, board).rungs[2]!.state).not.toBe('unknown');
});
