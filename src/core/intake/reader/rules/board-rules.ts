import {
  denied,
  hedge,
  unsettled,
  num,
  one,
  openness,
  rule,
  sane,
  sentenceOf,
  N,
  W,
  type Around,
  type Found,
  type Rule,
} from './rule';
import type { SpecField } from '../../../figures/spec-field';

/** Whether something is there; in doubt where the text leaves it open, or does not say so behind its own label. */
function present(field: SpecField, words: Around): Found[] {
  if (
    /^[ \t]{0,3}[:=|?-]?[ \t]{0,3}(?:unknown|not known|untested|not tested|tbd|tba|to be (?:decided|confirmed))\b/.test(
      words.after,
    )
  )
    return [];
  const why = openness(words);
  if (asked(words) && !denied(words)) return [];
  if (!denied(words))
    return one(field, true, why ?? (affirmed(words) ? undefined : (unsettled(words) ?? unaffirmed(words) ?? bare)));
  // What may be chosen is not simply absent.
  const choice = /option |with or without/.test(`${words.after} ${why ?? ''}`) ? why : undefined;
  return one(field, false, hedge(words) ?? choice ?? (plainlyDenied(words) ? undefined : nearby));
}

/** "Does it have a barometer?", and nothing that says yes. */
const asked = ({ before, after }: Around) =>
  /\b(?:does|do|is|are|has|have|can|will|any|how|what|which|where|why)\b[^.;?!\n]{0,40}$/.test(before) &&
  /^[^.;?!\n]{0,30}\?(?![ \t]{0,3}(?:a: ?)?(?:yes|yep|yeah|sure|correct|right|of course|it (?:does|has|is)|there (?:is|are)|✓))/.test(
    after,
  );

