import { describe, expect, test } from 'vitest';
import { fullVolts, packSwing } from './cell';
import { clearanceHoleMm } from './frame';
import { gramsPerOunce, mmPerInch } from './mass';
import { processors } from './processor';
import { mayShare, protocolIds, protocols, softSerialCarries } from './protocol';
import { ratingShare } from './rating';
import { usbAmps } from './usb';
import { awgDiameterMm, awgMilliohmPerM, gaugeFor } from './wire';

describe('processors', () => {
  // RXINV/TXINV in USART_CR2: STM32F3 RM0316, F7 RM0385 and RM0431, H7 RM0433, G4 RM0440; absent in F4 RM0090, RM0383 and F1 RM0008. From memory.
  test.each([
    ['F1', false],
    ['F3', true],
    ['F4', false],
    ['F7', true],
    ['H7', true],
    ['G4', true],
  ] as const)('%s inverts inside the port: %s', (family, inside) => {
    expect(processors[family].invertsInside).toBe(inside);
  });
  // USART+UART by data sheet, from memory: F405 6, F722 and F745 8, H743 8, G474 5, F303 up to 5.
  test.each([
    ['F4', 6],
    ['F7', 8],
    ['H7', 8],
    ['G4', 5],
    ['F3', 5],
  ] as const)('the usual %s has %i serial ports', (family, ports) => {
    expect(processors[family].usualPorts).toBe(ports);
  });
  // Larger F4 parts have eight, one member ten: data sheets, from memory.
  test('the largest F4 has ten', () => expect(processors.F4.mostPorts).toBe(10));
});

describe('protocols', () => {
  // Common practice, no source; speeds from memory.
  test.each([
    ['inverted-rc', 100_000, '8E2', 'inverted', 'hear'],
    ['one-wire-rc-telemetry', 115_200, '8N1', 'inverted', 'one wire'],
    ['two-wire-rc', 420_000, '8N1', 'plain', 'both'],
    ['one-wire-telemetry', 57_600, '8N1', 'inverted', 'one wire'],
    ['plain-rc', 115_200, '8N1', 'plain', 'hear'],
    ['transmitter-control-a', 4_800, '8N2', 'plain', 'one wire'],
    ['transmitter-control-b', 9_600, '8N1', 'plain', 'one wire'],
    ['esc-telemetry', 115_200, '8N1', 'plain', 'hear'],
    ['overlay-link', 115_200, '8N1', 'plain', 'both'],
    ['ground-link', 57_600, '8N1', 'plain', 'both'],
  ] as const)('%s runs at %i baud %s, %s, %s', (id, baud, frame, sense, wires) => {
    expect(protocols[id]).toMatchObject({ baud, frame, sense, wires });
  });

  test('soft serial: up to 19,200 baud, never the control link, never one wire with control and telemetry (common practice, no source)', () => {
    const carried = protocolIds.filter((id) => softSerialCarries(protocols[id]));
    expect(carried).toEqual(['transmitter-control-a', 'transmitter-control-b', 'gimbal-control']);
  });

  test('two links share a port only with one speed, one frame, one sense and opposite sides', () => {
    for (const a of protocolIds)
      for (const b of protocolIds) {
        const [p, q] = [protocols[a], protocols[b]];
        expect(mayShare(p, q)).toBe(mayShare(q, p));
        if (mayShare(p, q))
          expect([p.baud === q.baud, p.frame === q.frame, p.sense === q.sense, p.wires !== q.wires]).toEqual([
            true,
            true,
            true,
            true,
          ]);
      }
    expect(mayShare(protocols['esc-telemetry'], protocols.recorder)).toBe(true);
    expect(mayShare(protocols.positioning, protocols['ground-link'])).toBe(false);
  });
});

describe('volts, amps and sizes', () => {
  // Common practice, no source: full cell 4.20 V; 4 cells 16.8 V, 6 cells 25.2 V; high-voltage 4.35 V; floor 3.3 V.
  test('a full pack', () => {
    expect([fullVolts(4), fullVolts(6)]).toEqual([16.8, 25.2]);
    expect(packSwing({ cells: 4, chemistry: 'lipo' })).toEqual({ low: 13.2, high: 16.8 });
    expect(packSwing({ cells: 2, chemistry: 'high-voltage lipo' }).high).toBeCloseTo(8.7, 9);
  });
  test('USB 2.0, 7.2.1: 500 mA once configured', () => expect(usbAmps).toBe(0.5));
  test('rated amps: 70, 80 or 100 per cent by policy; a measured value is not derated (domain, section 9)', () => {
    const claim = { value: 2, origin: 'claim' as const };
    expect((['cautious', 'usual', 'as printed'] as const).map((p) => ratingShare(claim, p))).toEqual([0.7, 0.8, 1]);
    expect(ratingShare({ value: 2, origin: 'measured' }, 'cautious')).toBe(1);
  });
  test('ISO 273 clearance holes, from memory', () => {
    expect(clearanceHoleMm).toEqual({
      M2: { fine: 2.2, medium: 2.4, coarse: 2.6 },
      M3: { fine: 3.2, medium: 3.4, coarse: 3.6 },
    });
  });
  test('inch and ounce: international yard and pound agreement, 0.45359237 kg exactly', () => {
    expect(mmPerInch).toBe(25.4);
    expect(gramsPerOunce * 16).toBeCloseTo(453.59237, 10);
  });
});

describe('wire', () => {
  // ASTM B258 sizes with IEC 60028 copper, against handbook values recalled from memory, to 1 %.
  test.each([
    [12, 5.21],
    [14, 8.29],
    [18, 20.9],
    [22, 53.0],
    [28, 213],
  ])('AWG %i: %d milliohm a metre at 20 C', (gauge, milliohm) => {
    expect(Math.abs(awgMilliohmPerM(gauge) / milliohm - 1)).toBeLessThan(0.01);
  });
  test('AWG 36 is 0.127 mm and AWG 0000 is 11.684 mm (ASTM B258)', () => {
    expect(awgDiameterMm(36)).toBeCloseTo(0.127, 9);
    expect(awgDiameterMm(-3)).toBeCloseTo(11.684, 3);
  });
  // Handbook of Electronic Tables and Formulas, chassis wiring, from memory.
  test.each([
    [0.1, 28],
    [1.4, 28],
    [1.5, 26],
    [3.5, 24],
    [5, 22],
    [20, 16],
    [41, 12],
    [55, 10],
    [60, null],
  ])('%d A wants AWG %s', (amps, gauge) => expect(gaugeFor(amps)).toBe(gauge));
});
