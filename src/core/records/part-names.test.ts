import { expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { briefOf } from '../decide/brief';
import { findFixes } from '../decide/find-fixes';
import { wireList } from '../bill/wire-list';
import { makeBoard, makeBuild, makePart, supply } from '../tests/make';
import { numbered } from './part-names';

const nano = makePart('nano', {
  links: [{ kind: 'output', id: 'signal', use: 'servo', count: 1 }],
  supply: supply(4.5, 26, 0.1),
});
const servo = (id: string) => ({ ...nano, id, peripheral: { ...nano.peripheral, name: 'Nano' } });

test('parts of one name are told apart by a number in the order of the list; others keep their name', () => {
  const build = makeBuild({}, [servo('a'), makePart('cam', {}), servo('b')]);
  expect(numbered(build).parts.map((p) => p.peripheral.name)).toEqual(['Nano #1', 'cam', 'Nano #2']);
  expect(numbered(makeBuild({}, [servo('a'), makePart('cam', {})])).parts.map((p) => p.peripheral.name)).toEqual([
    'Nano',
    'cam',
  ]);
});

test('the hookup and its wires say which of the two is meant', () => {
  const pads = ['vbat', 'o1', 'o2', 'o3', 'o4', 'o5', 'o6'].map((id) => ({ id, label: id.toUpperCase() }));
  const board = makeBoard({
    pads,
    outputs: ['o1', 'o2', 'o3', 'o4', 'o5', 'o6'].map(
      (id, i) => ({ id, label: id, pad: id, timer: `t${i}`, can: ['motor', 'servo'] as const }) as never,
    ),
  });
  const build = makeBuild({}, [servo('a'), servo('b')]);
  const { hookup } = evaluate(build, board);
  expect(hookup.parts.filter((p) => p.id !== 'motors').map((p) => p.name)).toEqual(
    expect.arrayContaining(['Nano #1', 'Nano #2']),
  );
  const wires = wireList(build, board, hookup).map((w) => w.partName);
  expect(wires).toContain('Nano #1');
  expect(wires).toContain('Nano #2');
});

test('fixes and the brief say so too', () => {
  const build = makeBuild({}, [servo('a'), servo('b')]);
  expect(briefOf(build).flatMap((l) => l.because)).toEqual(expect.arrayContaining(['Nano #1', 'Nano #2']));
  const bare = makeBoard({ pads: [{ id: 'vbat', label: 'VBAT' }], outputs: [] });
  const words = findFixes(build, bare).flatMap((f) => f.words);
  expect(words).toEqual(expect.arrayContaining(['Leave out Nano #1', 'Leave out Nano #2']));
});
