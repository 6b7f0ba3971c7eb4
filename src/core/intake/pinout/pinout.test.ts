import { describe, expect, test } from 'vitest';
import { boardSchema } from '../../records/board';
import { newBoard } from '../../records/new-board';
import { readSpec } from '../read-spec';
import { applyReadings } from '../apply-readings';
import { readPinOrders, withPinOrder } from './pin-orders';
import { readPinout } from './read-pinout';
import { withPinout } from './with-pinout';

const said = { origin: 'manual' as const, seen: '2026-11-28' };
const table = `Pad | Function | Side
T1 | UART1 TX | left
R1 | UART1 RX, 5 V tolerant | left
5V | 5 V out | left
G | ground | left
R2 | UART2 RX, receiver | left
9V | 9 V out | right
SDA | I2C data | right
SCL | I2C clock | right
CAM | camera in | right
VTX | video out | right
LED | LED strip | right
BZ- | buzzer | bottom side
VBAT | battery | rear`;
const uses = (text: string) => readPinout(text).map(({ label, use, edge }) => [label, use.kind, edge]);

describe('pads that a page lists', () => {
  test('a table: print, what it is for, side; the places are of the text', () => {
    const pads = readPinout(table);
    expect(pads).toHaveLength(13);
    expect(pads.map((p) => table.slice(p.start, p.end))).toEqual(pads.map((p) => p.label));
    expect(pads[0]).toMatchObject({ label: 'T1', use: { kind: 'talks', port: 1 }, edge: 'left', face: 'top' });
    expect(pads[1]).toMatchObject({ use: { kind: 'hears', port: 1 }, toleratesVolts: 5 });
    expect(pads[11]).toMatchObject({ use: { kind: 'buzzer' }, face: 'bottom' });
  });
  test('"S1" to "S4" are signals of motors or servos where no "M1" is printed, and servos where one is or the words say so', () => {
    const drawn = (text: string) =>
      withPinout(newBoard('b', 'B', 'Testwright', 'flight controller'), readPinout(text), said).outputs.map((o) => [
        o.label,
        ...o.can,
      ]);
    expect(drawn('Left: 5V G S1 S2 S3 S4')).toEqual(['S1', 'S2', 'S3', 'S4'].map((s) => [s, 'motor', 'servo']));
    expect(drawn('Left: M1 M2 S1 S2 S3 S4').slice(2)).toEqual(['S1', 'S2', 'S3', 'S4'].map((s) => [s, 'servo']));
    const driven = withPinout(
      newBoard('b', 'B', 'Testwright', 'flight controller'),
      readPinout('Left: M1 M2 M3 M4'),
      said,
    );
    expect(
      withPinout(driven, readPinout('Right: S1 S2 S3 S4'), said)
        .outputs.slice(4)
        .map((o) => o.can),
    ).toEqual(Array(4).fill(['servo']));
    expect(drawn('S1 | servo | left\nS2 | servo | left\nS3 | servo | left\nS4 | servo | left')).toEqual(
      ['S1', 'S2', 'S3', 'S4'].map((s) => [s, 'servo']),
    );
  });
  test('edges with what lies on them, in their order', () =>
    expect(uses('Left: 5V G T1 R1 | T2 R2\nRight edge: 9V, GND, CAM, VTX')).toEqual([
      ['5V', 'volts', 'left'],
      ['G', 'ground', 'left'],
      ['T1', 'talks', 'left'],
      ['R1', 'hears', 'left'],
      ['T2', 'talks', 'left'],
      ['R2', 'hears', 'left'],
      ['9V', 'volts', 'right'],
      ['GND', 'ground', 'right'],
      ['CAM', 'camera', 'right'],
      ['VTX', 'video out', 'right'],
    ]));
  test.each([
    [
      'a table with bold type and code',
      '| **Pad** | **Function** |\n|---|---|\n| `T1` | UART1 TX |\n| **R1** | UART1 RX |\n| `5V` | 5 V out |\n| `G` | ground |',
    ],
    ['a list', '- **T1** – UART1 TX\n- **R1** – UART1 RX\n- **5V** – 5 V out\n- **G** – ground'],
    ['lines with full stops', 'T1: UART1 TX.\r\nR1: UART1 RX.\r\n5V: 5 V out.\r\nG: ground.'],
  ])('%s', (_, text) => {
    expect(uses(text)).toEqual([
      ['T1', 'talks', null],
      ['R1', 'hears', null],
      ['5V', 'volts', null],
      ['G', 'ground', null],
    ]);
    for (const pad of readPinout(text)) expect(text.slice(pad.start, pad.end)).toBe(pad.label);
  });
  test('headings that say where what follows lies', () =>
    expect(uses('Left edge\nT1 - UART1 TX\nR1 - UART1 RX\nRear\nM1 - motor 1\nM2 - motor 2')).toEqual([
      ['T1', 'talks', 'left'],
      ['R1', 'hears', 'left'],
      ['M1', 'motor', 'rear'],
      ['M2', 'motor', 'rear'],
    ]));
  test.each([
    [
      'a page of figures',
      'BEC: 5V 2A\nUARTs: 5\nInput: 3-6S\nHoles: 30.5 mm, M3\nSize: 36 x 36 mm\n5V | 2 A\n9V | 2 A',
    ],
    ['three pads', 'T1 | UART1 TX | left\nR1 | UART1 RX | left\n5V | 5 V out | left'],
    ['prose', 'The 5V pads and the GND pads are large. R2 hears the receiver. T1 is free. Use M3 screws.'],
  ])('%s is no list of pads', (_, text) => expect(readPinout(text)).toEqual([]));
});

