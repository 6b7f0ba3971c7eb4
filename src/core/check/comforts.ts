import type { Board } from '../model/board';
import type { Build } from '../model/build';
import { interval, isUnknown } from '../model/figure';
import { atLeast, flag, type Truth } from '../model/truth';
import { ground } from '../hookup/ground';
import type { Hookup } from '../hookup/hookup';
import { num, type Finding } from './finding';

/** Rung 10: preferences. A missed one strains the rung; it never breaks a board. */
export function checkComforts(build: Build, board: Board, hookup: Hookup): Finding[] {
  const want = build.comforts;
  const finding = (about: string, truth: Truth, sentence: string, grounds: Finding['grounds']): Finding => ({
    rung: 10,
    state: truth === 'yes' ? 'holds' : truth === 'no' ? 'strained' : 'unknown',
    about,
    sentence,
    grounds,
  });
  const yesNo = (truth: Truth, yes: string, no: string, unknown: string) => ({ yes, no, unknown })[truth];
  const found: Finding[] = [];
  if (want.barometer) {
    const t = flag(board.barometer);
    found.push(finding('Barometer', t, yesNo(t, 'A barometer is on board.', 'There is no barometer.', 'Nobody says whether there is a barometer.'), [ground('Barometer', board.barometer)]));
  }
  if (want.storageMb > 0) {
    const t = atLeast(interval(board.storageMb), { low: want.storageMb, high: want.storageMb });
    const given = num(interval(board.storageMb).low, 0);
    found.push(finding('Storage', t, yesNo(t, `${given} MB for logs.`, `${given} MB for logs, ${num(want.storageMb, 0)} MB wanted.`, 'Nobody says how much it can log.'), [ground('Storage', board.storageMb, 'MB')]));
  }
  if (want.quietGyro) {
    const t: Truth = isUnknown(board.gyroNoise) ? 'unknown' : board.gyroNoise.value === 'high' ? 'no' : 'yes';
    found.push(finding('Gyro', t, yesNo(t, 'The gyro stands noise well.', 'The gyro is sensitive to noise: mount it soft.', 'Nobody says how the gyro stands noise.'), [ground('Gyro noise', board.gyroNoise)]));
  }
  if (want.sparePorts > 0) {
    const t: Truth = hookup.freePorts >= want.sparePorts ? 'yes' : 'no';
    found.push(finding('Spare ports', t, `${hookup.freePorts} ports stay free, ${want.sparePorts} wanted for later.`, []));
  }
  return found.length > 0 ? found : [finding('Comforts', 'yes', 'No preferences are set.', [])];
}
