import { describe, expect, test } from 'vitest';
import { checkBoard } from '../../records/board-links';
import { newBoard } from '../../records/new-board';
import { railOf } from '../regulator';
import { readBridges } from './read-bridges';
import { readParcel } from './read-parcel';
import { readSupplies } from './read-supplies';
import { withBridge, withParcel, withSupplies } from './with-circuit-words';

const said = { origin: 'manual' as const, seen: '2026-11-29' };
const bare = newBoard('tern', 'Tern', 'Testwright');
const first = <T extends { quote: string }>([read]: readonly T[]) => {
  const { quote: _, ...rest } = read!;
  return rest;
};

describe('what a page says of regulators beside their amps', () => {
  test.each([
    ['5V BEC: 3A, input 7-30V, buck', { volts: 5, inputVolts: { min: 7, max: 30 }, type: 'buck' }],
    ['**5 V BEC**: 3 A, input 7–30 VDC, buck', { volts: 5, inputVolts: { min: 7, max: 30 }, type: 'buck' }],
    ['9V BEC: 2.5A, 10-30 V in', { volts: 9, inputVolts: { min: 10, max: 30 } }],
    ['3V3 LDO 300mA fed from 5V', { volts: 3.3, type: 'linear', fedFrom: 5 }],
    ['Regulator 5 V (linear, max 1 W) from 9 V', { volts: 5, type: 'linear', fedFrom: 9 }],
    ['Servo rail: separate 6V regulator, 5A', { volts: 6, servos: true }],
  ])('%s', (line, expected) => expect(first(readSupplies(line).supplies)).toEqual(expected));
  test.each([
    ['The 5V and 9V regulators share 4A in total.', { volts: [5, 9], amps: 4 }],
    ['9 V output: 2 A; the 5 V and the 9 V output together no more than 3 A', { volts: [9, 5], amps: 3 }],
    ['Combined BEC output of all regulators 3000 mA', { volts: [], amps: 3 }],
  ])('%s', (line, expected) => expect(first(readSupplies(line).shared)).toEqual(expected));
  test.each([
    'Total burst 220 A, both channels',
    'Two regulators give 5 V and 9 V, 3 A each',
    'Power input 7-36 V, outputs 5 V 3 A, 12 V 3 A',
    'Current sense input 0-3.3 V. BEC output 5.1 V, 4 A max.',
    '5 V 2 A',
  ])('nothing plain is said of one, or of what several share: %s', (line) =>
    expect(readSupplies(line)).toEqual({ supplies: [], shared: [] }),
  );
  test('land on the regulator of those volts, or on a new one, and are sound', () => {
    const read = readSupplies(
      '5V BEC: 3A, input 7-30V\n9V BEC 2A\n3V3 LDO fed from 5V\n6V servo regulator\n5V and 6V share 4A in total',
    );
    const board = withSupplies(bare, read, said);
    expect(checkBoard(board, '')).toEqual([]);
    const five = railOf(board, 5)!;
    expect(five.source).toMatchObject({ inputVolts: { min: { value: 7 }, max: { value: 30, origin: 'manual' } } });
    expect(railOf(board, 3.3)!.source).toMatchObject({ type: 'linear', input: five.id });
    expect(railOf(board, 6)!.servos).toBe(true);
    expect(board.sharedLimits).toMatchObject([{ rails: [five.id, railOf(board, 6)!.id], amps: { value: 4 } }]);
    expect(withSupplies(board, read, said).sharedLimits).toHaveLength(1);
  });
  test('one that is fed from another finds it, whichever is named first, and though nothing else is said of it', () => {
    for (const page of ['3V3 LDO fed from 5V\n5V BEC buck', '3V3 LDO fed from 5V']) {
      const board = withSupplies(bare, readSupplies(page), said);
      expect(railOf(board, 3.3)!.source).toMatchObject({ input: railOf(board, 5)!.id });
      expect(checkBoard(board, '')).toEqual([]);
    }
  });
  test('two that are said to feed each other make no circle', () => {
    const read = readSupplies('5V LDO fed from 9V');
    const both = withSupplies(withSupplies(bare, readSupplies('9V buck'), said), read, said);
    const turned = { supplies: [{ volts: 9, fedFrom: 5, quote: '' }], shared: [] };
    expect(checkBoard(withSupplies(both, turned, said), '')).toEqual([]);
  });
});

