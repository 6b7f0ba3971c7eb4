import { describe, expect, test } from 'vitest';
import { peripheralSchema } from '../records/peripheral';
import { ownPart } from './own-part';
import { partPageWords, readPartPage, saysSomething, withPartPage } from './part-page';

describe('what a line or a page says of a part', () => {
  test.each([
    ['GPS module, 5-36 V, 0.3 A', { minVolts: 5, maxVolts: 36, typicalAmps: 0.3 }],
    [
      'Camera Finch\nInput: 4.5 to 5.5 V\nConsumption: 120 mA at 5 V\nPeak 300 mA\nWeight: 3,4 g',
      { minVolts: 4.5, maxVolts: 5.5, typicalAmps: 0.12, peakAmps: 0.3, atVolts: 5, massG: 3.4 },
    ],
    [
      'Video transmitter 2-6S, 8 W at 12 V, 9 g',
      { minVolts: 6, maxVolts: 25.2, typicalAmps: 0.667, atVolts: 12, massG: 9 },
    ],
    [
      'Compass, I2C address 0x0D, 3.3 V, 5 mA',
      { address: 0x0d, minVolts: 3.3, maxVolts: 3.3, typicalAmps: 0.005, atVolts: 3.3 },
    ],
    [
      'Receiver, CRSF, 5 V, 100 mA, 1.2 g',
      { protocol: 'two-wire-rc', minVolts: 5, typicalAmps: 0.1, atVolts: 5, massG: 1.2 },
    ],
    ['Servo 4.8-6 V, 0.15 A, stall 1.2 A, 9 g', { minVolts: 4.8, maxVolts: 6, typicalAmps: 0.15, peakAmps: 1.2 }],
    ['Empfänger: Eingang 4,5-8,4 V, Gewicht 1,8 g', { minVolts: 4.5, maxVolts: 8.4, massG: 1.8 }],
    ['GPS\nPlug (SH 1.0, 6 pins): GND, 5V, RX, TX, SDA, SCL', { pins: ['GND', '5V', 'RX', 'TX', 'SDA', 'SCL'] }],
    // What goes on the air is not what it draws; of several settings the most; watts at the least volts; common practice, no source.
    [
      'VTX 1W, input 7-36 VDC, 5 V out for the camera',
      { minVolts: 7, maxVolts: 36, typicalAmps: null, peakAmps: null },
    ],
    ['Radio 5 V/300 mA, 433 MHz, 100 mW, 1 W', { typicalAmps: 0.3, atVolts: 5 }],
    [
      'Output power: 25 mW / 400 mW / 1 W\nInput: 7-26 V\n12 V, 450 mA at 400 mW; 12 V, 900 mA at 1 W',
      { typicalAmps: 0.9, atVolts: 12 },
    ],
    ['Air unit, 3S-6S, 9-13 W', { typicalAmps: 1.444, atVolts: 9 }],
    ['Unit without volts, 4 W', { typicalAmps: null }],
    // Words that begin like a unit are none, and two rails are no range.
    ['Lights, 5 V, use 2 as a pair', { minVolts: 5, typicalAmps: null }],
    ['Sender that needs 5 V and 12 V', { minVolts: 5, maxVolts: 5 }],
    ['Receiver, 5 V, forty milliamps: 40 milliamperes', { typicalAmps: 0.04 }],
    ['Light, up to 26 V, 2.2 g', { minVolts: null, maxVolts: 26, massG: 2.2 }],
    ['Air unit, 7.4-26.4 V, 4 W standby, 9 W max', { typicalAmps: 0.541, atVolts: 7.4, peakAmps: 1.216 }],
    [
      'Servo 9g class, weight: 12.5 g, 4.8-6.0 V\nNo load current 80 mA\nRunning current 220 mA\nStall current 700 mA at 6 V',
      { typicalAmps: 0.22, atVolts: null, peakAmps: 0.7, massG: 12.5 },
    ],
    ['LED strip 5 V, 8 LEDs, 60 mA per LED', { typicalAmps: 0.48, atVolts: 5 }],
    ['LED strip 5 V, 60 mA per LED', { typicalAmps: null }],
    ['Power module 2-6S, BEC 5.3V 3A, current sensor 90A', { typicalAmps: null, peakAmps: null }],
    ['Module, 4.5~5.5V, 60mA(avg) 180mA(max)', { typicalAmps: 0.06, peakAmps: 0.18 }],
    ['Camera, 110mA@5V, 60 mA@12V', { typicalAmps: 0.11, atVolts: 5 }],
    ['pack 1500 mAh', { typicalAmps: null }],
    // In other languages a range is no amperes; one end is not both; a table is of all its columns.
    ['Alimentación: 7 a 26 V. Consumo 0,6 A a 12 V', { minVolts: 7, maxVolts: 26, typicalAmps: 0.6, atVolts: 12 }],
    ['Alimentation: 4,5 a 10 V, consommation 120 mA', { minVolts: 4.5, maxVolts: 10, typicalAmps: 0.12 }],
    ['Napájení: od 7 do 26 V', { minVolts: 7, maxVolts: 26 }],
    ['Alimentazione da 2S a 6S', { minVolts: 6, maxVolts: 25.2 }],
    ['BEC 2 a 5 V', { minVolts: 5, maxVolts: 5 }],
    ['Max input voltage: 26 V. Min input voltage: 7 V', { minVolts: 7, maxVolts: 26 }],
    ['Max input voltage: 26 V', { minVolts: null, maxVolts: 26 }],
    ['Do not exceed 5.5 V. 80 mA', { minVolts: null, maxVolts: 5.5, typicalAmps: 0.08 }],
    ['| Input | 2S-6S |\n| Current (5 V) | 1.2 A |', { minVolts: 6, maxVolts: 25.2, typicalAmps: 1.2, atVolts: 5 }],
    ['Supply: up to 6S', { minVolts: null, maxVolts: 25.2 }],
    ['4.5 V < Vin < 28 V', { minVolts: 4.5, maxVolts: 28 }],
    ['Supply: min. 4.5 V, typ. 5 V, max. 5.5 V', { minVolts: 4.5, maxVolts: 5.5 }],
    [
      '| Input | 9 V | 12 V | 16 V |\n| Draw | 1.1 A | 0.8 A | 0.6 A |',
      { minVolts: 9, maxVolts: 16, typicalAmps: 1.1 },
    ],
  ])('%s', (text, expected) => expect(readPartPage(text)).toMatchObject(expected));

  test('of so many cells the volts of plain ones are sure, those of high-voltage ones perhaps', () => {
    const page = readPartPage('Video transmitter 2-6S, 8 W at 12 V, 9 g');
    expect(partPageWords(page)).toMatch(/^6 to 25.2 V, of high-voltage cells perhaps 26.1 V;/);
    const own = ownPart('Transmitter', 'video transmitter', null)!;
    const said = { origin: 'claim' as const, seen: '2026-12-01', source: 'its page' };
    expect(withPartPage(own, page, said).modes[0]!.supplies[0]).toMatchObject({
      minVolts: { value: 6 },
      maxVolts: { low: 25.2, high: 26.1, origin: 'claim' },
    });
    const inVolts = withPartPage(own, readPartPage('Video transmitter 7-26 V'), said);
    expect(inVolts.modes[0]!.supplies[0]!.maxVolts).toMatchObject({ value: 26 });
  });
  test('fills what is unknown of a part and nothing else, as a claim with its words', () => {
    const line = 'GPS Plumb X, 5-9 V, 40 mA at 5 V, 10 g';
    const own = ownPart('Plumb X', 'positioning', 0)!;
    const made = withPartPage({ ...own, massG: { value: 12, origin: 'measured' } }, readPartPage(line), {
      origin: 'claim',
      seen: '2026-11-28',
      source: line,
    });
    expect(made.massG).toMatchObject({ value: 12 });
    expect(made.modes[0]!.supplies[0]).toMatchObject({
      minVolts: { value: 5, origin: 'claim', source: line },
      maxVolts: { value: 9 },
      typicalAmps: { value: 0.04 },
      atVolts: 5,
    });
    expect(peripheralSchema.safeParse(made).success).toBe(true);
  });
  test('a text that says nothing of a part says nothing', () => {
    const nothing = readPartPage('a fine thing');
    expect([saysSomething(nothing), partPageWords(nothing)]).toEqual([false, '']);
    expect(partPageWords(readPartPage('5-36 V, 0.3 A'))).toBe('5 to 36 V; 0.3 A, at volts that are not said');
  });
});
