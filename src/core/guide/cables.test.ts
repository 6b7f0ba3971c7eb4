import { describe, expect, test } from 'vitest';
import type { Wire } from '../bill/wire-list';
import { makeBoard, makeBuild, makePart } from '../tests/make';
import { cablesOf, cableWords } from './cables';

const names = ['GND', '5V', 'RX', 'TX'];
const padOf = (name: string) => `pin-${name.toLowerCase()}`;
const board = makeBoard({
  pads: [
    { id: 'vbat', label: 'VBAT' },
    ...names.map((n) => ({ id: padOf(n), label: n, form: 'pin' as const })),
    { id: 'pad-rx', label: 'RX' },
  ],
  plugs: [
    { id: 'plug', label: 'GPS plug', family: 'SH 1.0', pins: names.map((name) => ({ name, pad: padOf(name) })) },
    { id: 'aside', label: 'Bare', family: 'SH 1.0', pins: [{ name: 'RX', pad: 'pad-rx' }, { name: 'NC' }] },
  ] as never,
});
const wire = (part: string, padId: string | null, pin: string): Wire => ({
  part,
  partName: part.toUpperCase(),
  from: padId ?? 'splice',
  padId,
  face: 'top',
  to: `${part}, ${pin}`,
  pin: { name: pin },
  net: pin,
  gauge: 28,
  lengthMm: 60,
  colour: 'white',
  grams: 0.1,
  kind: 'signal',
});
const gps = (family: string, pins: { name: string; colour?: string }[]) => {
  const part = makePart('gps', {});
  return { ...part, peripheral: { ...part.peripheral, plugs: pins.length > 0 ? [{ family, pins }] : [] } };
};
const cables = (family: string, pins: { name: string; colour?: string }[], wires: Wire[]) =>
  cablesOf(makeBuild({}, [gps(family, pins)]), board, wires);
const all = names.map((n) => wire('gps', padOf(n), n));

describe('cables from a plug of the board', () => {
  test('pin by pin, in the order of the board, with what has no pin at the other end', () => {
    const [cable, ...more] = cables(
      'SH1.0',
      [{ name: 'TX', colour: 'green' }, { name: 'GND' }, { name: '5V' }],
      [...all].reverse(),
    );
    expect(more).toEqual([]);
    expect(cable).toMatchObject({ partName: 'GPS', board: { plug: 'GPS plug', family: 'SH 1.0' }, straight: false });
    expect(cable!.board.pins.map((p) => `${p.number} ${p.name}`)).toEqual(['1 GND', '2 5V', '3 RX', '4 TX']);
    expect(cable!.part!.pins).toEqual([
      { number: 1, name: 'TX', colour: 'green' },
      { number: 2, name: 'GND' },
      { number: 3, name: '5V' },
    ]);
    expect(cable!.lines).toEqual([
      { board: 1, part: 2 },
      { board: 2, part: 3 },
      { board: 3, part: null },
      { board: 4, part: 1 },
    ]);
    expect(cableWords(cable!)).toBe(
      'pin 1 GND to pin 2 GND; pin 2 5V to pin 3 5V; pin 3 RX, soldered to the part; pin 4 TX to pin 1 TX (green)',
    );
  });

  test('a straight cable does where the family is one, however it is written, and every pin meets its own', () => {
    const same = names.map((name) => ({ name }));
    expect(cables('sh 1.0', same, all)[0]!.straight).toBe(true);
    expect(cables('GH 1.25', same, all)[0]!.straight).toBe(false);
    expect(cables('SH 1.0', [...same].reverse(), all)[0]!.straight).toBe(false);
    expect(cables('SH 1.0', [same[0]!, same[1]!, same[3]!, same[2]!], all)[0]!.straight).toBe(false);
  });

  test('a part without a plug has a cable that is soldered to it; what is wired to pads has none', () => {
    expect(cables('', [], all)[0]).toMatchObject({ part: null, straight: false });
    expect(cables('SH 1.0', [{ name: 'RX' }], [wire('gps', 'pad-rx', 'RX'), wire('gps', null, 'GND')])).toEqual([]);
  });

  test('two parts at one plug have a cable each', () => {
    const found = cables('SH 1.0', [{ name: 'RX' }], [wire('gps', 'pin-rx', 'RX'), wire('mag', 'pin-tx', 'TX')]);
    expect(found.map((c) => [c.partName, c.part === null])).toEqual([
      ['GPS', false],
      ['MAG', true],
    ]);
  });
});
