import { flag } from '../quantity/truth';
import { cablesOf, cableWords, type Cable } from './cables';
import { plainMarkdown } from './markdown';
import { mind, misleading } from './mind';
import { motorMap, type MotorMap } from './motor-map';
import { pictureRows, setUp } from './set-up';
import { byReason, type Step } from './step';
import { turnsInside } from '../wiring/reason';
import type { Climb } from '../evaluate/climb';
import { currentIsSensed } from '../rungs/current-sensing';
import { num } from '../quantity/spelled';
import { stackLines } from '../rungs/frame';
import { arranged } from '../sets/arranged';
import { bought } from '../sets/roles';
import { lieOf, yawOffset } from '../circuit/turn';
import { wireList, type Wire } from '../bill/wire-list';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { interval, isKnown, isUnknown, originOf } from '../quantity/figure';
import { packVolts } from '../circuit/packs';
import { meetings, type Meeting } from '../trade/harness';
import { protocols, softSerialMaxBaud } from '../trade/protocol';

export interface PortSetting {
  port: string;
  part: string;
  function: string;
  sense: string;
  duplex: string;
  baud: string;
}

export interface BuildSheet {
  title: string;
  before: Step[];
  bridges: Step[];
  wires: Wire[];
  repin: { board: string[]; esc: string[]; meets: Meeting[] } | null;
  cables: Cable[];
  /** What goes wrong although the wiring is right. */
  mind: Step[];
  motors: MotorMap | null;
  setUp: Step[];
  revision: string;
  solder: Step[];
  mounting: Step[];
  settings: PortSetting[];
  checks: Step[];
  powerUp: Step[];
  calibrate: Step[];
  cautions: string[];
}

/** Every step that can be ticked off, in the order of the sheet. */
export function sheetSteps(sheet: BuildSheet): Step[] {
  const { before, bridges, mind, solder, mounting, checks, powerUp, setUp, calibrate } = sheet;
  return [before, bridges, mind, solder, mounting, checks, powerUp, setUp, calibrate].flat();
}

/** The harness to the ESC with the pin orders of both ends; null where one of them is not known. */
export function harnessOf(asked: Build, board: Board): BuildSheet['repin'] {
  const build = arranged(asked, board);
  const esc = (build.motors.esc === 'separate' ? build.motors.ownEsc?.pins : board.harness?.escPins) ?? [];
  const own = board.escPlug?.pins ?? board.harness?.controllerPins ?? [];
  return esc.length > 0 && own.length > 0 ? { board: own, esc, meets: meetings(own, esc) } : null;
}

/** All that is done between the parcel and the first flight, worked out from the hookup and the figures. */
export function buildSheet(build: Build, board: Board, climb: Climb): BuildSheet {
  const wires = wireList(build, board, climb.hookup);
  const harness = harnessOf(build, board);
  return {
    title: `${build.name} on ${board.name}`,
    before: before(build, board),
    bridges: climb.hookup.bridges
      .filter((b) => b.moved)
      .map((b) =>
        step(
          `bridge ${b.bridge}`,
          `Set ${b.label} to ${b.positionLabel}.`,
          'Every pad behind it changes together; it is out of reach once wires lie over it.',
        ),
      ),
    wires,
    repin: harness && harness.meets.length > 0 ? harness : null,
    cables: cablesOf(build, board, wires),
    mind: mind(build, board, wires),
    motors: motorMap(build, board, climb.hookup),
    setUp: [...setUp(build, climb), ...pictureRows(build, climb)],
    revision: board.revision,
    solder: solderOrder(build, board, wires),
    mounting: mounting(build, board),
    settings: portSettings(climb),
    checks: checks(build),
    powerUp: powerUp(build, board, wires),
    calibrate: calibrate(build, board, climb),
    cautions: cautions(build),
  };
}

function step(key: string, does: string, why: string): Step {
  return { key, does, why };
}

/** The firmware target as the seller names it, and what is known of its future. */
function targetWords({ name, firmware }: Board): string {
  const target = firmware?.target;
  if (!firmware || !target || isUnknown(target)) return `Note the firmware target as the seller of ${name} names it.`;
  const supported = flag(firmware.supported);
  const on = {
    yes: '',
    no: ' It is no longer brought up to date.',
    unknown: ' Nobody says whether it is still brought up to date.',
  };
  return `The seller names the firmware target ${target.value} (${originOf(target)}): check that the board says the same.${on[supported]}`;
}