describe('a board made of them', () => {
  const blank = newBoard('marsh', 'Marsh', 'Testwright');
  test('ports, rails, buses, outputs and grounds stand behind the pads; the board is one that can be saved', () => {
    const board = withPinout(blank, readPinout(table), said);
    expect(boardSchema.safeParse(board).error).toBeUndefined();
    expect(board.ports.map((p) => [p.id, p.tx.length, p.rx.length])).toEqual([
      ['port1', 1, 1],
      ['port2', 0, 1],
    ]);
    expect(board.rails.map((r) => [r.label, r.pads?.length ?? 0])).toEqual([
      ['Pack', 1],
      ['5 V', 1],
      ['9 V', 1],
    ]);
    expect(board.pads.map((p) => p.label)).toEqual([
      'T1',
      'R1',
      '5V',
      'G',
      'R2',
      '9V',
      'SDA',
      'SCL',
      'CAM',
      'VTX',
      'LED',
      'BZ-',
      'VBAT',
    ]);
    expect(board.pads.find((p) => p.label === 'R1')).toMatchObject({
      toleratesVolts: { value: 5, origin: 'manual' },
      edge: 'left',
    });
    expect(board).toMatchObject({
      buses: [{ kind: 'i2c' }],
      outputs: [{ can: ['light'] }],
      video: { cameraIns: ['cam1'], out: 'vtx' },
      buzzerPad: 'bz',
    });
  });
  test('a print as a reader of pictures takes it, and the input for current', () => {
    const pads = readPinout(
      'Tl | UART1 TX | left\nQV | 9V out | right\nSV | supply | left\nCUR | current sense | rear',
    );
    expect(pads.map((p) => p.use)).toEqual([
      { kind: 'talks', port: 1 },
      { kind: 'volts', volts: 9 },
      { kind: 'volts', volts: 5 },
      { kind: 'current' },
    ]);
    expect(withPinout(blank, pads, said).analogueInputs).toMatchObject([{ kind: 'current', maxVolts: 3.3 }]);
  });
  test('ports that were only counted make room for those that are named; a regulator that is there gets the pad', () => {
    const counted = applyReadings(blank, readSpec('UARTs: 5\nBEC: 5V 2A'), said);
    expect(counted.ports).toHaveLength(5);
    const board = withPinout(counted, readPinout(table), said);
    expect(board.ports.map((p) => p.label)).toEqual(['Port 1', 'Port 2']);
    expect(board.rails.filter((r) => r.label === '5 V')).toMatchObject([{ source: { ratedAmps: { value: 2 } } }]);
    expect(new Set(board.pads.map((p) => p.id)).size).toBe(board.pads.length);
  });
});

describe('orders of pins', () => {
  test('a harness stands at the end of the board that the page is about', () => {
    const [order] = readPinOrders('Harness from left to right: BAT, GND, CUR, TLM, M4, M3, M2, M1\nPlug: SH1.0, 8 pin');
    expect(order).toMatchObject({ harness: true, pins: ['BAT', 'GND', 'CUR', 'TLM', 'M4', 'M3', 'M2', 'M1'] });
    expect(withPinOrder(newBoard('e', 'E', 'T', 'esc'), order!).harness).toMatchObject({
      escPins: order!.pins,
      controllerPins: [],
    });
    expect(withPinOrder(newBoard('f', 'F', 'T'), order!).harness).toMatchObject({
      controllerPins: order!.pins,
      escPins: [],
    });
  });
  test('another plug is a plug, its pins at the pads of the same print', () => {
    const board = withPinout(newBoard('m', 'M', 'T'), readPinout(table), said);
    const [order] = readPinOrders('GPS plug (SH 6 pin): 5V, GND, R2, T1, SDA, SCL');
    expect(order).toMatchObject({ harness: false, family: 'SH' });
    const made = withPinOrder(board, order!);
    expect(made.plugs[0]!.pins).toMatchObject([
      { name: '5V' },
      { name: 'GND' },
      { name: 'R2', pad: 'r2' },
      { name: 'T1', pad: 't1' },
      { name: 'SDA' },
      { name: 'SCL' },
    ]);
    expect(boardSchema.safeParse(made).success).toBe(true);
  });
  test('what is listed behind a plug and is no pin makes none', () =>
    expect(readPinOrders('Connector: Type-C, on the side, strong')).toEqual([]));
});
