import type { Board } from '../model/board';
import type { Build } from '../model/build';
import { interval, isKnown } from '../model/figure';
import { all, atLeast, type Truth } from '../model/truth';
import { ground } from '../hookup/ground';
import { capacitorVolts } from '../trade/capacitor';
import { packSwing } from '../trade/cell';
import { comfort } from '../trade/comfort';
import { meetings } from '../trade/harness';
import { ratingShare } from '../trade/rating';
import { carriesAmps, dropVolts } from '../trade/wire';
import { counted, list, marginOf, num, onlySpare, stateOf, stateWithin, type Finding } from './finding';

const exactly = (n: number) => ({ low: n, high: n });

/** Rung 3: enough ESC channels or motor outputs, and amps for cruise and for full throttle. */
export function checkMotors(build: Build, board: Board): Finding[] {
  const { motors } = build;
  if (motors.count === 0) return [{ rung: 3, state: 'holds', about: 'Motors', sentence: 'The build has no motors on the board.', grounds: [] }];
  if (motors.esc === 'separate') return [outputs(build, board), ...ownEsc(build, board), ...sensor(build, board), ...leads(build, board)];
  if (!board.esc) {
    return [
      {
        rung: 3,
        state: 'breaks',
        about: 'ESC channels',
        sentence: `The build counts on ESCs on the board for ${counted(motors.count, 'motor')}; this board has none.`,
        needed: counted(motors.count, 'channel'),
        given: 'none',
        grounds: [],
        fix: 'A separate four-in-one ESC under the board: set the build to separate ESCs and add its price and mass.',
      },
    ];
  }
  return [channels(build, board.esc, 'the board'), cruise(build, board.esc), peak(build, board.esc), ...padLimit(build, board), ...sensor(build, board), ...leads(build, board)];
}

function outputs(build: Build, board: Board): Finding {
  const there = board.outputs.filter((o) => o.can.includes('motor')).length;
  const { count } = build.motors;
  return {
    rung: 3,
    state: there >= count ? 'holds' : 'breaks',
    about: 'Motor outputs',
    sentence: `${count === 1 ? 'The separate ESC needs a motor output' : `${count} separate ESCs need a motor output each`}; the board has ${there}.`,
    needed: counted(count, 'output'),
    given: counted(there, 'output'),
    grounds: [],
  };
}

/** The figures of an ESC, on the board or the buyer's own. */
type EscFigures = Pick<NonNullable<Board['esc']>, 'continuousAmps' | 'burstAmps' | 'burstSeconds' | 'channels'>;

function channels(build: Build, esc: EscFigures, whose: string): Finding {
  const figure = esc.channels;
  const truth = atLeast(interval(figure), exactly(build.motors.count));
  return {
    rung: 3,
    state: stateOf(truth),
    about: 'ESC channels',
    sentence: `${counted(build.motors.count, 'motor')} ${build.motors.count === 1 ? 'needs a channel' : 'need a channel each'}; ${isKnown(figure) ? `${whose} has ${num(interval(figure).low, 0)}` : `nobody says how many ${whose} has`}.`,
    needed: counted(build.motors.count, 'channel'),
    given: counted(interval(figure).low, 'channel'),
    grounds: [ground('ESC channels', figure)],
  };
}

function cruise(build: Build, esc: EscFigures): Finding {
  const figure = esc.continuousAmps;
  const share = ratingShare(figure, build.policies.ratedAmps);
  const rated = interval(figure);
  const usable = { low: rated.low * share, high: rated.high * share };
  const margin = marginOf(usable.low, build.motors.cruiseAmps);
  const truth = atLeast(usable, exactly(build.motors.cruiseAmps));
  const state = stateWithin(truth, margin, comfort.motors);
  const derated = share === 1 ? '' : ` (${num(rated.low)} A x ${num(share * 100, 0)} %)`;
  return {
    rung: 3,
    state,
    about: 'Cruise current',
    sentence: isKnown(figure)
      ? `Each motor cruises at ${num(build.motors.cruiseAmps)} A; a channel carries ${num(usable.low)} A${derated} without end${onlySpare(state, margin)}.`
      : `Each motor cruises at ${num(build.motors.cruiseAmps)} A; nobody says what a channel carries.`,
    needed: `${num(build.motors.cruiseAmps)} A`,
    given: isKnown(figure) ? `${num(usable.low)} A` : 'unknown',
    ...(margin === undefined ? {} : { margin }),
    grounds: [ground('Continuous rating', figure, 'A')],
  };
}

