import { describe, expect, test } from 'vitest';
import type { Wire } from '../bill/wire-list';
import { makeBoard, makeBuild, makePart } from '../tests/make';
import { mind, misleading } from './mind';

const board = makeBoard({
  pads: [
    { id: 'vbat', label: 'VBAT' },
    { id: 'a', label: 'A', face: 'bottom', size: 'tiny' },
    { id: 'b', label: 'B', size: 'large' },
    { id: 'p', label: 'P', form: 'pin', size: 'tiny' },
  ],
  usb: { plug: 'C', side: 'left' },
});
const wire = (padId: string | null, gauge: number, face: 'top' | 'bottom' = 'top'): Wire => ({
  part: 'cam',
  partName: 'Cam',
  from: padId ?? 'nowhere',
  padId,
  face,
  to: 'Cam, VIN',
  pin: { name: 'VIN' },
  net: 'pack',
  gauge,
  lengthMm: 60,
  colour: 'red',
  grams: 1,
  kind: 'supply',
});
const withPins = (...names: { name: string; colour?: string }[]) => {
  const part = makePart('cam', {});
  return { ...part, peripheral: { ...part.peripheral, name: 'Cam', plugs: [{ family: 'JST-GH', pins: names }] } };
};
const steps = (wires: Wire[], of = board, build = makeBuild()) => mind(build, of, wires);

describe('what is to be minded at the bench', () => {
  test('pads below the board are photographed, each once and by name; what ends at no pad is not below', () => {
    const [step] = steps([wire('a', 30, 'bottom'), wire('a', 30, 'bottom'), wire(null, 30, 'bottom')]);
    expect(step!.key).toBe('mind underside');
    expect(step!.does).toBe(
      'Photograph the underside before it is mounted: A and their print are out of sight afterwards.',
    );
    expect(steps([wire('b', 30)])).toEqual([]);
  });

  test('a wire is too thick for a pad that is narrower than its strands, but not for a pin', () => {
    // Pads of 1 and 4 mm (common practice, no source): 18 AWG stranded is more than 1 mm, 30 AWG well below.
    const keys = (padId: string, gauge: number) => steps([wire(padId, gauge)]).map((s) => s.key);
    expect(keys('a', 18)).toContain('mind stiff');
    expect(keys('a', 30)).not.toContain('mind stiff');
    expect(keys('b', 18)).not.toContain('mind stiff');
    expect(keys('p', 18)).not.toContain('mind stiff');
    const [stiff] = steps([wire('a', 18), wire('a', 18)]).filter((s) => s.key === 'mind stiff');
    expect(stiff!.does).toContain('Thicker than its pad: a (Cam, 18 AWG).');
  });

  test('open audio inputs are tied to ground, whatever their case; a word that only ends so is none', () => {
    const build = makeBuild({}, [
      withPins({ name: 'MIC' }, { name: 'Audio L' }, { name: 'no audio' }, { name: 'GND' }),
    ]);
    expect(steps([], board, build).map((s) => s.does)).toEqual([
      'Tie what is not used to ground: Cam, pin MIC and Cam, pin Audio L.',
    ]);
  });

  test('pads by which the receiver of the board is updated stay free, by what is printed', () => {
    const own = makeBoard({
      ...board,
      pads: board.pads,
      receiver: { system: 'any', updatePads: ['a', 'b'] } as never,
    });
    expect(steps([], own).map((s) => [s.key, s.does.split(' share')[0]])).toEqual([
      ['mind update pads', 'Pads A and B'],
    ]);
  });
});

describe('colours of a plug that mislead', () => {
  const odd = (...pins: { name: string; colour?: string }[]) => {
    const part = withPins(...pins);
    const plugs = [{ ...part.peripheral.plugs[0]!, warning: 'not as most' }];
    return misleading(makeBuild({}, [{ ...part, peripheral: { ...part.peripheral, plugs } }])).map((m) => [
      m.pin,
      m.colour,
      m.warning,
    ]);
  };

  test.each([
    ['a ground that is not black', [{ name: 'GND', colour: 'Red' }], [['GND', 'Red', 'not as most']]],
    ['a short name of ground', [{ name: 'g', colour: 'blue' }], [['g', 'blue', 'not as most']]],
    ['a black supply', [{ name: '5V', colour: 'Black' }], [['5V', 'Black', 'not as most']]],
    ['a grey supply', [{ name: 'VBAT', colour: 'grey' }], [['VBAT', 'grey', 'not as most']]],
    ['a red signal', [{ name: 'TX', colour: 'red' }], [['TX', 'red', 'not as most']]],
  ])('%s', (_, pins, found) => {
    const fine = [
      { name: 'GND', colour: 'black' },
      { name: 'VCC', colour: 'red' },
      { name: 'RX', colour: 'white' },
      { name: 'SIGGND', colour: 'white' },
    ];
    expect(odd(...fine, ...pins)).toEqual(found);
  });

  test('a plug that is called misleading and does not say by what is told by its first pin', () => {
    expect(odd({ name: 'RX' }, { name: 'GND' })).toEqual([['RX', '', 'not as most']]);
    expect(odd({ name: 'GND' }, { name: 'V+', colour: 'red' })).toEqual([['GND', '', 'not as most']]);
  });

  test('without a warning of its page nothing is said', () => {
    expect(misleading(makeBuild({}, [withPins({ name: 'GND', colour: 'red' })]))).toEqual([]);
  });
});
