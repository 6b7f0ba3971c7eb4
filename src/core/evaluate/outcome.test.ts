import { expect, test } from 'vitest';
import { evaluate } from './climb';
import { leadWords, outcomeWords } from './outcome';
import { makeBoard, makeBuild, says, unknown } from '../tests/make';

const said = (change: Parameters<typeof makeBoard>[0]) => {
  const climb = evaluate(makeBuild(), makeBoard(change));
  return `${leadWords(climb)} Plank, ${outcomeWords(climb)}.`;
};

test('a board that fits, one that nobody can judge, one that stops: only the first is said to carry the build', () => {
  expect(said({})).toBe('Carries it best just now: Plank, fits.');
  expect(said({ usb: { plug: 'C', side: 'rear' } })).toBe('Carries it best just now: Plank, fits with work.');
  expect(said({ heightMm: unknown })).toBe('No board surely carries it yet. Nearest: Plank, hangs on unknown figures.');
  expect(said({ heightMm: says(30) })).toBe('No board carries it yet. Nearest: Plank, stops at Frame.');
});