/** Burst amps count only for their stated seconds; beyond, or by policy, the continuous rating must carry the peak. */
function peak(build: Build, { continuousAmps, burstAmps, burstSeconds }: EscFigures): Finding {
  const { peakAmps, peakSeconds } = build.motors;
  const byContinuous = atLeast(interval(continuousAmps), exactly(peakAmps));
  const byBurst: Truth =
    build.policies.burst === 'ignored' ? 'no' : all([atLeast(interval(burstAmps), exactly(peakAmps)), atLeast(interval(burstSeconds), exactly(peakSeconds))]);
  const truth: Truth = byContinuous === 'yes' || byBurst === 'yes' ? 'yes' : byContinuous === 'no' && byBurst === 'no' ? 'no' : 'unknown';
  const useBurst = byContinuous !== 'yes' && build.policies.burst !== 'ignored';
  const given = interval(useBurst ? burstAmps : continuousAmps).low;
  const margin = marginOf(given, peakAmps);
  const state = stateWithin(truth, margin, comfort.motors);
  const said = (f: typeof burstAmps, digits = 1) => (isKnown(f) ? num(interval(f).low, digits) : 'an unknown number of');
  const words = useBurst ? `${said(burstAmps)} A for ${said(burstSeconds, 0)} s` : `${said(continuousAmps)} A without end`;
  const ignored = build.policies.burst === 'ignored' && byContinuous !== 'yes' ? ' Burst ratings are ignored by policy.' : '';
  return {
    rung: 3,
    state,
    about: 'Full throttle',
    sentence: `Full throttle draws ${num(peakAmps)} A a motor for up to ${num(peakSeconds, 0)} s; a channel gives ${words}${onlySpare(state, margin)}.${ignored}`,
    needed: `${num(peakAmps)} A for ${num(peakSeconds, 0)} s`,
    given: words,
    ...(margin === undefined ? {} : { margin }),
    grounds: [ground('Continuous rating', continuousAmps, 'A'), ground('Burst rating', burstAmps, 'A'), ground('Burst time', burstSeconds, 's')],
  };
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
      about: 'Motor pads',
      sentence: `Full throttle puts ${num(build.motors.peakAmps)} A through each motor pad; ${isKnown(figure) ? `the pads carry ${num(interval(figure).low)} A${onlySpare(state, margin)}` : 'nobody says what the pads carry'}.`,
      needed: `${num(build.motors.peakAmps)} A`,
      given: isKnown(figure) ? `${num(interval(figure).low)} A` : 'unknown',
      ...(margin === undefined ? {} : { margin }),
      grounds: [ground('Motor pads carry', figure, 'A')],
    },
  ];
}

/** The buyer's own ESC: its channels, amps and cells, the order of its plug, and the way of its current through the board's shunt. */
function ownEsc(build: Build, board: Board): Finding[] {
  const esc = build.motors.ownEsc;
  if (!esc) return [];
  const figures: EscFigures = { ...esc, channels: { value: esc.channels, origin: 'manual' } };
  const cells = atLeast(interval(esc.maxCells), exactly(build.pack.cells));
  return [
    channels(build, figures, esc.name),
    cruise(build, figures),
    peak(build, figures),
    {
      rung: 3,
      state: stateOf(cells),
      about: 'ESC cells',
      sentence: `The pack has ${counted(build.pack.cells, 'cell')}; ${isKnown(esc.maxCells) ? `${esc.name} takes ${num(interval(esc.maxCells).low, 0)}` : `nobody says how many ${esc.name} takes`}.`,
      needed: counted(build.pack.cells, 'cell'),
      given: counted(interval(esc.maxCells).low, 'cell'),
      grounds: [ground('Most cells of the ESC', esc.maxCells)],
    },
    ...harness(build, board),
    ...shunt(build, board),
  ];
}

