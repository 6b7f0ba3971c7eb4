import type { PeripheralKind } from '../trade/peripheral-kind';

/** What people write for a kind of part, longer phrases first: common practice, no source. */
const phrases: [string, PeripheralKind[]][] = [
  ['video transmitter', ['video transmitter']],
  ['digital video', ['digital video']],
  ['digital vtx', ['digital video']],
  ['current sensor', ['current sensor']],
  ['esc telemetry', ['esc telemetry']],
  ['range finder', ['range finder']],
  ['ground station', ['ground link']],
  ['ground link', ['ground link']],
  ['air speed', ['air speed']],
  ['magnetometer', ['compass']],
  ['rangefinder', ['range finder']],
  ['positioning', ['positioning']],
  ['transmitter', ['video transmitter']],
  ['telemetry', ['ground link', 'esc telemetry']],
  ['hd video', ['digital video']],
  ['airspeed', ['air speed']],
  ['antenna', ['aerial']],
  ['receiver', ['receiver']],
  ['blackbox', ['recorder']],
  ['recorder', ['recorder']],
  ['compass', ['compass']],
  ['hd vtx', ['digital video']],
  ['aerial', ['aerial']],
  ['camera', ['camera']],
  ['gimbal', ['gimbal']],
  ['beeper', ['buzzer']],
  ['buzzer', ['buzzer']],
  ['lidar', ['range finder']],
  ['pitot', ['air speed']],
  ['servo', ['servo']],
  ['light', ['light']],
  ['gnss', ['positioning']],
  ['leds', ['light']],
  ['gps', ['positioning']],
  ['vtx', ['video transmitter', 'digital video']],
  ['led', ['light']],
  ['cam', ['camera']],
  ['mag', ['compass']],
  ['rx', ['receiver']],
];

/** The kinds that a text names first, and the phrase it names them by; null where it names none. */
export function kindMeant(text: string): { kinds: PeripheralKind[]; phrase: string } | null {
  let first: { at: number; kinds: PeripheralKind[]; phrase: string } | null = null;
  for (const [phrase, kinds] of phrases) {
    const at = new RegExp(`(?<![a-z])${phrase}s?(?![a-z])`).exec(text.toLowerCase())?.index;
    if (at !== undefined && (!first || at < first.at)) first = { at, kinds, phrase };
  }
  return first && { kinds: first.kinds, phrase: first.phrase };
}
