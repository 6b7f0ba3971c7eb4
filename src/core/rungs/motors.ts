import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { exactly, interval, isKnown } from '../quantity/figure';
import { atLeast } from '../quantity/truth';
import { ground } from '../quantity/ground';
import { planGrounds } from '../figures/plan-figures';
import { capacitorVolts } from '../trade/capacitor';
import { wantedCapacitor } from '../circuit/esc-capacitor';
import { motorAmps, packsOf, packVolts } from '../circuit/packs';
import { plugFamily } from '../trade/plug';
import { carriesAmps, dropVolts, settlesAtCelsius, sleeveMostCelsius } from '../trade/wire';
import { checkSensing } from './current-sensing';
import { escAgainstMotors, padLimit } from './esc-amps';
import { counted, num } from '../quantity/spelled';
import { stateOf, type Finding } from './finding';
import type { Advice } from './says/advice';
import { separateEscs } from './separate-esc';

const separate: Advice = { code: 'separate ESCs' };

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
        says: { code: 'no motors' },
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
        says: { code: 'no ESC on the board', motors: motors.count },
        needed: counted(motors.count, 'channel'),
        given: 'none',
        grounds: [],
        fix: separate,
      },
    ];
  }
  return [
    ...escAgainstMotors(build, board.esc, 'the board', separate),
    ...padLimit(build, board.esc.padAmps),
    ...checkSensing(build, board),
    ...leads(build, board),
  ];
}

/** Capacitor and leads at the pack: rated volts above the full pack with a fifth to spare, gauge for the cruise current. Common practice, no source. */
function leads(build: Build, board: Board): Finding[] {
  const full = packVolts(build).high;
  const capacitor = build.capacitor ?? board.capacitor;
  const findings: Finding[] = [];
  const wanted = capacitorVolts(full);
  if (capacitor) {
    let state: 'holds' | 'strained' | 'breaks';
    const wants = wantedCapacitor(build, board);
    const small = isKnown(wants) && capacitor.microfarads < interval(wants).high;
    if (capacitor.volts <= full) state = 'breaks';
    else if (capacitor.volts < wanted || small) state = 'strained';
    else state = 'holds';
    findings.push({
      rung: 3,
      state,
      code: 'capacitor',
      about: 'Capacitor',
      says: {
        code: 'capacitor',
        packVolts: full,
        microfarads: capacitor.microfarads,
        ratedVolts: capacitor.volts,
        usualVolts: wanted,
        asksMicrofarads: small ? interval(wants).high : null,
      },
      needed: `${wanted} V`,
      given: `${num(capacitor.volts, 0)} V`,
      grounds: wants ? [ground('The ESC asks for', wants, 'uF')] : [],
    });
  }
  return [
    ...findings,
    ...packsOf(build).flatMap((pack) => [
      ...packLeads(build, pack),
      ...packPlug(build, pack),
      ...packAmps(build, pack),
    ]),
  ];
}

type Pack = Build['pack'];

const drawGrounds = (build: Build) => planGrounds(build, 'cruise amps', 'peak amps', 'amps at volts');

/** What all motors draw together: cruising, and at full throttle. */
function drawn(build: Build): { steady: number; peak: number } {
  const { cruise, peak } = motorAmps(build);
  return { steady: build.motors.count * cruise, peak: build.motors.count * peak };
}

/** The usual table is a rule of thumb: beyond it leads are strained. Beyond what their sleeve stands, they break. */
function packLeads(build: Build, pack: Pack): Finding[] {
  const { leadGauge: gauge, leadMm } = pack;
  if (gauge === undefined) return [];
  const { steady, peak } = drawn(build);
  const carries = carriesAmps(gauge);
  const celsius = settlesAtCelsius(gauge, steady);
  let state: 'breaks' | 'strained' | 'holds' = 'holds';
  if (celsius > sleeveMostCelsius) state = 'breaks';
  else if (carries < steady || 3 * carries < peak) state = 'strained';
  return [
    {
      rung: 3,
      state,
      code: 'pack leads',
      about: 'Pack leads',
      says: {
        code: 'pack leads',
        gauge,
        carriesAmps: carries,
        cruiseAmps: steady,
        peakAmps: peak,
        mm: leadMm,
        lostVolts: dropVolts(gauge, leadMm, peak),
        celsius: carries < steady ? celsius : null,
      },
      needed: `${num(steady, 0)} A`,
      given: `${num(carries, 0)} A`,
      grounds: drawGrounds(build),
    },
  ];
}

/** For a full-throttle stretch a pack plug carries about three times what it carries for long: data sheets of the common families, from memory. */
const plugForMoments = 3;

function packPlug(build: Build, pack: Pack): Finding[] {
  const { connector } = pack;
  const family = connector === undefined ? null : plugFamily(connector);
  if (!family) return [];
  const { steady, peak } = drawn(build);
  const amps = family.ampsPerPin;
  const momentAmps = plugForMoments * amps;
  let state: 'breaks' | 'strained' | 'holds' = 'holds';
  if (steady > amps) state = 'breaks';
  else if (peak > momentAmps) state = 'strained';
  return [
    {
      rung: 3,
      state,
      code: 'pack plug',
      about: 'Pack plug',
      says: { code: 'pack plug', plug: connector!, amps, momentAmps, cruiseAmps: steady, peakAmps: peak },
      needed: `${num(steady, 0)} A`,
      given: `${num(amps, 0)} A`,
      grounds: drawGrounds(build),
    },
  ];
}

/** What the pack itself gives without end. */
function packAmps(build: Build, pack: Pack): Finding[] {
  const figure = pack.mostAmps;
  if (!figure || !isKnown(figure)) return [];
  const { steady, peak } = drawn(build);
  const gives = interval(figure);
  const cruising = atLeast(gives, exactly(steady));
  let state = stateOf(cruising);
  if (cruising === 'yes' && gives.low < peak) state = 'strained';
  return [
    {
      rung: 3,
      state,
      code: 'pack amps',
      about: 'Pack amps',
      says: { code: 'pack amps', gives: gives.low, cruiseAmps: steady, peakAmps: peak },
      needed: `${num(steady, 0)} A`,
      given: `${num(gives.low, 0)} A`,
      grounds: [...drawGrounds(build), ground('The pack gives', figure, 'A')],
    },
  ];
}
