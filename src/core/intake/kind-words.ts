import type { PeripheralKind } from '../trade/peripheral-kind';
import { inEnglish } from './reader/languages';
import { plain } from './reader/plain';
import { scriptOf } from './reader/script';

/** What people write for a kind of part, longer phrases first: common practice, no source. */
const phrases: [string, PeripheralKind[]][] = [
  ['video transmitter', ['video transmitter']],
  ['digital video', ['digital video']],
  ['digital vtx', ['digital video']],
  ['current sensor', ['current sensor']],
  ['headlight', ['light']],
  ['spotlight', ['light']],
  ['air unit', ['digital video']],
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
  ['strobe', ['light']],
  ['lidar', ['range finder']],
  ['sonar', ['range finder']],
  ['pitot', ['air speed']],
  ['servo', ['servo']],
  ['light', ['light']],
  ['gnss', ['positioning']],
  ['leds', ['light']],
  ['gps', ['positioning']],
  ['vtx', ['video transmitter', 'digital video']],
  ['lamp', ['light']],
  ['led', ['light']],
  ['cam', ['camera']],
  ['mag', ['compass']],
  ['rx', ['receiver']],
  ['videosender', ['video transmitter']],
  ['videozender', ['video transmitter']],
  ['émetteur vidéo', ['video transmitter']],
  ['transmisor de vídeo', ['video transmitter']],
  ['transmisor de video', ['video transmitter']],
  ['trasmettitore video', ['video transmitter']],
  ['piepser', ['buzzer']],
  ['zumbador', ['buzzer']],
  ['cicalino', ['buzzer']],
  ['summer', ['buzzer']],
];

/** The kinds that a text names first, in English or another language of the reader, and the phrase it names them by; null where it names none. "VTX antenna" is an antenna. */
export function kindMeant(text: string): { kinds: PeripheralKind[]; phrase: string } | null {
  const small = text.toLowerCase();
  if (/\b(?:gps|gnss|vtx|rx|receiver|video|telemetry|radio) (?:antenna|aerial)s?\b/.test(small))
    return { kinds: ['aerial'], phrase: small.includes('antenna') ? 'antenna' : 'aerial' };
  return named(small) ?? named(inEnglish(scriptOf(plain(text))).text);
}

function named(text: string): { kinds: PeripheralKind[]; phrase: string } | null {
  let first: { at: number; kinds: PeripheralKind[]; phrase: string } | null = null;
  for (const [phrase, kinds] of phrases) {
    const at = new RegExp(`(?<![a-z])${phrase}s?(?![a-z])`).exec(text)?.index;
    if (at !== undefined && (!first || at < first.at)) first = { at, kinds, phrase };
  }
  return first && { kinds: first.kinds, phrase: first.phrase };
}
