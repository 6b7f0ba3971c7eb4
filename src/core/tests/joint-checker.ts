import type { Board, Rail } from '../records/board';
import type { Build } from '../records/build';
import type { Supply } from '../records/peripheral';
import type { Hookup } from '../wiring/hookup';

/**
 * Goes over a finished hookup with pads, pins, wires and amps alone, and names all that is taken twice or overloaded. Shares no code with what made the hookup: its own
 * reading of the files, its own volts and sums. Figures must be known; ranges are read at their worse end.
 */
export function faultsOf(build: Build, board: Board, hookup: Hookup): string[] {
  return [
    ...padsTwice(board, hookup),
    ...boardsOwnPads(build, board, hookup),
    ...portsTwice(board, hookup),
    ...timers(build, board, hookup),
    ...addresses(board, hookup),
    ...bridges(board, hookup),
    ...supplies(build, board, hookup),
  ];
}

const cells = {
  lipo: [4.2, 3.5, 3.3],
  'high-voltage lipo': [4.35, 3.5, 3.3],
  'li-ion': [4.2, 3.1, 2.8],
  'lithium iron phosphate': [3.65, 2.9, 2.5],
} as const;
const pinAmps: Record<string, number> = { SH: 1, GH: 1, ZH: 1, PH: 2, XH: 3, XT30: 30, XT60: 60 };
const share = { cautious: 0.7, usual: 0.8, 'as printed': 1 } as const;

const high = (f: object | undefined, otherwise = 0) => {
  if (!f) return otherwise;
  if ('value' in f) return f.value as number;
  return 'high' in f ? (f.high as number) : otherwise;
};
const low = (f: object | undefined, otherwise = 0) => {
  if (!f) return otherwise;
  if ('value' in f) return f.value as number;
  return 'low' in f ? (f.low as number) : otherwise;
};

const links = (hookup: Hookup) => hookup.parts.flatMap((p) => p.links.map((l) => ({ ...l, part: p.id })));

function padsTwice(board: Board, hookup: Hookup): string[] {
  const users = new Map<string, Set<string>>();
  const supplyPads = new Set([...board.rails.flatMap((r) => r.pads), ...board.grounds]);
  for (const l of links(hookup))
    for (const { pad } of l.pads) {
      const onBus = l.link.kind === 'i2c' || l.link.kind === 'can';
      users.set(pad, (users.get(pad) ?? new Set()).add(onBus ? `bus ${l.to[0]}` : `${l.part}/${l.id}`));
    }
  const twice = links(hookup).flatMap((l) =>
    new Set(l.pads.map((p) => p.pad)).size < l.pads.length ? [`${l.part}/${l.id} has one pad twice`] : [],
  );
  return [
    ...twice,
    ...[...users].flatMap(([pad, by]) => [
      ...(by.size > 1 ? [`pad ${pad} is taken by ${[...by].join(' and ')}`] : []),
      ...(supplyPads.has(pad) ? [`pad ${pad} is a supply pad and carries a signal`] : []),
    ]),
  ];
}

/** Pads on which the board itself has something: a module on a port, the ESC on outputs and on the first current input. */
function boardsOwnPads(build: Build, board: Board, hookup: Hookup): string[] {
  const flies = build.motors.esc === 'on the board' && build.motors.count > 0 && board.esc;
  const driven = board.esc?.drivenByOutputs;
  const drives = flies && (driven && 'value' in driven ? driven.value : board.kind === 'stack');
  const motorPads = drives
    ? board.outputs
        .filter((o) => o.can.includes('motor'))
        .slice(0, build.motors.count)
        .map((o) => o.pad)
    : [];
  const released = new Set(hookup.releases.map((r) => r.port));
  const idleHarness = !flies;
  const ported = board.ports.flatMap((p) =>
    p.taken && !released.has(p.label) && !(idleHarness && p.taken.carries)
      ? [...p.rx, ...p.tx].map(({ pad }) => ({ pad, port: p.id }))
      : [],
  );
  return links(hookup).flatMap((l) =>
    l.pads.flatMap(({ pad }) => [
      ...(motorPads.includes(pad) ? [`pad ${pad} drives the ESC and ${l.part}`] : []),
      ...(ported.some((x) => x.pad === pad && !l.to.includes(x.port))
        ? [`pad ${pad} is the board's own and ${l.part}'s`]
        : []),
    ]),
  );
}

