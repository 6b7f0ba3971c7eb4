import { describe, expect, test } from 'vitest';
import { readPinOrders } from './pin-orders';
import { readPinout } from './read-pinout';

/** Print, what it is for, its number where it has one, its edge where the page says it. */
const pads = (text: string) =>
  readPinout(text)
    .map(({ label, use, edge }) => {
      const { kind, port, number } = { port: null, number: null, ...use };
      return [label, kind, port ?? number, edge].filter((v) => v !== null).join(' ');
    })
    .join(', ');
const both = 'T1 talks 1, R1 hears 1, T2 talks 2, R2 hears 2';

describe('the ways in which pages list pads', () => {
  test.each([
    [
      'a number before the print',
      '| # | Pad | Use |\n|---|---|---|\n| 1 | T1 | UART1 TX |\n| 2 | R1 | UART1 RX |\n| 3 | 5V | power out |\n| 4 | GND | ground |',
      'T1 talks 1, R1 hears 1, 5V volts, GND ground',
    ],
    [
      'numbered pins',
      'Pin 1: GND\nPin 2: 5V\nPin 3: TX1\nPin 4: RX1',
      'GND ground, 5V volts, TX1 talks 1, RX1 hears 1',
    ],
    ['a numbered list', '1. GND\n2. 5V\n3. SDA\n4. SCL', 'GND ground, 5V volts, SDA data, SCL clock'],
    [
      'words in brackets',
      'T1 (UART1 TX)\nR1 (UART1 RX)\n5V (power)\nBZ- (buzzer)',
      'T1 talks 1, R1 hears 1, 5V volts, BZ- buzzer',
    ],
    [
      'a name with a comma',
      'Left edge, front to rear: GND, 5V, TX1, RX1\nRight edge, front to rear: 9V, CAM',
      'GND ground left, 5V volts left, TX1 talks 1 left, RX1 hears 1 left, 9V volts right, CAM camera right',
    ],
    [
      'sentences with sides',
      'UART1: TX1, RX1 (left). UART2: TX2, RX2 (right).',
      'TX1 talks 1 left, RX1 hears 1 left, TX2 talks 2 right, RX2 hears 2 right',
    ],
    ['arrows', 'UART1_TX -> T1\nUART1_RX -> R1\nUART2_TX -> T2\nUART2_RX -> R2', both],
    ['two pads in a row', '5V | T1\nG | R1', '5V volts, T1 talks 1, G ground, R1 hears 1'],
    ['pairs', 'T1/R1: UART1\nT2/R2: UART2', both],
    [
      'a row of each port',
      '| Port | TX | RX | use |\n| UART1 | T1 | R1 | video |\n| UART2 | T2 | R2 | receiver |',
      both,
    ],
    [
      'a port in words',
      'T1 – serial 1 transmit\nR1 – serial 1 receive\nT2 – serial 2 transmit\nR2 – serial 2 receive',
      both,
    ],
    [
      'a print that names its port',
      'TX UART1 | pad\nRX UART1 | pad\nTX UART2 | pad\nRX UART2 | pad',
      'TX UART1 talks 1, RX UART1 hears 1, TX UART2 talks 2, RX UART2 hears 2',
    ],
  ])('%s', (_, text, expected) => {
    expect(pads(text)).toBe(expected);
    for (const pad of readPinout(text)) expect(text.slice(pad.start, pad.end)).toBe(pad.label);
  });
  test.each([
    ['figures behind numbers', '1. F722\n2. 6 UARTs\n3. 5V 2A\n4. 16 MB\n5. 30.5 mm'],
    ['wires to another board', 'UART1_TX -> R1\nUART1_RX -> T1\nUART2_TX -> R2\nUART2_RX -> T2'],
    ['a shop page', 'Price: 45 €\nWeight: 8 g\nPorts: 6\nShips in 2 days. Free returns. 4 screws. 2 cables.'],
  ])('%s are no pads', (_, text) => expect(pads(text)).toBe(''));
});

describe('the ways in which pages list the pins of plugs', () => {
  const esc = ['VBAT', 'GND', 'CUR', 'TLM', 'M1', 'M2', 'M3', 'M4'];
  test.each([
    ['a line with spaces', `Harness order: ${esc.join(' ')}`, 'Harness order', true, esc],
    [
      'lines below its name',
      `**ESC connector**\n${esc.map((p, i) => `${i + 1} ${p}`).join('\n')}`,
      'ESC connector',
      true,
      esc,
    ],
    [
      'a table below its name',
      `ESC plug\n${esc.map((p, i) => `| ${i + 1} | ${p} | x |`).join('\n')}`,
      'ESC plug',
      true,
      esc,
    ],
    ['numbers and signs', 'Connector J3: 1=GND 2=5V 3=TX4 4=RX4', 'Connector J3', false, ['GND', '5V', 'TX4', 'RX4']],
    ['signs with spaces', 'J2 (receiver): 1 = 5V, 2 = GND, 3 = R2', 'J2 (receiver)', false, ['5V', 'GND', 'R2']],
    ['dashes', 'Camera connector: 5V - GND - CAM - CC', 'Camera connector', false, ['5V', 'GND', 'CAM', 'CC']],
    [
      'a port with so many pins',
      'Video port (3 pins)\n1: 9V\n2: GND\n3: TX1',
      'Video port (3 pins)',
      false,
      ['9V', 'GND', 'TX1'],
    ],
    ['words in brackets', 'J4: SDA, SCL, GND, VCC (5V)', 'J4', false, ['SDA', 'SCL', 'GND', 'VCC']],
    ['a sentence', 'Pin 1 is GND, pin 2 VBAT, pin 3 CUR (plug J4)', 'plug J4', false, ['GND', 'VBAT', 'CUR']],
    ['in German', `Belegung ESC-Stecker: ${esc.join(', ')}`, 'Belegung ESC-Stecker', true, esc],
    ['words behind them', `Harness: ${esc.join(' ')}; on the other side reversed.`, 'Harness', true, esc],
  ])('%s', (_, text, label, harness, pins) => expect(readPinOrders(text)).toMatchObject([{ label, harness, pins }]));
  test('numbers that do not count from one are no pins', () =>
    expect(readPinOrders('Connector\n3 GND\n5 VBAT\n9 TX1\n')).toEqual([]));
});
