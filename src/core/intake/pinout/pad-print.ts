/** What a pad is for, as its print or the words beside it say. */
export type PadUse =
  | { kind: 'talks' | 'hears'; port: number; sense?: 'inverted' }
  | { kind: 'volts'; volts: number }
  /** A signal is a motor's or a servo's: the print does not say which. */
  | { kind: 'motor' | 'servo' | 'signal'; number: number }
  | {
      kind:
        | 'pack'
        | 'ground'
        | 'data'
        | 'clock'
        | 'can high'
        | 'can low'
        | 'camera'
        | 'camera control'
        | 'video out'
        | 'light'
        | 'buzzer'
        | 'buzzer plus'
        | 'current'
        | 'signal strength'
        | 'air speed'
        | 'telemetry';
    };

type Read = (groups: string[]) => PadUse | null;
const plainly =
  (use: PadUse): Read =>
  () =>
    use;

/** What is printed on pads by common practice of the trade, no source; then what manuals call them in words. */
const prints: [RegExp, Read][] = [
  [/^(?:t|tx) ?(\d{1,2})$/, ([n]) => ({ kind: 'talks', port: Number(n) })],
  [/^(?:r|rx) ?(\d{1,2})$/, ([n]) => ({ kind: 'hears', port: Number(n) })],
  [
    /^(?:us?art|serial|port|u) ?(\d{1,2})[ _-]?(tx|rx|t|r)$/,
    ([n, way]) => ({ kind: way![0] === 't' ? 'talks' : 'hears', port: Number(n) }),
  ],
  [
    /^(tx|rx) ?(?:of )?(?:us?art|serial) ?(\d{1,2})$/,
    ([way, n]) => ({ kind: way === 'tx' ? 'talks' : 'hears', port: Number(n) }),
  ],
  [/^(?:3v3|3\.3 ?v?)$/, plainly({ kind: 'volts', volts: 3.3 })],
  [/^[+]?(?:4v5|4[.,]5 ?v)(?: ?v)?(?: ?out)?$/, plainly({ kind: 'volts', volts: 4.5 })],
  [/^[+]?(5|6|7\.2|8|9|10|12) ?v(?:s|olts)?(?:[ _]?(?:out|o))?$/, ([v]) => ({ kind: 'volts', volts: Number(v) })],
  [/^(?:v?bat[t]?\+?|bat\+|b\+|v\+|vcc|pack|battery)$/, plainly({ kind: 'pack' })],
  [/^(?:g|gnd|ground|-|bat-|b-|minus)$/, plainly({ kind: 'ground' })],
  [/^(?:i2c ?\d?[ _-]?sda|sda\d?|da)$/, plainly({ kind: 'data' })],
  [/^(?:i2c ?\d?[ _-]?scl|scl\d?|cl)$/, plainly({ kind: 'clock' })],
  [/^can[ _-]?h(?:igh)?$/, plainly({ kind: 'can high' })],
  [/^can[ _-]?l(?:ow)?$/, plainly({ kind: 'can low' })],
  [/^(?:[ck]am|vi|vin|video in|c1|[ck]am1|[ck]amera(?: in)?)$/, plainly({ kind: 'camera' })],
  [/^(?:vtx|vo|vout|vid|video|video out)$/, plainly({ kind: 'video out' })],
  [/^(?:cc|cam ?ctrl|cam(?:era)? ?control)$/, plainly({ kind: 'camera control' })],
  [/^(?:leds?|led[ _]?\d|led[ _]strip|ledstrip|lights?)$/, plainly({ kind: 'light' })],
  [/^(?:bz-?|buz-?|beeper-?|buzzer-?)$/, plainly({ kind: 'buzzer' })],
  [/^(?:bz|buz|beeper|buzzer) ?\+$/, plainly({ kind: 'buzzer plus' })],
  [/^m(?:otor)? ?([1-8])$/, ([n]) => ({ kind: 'motor', number: Number(n) })],
  [/^s(?:ervo)? ?(\d{1,2})$/, ([n]) => ({ kind: 'servo', number: Number(n) })],
  [/^(?:cur|curr|crt|current)$/, plainly({ kind: 'current' })],
  [/^rssi$/, plainly({ kind: 'signal strength' })],
  [/^(?:asp|air ?speed)$/, plainly({ kind: 'air speed' })],
  [/^(?:tlm|telem|telemetry)$/, plainly({ kind: 'telemetry' })],
];

/** What the print on a pad means; null where it means none of the usual things. */
export function padPrint(label: string): PadUse | null {
  // As a reader of print takes them: "Tl" for T1, "QV" for 9V.
  const word = label
    .trim()
    .toLowerCase()
    .replace(/^([tr]x?)[li|]$/, '$11')
    .replace(/^q ?v$/, '9v')
    .replace(/^sv$/, '5v');
  for (const [pattern, read] of prints) {
    const match = pattern.exec(word);
    if (match) return read(match.slice(1));
  }
  return null;
}