function portsTwice(board: Board, hookup: Hookup): string[] {
  const serial = links(hookup).filter((l) => l.link.kind === 'serial');
  return board.ports.flatMap((port) => {
    const here = serial.filter((l) => l.to.includes(port.id));
    const count = (verb: string) => here.filter((l) => l.pads.some((p) => p.does === verb)).length;
    const busHere = board.buses.some((b) => b.sharesPort === port.id && links(hookup).some((l) => l.to.includes(b.id)));
    return [
      ...(count('board hears') > 1 || count('board talks') > 1 ? [`port ${port.id} has two links on one side`] : []),
      ...(here.length > 2 ? [`port ${port.id} has ${here.length} links`] : []),
      ...(busHere && here.length > 0 ? [`port ${port.id} is a bus and a serial port at once`] : []),
    ];
  });
}

function timers(build: Build, board: Board, hookup: Hookup): string[] {
  const rates = new Map<string, Set<string>>();
  for (const l of links(hookup)) {
    const uses = board.outputs.filter((o) => l.to.includes(o.id));
    let rate = 'soft serial';
    if (l.link.kind === 'output')
      rate = l.link.use === 'motor' && build.motors.signal === '50 Hz' ? 'servo' : l.link.use;
    else if (l.link.kind === 'serial' && l.link.protocol === 'pulse-train') rate = 'channel in';
    for (const o of uses) rates.set(o.timer, (rates.get(o.timer) ?? new Set()).add(rate));
    if (l.link.kind === 'output' && uses.length !== l.link.count)
      return [`${l.part} has ${uses.length} of ${l.link.count} outputs`];
  }
  return [...rates].flatMap(([timer, at]) => (at.size > 1 ? [`timer ${timer} runs at ${[...at].join(' and ')}`] : []));
}

function addresses(board: Board, hookup: Hookup): string[] {
  return board.buses.flatMap((bus) => {
    const riders = links(hookup).flatMap((l) =>
      l.link.kind === 'i2c' && l.to.includes(bus.id) && l.link.address !== undefined ? [l.link.address] : [],
    );
    const all = [...riders, ...bus.onBoard.map((d) => d.address)];
    return all.length > new Set(all).size ? [`bus ${bus.id} has one address twice`] : [];
  });
}

const inverts = ['F3', 'F7', 'H7', 'G4'];

/** Each serial pad has the sense its link wants, as the bridges of the hookup stand. */
function bridges(board: Board, hookup: Hookup): string[] {
  const at = new Map(hookup.bridges.map((b) => [b.bridge, b.position]));
  if ('value' in board.processor && inverts.includes(board.processor.value)) return [];
  return links(hookup).flatMap((l) => {
    if (l.link.kind !== 'serial') return [];
    const usual = ['inverted-rc', 'one-wire-rc-telemetry', 'one-wire-telemetry'].includes(l.link.protocol)
      ? 'inverted'
      : 'plain';
    const wanted = l.link.sense ?? usual;
    return l.pads.flatMap(({ pad }) => {
      const ends = board.ports.filter((p) => l.to.includes(p.id)).flatMap((p) => [...p.rx, ...p.tx]);
      const end = ends.find((e) => e.pad === pad);
      if (!end || ('twoWayInverter' in end && end.twoWayInverter)) return [];
      const isPlain = end.switch && at.get(end.switch.bridge) === end.switch.plainAt;
      let { sense } = end;
      if (end.switch) sense = isPlain ? 'plain' : 'inverted';
      return sense === wanted || sense === 'unknown' ? [] : [`pad ${pad} is ${sense}, ${l.part} is ${wanted}`];
    });
  });
}

interface Fed {
  low: number;
  high: number;
  flies: boolean;
  usb: { low: number; nominal: number; high: number; perAmp: number } | null;
  /** Amps of each regulator for one amp here. */
  through: Map<string, number>;
}

