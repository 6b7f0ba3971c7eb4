import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { nodesOf, type Netlist } from '../simulate/netlist';
import { spiceNames, spiceNetlist } from '../simulate/spice';

/** ngspice from Debian's packages, run on the same netlist: it shares nothing with our solver but the formulas of the elements. */
export function ngspiceAtRest(net: Netlist): { volts: Map<string, number>; amps: Map<string, number> } {
  const { node, element } = spiceNames(net);
  const nodes = nodesOf(net);
  const branches = net.elements.filter((e) => e.kind === 'volts').map((e) => e.id);
  const wanted = [...nodes.map((n) => `v(${node(n)})`), ...branches.map((b) => `i(V${element(b).slice(1)})`)];
  const out = run(net, [
    '.options itl1=2000 reltol=1e-6 abstol=1e-10 vntol=1e-7 gmin=1e-12',
    '.control',
    'set numdgt=10',
    'op',
    ...wanted.map((w) => `print ${w}`),
    '.endc',
  ]);
  const read = new Map(
    [...out.matchAll(/^\s*([vi]\([^)]+\))\s*=\s*(\S+)/gim)].map((m) => [m[1]!.toLowerCase(), Number(m[2])]),
  );
  if (read.size === 0) throw new Error(`ngspice gave no answer:\n${out.slice(-2000)}`);
  const at = (w: string) => read.get(w.toLowerCase()) ?? NaN;
  return {
    volts: new Map(nodes.map((n) => [n, at(`v(${node(n)})`)])),
    amps: new Map(branches.map((b) => [b, at(`i(V${element(b).slice(1)})`)])),
  };
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
    return JSON.stringify(Object.fromEntries(files.map((f) => [f, readFileSync(path.join(folder, f), 'utf8')])));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
