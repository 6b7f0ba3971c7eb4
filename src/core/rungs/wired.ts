import { suppliedName, type Hookup, type WiredPart, type WiredSupply } from '../wiring/hookup';
import { portSums } from '../wiring/port-sums';
import type { SolvedRung } from '../wiring/way';
import { comfort } from '../trade/comfort';
import { counted, num } from '../quantity/spelled';
import { marginOf, stateOf, worst, type Finding } from './finding';

/** Findings of rungs 4 to 7 on everything that the hookup does wire. */
export function checkWired(hookup: Hookup): Finding[] {
  const wired = hookup.parts.filter((p) => p.mode);
  return [
    ...portCount(hookup),
    ...wired.flatMap(linkFindings),
    ...wired.flatMap((p) => p.supplies.flatMap((s) => supplyFindings(suppliedName(p, s), s))),
    ...bridgeFindings(hookup),
    ...[...hookup.rails, ...hookup.together, ...hookup.outputs].flatMap(loadFinding),
  ];
}

function portCount(hookup: Hookup): Finding[] {
  if (hookup.ports.length === 0) return [];
  const { open, used } = portSums(hookup.ports);
  const released = hookup.releases.map(({ what, lost }) => ({ what, lost }));
  return [
    {
      rung: 4,
      state: released.length > 0 ? 'strained' : 'holds',
      code: 'serial ports',
      about: 'Serial ports',
      says: { code: 'serial ports', ports: hookup.ports.length, usable: open, used, free: hookup.freePorts, released },
      needed: counted(used, 'port'),
      given: counted(open, 'port'),
      grounds: [],
    },
  ];
}

function linkFindings(part: WiredPart): Finding[] {
  const extra: Finding[] =
    part.mode!.lost.length > 0
      ? [
          {
            rung: 5,
            state: 'strained',
            code: 'wired another way',
            about: part.name,
            says: { code: 'wired another way', part: part.name, mode: part.mode!.label, lost: part.mode!.lost },
            grounds: [],
          },
        ]
      : [];
  return [
    ...extra,
    ...part.links.flatMap((l): Finding[] => {
      const at = (rung: SolvedRung) => l.conditions.filter((c) => c.rung === rung);
      const ports = at(4);
      const signals = at(5);
      const on = { part: part.name, link: l.link, on: l.on };
      const open = ports.filter((c) => c.truth === 'unknown').map((c) => c.reason);
      return [
        {
          rung: 4,
          state: worst([l.lost.length > 0 ? 'strained' : 'holds', ...ports.map((c) => stateOf(c.truth))]),
          code: 'link',
          about: part.name,
          says: { code: 'link', ...on, lost: l.lost, open },
          grounds: ports.flatMap((c) => c.grounds ?? []),
        },
        ...(signals.length > 0
          ? [
              {
                rung: 5 as const,
                state: worst(signals.map((c) => stateOf(c.truth))),
                code: 'signal' as const,
                about: part.name,
                says: { code: 'signal' as const, ...on, reasons: signals.map((c) => c.reason) },
                grounds: signals.flatMap((c) => c.grounds ?? []),
              },
            ]
          : []),
      ];
    }),
  ];
}

function supplyFindings(name: string, s: WiredSupply): Finding[] {
  const rails = s.conditions.filter((c) => c.rung === 6);
  const loads = s.conditions.filter((c) => c.rung === 7);
  const tight = s.margin !== null && s.margin < comfort.packVolts * 100;
  return [
    {
      rung: 6,
      state: worst([s.lost.length > 0 || tight ? 'strained' : 'holds', ...rails.map((c) => stateOf(c.truth))]),
      code: 'supply',
      about: name,
      says: {
        code: 'supply',
        part: name,
        reasons: [...rails.map((c) => c.reason), ...s.lost],
        leftPercent: tight ? s.margin : null,
      },
      ...(s.margin === null ? {} : { margin: s.margin / 100 }),
      grounds: rails.flatMap((c) => c.grounds ?? []),
    },
    ...loads.map((c): Finding => ({
      rung: 7,
      state: stateOf(c.truth),
      code: 'load reason',
      about: name,
      says: { code: 'load hangs on', reason: c.reason },
      grounds: c.grounds ?? [],
    })),
  ];
}

function bridgeFindings(hookup: Hookup): Finding[] {
  return hookup.bridges
    .filter((b) => b.moved)
    .map((b) => ({
      rung: 6,
      state: 'holds',
      code: 'bridge to set',
      about: b.label,
      says: { code: 'set the bridge', bridge: b.label, position: b.positionLabel },
      grounds: [],
    }));
}

function loadFinding(r: Hookup['rails'][number]): Finding[] {
  if (r.parts.length === 0 || r.usableMa === null || r.printedMa === null) return [];
  const margin = marginOf(r.usableMa, Math.max(1, r.peakMa));
  const free = (r.usableMa - r.peakMa) / r.usableMa;
  let state: 'unknown' | 'holds' | 'strained';
  if (r.atLeast) state = 'unknown';
  else if (r.over || free < comfort.load) state = 'strained';
  else state = 'holds';
  const unsaid = r.parts.filter((p) => p.unsaid).map((p) => p.name);
  return [
    {
      rung: 7,
      state,
      code: 'rail load',
      about: r.label,
      says: {
        code: 'rail load',
        rail: r.label,
        parts: r.parts.map((p) => p.name),
        typicalMa: r.typicalMa,
        peakMa: r.peakMa,
        usableMa: r.usableMa,
        share: r.share,
        printedMa: r.printedMa,
        ownMa: r.ownMa,
        byHeat: r.byHeat,
        intoReserve: r.over,
        unsaid,
        free,
      },
      needed: `${num(r.peakMa / 1000, 2)} A`,
      given: `${num(r.usableMa / 1000, 2)} A`,
      ...(margin === undefined ? {} : { margin: free }),
      grounds: [],
    },
  ];
}