/** Volts and regulators of a rail, as the bridges of the hookup stand. */
function fedBy(build: Build, board: Board, hookup: Hookup, id: string): Fed | null {
  const rail = board.rails.find((r) => r.id === id);
  if (!rail) return null;
  const s = rail.source;
  const up = (other: string) => fedBy(build, board, hookup, other);
  if (s.kind === 'pack') {
    const [full, land, floor] = cells[build.pack.chemistry];
    const sag = (high(build.pack.cellMilliohm) / 1000) * build.motors.count * build.motors.peakAmps;
    const n = build.pack.cells;
    return { low: n * Math.min(floor, land - sag), high: n * full, flies: true, usb: null, through: new Map() };
  }
  if (s.kind === 'usb') {
    const d = s.dropVolts;
    return {
      low: 0,
      high: 0,
      flies: false,
      usb: { low: 4.75 - d, nominal: 5 - d, high: 5.25 - d, perAmp: 1 },
      through: new Map(),
    };
  }
  if (s.kind === 'bridge') {
    const position = hookup.bridges.find((b) => b.bridge === s.bridge)?.position ?? '';
    return up(s.byPosition[position] ?? '');
  }
  if (s.kind === 'either') {
    const sides = s.of.flatMap((o) => up(o) ?? []);
    const flying = sides.filter((x) => x.flies);
    const lit = sides.flatMap((x) => x.usb ?? []).sort((a, b) => b.nominal - a.nominal)[0] ?? null;
    const best = flying.reduce<Fed | null>((a, b) => (a && a.low >= b.low ? a : b), null);
    return best
      ? { ...best, high: Math.max(...flying.map((f) => f.high)), usb: lit }
      : { low: 0, high: 0, flies: false, usb: lit, through: new Map() };
  }
  if (s.kind === 'esc') return null;
  const from = up(s.input);
  if (!from) return null;
  const out = (volts: number, made: number) => {
    if (s.type === 'step-up') return Math.max(made, volts);
    return s.type === 'step-up-down' ? made : Math.min(made, Math.max(0, volts - high(s.dropOutVolts, 3)));
  };
  const perAmp = s.type === 'linear' ? 1 : high(s.outVolts) / (low(s.efficiency, 0.85) * Math.max(0.1, from.low));
  const alive = from.usb && out(from.usb.nominal, low(s.outVolts)) >= low(s.outVolts);
  const usbPerAmp = from.usb && (s.type === 'linear' ? 1 : high(s.outVolts) / (low(s.efficiency, 0.85) * from.usb.low));
  return {
    low: out(from.low, low(s.outVolts)),
    high: out(from.high, high(s.outVolts)),
    flies: from.flies,
    usb: alive
      ? {
          low: out(from.usb!.low, low(s.outVolts)),
          nominal: low(s.outVolts),
          high: high(s.outVolts),
          perAmp: from.usb!.perAmp * usbPerAmp!,
        }
      : null,
    through: new Map([[rail.id, 1], ...[...from.through].map(([r, a]) => [r, a * perAmp] as const)]),
  };
}

const amps = (s: Supply, which: 'typicalAmps' | 'peakAmps', volts: number) => {
  const stated = high(which === 'typicalAmps' && 'unknown' in s.typicalAmps ? s.peakAmps : s[which]);
  return s.draw === 'constant power' ? (stated * s.atVolts) / Math.max(0.5, volts) : stated;
};