/** A chip by the shape of its print. */
const chips = '[a-z]{2,4}\\d{2,4}[a-z]?\\b';
/** Said with a yes or a tick behind its label, or by its chip. */
const yesBehind = new RegExp(
  `^[ \\t]{0,3}(?:chip|sensor)?[ \\t]{0,3}(?:[:=|?(][ \\t]{0,3}(?:yes|y\\b|✓|fitted|integrated|built|on ?board|standard|there|included|${chips})|(?:yes\\b|✓|${chips}))`,
);
const yesBefore = new RegExp(`(?:\\b${chips}|✓)[ \\t]{1,3}$`);
const affirmed = ({ before, after }: Around) => yesBehind.test(after) || yesBefore.test(before);
/** "Barometer: no". Of a row without marks, "OSD no baro", it is not clear whose "no" it is. */
const plainlyDenied = ({ after }: Around) => /^[ \t]{0,3}(?:chip|sensor)?[ \t]{0,3}(?:[:=|?(]|✗|- )/.test(after);

/** Of such words without more, a few in a hundred turned out to be a label whose "no" was said in a way of its own (docs/method-reader.md). */
const bare = 'named, without a yes behind its name';
const nearby = 'a "no" stands by it: look whether it is meant for it';

/** A sentence that names it without a word that says that it is there: "we left the barometer for the next one". */
const unaffirmed = (words: Around) => {
  const sentence = sentenceOf(words);
  const plain = sentence.split(/\s+/).length <= 6 || /[:=|]/.test(words.before.slice(-3) + words.after.slice(0, 3));
  const has =
    /\b(?:has|have|had|with|w\/|includ\w+|fitted|fits|carr(?:y|ies|ied)|sports?|there (?:is|are)|comes?|got|gets?|brings?|features?|featuring|holds?|keeps?|provides?|equipped|supports?|adds?|added|offers?|plus|and|both|on ?board|integrated|built|yes|new|now|its|own|real|full)\b|[+&✓,;/]/;
  return plain || has.test(sentence) ? undefined : 'no word of its sentence says that the board has it';
};

const inside =
  '(?:built[ -]?in|internal(?:ly)?|on[ -]?board|integrated|inside|bluetooth|wireless|wi-?fi|module|taken|occupied|reserved|hard-?wired|wired to|used by|used for|soldered|cannot be used|not usable)';

/** What is counted beside others that are there as well. */
const counting = ({ after }: Around) =>
  /^ ?(?:besides|apart from|in addition|plus|not counting|beside)\b/.test(after)
    ? 'others stand beside those that are counted'
    : undefined;

/** "UARTs: 6, one of which is used by the receiver": perhaps five are free. */
const someOfThem = ({ after }: Around) =>
  /^[^.;|\n]{0,8},? (?:(?:\d|one|two) )?(?:whereof|of which|of these|of them|of those)\b/.test(after)
    ? 'the text says what some of them are for'
    : undefined;

/** Serial ports. */
export const portRules: Rule[] = [
  rule('\\buart ?(\\d) ?= ?(?=receiver|radio|video|vtx|gps|esc|telemetry|bluetooth)', ([n]) =>
    one('takenPort', num(n), 'the page gives it a use, which may be a proposal'),
  ),
  rule(
    `\\buart ?(\\d)\\)? ?(?:is )?(?:for the |for (?=[a-z])|used (?:by|for)|taken\\b|taken by|occupied by|reserved for|listens to|(?:wired|connected|goes|tied) to)\\b`,
    ([n], around) => one('takenPort', num(n), openness(around)),
  ),
  rule(
    `\\b(?:uart|serial) ?(\\d)\\b(?![^\\n]{0,60}\\buart)(?=[^\\n.;]{0,60}\\b${inside})(?! ?\\)? ?(?:free|-? ?free))`,
    ([n], around) =>
      /\bfree\b|not broken out/.test(around.after.slice(0, 40)) ? [] : one('takenPort', num(n), openness(around)),
  ),
  rule(`\\b${inside}\\b[^\\n;\\d]{0,40}?\\buart ?(\\d)\\b`, ([n], around) =>
    /free/.test(around.text) || /^ ?(?:is |stays |remains )?free\b/.test(around.after)
      ? []
      : one('takenPort', num(n), openness(around)),
  ),
  rule(`\\b(?:takes|taken by[^\\n(]{1,40}\\()${W}uart ?(\\d)`, ([n]) => one('takenPort', num(n))),
  // "UARTs 1, 2, 3, 4 and 6"
  rule(
    `\\buarts?${W}:?${W}(\\d(?:(?:, ?| ?/ ?| | and |, and | & )(?:uart ?)?\\d){2,9})\\b(?![.,]\\d| ?(?:v|m?a|g|s|mm|x)\\b)`,
    ([list]) => {
      const ports = list!.match(/\d/g)!.map(Number);
      const rising = ports.every((n, i) => i === 0 || n > ports[i - 1]!);
      return rising ? one('claimedPorts', ports.length, 'ports that are counted out: others may be wired inside') : [];
    },
  ),
  rule(`\\buart ?(\\d)${W}(?:-|to)${W}(?:uart ?)?(\\d)\\b`, ([a, b]) =>
    num(b) > num(a) ? one('claimedPorts', num(b) - num(a) + 1) : [],
  ),
  // A list of ports with what each is for: a proposal, unless it says that it is wired inside.
  rule(
    `(?:^|(?<=\\n))[ \\t*+x-]{0,4}uart ?(\\d)[ \\t]{0,3}(?::|[ \\t]{2,20}|-)[ \\t]{0,12}([^\\n]{2,60})`,
    ([n, use]) =>
      /\b(?:receiver|esc (?:sensor|telemetry)|telemetry|gps|air unit|sbus|video|vtx|osd)\b/.test(use!) &&
      !/\bfree\b/.test(use!)
        ? one('takenPort', num(n), 'the page gives it a use, which may be a proposal')
        : [],
  ),

  rule(`\\b(\\d) ?(?:free|spare)(?: (?:hardware )?uarts?)? ?(?:\\+|and|plus) ?(\\d|one)\\b`, ([a, b]) =>
    one(
      'claimedPorts',
      num(a) + (b === 'one' ? 1 : num(b)),
      'counted together: free ones and one that is wired inside',
    ),
  ),
  rule('\\b(\\d) ?\\+ ?(\\d) (?:hardware )?(?:uarts|serial ports)\\b', ([a, b]) =>
    sane('claimedPorts', num(a) + num(b), 1, 16, 'counted together: look what the second ones are'),
  ),
  rule(`\\buarts?${W}:${W}1 ?(?:-|to) ?(\\d)\\b(?![.,]\\d)`, ([n]) =>
    sane('claimedPorts', num(n), 2, 16, 'ports that are counted out: others may be wired inside'),
  ),
  rule(`\\b(\\d{1,2}) (?:free|spare|usable) (?:hardware )?(?:uarts?|serial ports?)\\b`, ([n]) =>
    sane('claimedPorts', num(n), 1, 16, 'free ones are counted, others may be wired inside'),
  ),
  // "6 hardware serial ports: 4 on pads"
  rule(`\\b(\\d{1,2}) (?:hardware |full )?(?:uarts|serial ports): (?=\\d{1,2} (?:of|on|brought|at|are)\\b)`, ([n]) =>
    sane('claimedPorts', num(n), 1, 16),
  ),
  rule(
    `\\b(?:number of uarts?|uarts?(?: ports?)?(?: count)?(?: ?/ ?[^\\s:/|\\d]{4,20})?|uart quantity|(?:hardware )?serial(?: ports?| i/o)?)${W}(?:[:=?-](?: a:)?(?: there are)?|x${W}|:${W}x|(?<=count ?))${W}(\\d{1,2})\\b(?![.,]\\d)(?! ?(?:free|spare|volt|v\\b))`,
    ([n], around) => sane('claimedPorts', num(n), 1, 16, openness(around) ?? counting(around) ?? someOfThem(around)),
  ),
  rule(`\\b(?:uarts|serial ports?)[ \\t]{1,6}(\\d{1,2})\\b(?!${W}(?:[-,]|\\.\\d))(?! ?(?:free|spare))`, ([n]) =>
    sane('claimedPorts', num(n), 1, 16),
  ),
  rule(`\\buarts?${W}(\\d{1,2}) ?(?:pcs|pieces|ports)\\b`, ([n]) => sane('claimedPorts', num(n), 1, 16)),
  rule(`\\buarts?[ ,](\\d{1,2})(?=[ \\t]*(?:$|\\n|[,;|]| \\/ )| (?:bec|osd|baro))`, ([n], { before }) =>
    /uart ?\d/.test(before) ? [] : sane('claimedPorts', num(n), 1, 16),
  ),
  rule(
    `\\b(\\d{1,2})${W}(?:x${W})?(?:(?:full|complete|hardware|free|usable|real|independent|physical|true|separate) ){0,2}(?:pcs |groups? |sets? )?(?:uarts?(?!\\d)|(?:serial|hardware) ports?\\b|(?<=hardware )serials?(?=,|;| and| plus| \\+|$|\\n)|serial interfaces?\\b|ports? uart(?!\\d))`,
    ([n], around) => {
      const why =
        openness(around) ??
        someOfThem(around) ??
        (/\bonly rx\b|half|only (?:\d|one|two|three|four|five) (?:of them )?works?\b/.test(around.after)
          ? 'the text says that one of them is not whole'
          : undefined);
      return denied(around) || /^ ?\? ?no\b/.test(around.after) ? [] : sane('claimedPorts', num(n), 1, 16, why);
    },
  ),
  // "Q: How many UARTs are there?" and on the next line "A: It has 6."
  rule(
    `\\bhow many (?:hardware |free )?(?:uarts|serial ports)[^?\\n]{0,60}\\?[ \\t\\n]{1,4}(?:[a-z][a-z0-9]{0,12}[:.] )?(?:it has |there are |it'?s |has |you get |we count )?(\\d{1,2})\\b(?![.,]\\d)`,
    ([n], around) =>
      sane('claimedPorts', num(n), 1, 16, /\bfree\b/.test(around.text) ? 'free ones were asked for' : undefined),
  ),
  rule(
    `\\b(?:receiver|radio|module|bluetooth|video|transmitter)\\b(?:[a-z ]{0,24}\\b(?:sits|lives|hangs|is|works|runs))? on uart ?(\\d)\\b`,
    ([n], around) => one('takenPort', num(n), openness(around) ?? 'it may be a proposal'),
  ),
  rule(`\\bports?${W}:${W}(\\d{1,2}) (?:hardware )?serial\\b`, ([n]) => sane('claimedPorts', num(n), 1, 16)),
  rule(`(?:^|(?<=\\n))[ \\t]{0,3}(\\d) ports\\b|\\bports?:${W}(\\d{1,2})\\b`, ([a, b]) =>
    sane('claimedPorts', num(a ?? b), 1, 16, 'ports, without a word of what kind'),
  ),
];

export const processorRule: Rule = rule(
  '\\b(?:stm ?32 ?)?(f1|f3|f4|f7|h7|g4)(?:\\d{2}[a-z]{0,3}\\d?)?\\b',
  ([family], around) => {
    const older = /\bnot the (?:stm32)?$|\binstead of (?:the |an? )?$/.test(around.before);
    return older ? [] : one('processor', family!.toUpperCase(), openness(around));
  },
);

/** What a board carries beside its circuit. */
export const extrasRules: Rule[] = [
  rule(
    '\\b(?:baro(?:met(?:er|ric))?s?\\b(?: (?:pressure )?sensor)?|(?:air )?pressure sensor\\b|(?<=(?:^|\\n)[ \\t]{0,8})pressure(?=[ \\t]{0,8}:)|altimeter\\b)',
    (_, words) => present('barometer', words),
  ),
  rule('\\b(?:osds?|on[ -]?screen display)\\b', (_, words) =>
    /digital only/.test(words.after) ? one('overlayChip', false) : present('overlayChip', words),
  ),
  rule('\\b(?:analog(?:ue)? )?overlay(?: chip)?\\b', (_, words) => {
    if (denied(words)) return one('overlayChip', false);
    // "Overlay" is a word of other things as well: named with its chip, or as a field of its own.
    return /chip|analog/.test(words.text) ||
      /^[ \t]{0,40}[:?|]? ?(?:is )?(?:yes|fitted|✓|on[ -]?board|standard)/.test(words.after)
      ? present('overlayChip', words)
      : [];
  }),
  rule(
    `\\b(?:blackbox|flash|log(?:ging)?(?: memory)?|logger|memory|storage)(?: (?:chip|memory))?${W}[:-]?${W}(?:spi )?(?:flash)?[,: ]{0,3}(\\d{1,5}) ?(m|mb|megs?|mbyte|megabytes?|mbit|gb|kb)\\b`,
    ([v, unit], around) => storage(v, unit, around),
  ),
  rule('\\b(?:blackbox|flash|log memory)\\b', (_, words) =>
    denied(words) && !/\d ?mb?\b/.test(words.after.slice(0, 12))
      ? one('storageMb', 0, /\bsd\b|microsd|card/.test(words.line) ? 'the text speaks of a card as well' : undefined)
      : [],
  ),
  rule(`\\b${N} ?(mb|megs?|mbyte|megabytes?|mbit|gb)\\b`, ([v, unit], around) => storage(v, unit, around)),
  // "16M OSD" in the title of a listing.
  rule('\\b(8|16|32|64|128|256)m\\b(?= (?:osd|baro|usb|type|uart|\\d))', ([v], around) =>
    /\b(?:osd|baro|uart)/.test(around.line) ? one('storageMb', num(v), 'megabytes, without a word of what') : [],
  ),
  rule(`\\b(\\d{1,3}) ?m (?=flash|blackbox|memory|log)`, ([v], around) => storage(v, 'mb', around)),
  rule(
    '\\b(?:usb[ -]?c|(?:usb[ :-]{0,3})?type[ -]?c|usb(?: plug| socket| connector)?(?:[ \\t]{0,3}[:-]| is(?: an?)?)[ \\t]{0,3}c)\\b',
    (_, words) => plug('C', words),
  ),
  rule(
    '\\b(?:micro[ -]?usb|usb(?: plug| socket| connector)?(?: is(?: an?)?)?[: (-]{0,3}micro|(?<=usb\\? )micro|(?<=usb[^.\\n]{0,40})micro (?:socket|plug|port))\\b',
    (_, words) => plug('micro', words),
  ),
];

/** So little stands for the program memory of the processor: "F405, 168 MHz, 1 MB flash". */
const ofProcessor =
  /(?:\b(?:stm ?32)?[fgh][1-7](?:\d\d[a-z\d]{0,4})?|\bmcu|\bprocessor|\bcpu)[ ,;:|/(+\u0001]{1,20}(?:with |and )?$/;
const forLogs = /^[^,;|\n]{0,24}(?:blackbox|\blog|record)/;

const inMegabytes: Record<string, number> = { mbit: 1 / 8, gb: 1024, kb: 1 / 1024 };

function storage(v: string | undefined, unit: string | undefined, around: Around): Found[] {
  const n = num(v);
  if (unit === 'kb' && n < 1024) return [];
  const mb = n * (inMegabytes[unit ?? ''] ?? 1);
  if (/\b(?:program|code|firmware)\b/.test(sentenceOf(around)) && !/\blog|blackbox|flash\b/.test(sentenceOf(around)))
    return [];
  if (mb <= 2 && ofProcessor.test(around.before) && !forLogs.test(around.after)) return [];
  const bare = !/flash|blackbox|log|memory|storage|record/.test(around.line);
  return one(
    'storageMb',
    mb,
    openness(around) ??
      (bare && /^\s*$/.test(around.before.trim() + around.after.trim())
        ? 'megabytes, without a word of what'
        : undefined),
  );
}

function plug(kind: 'C' | 'micro', words: Around): Found[] {
  if (denied({ before: words.before, after: '' }) || /\bno longer $/.test(words.before) || /^ ?✗/.test(words.after))
    return [];
  if (/\b(?:(?:liked?|wish(?:ed)?|hoped?|asked) (?:to (?:see|have) )?(?:for )?(?:an? )?)$/.test(words.before))
    return [];
  if (/^,? (?:or|and|\/) (?:micro|c|type)\b/.test(words.after))
    return one('usbPlug', kind, 'one of two that are named');
  if (/^[ -]{0,2}(?:extension|cable|cord|lead|hub)\b/.test(words.after)) return [];
  const adapter =
    /\badapter\b/.test(words.before) || /^[^,;|\n]{0,12}\b(?:via|through|on|with) (?:an? )?adapter/.test(words.after)
      ? 'on an adapter'
      : undefined;
  return one('usbPlug', kind, openness(words) ?? adapter);
}
