import { expect, test } from 'vitest';
import { wireList } from '../bill/wire-list';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, makePart, regulator, supply } from '../tests/make';
import { alternativesOf } from './alternatives';

/** A driver whose chip lives on 5 V and whose strips take the pack. */
const driver = (onUsb = false) =>
  makePart(
    'lights',
    {
      supplies: [
        { ...supply(4.5, 5.5, 0.2), id: 'chip', label: 'chip' },
        { ...supply(10, 18, 2, 16), id: 'strips', label: 'strips' },
      ],
    },
    { onUsb },
  );
const five = { id: '5v', label: '5 V', pads: ['five'], source: regulator(5, 1) };
const usb = { id: 'usb', label: 'USB', source: { kind: 'usb' as const } };
const desk = {
  id: 'desk',
  label: '5 V on USB too',
  pads: ['desk'],
  source: { kind: 'either' as const, of: ['usb', 'reg'], isolated: { value: true, origin: 'manual' as const } },
};
const reg = { id: 'reg', label: 'regulator', source: regulator(5, 1) };
const board = (...rails: object[]) =>
  makeBoard({
    pads: ['vbat', 'five', 'desk', 'gnd'].map((id) => ({ id, label: id.toUpperCase() })),
    grounds: ['gnd'],
    rails: [{ id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } }, ...(rails as never[])],
  });

test('each supply finds a rail of its own, and each gets its wires', () => {
  const build = makeBuild({}, [driver()]);
  const climb = evaluate(build, board(five));
  expect(climb.hookup.parts[0]!.supplies.map((s) => [s.id, s.rail, s.pads])).toEqual([
    ['chip', '5v', ['five']],
    ['strips', 'pack', ['vbat']],
  ]);
  const wires = wireList(build, board(five), climb.hookup).map((w) => `${w.kind} ${w.from} > ${w.to}`);
  expect(wires).toEqual([
    'supply FIVE > lights (chip), supply',
    'ground GND > lights (chip), ground',
    'supply VBAT > lights (strips), supply',
    'ground GND > lights (strips), ground',
  ]);
  // 2 A want a thicker wire than 0.2 A do.
  const [chip, strips] = climb.hookup.parts[0]!.supplies;
  expect(strips!.gauge).toBeLessThan(chip!.gauge);
});

test('one that finds none stops the part, by its name', () => {
  const climb = evaluate(makeBuild({}, [driver()]), board());
  expect([climb.verdict, climb.stopsAt]).toEqual(['does not fit', 6]);
  const both = evaluate(makeBuild({}, [driver()]), board(five));
  expect(both.rungs[5]!.findings.map((f) => f.about)).toEqual(
    expect.arrayContaining(['lights (chip)', 'lights (strips)']),
  );
});

test('what must live on USB is the first of them, the part itself', () => {
  const onDesk = evaluate(makeBuild({}, [driver(true)]), board(five, usb, reg, desk));
  expect(onDesk.hookup.parts[0]!.supplies.map((s) => s.rail)).toEqual(['desk', 'pack']);
  expect(evaluate(makeBuild({}, [driver(true)]), board(five)).stopsAt).toBe(6);
});

test('both count where both hang: 0.2 A and 2 A of one regulator of 2 A are too much', () => {
  const hungry = makePart('p', {
    supplies: [
      { ...supply(4.5, 5.5, 0.2), id: 'a' },
      { ...supply(4.5, 5.5, 2), id: 'b' },
    ],
  });
  const on = (amps: number) => evaluate(makeBuild({}, [hungry]), board({ ...five, source: regulator(5, amps) }));
  expect([on(2).stopsAt, on(3).stopsAt]).toEqual([7, null]);
});

test('each is chosen and locked for itself', () => {
  const build = makeBuild({}, [driver()]);
  const b = board(five, usb, reg, desk);
  const choices = alternativesOf(build, b, 'lights');
  expect(choices.map((c) => [c.kind, c.need, c.which])).toEqual([
    ['supply', 'chip', 'chip'],
    ['supply', 'strips', 'strips'],
  ]);
  const locks = { plank: [{ kind: 'supply' as const, part: 'lights', supply: 'chip', to: 'desk' }] };
  expect(evaluate({ ...build, locks }, b).hookup.parts[0]!.supplies.map((s) => s.rail)).toEqual(['desk', 'pack']);
});
