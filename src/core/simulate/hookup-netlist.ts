import { leadOhm, motorAmps } from '../circuit/packs';
import { railsFedByEsc } from '../circuit/esc-supply';
import { plausible } from '../figures/plausible-ends';
import { interval, isKnown, type Interval, type NumberFigure } from '../quantity/figure';
import { ground, type Ground } from '../quantity/ground';
import { planGrounds } from '../figures/plan-figures';
import type { Board, Rail, Regulator } from '../records/board';
import type { Build } from '../records/build';
import { cellOhm, cellVolts, type Pack } from '../trade/cell';
import { assumedEfficiency } from '../trade/rating';
import { usbVolts } from '../trade/usb';
import { dropVolts } from '../trade/wire';
import { suppliedName, type Hookup, type WiredPart, type WiredSupply } from '../wiring/hookup';
import { capacitor, diode, load, regulator, resistor, source } from './models';
import { elementOf, nodeOf } from './names';
import { reference, type Element, type Netlist } from './netlist';
import type { End, Scene } from './scene';
import { signalElements } from './signal-netlist';

/** What the netlist took for granted, in words. */
export interface HookupNetlist extends Netlist {
  assumed: string[];
}

/** Data sheets from memory: one pair of contacts of a small plug; a low-resistance electrolytic. Our own choice: copper of a board. */
const ohms = {
  pin: 0.01,
  capacitor: 0.03,
  copper: 0.0005,
  bleeds: 5_000,
  usbBleeds: 1_000,
} as const;
/** Farad at a board's input, a regulator's output and a part's input: common practice of small boards, no source. */
const farads = { board: 47e-6, rail: 22e-6, part: 10e-6, unsaidBulk: 220e-6 } as const;
/** A regulator's own limit stands so much above its rating: common practice, no source. */
export const limitOverRating = 1.3;
/**
 * Volts at which a regulator starts that does not say: chips that step up from 1.8 V, that step down from about 4.2 V or from what they give, whichever is less (data
 * sheets, from memory).
 */
function usualStart(type: Regulator['type'], outVolts: number): number {
  return type === 'step-up' || type === 'step-up-down' ? 1.8 : Math.min(4.2, 0.9 * outVolts);
}

/** The end of a figure that makes the volts at the parts lowest or highest. */
function at(end: End, { low, high }: Interval, lowersVolts: 'low' | 'high'): number {
  if (end === 'usual') return (low + high) / 2;
  return (end === 'low') === (lowersVolts === 'low') ? low : high;
}

/** The circuit of a build on a board with one hookup in one scene. `board` and `build` with their fixes in place. Without signals it is what carries power alone. */
export function hookupNetlist(
  build: Build,
  board: Board,
  hookup: Hookup,
  scene: Scene,
  what: { signals: boolean } = { signals: true },
): HookupNetlist {
  const assumed: string[] = [];
  const elements: Element[] = [
    ...packElements(build, board, scene, assumed),
    ...usbElements(scene),
    ...railElements(build, board, hookup, scene, assumed),
    ...hookup.parts.flatMap((p) => partElements(build, hookup, p, scene)),
    ...(what.signals ? signalElements(board, hookup) : []),
  ];
  return { title: `${build.name} on ${board.name}: ${scene.says}`, elements, assumed };
}

function packElements(build: Build, board: Board, scene: Scene, assumed: string[]): Element[] {
  const gnd = nodeOf.boardGround;
  const bulk = build.capacitor ?? board.capacitor;
  if (!bulk) assumed.push(`a capacitor of ${farads.unsaidBulk * 1e6} uF at the leads, which nobody names`);
  const farad = (bulk?.microfarads ?? farads.unsaidBulk * 1e6) / 1e6;
  const board_ = [
    resistor({ id: 'bulk esr', what: 'capacitor, its own resistance' }, nodeOf.pack, 'bulk', ohms.capacitor),
    capacitor({ id: 'bulk', what: 'capacitor at the leads' }, 'bulk', gnd, farad),
    capacitor({ id: 'board input', what: 'input of the board' }, nodeOf.pack, gnd, farads.board),
  ];
  if (!scene.pack) return [...board_, resistor({ id: 'ground', what: 'ground' }, gnd, reference, 1e-6)];
  const { pack } = build;
  const volts = pack.cells * cellVolts[pack.chemistry][scene.pack.charge];
  const cells = pack.cells * at(scene.end, cellOhm(pack as Pack), 'high');
  const oneWay = leadOhm(pack) / 2;
  const grounds: Ground[] = [
    ...planGrounds(build, 'pack cells'),
    ground("One cell's resistance", pack.cellMilliohm ?? { unknown: true }, 'mΩ'),
  ];
  const limiter = scene.pack.limiterAmps;
  const peak = motorAmps(build).peak * build.motors.count;
  return [
    source(
      { id: elementOf.pack, what: limiter === undefined ? 'pack' : 'pack behind its limiter', grounds },
      'cells',
      reference,
      {
        volts,
        ohm: limiter === undefined ? cells : Math.max(cells, 0.02),
        ...(limiter === undefined ? {} : { mostAmps: limiter }),
      },
    ),
    resistor({ id: 'lead', what: 'pack lead and plug' }, 'cells', nodeOf.pack, oneWay),
    resistor({ id: 'lead back', what: 'pack lead and plug, back' }, gnd, reference, oneWay),
    ...board_,
    ...(scene.throttle > 0 && peak > 0
      ? [
          load(
            { id: elementOf.motors, what: 'motors', grounds: planGrounds(build, 'peak amps', 'amps at volts') },
            nodeOf.pack,
            gnd,
            {
              amps: peak * scene.throttle,
              atVolts: volts,
              fullVolts: volts / 3,
              power: false,
            },
          ),
        ]
      : []),
  ];
}

