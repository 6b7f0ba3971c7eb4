import { expect, test } from 'vitest';
import { makeBoard, makeBuild, makePart, supply } from '../core/tests/make';
import { largest, randomPair } from '../core/tests/random-build';
import { climbOf } from './climb';

test('what our own search does not end is climbed with the general solver, and says so', async () => {
  const { build, board } = randomPair(145, largest);
  expect(await climbOf(build, board)).toMatchObject({ setAside: false, delegated: true });
});

test('a board that makes the climb fail is set aside with the place where it cannot be read', async () => {
  const board = { ...makeBoard(), ports: [{ id: 'p', label: 'P' }] } as never;
  const climb = await climbOf(
    makeBuild({}, [
      makePart('a', { links: [{ kind: 'serial', id: 's', protocol: 'two-wire-rc' }], supply: supply(4.5, 5.5, 0.1) }),
    ]),
    { ...(board as object), rails: undefined } as never,
  );
  expect(climb).toMatchObject({ setAside: true, verdict: 'cannot say yet', stopsAt: null });
  expect(climb.rungs).toHaveLength(10);
  expect(climb.hookup.parts.map((p) => p.mode)).toEqual([null]);
});
