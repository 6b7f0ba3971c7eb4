import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { readFile } from '../records/file';
import { questionsFor } from '../decide/questions';
import { rankClimbs } from '../decide/rank-shelf';
import { applyReadings } from './apply-readings';
import { addGroup, newBoard } from '../records/new-board';
import { readSpec } from './read-spec';
import { withTyped } from './typed-figure';

/** The whole way of a board that somebody found on a shop page, with an invented page and a build of the demo; what each step must say was worked out by hand. */
const page = `Whin 25 all-in-one
STM32G473, 4 UARTs, 1 of them inverted for SBUS receivers
2-4S LiPo, BEC 5V 2A, no 9V
ESC 4x 25A continuous, 30A burst 10s
OSD built in, 16MB flash, no barometer
Mounting 25.5x25.5 mm M2 with rubber
33 x 33 x 8 mm, 9.4 g with pins
USB-C`;

test('from a shop page to a purchase: nothing is taken for granted, and three answers and the pads decide', () => {
  const read = readFile(readFileSync('demo/builds/gutterling.json', 'utf8'), 'rung-build');
  const build = read.ok ? read.value : expect.fail('the demo build is sound');
  const found = applyReadings(newBoard('whin', 'Whin', 'Testwright', 'all-in-one'), readSpec(page), {
    origin: 'claim',
    seen: '2026-11-26',
  });
  const first = evaluate(build, found);
  expect(first.verdict).toBe('cannot say yet');
  expect(
    questionsFor(build, [found], rankClimbs([first]))
      .map((q) => q.field)
      .sort(),
  ).toEqual(['allPads', 'esc.channels', 'offers']);
  const drawn = (['5 V, also on USB', 'pack supply', 'analogue video', 'buzzer'] as const).reduce(
    (b, group) => addGroup(b, group, 'rear'),
    found,
  );
  const said = (b: typeof drawn, [field, typed]: readonly [string, string]) =>
    withTyped(b, field, typed, { origin: 'print', seen: '2026-11-26', who: 'read off' })!;
  const told = [
    ['allPads', 'yes'],
    ['esc.channels', '4'],
    ['offers', '44,90'],
  ] as const;
  expect(evaluate(build, told.reduce(said, drawn)).verdict).toBe('fits with work');
  // Without its video pads, and with all said to be drawn, it is a plain no.
  expect(evaluate(build, told.reduce(said, found)).stopsAt).toBe(4);
  // And one answer short nobody can tell.
  for (const short of told)
    expect(evaluate(build, told.filter((t) => t !== short).reduce(said, drawn)).verdict, short[0]).toBe(
      short[0] === 'allPads' ? 'fits with work' : 'cannot say yet',
    );
});