/** What is looked at on each board that came, before it is soldered to. The revision is that of the pick, where it was picked. */
function arrivalOf(build: Build, board: Board, count: number, whole: Board): Step[] {
  const of = whole.members ? ` ${board.id}` : '';
  const last = build.picks.at(-1);
  const picked = last && [last.board, ...last.with].find((b) => b.id === board.id);
  const revision = picked?.revision ?? board.revision;
  const moved = revision === board.revision ? '' : ` The shelf now says ${board.revision}: this sheet is for that one.`;
  return [
    step(
      `arrival${of}`,
      `On arrival, before the first joint: hold ${count > 1 ? `each ${board.name}` : board.name} beside its drawing. Pads, plugs and bridges stand where the drawing has them; if one does not, stop and say so in the logbook.`,
      'It can be sent back until something has been soldered to it.',
    ),
    step(
      `revision${of}`,
      `Check that the print on ${whole.members ? board.name : 'the board'} says revision ${revision}.${moved}`,
      'Pads move between revisions; this sheet holds for that one.',
    ),
  ];
}

function before(build: Build, board: Board): Step[] {
  const offset = yawOffset(board.arrowOffsetDeg, lieOf(build, board));
  return [
    ...bought(board).flatMap((m) => arrivalOf(build, m.board, m.count, board)),
    step('target', targetWords(board), 'A wrong target puts every port and output elsewhere.'),
    step(
      'arrow',
      offset === 0
        ? 'Mount it with its arrow to the nose.'
        : `It lies with its arrow at ${offset} degrees: set a yaw offset of ${offset}.`,
      'The arrow points forward; a turned board wants the offset.',
    ),
    ...(build.parts.some((p) => p.peripheral.kind === 'receiver')
      ? [
          step(
            'region',
            'Check that receiver and transmitter carry the same region firmware.',
            'They do not bind otherwise, and local radio rules decide which it is.',
          ),
        ]
      : []),
  ];
}

/** Underside first, then outermost from you first so that the iron does not cross finished joints, heat-sinking grounds late, pack leads by policy. */
function solderOrder(build: Build, board: Board, wires: Wire[]): Step[] {
  const pad = (w: Wire) => board.pads.find((p) => p.id === w.padId);
  const hidden = (w: Wire) => pad(w)?.face === 'bottom' || pad(w)?.reachable === false;
  const far = { rear: 0, left: 1, right: 1, inner: 2, front: 3 } as const;
  const pins = wires.filter((w) => pad(w)?.form !== 'pin');
  const joint = (wire: Wire, why: string): Step => ({
    key: ['joint', wire.part, wire.kind, wire.pin.of, wire.padId].filter(Boolean).join(' '),
    does: `${wire.from} to ${wire.to}: ${wire.gauge} AWG, ${wire.colour}, ${wire.lengthMm} mm.`,
    why,
    wire,
  });
  const sinks = (w: Wire) => w.kind === 'ground' || pad(w)?.relief === false;
  const under = pins
    .filter(hidden)
    .sort((a, b) => Number(a.kind === 'ground') - Number(b.kind === 'ground'))
    .map((w) => joint(w, 'Underside before mounting: it cannot be reached afterwards.'));
  const tops = pins
    .filter((w) => !sinks(w) && !hidden(w))
    .sort(
      (a, b) =>
        far[pad(a)?.edge ?? 'inner'] - far[pad(b)?.edge ?? 'inner'] || (pad(a)?.order ?? 0) - (pad(b)?.order ?? 0),
    )
    .map((w) => joint(w, 'The edge farthest from you first: the iron does not cross finished joints.'));
  const grounds = pins
    .filter((w) => sinks(w) && !hidden(w))
    .map((w) =>
      joint(
        w,
        w.kind === 'ground'
          ? 'Grounds late: they sink the heat of the joints beside them.'
          : 'Late: this pad has no thermal relief and sinks the heat of the joints beside it.',
      ),
    );
  const packPads = board.rails.filter((r) => r.source.kind === 'pack').flatMap((r) => r.pads);
  const relieved = packPads.length > 0 && packPads.every((id) => board.pads.find((p) => p.id === id)?.relief === true);
  let leadsWhy: string;
  if (build.policies.batteryLeads === 'last') {
    if (relieved)
      leadsWhy =
        'These pads have thermal relief: the leads would not draw the heat away, but they would lie in the way.';
    else leadsWhy = 'Pack leads last: without thermal relief they draw the heat away from every later joint.';
  } else leadsWhy = 'By policy the pack leads come first, on a board of their own.';
  const leads = step(
    'leads',
    'Pack leads and the capacitor, the capacitor as near the pads as it goes, its stripe to ground.',
    leadsWhy,
  );
  const mount = step(
    'mount',
    'Mount the board.',
    build.policies.mounting === 'underside first'
      ? 'Wires are cut to length once it sits.'
      : 'By policy everything is soldered before mounting.',
  );
  const body =
    build.policies.mounting === 'underside first'
      ? [...under, mount, ...tops, ...grounds]
      : [...under, ...tops, ...grounds];
  const withLeads = build.policies.batteryLeads === 'last' ? [...body, leads] : [leads, ...body];
  return build.policies.mounting === 'underside first' ? withLeads : [...withLeads, mount];
}