/** What the words beside a pad say it is for: "UART1 TX", "9 V out", "I2C data". */
const inWords: [RegExp, Read][] = [
  [
    /\b(?:uart|serial(?: port)?|usart|port) ?(\d{1,2})[\W_]{0,3}(?:tx|transmit|talks|out|senden|sendet)\b/,
    ([n]) => ({ kind: 'talks', port: Number(n) }),
  ],
  [
    /\b(?:uart|serial(?: port)?|usart|port) ?(\d{1,2})[\W_]{0,3}(?:rx|receive|hears|in|empfangen)\b/,
    ([n]) => ({ kind: 'hears', port: Number(n) }),
  ],
  [/\b(?:tx|transmit)\b[^,;]{0,12}\b(?:uart|serial|port) ?(\d{1,2})\b/, ([n]) => ({ kind: 'talks', port: Number(n) })],
  [/\b(?:rx|receive)\b[^,;]{0,12}\b(?:uart|serial|port) ?(\d{1,2})\b/, ([n]) => ({ kind: 'hears', port: Number(n) })],
  [/\bi2c[ -](?:data|sda)\b/, plainly({ kind: 'data' })],
  [/\bi2c[ -](?:clock|scl)\b/, plainly({ kind: 'clock' })],
  [/\b(?:camera|video) (?:in|signal in|input)\b/, plainly({ kind: 'camera' })],
  [/\bvideo out(?:put)?\b/, plainly({ kind: 'video out' })],
  [/\b(?:camera|cam) control\b/, plainly({ kind: 'camera control' })],
  [/\b(?:led|light) ?(?:strip|output|data)?\b/, plainly({ kind: 'light' })],
  [/\b(?:buzzer|beeper)\b/, plainly({ kind: 'buzzer' })],
  [/\b(?:ground|negative|masse|massa|masa|tierra)\b/, plainly({ kind: 'ground' })],
  [
    /\b(?:battery|pack) (?:voltage|positive|plus|input|volts)\b|^(?:battery|pack|batterie|bateria|batteria|akku(?:spannung)?)\b/,
    plainly({ kind: 'pack' }),
  ],
  [
    /\b(3[.,]3|4[.,]5|5|6|8|9|10|12) ?v\b (?:out|output|supply|rail|bec)\b/,
    ([v]) => ({ kind: 'volts', volts: Number(v!.replace(',', '.')) }),
  ],
  [/\bmot(?:or|eur|ore) ?(?:signal ?)?([1-8])\b/, ([n]) => ({ kind: 'motor', number: Number(n) })],
  [/\bservo ?(?:output ?)?(\d{1,2})\b/, ([n]) => ({ kind: 'servo', number: Number(n) })],
  [/\brssi\b/, plainly({ kind: 'signal strength' })],
  [/\bair ?speed\b/, plainly({ kind: 'air speed' })],
  [/\bcurrent (?:sense|sensor|signal|input)\b/, plainly({ kind: 'current' })],
  [/\besc telemetry\b/, plainly({ kind: 'telemetry' })],
];

/** Prints that say no more than what kind of supply or signal it is; which volts or port, the words beside them say. */
const toldBeside: [RegExp, RegExp, Read][] = [
  [
    /^(?:vcc|v\+|\+|pwr|power)$/,
    /(?:^|[ (+])(3[.,]3|4[.,]5|5|6|8|9|10|12) ?v\b/,
    ([v]) => ({ kind: 'volts', volts: Number(v!.replace(',', '.')) }),
  ],
  // The usual print of the inverted receiver line.
  [
    /^s[.]?bus(?: ?in)?\d?$/,
    /\b(?:uart|usart|serial(?: port)?|port|rx|r) ?(\d{1,2})\b/,
    ([n]) => ({ kind: 'hears', port: Number(n), sense: 'inverted' }),
  ],
];

/** What a print and the words beside it mean together; null where they say no such thing. */
export function printBeside(label: string, words: string): PadUse | null {
  for (const [print, beside, read] of toldBeside) {
    const match = print.test(label.trim().toLowerCase()) ? beside.exec(words.toLowerCase()) : null;
    if (match) return read(match.slice(1));
  }
  return null;
}

/** The same from the words in the cells beside the print. */
export function padWords(words: string): PadUse | null {
  const said = words.trim().toLowerCase();
  for (const [pattern, read] of inWords) {
    const match = pattern.exec(said);
    if (match) return read(match.slice(1).filter((g) => g !== undefined));
  }
  return null;
}
