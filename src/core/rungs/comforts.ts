import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { interval, isUnknown } from '../quantity/figure';
import { all, atLeast, flag, type Truth } from '../quantity/truth';
import { ground } from '../quantity/ground';
import type { Hookup } from '../wiring/hookup';
import { counted, list, num, type Finding } from './finding';

/** Rung 10: preferences. A missed one strains the rung; it never breaks a board. */
export function checkComforts(build: Build, board: Board, hookup: Hookup): Finding[] {
  const want = build.comforts;
  const counts = want.weights;
  const finding = (
    about: string,
    weight: number,
    truth: Truth,
    sentence: string,
    grounds: Finding['grounds'],
  ): Finding => {
    let state: 'unknown' | 'holds' | 'strained';
    if (truth === 'yes') state = 'holds';
    else if (truth === 'no') state = 'strained';
    else state = 'unknown';
    return {
      rung: 10,
      state,
      code: 'wish',
      about,
      sentence,
      grounds,
      counts: weight,
    };
  };
  const yesNo = (truth: Truth, yes: string, no: string, unknown: string) => ({ yes, no, unknown })[truth];
  const found: Finding[] = [];
  found.push(...processor(board, hookup));
  if (want.barometer) {
    const t = flag(board.barometer);
    found.push(
      finding(
        'Barometer',
        counts.barometer,
        t,
        yesNo(t, 'A barometer is on board.', 'There is no barometer.', 'Nobody says whether there is a barometer.'),
        [ground('Barometer', board.barometer)],
      ),
    );
  }
  if (want.compass) {
    const figure = board.compass ?? { unknown: true as const };
    const t = flag(figure);
    found.push(
      finding(
        'Compass',
        counts.compass,
        t,
        yesNo(t, 'A compass is on board.', 'There is no compass.', 'Nobody says whether there is a compass.'),
        [ground('Compass', figure)],
      ),
    );
  }
  if (want.storageMb > 0) {
    const t = atLeast(interval(board.storageMb), { low: want.storageMb, high: want.storageMb });
    const given = num(interval(board.storageMb).low, 0);
    found.push(
      finding(
        'Storage',
        counts.storage,
        t,
        yesNo(
          t,
          `${given} MB for logs.`,
          `${given} MB for logs, ${num(want.storageMb, 0)} MB wanted.`,
          'Nobody says how much it can log.',
        ),
        [ground('Storage', board.storageMb, 'MB')],
      ),
    );
  }
  if (want.quietGyro) {
    // The other school takes a newer, noisier part and mounts it soft.
    const soft = build.policies.gyro === 'newer part' ? flag(board.mounting.softIsolators) : 'no';
    let t: Truth;
    if (isUnknown(board.gyroNoise)) t = 'unknown';
    else if (board.gyroNoise.value === 'high') t = soft;
    else t = 'yes';
    found.push(
      finding(
        'Gyro',
        counts.gyro,
        t,
        yesNo(
          t,
          !isUnknown(board.gyroNoise) && board.gyroNoise.value === 'high'
            ? 'The gyro is sensitive, but the board is mounted soft.'
            : 'The gyro stands noise well.',
          'The gyro is sensitive to noise: mount it soft.',
          'Nobody says how the gyro stands noise.',
        ),
        [ground('Gyro noise', board.gyroNoise)],
      ),
    );
  }
  if (want.sparePorts > 0) {
    const t: Truth = hookup.freePorts >= want.sparePorts ? 'yes' : 'no';
    found.push(
      finding(
        'Spare ports',
        counts['spare ports'],
        t,
        `${counted(hookup.freePorts, 'port')} ${hookup.freePorts === 1 ? 'stays' : 'stay'} free, ${want.sparePorts} wanted for later.`,
        [],
      ),
    );
  }
  if (want.plugs) {
    const t: Truth = board.plugs.length > 0 ? 'yes' : 'no';
    found.push(
      finding(
        'Plugs',
        counts.plugs,
        t,
        yesNo(
          t,
          `The board has ${counted(board.plugs.length, 'plug')}.`,
          'Everything is soldered: the board has no plugs.',
          '',
        ),
        [],
      ),
    );
  }
  if (want.topSide) {
    const used = new Set(
      hookup.parts.flatMap((p) => [
        ...p.links.flatMap((l) => l.pads.map((x) => x.pad)),
        ...p.supplies.flatMap((s) => s.pads),
      ]),
    );
    const under = board.pads.filter((p) => p.face === 'bottom' && used.has(p.id));
    const t: Truth = under.length === 0 ? 'yes' : 'no';
    found.push(
      finding(
        'Top side',
        counts['top side'],
        t,
        yesNo(
          t,
          'Nothing is soldered on the underside.',
          `Needed on the underside: ${counted(under.length, 'pad')} (${list(under.slice(0, 3).map((p) => p.label))}).`,
          '',
        ),
        [],
      ),
    );
  }
  if (want.buttonReach) {
    let t: Truth;
    if (!board.buttonSide) t = 'unknown';
    else if (build.frame.openSides.includes(board.buttonSide)) t = 'yes';
    else t = 'no';
    found.push(
      finding(
        'Button',
        counts.button,
        t,
        yesNo(
          t,
          'The button can be reached.',
          'The button is behind a closed side.',
          'Nobody says where the button is.',
        ),
        [],
      ),
    );
  }
  if (build.policies.batteryLeads === 'first') {
    const t = leadsFirst(board);
    found.push(
      finding(
        'Pack leads',
        1,
        t,
        yesNo(
          t,
          'Pack leads may be soldered first: nothing here draws the heat away.',
          'Pack leads soldered first would draw the heat away from every later joint: its pack pads have no thermal relief.',
          'Nobody says whether its pack pads have thermal relief, and the pack leads are to be soldered first.',
        ),
        [],
      ),
    );
  }
  return found.length > 0 ? found : [finding('Comforts', 1, 'yes', 'No preferences are set.', [])];
}