function mounting(build: Build, board: Board): Step[] {
  const lines = stackLines(build, board);
  const total = lines.reduce((sum, l) => sum + l.mm.high, 0);
  const soft = 'value' in board.mounting.softIsolators && board.mounting.softIsolators.value;
  return [
    step(
      'isolators',
      soft
        ? 'Put the soft isolators into the holes, screws only hand-tight.'
        : 'Put isolators or standoffs under the board; nothing conductive may touch its underside.',
      'Squeezed isolators pass the vibration on.',
    ),
    step(
      'height',
      `Check the stack: ${lines.map((l) => `${l.what} ${Number.isFinite(l.mm.high) ? l.mm.high : '?'} mm`).join(' + ')}${Number.isFinite(total) ? ` = ${Math.round(total * 10) / 10} mm` : ''}, bay ${build.frame.bayHeightMm} mm.`,
      'A lid that presses on a plug breaks it in the first hard landing.',
    ),
  ];
}

/** A neutral table: what to set for each port, in no firmware's words. */
export function portSettings(climb: Climb): PortSetting[] {
  return climb.hookup.parts.flatMap((p) =>
    p.links.flatMap((l): PortSetting[] => {
      if (l.link.kind !== 'serial') return [];
      const protocol = protocols[l.link.protocol];
      const soft = l.pads.some((x) => x.does === 'soft serial');
      const native = turnsInside(l.conditions.map((c) => c.reason));
      const sense = l.link.sense ?? protocol.sense;
      let senseWords: string;
      if (sense === 'plain') senseWords = 'plain';
      else if (native) senseWords = 'inverted, by the processor';
      else senseWords = 'inverted, by the pad: nothing to set';
      return [
        {
          port: l.on,
          part: p.name,
          function: protocol.says,
          sense: senseWords,
          duplex: {
            hear: 'board only hears',
            talk: 'board only talks',
            both: 'two wires, full duplex',
            'one wire': 'one wire, half duplex',
          }[protocol.wires],
          baud:
            protocol.baud === 0
              ? 'pulses'
              : `${protocol.baud.toLocaleString('en')} baud, ${protocol.frame}${soft ? ` (soft serial, at most ${softSerialMaxBaud.toLocaleString('en')})` : ''}`,
        },
      ];
    }),
  );
}

function checks(build: Build): Step[] {
  return [
    step('props off', 'Propellers off, and they stay off on the bench.', 'A motor that starts by mistake cuts.'),
    step(
      'short',
      'Meter on ohms between pack plus and pack minus: rising, never near nought.',
      'A short burns the pack and the board; a charging capacitor reads low for a moment.',
    ),
    step(
      'polarity',
      'Meter on continuity: pack minus to the ground of every part, pack plus to none of them.',
      'Two wires crossed show here for nothing.',
    ),
    ...misleading(build).map(({ part, pin, colour, warning }) =>
      step(
        `colours ${part} ${pin}`,
        `${part}: its pin ${pin} is ${colour || 'of a colour that misleads'} (${warning}).`,
        'Go by the pin, not by the colour.',
      ),
    ),
    ...(build.parts.some((p) => ['video transmitter', 'digital video', 'ground link'].includes(p.peripheral.kind))
      ? [step('aerial', 'Aerials on every transmitter.', 'No aerial, no power: the output stage burns.')]
      : []),
  ];
}

function powerUp(build: Build, board: Board, wires: Wire[]): Step[] {
  const swing = packVolts(build);
  const rails = [...new Set(wires.filter((w) => w.kind === 'supply').map((w) => w.from))];
  return [
    step(
      'usb',
      'First from USB alone: the board shows itself, parts that live on USB light up.',
      '500 mA at 5 V cannot burn much.',
    ),
    step(
      'limiter',
      'First pack through a current limiter of 1 A; 2 A only when 1 A trips for a known reason.',
      'A fault draws more than a healthy board; the bench page says what to expect.',
    ),
    step(
      'rails',
      `Meter on each supply pad${rails.length > 0 ? ` (${rails.join(', ')})` : ''}: what the rail ledger says, within a twentieth.`,
      'A bridge in the wrong position shows here before a part pays for it.',
    ),
    step(
      'full',
      `Then a full pack, ${swing.high} V; smell, touch, thirty seconds; pull it.`,
      'What gets warm without load is wrong.',
    ),
    ...(board.rails.some((r) => r.source.kind === 'either')
      ? [
          step(
            'both',
            'Never USB and pack at once unless the board keeps them apart.',
            'Two sources on one net feed each other.',
          ),
        ]
      : []),
  ];
}

