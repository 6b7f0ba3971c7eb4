import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readFile } from '../records/file';
import { kindMeant } from './kind-words';
import { readPartsList } from './parts-list';

const shelf = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
if (!shelf.ok) throw new Error('demo shelf');
const read = (text: string) => readPartsList(text, shelf.value.peripherals).map((l) => [l.part?.id ?? null, l.count]);

describe('a pasted parts list', () => {
  test('names with and without maker, counts before and behind, CSV', () => {
    expect(read('Marlpit Skein Long\n2x Glim 24\nQuillon Prism Air; digital video; 1\nPlumb Mini x 2')).toEqual([
      ['skein-long', 1],
      ['glim-strip-24', 2],
      ['prism-air', 1],
      ['plumb-mini', 2],
    ]);
  });
  test('what could be two parts, or none, is left to the buyer', () => {
    const [line] = readPartsList('Glim', shelf.value.peripherals);
    expect(line!.part).toBeNull();
    expect(line!.others.length).toBeGreaterThan(1);
    expect(read('a toaster\n\n')).toEqual([[null, 1]]);
  });
  test('a word or a number that stands in many names is none of them', () => {
    expect(read('Zorblat sender 2-6S, 8 W, 9 g\nmicro computer\nlong cable\nair filter, 24 V')).toEqual(
      Array.from({ length: 4 }, () => [null, 1]),
    );
  });
  test('how a thing is wired is no name, unless it is two words of one', () => {
    expect(read('receiver, two wires\ntwo-way GPS')).toEqual([
      [null, 1],
      ['plumb-both', 1],
    ]);
  });
  test('a line that only names a kind offers parts of that kind', () => {
    const [gps, cam] = readPartsList('GPS module x2\nsome camera', shelf.value.peripherals);
    expect([gps!.part, gps!.count, new Set(gps!.others.map((o) => o.kind))]).toEqual([
      null,
      2,
      new Set(['positioning']),
    ]);
    expect(new Set(cam!.others.map((o) => o.kind))).toEqual(new Set(['camera']));
  });
  test.each([
    ['2 servos', 'servo', 2],
    ['24 LEDs', 'light', 1],
    ['VTX antenna', 'aerial', 1],
    ['headlight', 'light', 1],
    ['digital air unit', 'digital video', 1],
    ['Empfänger', 'receiver', 1],
    ['cámara', 'camera', 1],
  ])('%s: a %s, %d of it', (line, kind, count) => {
    const [found] = readPartsList(line, shelf.value.peripherals);
    expect([(found!.part ?? found!.others[0])!.kind, found!.count]).toEqual([kind, count]);
  });
  test.each([
    ['receiver, camera, VTX and GPS', ['receiver', 'camera', 'VTX', 'GPS']],
    ['analog camera + VTX', ['analog camera', 'VTX']],
    ['Empfänger, Kamera, Videosender, Summer, GPS', ['Empfänger', 'Kamera', 'Videosender', 'Summer', 'GPS']],
    ['1 Skein receiver, 1 Prism Air, 2x Glim 8', ['1 Skein receiver', '1 Prism Air', '2x Glim 8']],
    ['receiver 5 V, GPS and compass, 0,3 A, buzzer', ['receiver 5 V', 'GPS, compass, 0,3 A', 'buzzer']],
    ['Receiver, CRSF, 5 V', ['Receiver, CRSF, 5 V']],
    ['Receiver, CRSF, telemetry 100 mW', ['Receiver, CRSF, telemetry 100 mW']],
    ['Quillon Prism Air; digital video; 1', ['Quillon Prism Air; digital video; 1']],
    ['VTX, 600 mW, camera control', ['VTX, 600 mW, camera control']],
    ['Glim 8, light', ['Glim 8, light']],
  ])('things on one line: %s', (line, things) =>
    expect(readPartsList(line, shelf.value.peripherals).map((l) => l.line)).toEqual(things),
  );
  test('a line that names one kind is never taken for a part of another', () => {
    const [video, servo, whole] = readPartsList(
      'Digital video, 9V 1.2A\nstrong servo x2\nNod Servo',
      shelf.value.peripherals,
    );
    expect(video!.part).toBeNull();
    expect(new Set(video!.others.map((o) => o.kind))).toEqual(new Set(['digital video']));
    expect([servo!.part?.kind, servo!.count]).toEqual(['servo', 2]);
    // Its whole name holds the word for another kind.
    expect(whole!.part?.kind).toBe('gimbal');
  });
  test('of a kind, those that match what else the line says come first', () => {
    const first = (line: string) => {
      const { part, others } = readPartsList(line, shelf.value.peripherals)[0]!;
      return part ?? others[0]!;
    };
    const speaks = (line: string, protocol: string) =>
      expect(
        first(line).modes.some((m) => m.links.some((l) => l.kind === 'serial' && l.protocol === protocol)),
        line,
      ).toBe(true);
    speaks('Receiver, CRSF', 'two-wire-rc');
    speaks('receiver with SBUS output', 'inverted-rc');
    speaks('RX (F.Port)', 'one-wire-rc-telemetry');
    expect(first('GPS with compass').modes[0]!.links.map((l) => l.kind)).toContain('i2c');
    expect(first('GPS on the CAN bus').modes[0]!.links.map((l) => l.kind)).toEqual(['can']);
    expect(first('lidar I2C').modes.some((m) => m.links.some((l) => l.kind === 'i2c'))).toBe(true);
    expect(first('LED strip 24').name).toContain('24');
    expect(first('VTX 600mW').name).toContain('600');
    speaks('analog VTX, over lay link', 'overlay-link');
    expect(first('vtx').kind).toBe('video transmitter');
    expect(first('HD vtx').kind).toBe('digital video');
  });
  test.each([
    ['2 cams', ['camera']],
    ['video transmitter 600 mW', ['video transmitter']],
    ['VTX', ['video transmitter', 'digital video']],
    ['magnet', undefined],
    ['rx/tx pads', ['receiver']],
    ['current sensor and camera', ['current sensor']],
  ] as const)('%s names %s', (text, kinds) => expect(kindMeant(text)?.kinds).toEqual(kinds));
  test('a very long text is cut, not choked on', () => expect(read('Skein Long\n'.repeat(50_000)).length).toBe(60));
});
