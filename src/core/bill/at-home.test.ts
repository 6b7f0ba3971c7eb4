import { expect, test } from 'vitest';
import { demoShelf } from '../tests/demo';
import { makeBoard, makeBuild } from '../tests/make';
import { isSingleEsc } from '../sets/roles';
import { withAtHome } from './at-home';

test('one of each board, of single ESCs one a motor; taken back it is none, and others stay', () => {
  const esc = demoShelf().boards.find(isSingleEsc)!;
  const build = makeBuild({ atHome: { 'part lamp': 2 } });
  const there = withAtHome(build, [makeBoard(), esc], true);
  expect(there.atHome).toEqual({ 'part lamp': 2, 'board plank': 1, [`board ${esc.id}`]: build.motors.count });
  expect(withAtHome(there, [esc], false).atHome).toMatchObject({ 'board plank': 1, [`board ${esc.id}`]: 0 });
});