function calibrate(build: Build, board: Board, { hookup }: Climb): Step[] {
  const own = currentIsSensed(build, board) ? board.currentSensor!.fullScaleAmps : undefined;
  const external = hookup.parts.some((p) =>
    p.links.some(({ link }) => link.kind === 'analogue' && link.input === 'current'),
  );
  const reads = isKnown(own) && !external ? ` (sensor to ${num(interval(own).low)} A)` : '';
  return [
    ...(own || external
      ? [
          step(
            'current scale',
            `Current scale: draw a known current and enter both readings in the logbook${reads}.`,
            'Scale = stated scale x read amps / true amps.',
          ),
        ]
      : []),
    step(
      'voltage scale',
      'Voltage scale: read the pack with a meter and enter both in the logbook.',
      'Scale = stated scale x true volts / read volts.',
    ),
  ];
}

function cautions(build: Build): string[] {
  const transmits = build.parts.some((p) =>
    ['video transmitter', 'digital video', 'ground link', 'receiver'].includes(p.peripheral.kind),
  );
  return [
    'Hot iron, fumes, splashing solder: glasses on, window open.',
    'Charge and store packs as their maker says; never solder on a board with a pack plugged in.',
    ...(transmits ? ['Transmit power, band and region firmware: as the local radio rules say.'] : []),
    `Take-off mass about ${build.limits.takeOffMassG} g at most: registration, classes and where to fly are for the local aviation authority to say.`,
    'This sheet reckons and reminds. It does not say that the craft is safe or legal to fly; ask a qualified person where you are unsure.',
  ];
}

export function sheetMarkdown(s: BuildSheet): string {
  const steps = (title: string, list: Step[]) =>
    list.length === 0
      ? ''
      : `## ${title}\n\n${byReason(list)
          .map(
            ({ why, steps: same }) =>
              `*${plainMarkdown(why)}*\n\n${same.map((x) => `- [ ] ${plainMarkdown(x.does)}`).join('\n')}\n\n`,
          )
          .join('')}`;
  const row = (cells: (string | number)[]) => `| ${cells.map((c) => plainMarkdown(String(c))).join(' | ')} |`;
  const table = (title: string, head: string[], rows: (string | number)[][]) =>
    rows.length === 0
      ? ''
      : `## ${title}\n\n${row(head)}\n${row(head.map(() => '---'))}\n${rows.map(row).join('\n')}\n\n`;
  return [
    `# Build sheet: ${plainMarkdown(s.title)}\n\n`,
    ...s.cautions.map((c) => `> ${plainMarkdown(c)}\n`),
    '\n',
    steps('Before you start', s.before),
    steps('Bridges', s.bridges),
    table(
      'Wires',
      ['part', 'from pad', 'to', 'AWG', 'mm', 'colour'],
      s.wires.map((w) => [w.partName, w.from, w.to, w.gauge, w.lengthMm, w.colour]),
    ),
    s.repin
      ? table(
          'Re-pinning',
          ['pin', 'board has', 'ESC has'],
          s.repin.meets.map((m) => [m.pin, m.board, `${m.esc}${m.burns ? ' (burns)' : ''}`]),
        )
      : '',
    ...s.cables.map((c) => `## Cable: ${plainMarkdown(c.partName)}\n\n${plainMarkdown(cableWords(c))}.\n\n`),
    steps('Mind', s.mind),
    steps('Solder in this order', s.solder),
    steps('Mount', s.mounting),
    table(
      'Port settings',
      ['port', 'part', 'function', 'sense', 'duplex', 'speed'],
      s.settings.map((p) => [p.port, p.part, p.function, p.sense, p.duplex, p.baud]),
    ),
    steps('Before power', s.checks),
    steps('Power up', s.powerUp),
    s.motors
      ? table(
          'Motor map',
          ['arm', 'output', 'spins'],
          s.motors.arms.map((a) => [a.arm, a.output, a.spin ?? 'as the settings say']),
        )
      : '',
    ...(s.motors?.notes.map((n) => `${n}\n\n`) ?? []),
    steps('Set up', s.setUp),
    steps('Calibrate', s.calibrate),
  ].join('');
}