/** Pin by pin: what would meet what if the ESC's harness were plugged straight in. */
function harness(build: Build, board: Board): Finding[] {
  const pins = build.motors.ownEsc!.pins;
  const own = board.escPlug?.pins ?? [];
  if (pins.length === 0) return [];
  if (own.length === 0) return [{ rung: 3, state: 'strained', about: 'ESC harness', sentence: 'The board has no plug for a four-in-one ESC: its wires are soldered one by one.', grounds: [] }];
  const meets = meetings(own, pins);
  if (meets.length === 0) return [{ rung: 3, state: 'holds', about: 'ESC harness', sentence: 'Both ends of the ESC harness have the same pin order.', grounds: [] }];
  const burns = meets.filter((m) => m.burns);
  const first = (burns.length > 0 ? burns : meets).slice(0, 2).map((m) => `${m.board} would meet ${m.esc}`);
  return [
    {
      rung: 3,
      state: 'strained',
      about: 'ESC harness',
      sentence: `The pin orders differ at ${counted(meets.length, 'pin')}. Plugged straight, ${list(first)}${burns.length > 0 ? ': that burns a board' : ''}. Re-pin the plug first; the build sheet has the table.`,
      needed: own.join(' '),
      given: pins.join(' '),
      grounds: [],
    },
  ];
}

/** An all-in-one's own shunt senses a separate ESC only if the ESC's current runs through it, within what trace and pads carry. */
function shunt(build: Build, board: Board): Finding[] {
  if (!board.currentSensor || board.kind !== 'all-in-one') return [];
  if (build.policies.currentSensing === 'none') return [{ rung: 3, state: 'strained', about: 'Current sensing', sentence: 'By policy the pack goes straight to the ESC: the board senses no current.', grounds: [] }];
  const total = build.motors.count * build.motors.peakAmps;
  const through = board.currentSensor.throughAmps;
  const truth: Truth = through ? atLeast(interval(through), exactly(total)) : 'unknown';
  const heat = board.currentSensor.shuntMilliohm && isKnown(board.currentSensor.shuntMilliohm) ? (interval(board.currentSensor.shuntMilliohm).high / 1000) * total ** 2 : null;
  const says = through && isKnown(through) ? `trace and pads carry ${num(interval(through).low, 0)} A` : 'nobody says what trace and pads carry';
  return [
    {
      rung: 3,
      state: truth === 'yes' ? 'holds' : truth === 'no' ? 'strained' : 'unknown',
      about: 'Current sensing',
      sentence: `To be sensed, ${num(total, 0)} A must run through the board's shunt and back on an equal ground wire; ${says}${truth === 'no' ? ', so go straight to the ESC and lose sensing' : ''}${heat === null ? '' : `; the shunt burns ${num(heat)} W at that`}.`,
      needed: `${num(total, 0)} A`,
      given: through && isKnown(through) ? `${num(interval(through).low, 0)} A` : 'unknown',
      grounds: through ? [ground('Through the shunt', through, 'A')] : [],
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
    findings.push({
      rung: 3,
      state: capacitor.volts >= wanted ? 'holds' : capacitor.volts > full ? 'strained' : 'breaks',
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
    findings.push({
      rung: 3,
      state: carries < steady ? 'breaks' : 3 * carries < peakTotal ? 'strained' : 'holds',
      about: 'Pack leads',
      sentence: `The leads are ${gauge} AWG: good for ${num(carries, 0)} A steady by the usual table; the motors cruise at ${num(steady, 0)} A and peak at ${num(peakTotal, 0)} A, when ${num(build.pack.leadMm, 0)} mm out and back lose ${num(lost, 2)} V.`,
      needed: `${num(steady, 0)} A`,
      given: `${num(carries, 0)} A`,
      grounds: [],
    });
  }
  return findings;
}

/** A sensor that ends below the full draw still flies, but under-reads. */
function sensor(build: Build, board: Board): Finding[] {
  if (!board.currentSensor || build.policies.currentSensing === 'none') return [];
  const figure = board.currentSensor.fullScaleAmps;
  const total = build.motors.count * build.motors.peakAmps;
  const truth = atLeast(interval(figure), exactly(total));
  return [
    {
      rung: 3,
      state: truth === 'no' ? 'strained' : stateOf(truth),
      about: 'Current sensor',
      sentence: `All motors together peak at ${num(total, 0)} A; ${isKnown(figure) ? `the sensor reads up to ${num(interval(figure).low, 0)} A${truth === 'no' ? ', so it under-reads at full throttle' : ''}` : 'nobody says how far the sensor reads'}.`,
      needed: `${num(total, 0)} A`,
      given: `${num(interval(figure).low, 0)} A`,
      grounds: [ground('Sensor full scale', figure, 'A')],
    },
  ];
}
