import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { exactly, interval, isKnown } from '../quantity/figure';
import { atLeast } from '../quantity/truth';
import { ground } from '../quantity/ground';
import { capacitorVolts } from '../trade/capacitor';
import { packSwing } from '../trade/cell';
import { comfort } from '../trade/comfort';
import { carriesAmps, dropVolts } from '../trade/wire';
import { checkSensing } from './current-sensing';
import { escAgainstMotors } from './esc-amps';
import { counted, marginOf, num, onlySpare, stateWithin, type Finding } from './finding';
import { separateEscs } from './separate-esc';

const separate = 'Set the build to separate ESCs (Pack and motors), and add their price and mass.';

/** Rung 3: enough ESC channels or motor outputs, and amps for cruise and for full throttle. */
export function checkMotors(build: Build, board: Board): Finding[] {
  const { motors } = build;
  if (motors.count === 0)
    return [
      {
        rung: 3,
        state: 'holds',
        code: 'motors',
        about: 'Motors',
        sentence: 'The build has no motors on the board.',
        grounds: [],
      },
    ];
  if (motors.esc === 'separate')
    return [...separateEscs(build, board), ...checkSensing(build, board), ...leads(build, board)];
  if (!board.esc) {
    return [
      {
        rung: 3,
        state: 'breaks',
        code: 'esc channels',
        about: 'ESC channels',
        sentence: `The build counts on ESCs on the board for ${counted(motors.count, 'motor')}; this board has none.`,
        needed: counted(motors.count, 'channel'),
        given: 'none',
        grounds: [],
        fix: separate,
      },
    ];
  }
  return [
    ...escAgainstMotors(build, board.esc, 'the board', separate),
    ...padLimit(build, board),
    ...checkSensing(build, board),
    ...leads(build, board),
  ];
}

/** Corner and motor pads may carry less than the transistors behind them. */
function padLimit(build: Build, board: Board): Finding[] {
  const figure = board.esc?.padAmps;
  if (!figure) return [];
  const truth = atLeast(interval(figure), exactly(build.motors.peakAmps));
  const margin = marginOf(interval(figure).low, build.motors.peakAmps);
  const state = stateWithin(truth, margin, comfort.motors);
  return [
    {
      rung: 3,
      state,
      code: 'motor pads',
      about: 'Motor pads',
      sentence: `Full throttle puts ${num(build.motors.peakAmps)} A through each motor pad; ${isKnown(figure) ? `the pads carry ${num(interval(figure).low)} A${onlySpare(state, margin)}` : 'nobody says what the pads carry'}.`,
      needed: `${num(build.motors.peakAmps)} A`,
      given: isKnown(figure) ? `${num(interval(figure).low)} A` : 'unknown',
      ...(margin === undefined ? {} : { margin }),
      grounds: [ground('Motor pads carry', figure, 'A')],
    },
  ];
}

/** Capacitor and leads at the pack: rated volts above the full pack with a fifth to spare, gauge for the cruise current. Common practice, no source. */
function leads(build: Build, board: Board): Finding[] {
  const full = packSwing(build.pack).high;
  const capacitor = build.capacitor ?? board.capacitor;
  const findings: Finding[] = [];
  const wanted = capacitorVolts(full);
  if (capacitor) {
    let state: 'holds' | 'strained' | 'breaks';
    if (capacitor.volts >= wanted) state = 'holds';
    else if (capacitor.volts > full) state = 'strained';
    else state = 'breaks';
    findings.push({
      rung: 3,
      state,
      code: 'capacitor',
      about: 'Capacitor',
      sentence: `The pack reaches ${num(full, 1)} V; the capacitor of ${num(capacitor.microfarads, 0)} uF is rated ${num(capacitor.volts, 0)} V${capacitor.volts >= wanted ? '' : `, ${wanted} V is usual on this pack`}.`,
      needed: `${wanted} V`,
      given: `${num(capacitor.volts, 0)} V`,
      grounds: [],
    });
  }
  const gauge = build.pack.leadGauge;
  const carries = gauge === undefined ? null : carriesAmps(gauge);
  if (gauge !== undefined && carries !== null) {
    const steady = build.motors.count * build.motors.cruiseAmps;
    const peakTotal = build.motors.count * build.motors.peakAmps;
    const lost = dropVolts(gauge, build.pack.leadMm, peakTotal);
    let state: 'breaks' | 'strained' | 'holds';
    if (carries < steady) state = 'breaks';
    else if (3 * carries < peakTotal) state = 'strained';
    else state = 'holds';
    findings.push({
      rung: 3,
      state,
      code: 'pack leads',
      about: 'Pack leads',
      sentence: `The leads are ${gauge} AWG: good for ${num(carries, 0)} A steady by the usual table; the motors cruise at ${num(steady, 0)} A and peak at ${num(peakTotal, 0)} A, when ${num(build.pack.leadMm, 0)} mm out and back lose ${num(lost, 2)} V.`,
      needed: `${num(steady, 0)} A`,
      given: `${num(carries, 0)} A`,
      grounds: [],
    });
  }
  return findings;
}
