import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { interval, isUnknown } from '../quantity/figure';
import { all, atLeast, flag, type Truth } from '../quantity/truth';
import { ground } from '../quantity/ground';
import type { Hookup } from '../wiring/hookup';
import type { Advice } from './says/advice';
import type { ComfortSays } from './says/comfort-says';
import { type Finding } from './finding';

/** Rung 10: preferences. A missed one strains the rung; it never breaks a board. */
export function checkComforts(build: Build, board: Board, hookup: Hookup): Finding[] {
  const want = build.comforts;
  const counts = want.weights;
  const finding = (
    about: string,
    weight: number,
    truth: Truth,
    says: ComfortSays,
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
      says,
      grounds,
      counts: weight,
    };
  };
  const found: Finding[] = [];
  found.push(...processor(board, hookup));
  if (want.barometer) {
    const t = flag(board.barometer);
    found.push(
      finding('Barometer', counts.barometer, t, { code: 'on board', what: 'barometer', there: t }, [
        ground('Barometer', board.barometer),
      ]),
    );
  }
  if (want.compass) {
    const figure = board.compass ?? { unknown: true as const };
    const t = flag(figure);
    found.push(
      finding('Compass', counts.compass, t, { code: 'on board', what: 'compass', there: t }, [
        ground('Compass', figure),
      ]),
    );
  }
  if (want.storageMb > 0) {
    const t = atLeast(interval(board.storageMb), { low: want.storageMb, high: want.storageMb });
    found.push(
      finding(
        'Storage',
        counts.storage,
        t,
        { code: 'storage', givenMb: interval(board.storageMb).low, wantedMb: want.storageMb, enough: t },
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
        { code: 'gyro', quiet: t, mountedSoft: !isUnknown(board.gyroNoise) && board.gyroNoise.value === 'high' },
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
        { code: 'spare ports', free: hookup.freePorts, wanted: want.sparePorts },
        [],
      ),
    );
  }
  if (want.plugs) {
    const t: Truth = board.plugs.length > 0 ? 'yes' : 'no';
    found.push(finding('Plugs', counts.plugs, t, { code: 'plugs', count: board.plugs.length }, []));
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
      finding('Top side', counts['top side'], t, { code: 'underside', labels: under.map((p) => p.label) }, []),
    );
  }
  if (want.buttonReach) {
    let t: Truth;
    if (!board.buttonSide) t = 'unknown';
    else if (build.frame.openSides.includes(board.buttonSide)) t = 'yes';
    else t = 'no';
    found.push(finding('Button', counts.button, t, { code: 'button', reached: t }, []));
  }
  if (build.policies.batteryLeads === 'first') {
    const t = leadsFirst(board);
    found.push(finding('Pack leads', 1, t, { code: 'pack leads first', able: t }, []));
  }
  return found.length > 0 ? found : [finding('Comforts', 1, 'yes', { code: 'no wishes' }, [])];
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
  const say = (says: ComfortSays, fix?: Advice): Finding[] => [
    {
      rung: 10,
      state: 'strained',
      code: 'processor',
      about: 'Processor',
      says,
      ...(fix ? { fix } : {}),
      grounds: [
        ground('Processor', figure),
        ...(firmware ? [ground('Still brought up to date', firmware.supported)] : []),
      ],
    },
  ];
  if (supported === 'no') return say({ code: 'firmware ended' });
  const old = figure.value === 'F1' || figure.value === 'F3';
  if (old && supported === 'unknown')
    return say({ code: 'old processor', family: figure.value }, { code: 'ask which firmware' });
  const links = parts.flatMap((p) => p.links).filter((l) => l.link.kind === 'serial').length;
  if ((old || figure.value === 'F4') && links > easyLinks)
    return say({ code: 'many serial links', links, family: figure.value });
  return [];
}