describe('bridges that choose volts', () => {
  test.each([
    ['JP1 selects the VTX supply: BAT / 9V (default)', 'JP1', 'jumper', 'video', ['pack', 9], 9],
    ['Solder jumper SB2: 5 V or 9 V for the camera; factory set to 5 V', 'SB2', 'solder bridge', 'camera', [5, 9], 5],
    [
      'Slide switch: VBAT or 12V on the video pads, delivered on 12V',
      'the video switch',
      'switch',
      'video',
      ['pack', 12],
      12,
    ],
    ['Vx voltage: 5V default, 6V or 7.2V by bridging the pads', 'the servo jumper', 'jumper', 'servo', [5, 6, 7.2], 5],
    [
      'BEC Vx (servos): 5 / 6 / 7.2 V selectable by jumper, 8 A',
      'the servo jumper',
      'jumper',
      'servo',
      [5, 6, 7.2],
      null,
    ],
    ['**Solder pads** `J1`: VBAT or 9V to the video pad. Default: 9V', 'J1', 'solder bridge', 'video', ['pack', 9], 9],
    ['Bridge 1-2 = 5V, bridge 2-3 = 9V for the camera', 'the camera bridge', 'solder bridge', 'camera', [5, 9], null],
    ['Video supply: 10V, switchable to VBAT by bridging', 'the video jumper', 'jumper', 'video', [10, 'pack'], null],
  ])('%s', (line, label, form, what, positions, factory) =>
    expect(first(readBridges(line))).toEqual({ label, form, what, positions, factory }),
  );
  test.each([
    'The jumper J4 connects boot to ground.',
    'USB select switch',
    'Switchable 9V by a mode channel',
    'Regulators 5 V and 9 V',
    'Choose 20 or 30 mm holes',
  ])('no volts to choose from: %s', (line) => expect(readBridges(line)).toEqual([]));
  test('a rail hangs behind it, in the position that it is delivered in', () => {
    const [read] = readBridges('JP1 selects the VTX supply: BAT / 9V (default)');
    const board = withBridge(bare, read!, 9, said);
    expect(checkBoard(board, '')).toEqual([]);
    expect(board.bridges).toMatchObject([{ label: 'JP1', factory: '9v', positions: [{ id: 'pack' }, { id: '9v' }] }]);
    expect(board.rails.at(-1)!.source).toMatchObject({
      kind: 'bridge',
      byPosition: { pack: 'pack', '9v': railOf(board, 9)!.id },
    });
  });
});

describe('what a parcel brings', () => {
  test.each([
    'In the box: FC, ESC, capacitor 1000 uF / 50 V, XT60 lead (120 mm, 14 AWG), soft mounts (8), harness',
    'Package includes:\n- 1x flight controller\n- 1x capacitor 50V 1000uF\n- 1x XT60 lead (120 mm, 14 AWG)\n- 8x M3 grommets\n- 1x harness',
  ])('%s', (text) => {
    const read = readParcel(text)!;
    expect([read.capacitor, read.isolators]).toEqual([{ microfarads: 1000, volts: 50 }, true]);
    expect(read.also.map((w) => w.replace(/^1x /, ''))).toEqual(['XT60 lead (120 mm, 14 AWG)', 'harness']);
    const board = withParcel(bare, read, said);
    expect(board.capacitor).toEqual({ microfarads: 1000, volts: 50 });
    expect(board.mounting.softIsolators).toMatchObject({ value: true, origin: 'manual' });
  });
  test.each([
    '**Package includes**\n1 x FC\n4 x anti-vibration rubbers\n1 x 1000µF/50V low ESR cap',
    'What is in the box?\n• board\n• 50 V 1000 uF capacitor\n• silicone dampers x 4',
    '## Package contents\n\n* board\n* 4 x grommets\n* capacitor 50V 1000uF',
    'The board comes with: a 50V 1000uF capacitor; rubber grommets',
    'Lieferumfang:\n1x Flugcontroller\n4x Gummitüllen M3\n1x Kondensator 1000uF 50V',
    'Comes with a 1000 uF 50 V capacitor and four soft mounts.',
  ])('however it is written: %s', (text) =>
    expect(readParcel(text)).toMatchObject({ capacitor: { microfarads: 1000, volts: 50 }, isolators: true }),
  );
  test.each([
    'In the box: board, manual',
    'In the box: board, silicone wire 12 AWG, strap',
    'Lieferumfang: Flugcontroller, gummierter Gurt, Kabel',
    'A capacitor of 35 V 470 uF is recommended',
    'Includes: capacitor 35 V 470 uF (not included)',
    'Contents: board only, no capacitor 470 uF 35 V, no grommets',
    'In the box: board; without soft mounts; capacitor 470 uF 35 V sold separately',
  ])('brings nothing that counts: %s', (text) => expect(readParcel(text)).toBeNull());
});