function supplies(build: Build, board: Board, hookup: Hookup): string[] {
  const faults: string[] = [];
  const steady = new Map<string, number>();
  const peak = new Map<string, number>();
  const out = new Map<string, number>();
  const back = new Map<string, number>();
  let onUsb = 0;
  const add = (sums: Map<string, number>, key: string, n: number) => sums.set(key, (sums.get(key) ?? 0) + n);
  const needs = (id: string, supply: string) => {
    const mode = hookup.parts.find((p) => p.id === id)?.mode?.id;
    const { supplies } = build.parts.find((p) => p.id === id)!.peripheral.modes.find((m) => m.id === mode)!;
    return supplies.find((s) => s.id === supply)!;
  };
  const draw = (rail: Rail, fed: Fed, pad: string | undefined, typical: number, most: number, asked: boolean) => {
    for (const [r, per] of fed.through) {
      add(steady, r, typical * per);
      add(peak, r, most * per);
    }
    if (asked && fed.usb) onUsb += typical * fed.usb.perAmp;
    const plug = board.plugs.find((x) => x.pins.some((pin) => pin.pad === pad));
    if (!plug || !pad || build.policies.joints === 'solder') return;
    if (board.pads.find((p) => p.id === pad)?.form !== 'pin') return;
    add(out, `${plug.id} ${rail.id}`, most);
    add(back, plug.id, most);
  };
  const feeds = hookup.parts.flatMap((part) => part.supplies.map((feed) => ({ part, feed })));
  for (const { part, feed } of feeds) {
    if (feed.rail === 'undrawn') continue;
    const s = needs(part.id, feed.id);
    const asked = build.parts.find((p) => p.id === part.id)!.onUsb && feed === part.supplies[0];
    const hostId = feed.rail.startsWith('part:') ? feed.rail.slice(5) : null;
    const host = hostId === null ? null : hookup.parts.find((p) => p.id === hostId)!;
    const rail = board.rails.find((r) => r.id === (host ? host.supplies[0]!.rail : feed.rail))!;
    const fed = fedBy(build, board, hookup, rail.id);
    if (!fed) {
      faults.push(`${part.id} hangs on rail ${rail.id}, which nothing feeds`);
      continue;
    }
    if (host) {
      const give = build.parts
        .find((p) => p.id === hostId)!
        .peripheral.gives.find((g) => `part:${hostId}:${g.id}` === feed.output)!;
      const volts = { low: low(give.volts), high: high(give.volts) };
      if (volts.low < low(s.minVolts) || volts.high > high(s.maxVolts))
        faults.push(`${part.id} gets ${volts.high} V of ${hostId}`);
      const per = volts.high / (0.85 * Math.max(0.5, fed.low));
      draw(
        rail,
        fed,
        host.supplies[0]!.pads[0],
        amps(s, 'typicalAmps', volts.low) * per,
        amps(s, 'peakAmps', volts.low) * per,
        asked,
      );
      continue;
    }
    if (!fed.flies) faults.push(`${part.id} is dark in flight`);
    if (fed.flies && (fed.low < high(s.minVolts) - 1e-6 || fed.high > low(s.maxVolts) + 1e-6))
      faults.push(`${part.id} gets ${fed.low} to ${fed.high} V on ${rail.id}`);
    if (fed.usb && fed.usb.high > low(s.maxVolts) + 1e-6) faults.push(`${part.id} gets ${fed.usb.high} V of USB`);
    if (asked && (!fed.usb || fed.usb.nominal < high(s.minVolts))) faults.push(`${part.id} is dark on USB`);
    draw(rail, fed, feed.pads[0], amps(s, 'typicalAmps', fed.low), amps(s, 'peakAmps', fed.low), asked);
  }
  const slack = 0.001 * (hookup.parts.length + board.rails.length);
  let ownUsb = 0;
  for (const rail of board.rails) {
    const fed = rail.ownAmps ? fedBy(build, board, hookup, rail.id) : null;
    if (!fed) continue;
    for (const [r, per] of fed.through) add(steady, `own ${r}`, high(rail.ownAmps, 0.3) * per);
    if (fed.usb) ownUsb += high(rail.ownAmps, 0.3) * fed.usb.perAmp;
  }
  for (const { id, source } of board.rails) {
    if (source.kind !== 'regulator' || 'unknown' in source.ratedAmps) continue;
    const own = steady.get(`own ${id}`) ?? 0;
    const of = source.ratedAmps.origin === 'measured' ? 1 : share[build.policies.ratedAmps];
    const rated = low(source.ratedAmps);
    if ((steady.get(id) ?? 0) > Math.max(0, rated * of - own) + slack)
      faults.push(`regulator ${id} carries ${steady.get(id)} A for long`);
    if ((peak.get(id) ?? 0) > Math.max(0, rated - own) + slack)
      faults.push(`regulator ${id} carries ${peak.get(id)} A at peak`);
    if (source.type === 'linear') {
      const fed = fedBy(build, board, hookup, source.input);
      const watts = fed && (fed.high - low(source.outVolts)) * (steady.get(id) ?? 0);
      if (watts && watts > low(source.burnsWatts, 1.5) + slack * fed.high)
        faults.push(`regulator ${id} burns ${watts} W`);
    }
  }
  for (const plug of board.plugs) {
    const family = Object.keys(pinAmps).find((f) =>
      plug.family
        .toUpperCase()
        .split(/[^A-Z0-9]+/)
        .includes(f),
    );
    if (!family) continue;
    for (const rail of board.rails) {
      const pins = plug.pins.filter((p) => p.pad && rail.pads.includes(p.pad)).length;
      const carried = out.get(`${plug.id} ${rail.id}`) ?? 0;
      if (carried > pins * pinAmps[family]! + slack) faults.push(`${pins} pins of ${plug.id} carry ${carried} A`);
    }
    const grounds = plug.pins.filter(
      (p) => /^(g|gnd|ground|0 ?v|-)$/i.test(p.name.trim()) || (p.pad && board.grounds.includes(p.pad)),
    ).length;
    if (grounds > 0 && (back.get(plug.id) ?? 0) > grounds * pinAmps[family]! + slack)
      faults.push(`${grounds} ground pins of ${plug.id} carry ${back.get(plug.id)} A`);
  }
  if (onUsb > Math.max(0, 0.5 - ownUsb) + slack) faults.push(`USB gives ${onUsb} A`);
  return faults;
}
