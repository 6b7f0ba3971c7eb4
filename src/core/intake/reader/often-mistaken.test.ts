import { describe, expect, test } from 'vitest';
import { readSpec } from '../read-spec';

/** Of one field of a text: the value with how sure it is, and why not. */
const said = (text: string, field: string) => {
  const r = readSpec(text).find((x) => x.field === field);
  return r && [r.value, r.doubt, r.why];
};

describe('what stays sure behind its own word, and what does not', () => {
  test.each([
    ['a "no" at the end of its row', 'BEC 9 V 2 A | no\nUART 6', 'regulators', 'a no stands behind it in its line'],
    ['a "no" behind a colon', 'USB-C: none\nUART 6', 'usbPlug', 'a no stands behind it in its line'],
    [
      'what it goes with',
      'UART 6\nCamera 5 V 2 A',
      'regulators',
      '"camera" stands in its line: it may be said of that',
    ],
    [
      'held against another',
      'UART 6\nHoles 30.5 mm, old board 20 mm',
      'patternMm',
      '"old" stands in its line: it may be said of that',
    ],
    ['what a weight includes', 'Weight: 8 g with wires', 'massIncludes', 'look which weight it is said of'],
    [
      'volts among other words',
      'Two regulators, 3-6S, max 26 V',
      'packMaxVolts',
      'its line does not begin with its name',
    ],
    [
      'amps behind volts',
      'Continuous, 12 V: 30 A continuous',
      'continuousAmps',
      'behind volts: it may be said of a regulator',
    ],
    [
      'amps of all pads',
      'Continuous 60 A per channel, pads 100 A',
      'continuousAmps',
      'of pads, of all motors, or of what it goes with: look which',
    ],
    ['few amps', 'Burst: 3 A', 'burstAmps', 'so few amps may be those of a regulator'],
    [
      'three currents in one line',
      'ESC 45 A continuous, 50 A, 60 A',
      'continuousAmps',
      'several currents in one line: look which it is',
    ],
    [
      'amps of one pad',
      'UART 6\n5 V pads (4x), 1 A max per pad',
      'regulators',
      'of one pad: all may carry more together, or less each',
    ],
    ['an S that may be cells', 'Burst 30 A (5S)', 'burstSeconds', 'S may be seconds or cells'],
    ['a bare word', 'Baro\nUART 6', 'barometer', 'named, without a yes behind its name'],
    ['an item of a list', 'F722, OSD, 16 MB', 'overlayChip', 'named, without a yes behind its name'],
    [
      'a "no" between two of a row',
      'F405 20x20 w/ OSD no Baro Type-C',
      'barometer',
      'a "no" stands by it: look whether it is meant for it',
    ],
    [
      'one cell of several',
      'UART 6\nF722 | 5 V 2 A | 16 MB',
      'regulators',
      'its row has several cells: look which it belongs to',
    ],
    [
      'what may be chosen',
      'UART 6\nOptions: lights, 9 V 2 A regulator',
      'regulators',
      'its line is about what may be chosen or is to come: ask whether this very board has it',
    ],
    [
      'what is to come',
      'UART 6\nNext spring: 9 V 2 A',
      'regulators',
      'its line is about what may be chosen or is to come: ask whether this very board has it',
    ],
    [
      'one side of a pattern',
      'Holes 30.5 mm M3 (30.5 x 47)',
      'patternMm',
      'another side is given with it: it may be no square',
    ],
    ['one of two sockets', 'UART 6, USB-C or micro', 'usbPlug', 'one of two that are named'],
    ['the far end of a range', 'UART 6\nOutput 4.9-5.2 V at 3 A', 'regulators', 'the end of a range of volts'],
  ])('%s: likely', (_, text, field, why) => expect(said(text, field)?.slice(1)).toEqual(['likely', why]));

  test.each([
    ['UART 6 | no notes', 'claimedPorts', 6],
    ['Input: 3-6S, max 26 V', 'packMaxVolts', 26],
    ['Continuous: 45 A per channel', 'continuousAmps', 45],
    ['Continuous 45 A, burst 55 A (10 s)', 'continuousAmps', 45],
    ['Burst: 55 A (10 s)', 'burstAmps', 55],
    ['Burst: 55 A (10 s)', 'burstSeconds', 10],
    ['Burst: 4 A (3 s)', 'burstAmps', 4],
    ['Current sensor: 120 A', 'sensorAmps', 120],
    ['Mounting: 30.5x30.5mm, M3', 'patternMm', 30.5],
    ['Barometer: yes', 'barometer', true],
    ['Barometer: no', 'barometer', false],
    ['Barometer QRS310', 'barometer', true],
    ['KLP280 baro', 'barometer', true],
    ['| Item | Value | Note |\n| 9 V | 2 A | enable pin |', 'regulators', '9@2'],
  ])('%s: sure', (text, field, value) => expect(said(text, field)?.slice(0, 2)).toEqual([value, 'sure']));
});