function usbElements(scene: Scene): Element[] {
  if (!scene.usb) return [];
  const volts = { low: usbVolts.low, usual: usbVolts.nominal, high: usbVolts.high }[scene.end];
  // At its low end the standard counts the cable in already (USB 2.0, 7.2.2).
  const ohm = scene.end === 'low' ? 1e-3 : 0.1;
  return [
    source({ id: elementOf.usb, what: 'USB with its cable' }, nodeOf.usb, nodeOf.boardGround, {
      volts,
      ohm,
      mostAmps: 1.5,
    }),
  ];
}

function railElements(build: Build, board: Board, hookup: Hookup, scene: Scene, assumed: string[]): Element[] {
  const positions = new Map(hookup.bridges.map((b) => [b.bridge, b.position]));
  const rails = railsFedByEsc(board, build);
  return rails.flatMap((rail) => [...fed(rail), ...ownDraw(rail), bleeds(rail)]);

  function fed(rail: Rail): Element[] {
    const { source: from } = rail;
    const node = nodeOf.rail(rail.id);
    const link = (id: string, what: string, other: string) => resistor({ id, what }, other, node, ohms.copper);
    switch (from.kind) {
      case 'pack':
        return [link(`rail ${rail.id}`, rail.label, nodeOf.pack)];
      case 'esc':
        return [];
      case 'usb':
        // A diode that loses nothing is none.
        return from.dropVolts > 0
          ? [diode({ id: `diode ${rail.id}`, what: `${rail.label}, from USB` }, nodeOf.usb, node, from.dropVolts)]
          : [link(`usb ${rail.id}`, `${rail.label}, from USB`, nodeOf.usb)];
      case 'bridge': {
        const chosen =
          from.byPosition[positions.get(from.bridge) ?? board.bridges.find((b) => b.id === from.bridge)?.factory ?? ''];
        if (chosen === undefined) return [];
        return [link(`bridge ${rail.id}`, `${rail.label}, bridge`, nodeOf.rail(chosen))];
      }
      case 'either':
        return [...new Set(from.of)].map((id) => {
          const named = { id: `diode ${rail.id} ${id}`, what: `${rail.label}, from ${labelOf(rails, id)}` };
          const apart = !from.isolated || !('value' in from.isolated) || from.isolated.value;
          return apart
            ? diode(named, nodeOf.rail(id), node, from.dropVolts?.[id] ?? 0)
            : resistor(named, nodeOf.rail(id), node, ohms.copper);
        });
      case 'regulator': {
        const out = interval(from.outVolts);
        if (!Number.isFinite(out.low + out.high)) {
          assumed.push(`${rail.label} left out: nobody says its volts`);
          return [];
        }
        const rated = isKnown(from.ratedAmps) ? interval(from.ratedAmps) : null;
        if (!rated) assumed.push(`3 A of ${rail.label}, whose rating nobody says`);
        const efficiency =
          from.efficiency && isKnown(from.efficiency)
            ? interval(from.efficiency)
            : { low: assumedEfficiency, high: assumedEfficiency };
        const starts = from.inputVolts && isKnown(from.inputVolts.min) ? interval(from.inputVolts.min) : null;
        return [
          ...regulator(
            {
              id: elementOf.regulator(rail.id),
              what: `${rail.label}, its regulator`,
              grounds: [
                ground(`${rail.label} volts`, from.outVolts, 'V'),
                ground(`${rail.label} rating`, from.ratedAmps, 'A'),
                ground(`${rail.label} drop-out`, from.dropOutVolts, 'V'),
              ],
            },
            nodeOf.rail(from.input),
            node,
            nodeOf.boardGround,
            {
              type: from.type,
              outVolts: at(scene.end, out, 'low'),
              dropOutVolts: at(scene.end, plausible(from.dropOutVolts, 'dropOutVolts'), 'high'),
              efficiency: Math.max(0.05, Math.min(1, at(scene.end, efficiency, 'low'))),
              mostAmps: Math.max(0.01, limitOverRating * (rated ? at(scene.end, rated, 'low') : 3)),
              startsAtVolts: starts ? at(scene.end, starts, 'high') : usualStart(from.type, at(scene.end, out, 'low')),
            },
          ),
          capacitor({ id: `output ${rail.id}`, what: `${rail.label}, output` }, node, nodeOf.boardGround, farads.rail),
        ];
      }
    }
  }

  /** Dividers and protection of a rail draw a little always. */
  function bleeds(rail: Rail): Element {
    return resistor(
      { id: `bleeds ${rail.id}`, what: `${rail.label}, its dividers` },
      nodeOf.rail(rail.id),
      nodeOf.boardGround,
      ohms.bleeds,
    );
  }

  function ownDraw(rail: Rail): Element[] {
    if (!rail.ownAmps) return [];
    const amps = at(scene.end, plausible(rail.ownAmps, 'ownAmps'), 'high');
    const own = {
      id: `own ${rail.id}`,
      what: `the board's own draw of ${rail.label}`,
      grounds: [ground('The board itself', rail.ownAmps, 'A')],
    };
    return [load(own, nodeOf.rail(rail.id), nodeOf.boardGround, { amps, atVolts: 5, fullVolts: 2.5, power: false })];
  }
}

