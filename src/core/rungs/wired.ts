import { suppliedName, type Hookup, type WiredPart, type WiredSupply } from '../wiring/hookup';
import { portSums } from '../wiring/port-sums';
import { reasonWords } from '../wiring/reason';
import type { Condition, SolvedRung } from '../wiring/way';
import { comfort } from '../trade/comfort';
import { railWords } from '../circuit/rail-words';
import { capital, counted, list, marginOf, num, onlySpare, stateOf, uncapital, worst, type Finding } from './finding';
import { linkWords } from '../wiring/signal-words';

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
  const released = hookup.releases.map((r) => `${r.what}: ${r.lost}`);
  return [
    {
      rung: 4,
      state: released.length > 0 ? 'strained' : 'holds',
      code: 'serial ports',
      about: 'Serial ports',
      sentence: `${open} of ${counted(hookup.ports.length, 'port')} can be used: ${used} taken, ${hookup.freePorts} left free.${released.length > 0 ? ` ${released.join('. ')}.` : ''}`,
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
            sentence: `${part.name} is wired by "${part.mode!.label}": ${list(part.mode!.lost)}.`,
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
      const on = `${part.name}: ${uncapital(linkWords(l.link))} on ${l.on}`;
      return [
        {
          rung: 4,
          state: worst([l.lost.length > 0 ? 'strained' : 'holds', ...ports.map((c) => stateOf(c.truth))]),
          code: 'link',
          about: part.name,
          sentence: `${on}${l.lost.map((r) => `; ${reasonWords(r)}`).join('')}${doubtful(ports)}.`,
          grounds: ports.flatMap((c) => c.grounds ?? []),
        },
        ...(signals.length > 0
          ? [
              {
                rung: 5 as const,
                state: worst(signals.map((c) => stateOf(c.truth))),
                code: 'signal' as const,
                about: part.name,
                sentence: `${on}; ${list([...new Set(signals.map((c) => reasonWords(c.reason)))])}.`,
                grounds: signals.flatMap((c) => c.grounds ?? []),
              },
            ]
          : []),
      ];
    }),
  ];
}

function doubtful(conditions: readonly Condition[]): string {
  const open = conditions.filter((c) => c.truth === 'unknown');
  return open.length > 0 ? `; ${list(open.map((c) => reasonWords(c.reason)))}` : '';
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
      sentence: `${name}: ${rails.map((c) => reasonWords(c.reason)).join('; ')}${s.lost.map((r) => `; ${reasonWords(r)}`).join('')}${tight ? `; only ${s.margin} % is left to its limits` : ''}.`,
      ...(s.margin === null ? {} : { margin: s.margin / 100 }),
      grounds: rails.flatMap((c) => c.grounds ?? []),
    },
    ...loads.map((c): Finding => ({
      rung: 7,
      state: stateOf(c.truth),
      code: 'load reason',
      about: name,
      sentence: `${capital(reasonWords(c.reason))}.`,
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
      sentence: `Set ${b.label} to ${b.positionLabel}, before anything is powered.`,
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
  const own = r.ownMa > 0 ? `, less ${num(r.ownMa / 1000, 2)} A for the board itself` : '';
  let derate: string;
  if (r.byHeat) derate = ` (a linear regulator: more would burn too many watts on the full pack${own})`;
  else if (r.share < 1) derate = ` (${num((r.printedMa + r.ownMa) / 1000, 2)} A x ${num(r.share * 100, 0)} %${own})`;
  else derate = '';
  return [
    {
      rung: 7,
      state,
      code: 'rail load',
      about: r.label,
      sentence: `${list(r.parts.map((p) => p.name))} ${r.parts.length === 1 ? 'draws' : 'together draw'} ${r.atLeast ? 'at least ' : ''}${num(r.typicalMa / 1000, 2)} A, ${num(r.peakMa / 1000, 2)} A at peak; ${railWords(r.label)} may carry ${num(r.usableMa / 1000, 2)} A${derate}${r.over ? ': the peak goes into the reserve' : onlySpare(state, free)}${r.atLeast ? `; nobody says what ${list(unsaid)} draws` : ''}.`,
      needed: `${num(r.peakMa / 1000, 2)} A`,
      given: `${num(r.usableMa / 1000, 2)} A`,
      ...(margin === undefined ? {} : { margin: free }),
      grounds: [],
    },
  ];
}
