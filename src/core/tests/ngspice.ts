import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { nodesOf, type Netlist } from '../simulate/netlist';
import { operatingPoint } from '../simulate/operating-point';
import { transient } from '../simulate/transient';
import { spiceNames, spiceNetlist } from '../simulate/spice';

/** ngspice from Debian's packages, run on the same netlist: it shares nothing with our solver but the formulas of the elements. */
function ngspiceAtRest(net: Netlist, hints: ReadonlyMap<string, number>): Map<string, number> {
  const { node } = spiceNames(net);
  const nodes = nodesOf(net);
  const out = run(net, [
    '.options itl1=5000 itl2=2000 reltol=1e-6 abstol=1e-9 vntol=1e-6 gmin=1e-12',
    ...[...hints].map(([n, v]) => `.nodeset v(${node(n)})=${v}`),
    '.control',
    'set numdgt=10',
    'op',
    ...nodes.map((n) => `print v(${node(n)})`),
    '.endc',
  ]);
  const read = [...out.matchAll(/^\s*v\((\w+)\)\s*=\s*(\S+)/gim)];
  const volts = new Map(read.map((m) => [m[1]!.toLowerCase(), Number(m[2])]));
  return new Map(nodes.map((n) => [n, volts.get(node(n)) ?? NaN]));
}

export interface Difference {
  /** Largest difference of a node's volts, and as a share of what it is, above 10 mV. */
  volts: number;
  share: number;
  /** ngspice found another state of the circuit by itself, and ours when it was started there. */
  secondState: boolean;
}

/** Where a circuit has come to rest after so long from nothing, for those that ngspice finds no operating point of. */
const settledSeconds = 0.4;

/**
 * Volts of every node by ngspice against ours; a sentence where they differ by more than 1 % or 10 mV, or one of the two has no answer. A circuit that can stand as well as hang browned out has two
 * answers: then ngspice is started at ours, and must stay there. Where it finds no operating point it runs the circuit from nothing until it rests.
 */
export function againstNgspice(net: Netlist): Difference | string {
  const ours = operatingPoint(net);
  if (!ours.ok) return ours.why;
  const unloaded = operatingPoint({ ...net, elements: net.elements.filter((e) => !('isLoad' in e)) });
  const first = differing(ours.volts, ngspiceAtRest(net, unloaded.ok ? unloaded.volts : new Map()));
  if (typeof first !== 'string') return first;
  const atOurs = differing(ours.volts, ngspiceAtRest(net, ours.volts));
  if (typeof atOurs !== 'string') return { ...atOurs, secondState: true };
  const runs = ngspiceOverTime(net, settledSeconds, 1e-4, nodesOf(net));
  return differing(ours.volts, new Map([...runs].map(([n, points]) => [n, points.at(-1)?.[1] ?? NaN])));
}

function differing(ours: ReadonlyMap<string, number>, theirs: ReadonlyMap<string, number>): Difference | string {
  const found: Difference = { volts: 0, share: 0, secondState: false };
  for (const [node, volts] of ours) {
    const by = Math.abs(volts - theirs.get(node)!);
    if (!(by < Math.max(0.01, 0.01 * Math.abs(volts))))
      return `${node} stands at ${volts} V, by ngspice at ${theirs.get(node)} V`;
    found.volts = Math.max(found.volts, by);
    if (by > 0.01) found.share = Math.max(found.share, by / Math.abs(volts));
  }
  return found;
}

/** Volts of some nodes over time, from all capacitors empty. */
export function ngspiceOverTime(
  net: Netlist,
  seconds: number,
  step: number,
  nodes: readonly string[],
): Map<string, [number, number][]> {
  const { node } = spiceNames(net);
  const out = run(
    net,
    [
      '.options itl4=200 reltol=1e-4 abstol=1e-9 method=gear',
      '.control',
      'set numdgt=8',
      `tran ${step} ${seconds} 0 ${step} uic`,
      'set filetype=ascii',
      ...nodes.map((n) => `wrdata out_${node(n)} v(${node(n)})`),
      '.endc',
    ],
    nodes.map((n) => `out_${node(n)}`),
  );
  const files = JSON.parse(out) as Record<string, string>;
  return new Map(
    nodes.map((n) => [
      n,
      files[`out_${node(n)}`]!.trim()
        .split('\n')
        .map((l) => l.trim().split(/\s+/).map(Number) as [number, number]),
    ]),
  );
}

function run(net: Netlist, control: string[], files?: string[]): string {
  const folder = mkdtempSync(path.join(tmpdir(), 'rung-circuit-'));
  try {
    writeFileSync(path.join(folder, 'net.cir'), spiceNetlist(net, control));
    let printed: string;
    try {
      printed = execFileSync('ngspice', ['-b', 'net.cir'], {
        cwd: folder,
        encoding: 'utf8',
        stdio: ['ignore', 'pipe', 'pipe'],
        timeout: 60_000,
      });
    } catch (error) {
      printed = String((error as { stdout?: string }).stdout ?? '');
    }
    if (!files) return printed;
    return JSON.stringify(
      Object.fromEntries(
        files.map((f) => [f, !existsSync(path.join(folder, f)) ? '' : readFileSync(path.join(folder, f), 'utf8')]),
      ),
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Two moments nearer than ngspice's own step are one. */
const leastSeconds = 2e-5;

/**
 * A run from nothing by ngspice against ours: at the end, at the highest point and at the moment at which half of the end is passed, for some nodes. The worst share by which they differ, or a sentence
 * where one of the two comes to no end. Nodes that stay below a tenth of a volt are no matter.
 */
export function runAgainstNgspice(net: Netlist, seconds: number, nodes: readonly string[]): number | string {
  const ours = transient(net, seconds, seconds / 50);
  if (!ours.ok) return ours.why;
  const theirs = ngspiceOverTime(net, seconds, seconds / 5000, nodes);
  let worst = 0;
  for (const node of nodes) {
    const mine = ours.moments.map((m): [number, number] => [m.seconds, m.volts.get(node)!]);
    const their = theirs.get(node)!;
    const last = their.at(-1);
    if (!last || last[0] < 0.99 * seconds) return 'ngspice came to no end';
    const end = (points: readonly [number, number][]) => points.at(-1)![1];
    const top = (points: readonly [number, number][]) => Math.max(...points.map((p) => p[1]));
    if (end(their) < 0.1) continue;
    const passed = (points: readonly [number, number][]) => passes(points, end(their) / 2);
    for (const of of [end, top]) worst = Math.max(worst, Math.abs(of(mine) / of(their) - 1));
    const [mineAt, theirAt] = [passed(mine), passed(their)];
    if (Math.abs(mineAt - theirAt) > leastSeconds) worst = Math.max(worst, Math.abs(mineAt / theirAt - 1));
  }
  return worst;
}

/** When a run first passes so many volts, straight between its moments. */
export function passes(points: readonly [number, number][], volts: number): number {
  const after = points.findIndex(([, v]) => v > volts);
  const [[t0, v0], [t1, v1]] = [points[Math.max(0, after - 1)]!, points[after]!];
  return after <= 0 ? t1 : t0 + ((t1 - t0) * (volts - v0)) / (v1 - v0);
}