test('pairs of name and value, as saved pages carry them', () => {
  const text = '[{"name":"UARTs","value":"5"},{"name":"Barometer","value":"no"},{"name":"Weight","value":"7.1 g"}]';
  expect(readSpec(text).map((r) => [r.field, r.value, r.doubt])).toEqual([
    ['claimedPorts', 5, 'sure'],
    ['barometer', false, 'sure'],
    ['massG', 7.1, 'sure'],
  ]);
});

test('what only one of several versions has is asked, also where the label alone is read', () => {
  const text =
    '<table><tr><th></th><th>Mini</th><th>Pro</th></tr><tr><td>UARTs</td><td>2</td><td>6</td></tr><tr><td>Flash</td><td>none</td><td>16 MB</td></tr></table>';
  expect(readSpec(text).map((r) => [r.field, r.value, r.doubt, r.version])).toEqual([
    ['claimedPorts', 2, 'likely', 'mini'],
    ['claimedPorts', 6, 'likely', 'pro'],
    ['storageMb', 0, 'likely', 'mini'],
    ['storageMb', 16, 'likely', 'pro'],
  ]);
});

test.each([
  ['a slip in a word', 'baromter: yes', 'barometer', true],
  ['marks of footnotes', 'Continuous current(1)   60 A\nBurst current(2)   75 A', 'continuousAmps', 60],
  ['a dot between pieces', '6 UARTs · 16 MB · OSD', 'storageMb', 16],
  ['a dot for a decimal point', 'Holes 30·5 mm', 'patternMm', 30.5],
  ['the heading of absolute limits', 'ABSOLUTE MAXIMUM RATINGS\nInput voltage: 28 V', 'packMaxVolts', 28],
  ['a choice by ticks', '[ ] with barometer   [x] without', 'barometer', false],
  ['no in another language on an English page', 'MCU F722, barometer: nei', 'barometer', false],
  ['only a footprint', 'Baro: footprint only', 'barometer', false],
  ['a footprint without its part', 'Barometer footprint unpopulated', 'barometer', false],
  ['a short most', 'Max. 6S; 25.2 V', 'cellsMax', 6],
  ['ports by their numbers', 'UARTs 1, 2, 3, 4 and 6 on pads', 'claimedPorts', 5],
  ['hardware beside software', '3 hardware serial, 2 software serial ports', 'claimedPorts', 3],
  ['amps behind the name of their regulator', '5V BEC current: 2000mA', 'regulators', '5@2'],
  ['a height with its plugs', 'Height including connectors 7.6 mm', 'heightMm', 7.6],
  ['a width before its length', 'W 30 x L 36 x H 7.5', 'lengthMm', 36],
  ['seconds behind an at', 'Max. burst 80A@3s', 'burstSeconds', 3],
  ['volts that share their amps', 'BEC: 5V, 9V (2A each)', 'regulators', '5@2'],
  ['logs of a small board', 'F411 with 2 MB blackbox', 'storageMb', 2],
  ['a bullet of stars with bold type', '* **Weight**: **8.6 g**\n* **UARTs**: 6', 'massG', 8.6],
  ['a key to a drawing', 'A  Length    37 mm\nB  Width    36 mm\nC  Holes    30.5 mm', 'widthMm', 36],
  ['amps of a regulator in a head', 'name,mass_g,uarts,bec5_a\nLapwing,8.1,6,2.5', 'regulators', '5@2.5'],
  ['a mass of 2.4 g, which is no radio band', 'UART 6\n2.4 g', 'massG', 2.4],
])('is read through: %s', (_, text, field, value) => expect(said(text, field)?.[0]).toBe(value));

test.each([
  ['the memory of a processor', 'STM32F405RGT6, 168 MHz, 1 MB flash', 'storageMb'],
  ['the same without its name', 'F7 / 216 MHz / 2 MB', 'storageMb'],
  ['the size of a parcel', 'Pack size: 60 x 60 x 30 mm', 'lengthMm'],
  ['the mass of a craft', 'Recommended for 5 inch builds, 250 g to 800 g AUW', 'massG'],
])('is none of the board: %s', (_, text, field) => expect(said(text, field)).toBeUndefined());