/** A board without pack pads gets its pack from a power board; else its pads want thermal relief. */
function leadsFirst(board: Board): Truth {
  const pads = board.rails
    .filter((r) => r.source.kind === 'pack')
    .flatMap((r) => r.pads.flatMap((id) => board.pads.filter((p) => p.id === id)));
  return all(
    pads.map((p): Truth => {
      if (p.relief === undefined) return 'unknown';
      if (p.relief) return 'yes';
      return 'no';
    }),
  );
}

/** Serial links that an older processor serves with ease, beside its motors and its overlay: our own choice, no source. */
const easyLinks = 5;

/** Families whose support may have ended, and one that is asked for much; a board whose firmware is known to be brought up to date is not asked. */
function processor({ processor: figure, firmware }: Board, { parts }: Hookup): Finding[] {
  if (isUnknown(figure)) return [];
  const supported = firmware ? flag(firmware.supported) : 'unknown';
  const say = (sentence: string, fix?: string): Finding[] => [
    {
      rung: 10,
      state: 'strained',
      code: 'processor',
      about: 'Processor',
      sentence,
      ...(fix ? { fix } : {}),
      grounds: [
        ground('Processor', figure),
        ...(firmware ? [ground('Still brought up to date', firmware.supported)] : []),
      ],
    },
  ];
  if (supported === 'no') return say('Its firmware is no longer brought up to date.');
  const old = figure.value === 'F1' || figure.value === 'F3';
  if (old && supported === 'unknown')
    return say(
      `The ${figure.value} family is among the oldest: its support may have ended.`,
      'Ask the seller which firmware target it takes and whether that is still brought up to date.',
    );
  const links = parts.flatMap((p) => p.links).filter((l) => l.link.kind === 'serial').length;
  if ((old || figure.value === 'F4') && links > easyLinks)
    return say(`${links} serial links are much for the ${figure.value} family: it has little headroom left for more.`);
  return [];
}