function labelOf(rails: readonly Rail[], id: string): string {
  return rails.find((r) => r.id === id)?.label ?? id;
}

function partElements(build: Build, hookup: Hookup, wired: WiredPart, scene: Scene): Element[] {
  const part = build.parts.find((p) => p.id === wired.id);
  const mode = part?.peripheral.modes.find((m) => m.id === wired.mode?.id);
  if (!part || !mode) return [];
  const drawing = scene.draws !== 'asked' || part.onUsb;
  return [...wired.supplies.flatMap(supplied), ...given()];

  function supplied(s: WiredSupply): Element[] {
    const asks = mode!.supplies.find((x) => x.id === s.id) ?? mode!.supplies[0];
    const name = suppliedName(wired, s);
    const [plus, minus] = [nodeOf.plus(wired.id, s.id), nodeOf.minus(wired.id, s.id)];
    const oneWay = wireOhm(s) / 2 + (s.plug === undefined ? 0 : ohms.pin);
    const least = asks ? interval(asks.minVolts).low : 3;
    const power = asks?.draw === 'constant power';
    const stated = (figure: NumberFigure | undefined) => ground(`${name} draws`, figure ?? { unknown: true }, 'A');
    const amps = { least: 0.05 * s.typicalAmps, usual: s.typicalAmps, asked: s.typicalAmps, peak: s.peakAmps }[
      scene.draws
    ];
    const host = s.throughHost ? minusOf(s.throughHost.host) : nodeOf.boardGround;
    return [
      resistor({ id: elementOf.wire(wired.id, s.id), what: `wire to ${name}` }, nodeOf.feed(s), plus, oneWay),
      resistor({ id: elementOf.back(wired.id, s.id), what: `ground wire of ${name}` }, minus, host, oneWay),
      capacitor({ id: `input ${wired.id} ${s.id}`, what: `${name}, input` }, plus, minus, farads.part),
      ...(drawing && amps > 0
        ? [
            load(
              {
                id: elementOf.load(wired.id, s.id),
                what: name,
                grounds: [stated(asks?.typicalAmps), stated(asks?.peakAmps)],
              },
              plus,
              minus,
              {
                amps,
                // A part with a switching regulator of its own was counted at what its wire leaves of the lowest volts of its rail.
                atVolts: power ? Math.max(0.5, s.volts.low - amps * wireOhm(s)) : s.volts.high,
                fullVolts: Number.isFinite(least)
                  ? Math.max(1, Math.min(least, power ? Math.max(0.5, s.volts.low) : least))
                  : 2,
                power,
              },
            ),
          ]
        : []),
    ];
  }

  /** What the part hands on, through a regulator of its own. */
  function given(): Element[] {
    const first = wired.supplies[0];
    if (!first) return [];
    return part!.peripheral.gives.flatMap((give) => {
      const output = `part:${wired.id}:${give.id}`;
      if (!hookup.parts.some((p) => p.supplies.some((s) => s.output === output))) return [];
      const volts = interval(give.volts);
      if (!Number.isFinite(volts.low + volts.high)) return [];
      const most = isKnown(give.amps) ? at(scene.end, interval(give.amps), 'low') : 3;
      const what = `${give.label} of ${wired.name}`;
      return regulator(
        {
          id: elementOf.regulator(output),
          what,
          grounds: [ground(`${what}, volts`, give.volts, 'V'), ground(`${what}, amps`, give.amps, 'A')],
        },
        nodeOf.plus(wired.id, first.id),
        `output ${output}`,
        nodeOf.minus(wired.id, first.id),
        {
          type: 'step-up-down',
          outVolts: at(scene.end, volts, 'low'),
          dropOutVolts: 0,
          efficiency: assumedEfficiency,
          mostAmps: limitOverRating * most,
          startsAtVolts: 2.5,
        },
      );
    });
  }

  function minusOf(host: string): string {
    const first = hookup.parts.find((p) => p.id === host)?.supplies[0];
    return first ? nodeOf.minus(host, first.id) : nodeOf.boardGround;
  }
}

/** A wire out and back, as the hookup counted it. */
function wireOhm({ gauge, lostVolts, peakAmps }: WiredSupply): number {
  return peakAmps > 0 && lostVolts > 0 ? lostVolts / peakAmps : dropVolts(gauge, 60, 1);
}
