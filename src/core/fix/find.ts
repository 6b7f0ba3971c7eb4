import { evaluate, type Climb } from '../climb';
import { interval } from '../model/figure';
import type { Board } from '../model/board';
import type { Build } from '../model/build';
import type { Fix } from '../model/fix';
import { packSwing } from '../trade/cell';
import { protocols } from '../trade/protocol';
import { withFixes } from './apply';
import { fixPrices } from './price';

/** Fixes that together let the board carry the build, checked by climbing again with them in place. */
export interface FixSet {
  fixes: Fix[];
  words: string[];
  leftOut: string[];
  cents: number;
  grams: number;
  effort: number;
  /** The verdict with the fixes in place. */
  verdict: Climb['verdict'];
}

const mostPairs = 60;

/**
 * The cheapest sets of fixes after which no rung breaks, best first: fewest parts left out (musts before others), then
 * money, grams, effort. All single fixes are tried, then pairs; empty when neither is enough or nothing breaks.
 */
export function findFixes(build: Build, board: Board): FixSet[] {
  if (evaluate(build, board).stopsAt === null) return [];
  const candidates = candidatesFor(build, board);
  const tried = candidates.map((fix) => ({ fixes: [fix], climb: climbWith(build, board, [fix]) }));
  const single = tried.filter((t) => t.climb.stopsAt === null);
  const pairs = single.length > 0 ? [] : pairsOf(candidates).slice(0, mostPairs).map((fixes) => ({ fixes, climb: climbWith(build, board, fixes) })).filter((t) => t.climb.stopsAt === null);
  return [...single, ...pairs]
    .map(({ fixes, climb }) => setOf(build, fixes, climb))
    .sort((a, b) => a.leftOut.length - b.leftOut.length || a.cents - b.cents || a.grams - b.grams || a.effort - b.effort || a.words.join().localeCompare(b.words.join()))
    .slice(0, 8);
}

function climbWith(build: Build, board: Board, fixes: Fix[]): Climb {
  return evaluate({ ...build, fixes: { ...build.fixes, [board.id]: [...(build.fixes[board.id] ?? []), ...fixes] } }, board);
}

/** Every fix that could apply at all; which of them help is found by climbing. */
function candidatesFor(original: Build, originalBoard: Board): Fix[] {
  const { build, board } = withFixes(original, originalBoard);
  const fixes: Fix[] = [];
  const onFrame = build.frame.mounts.some((m) => 'value' in board.mounting.patternMm && m.patternMm === board.mounting.patternMm.value);
  if (!onFrame) fixes.push({ kind: 'adapter plate' });
  if (build.motors.esc === 'on the board' && board.outputs.filter((o) => o.can.includes('motor')).length >= build.motors.count) fixes.push({ kind: 'separate ESC' });
  for (const part of build.parts) {
    if (part.priority !== 'must') continue;
    const supply = part.peripheral.modes.find((m) => m.supply)?.supply;
    if (supply) {
      const low = packSwing(build.pack).low;
      const volts = [5, 9, 12].find((v) => v >= interval(supply.minVolts).high && v <= interval(supply.maxVolts).low && v + 1 <= low);
      if (volts) fixes.push({ kind: 'external regulator', part: part.id, volts });
    }
    const oneWay = part.peripheral.modes.some((m) => m.links.some((l) => l.kind === 'serial' && ['hear', 'talk'].includes(protocols[l.protocol].wires) && (l.sense ?? protocols[l.protocol].sense) === 'inverted'));
    if (oneWay) fixes.push({ kind: 'signal inverter', part: part.id });
    if (part.peripheral.modes.some((m) => m.links.some((l) => l.kind === 'serial' && (l.sendsVolts !== undefined || l.hearsFromVolts !== undefined)))) fixes.push({ kind: 'level shifter', part: part.id });
    fixes.push({ kind: 'leave out', part: part.id });
  }
  return fixes;
}

function pairsOf(fixes: Fix[]): Fix[][] {
  const pairs = fixes.flatMap((a, i) => fixes.slice(i + 1).map((b) => [a, b]));
  const partOf = (f: Fix) => ('part' in f ? f.part : null);
  const lost = (set: Fix[]) => set.filter((f) => f.kind === 'leave out').length;
  return pairs.filter(([a, b]) => partOf(a!) === null || partOf(a!) !== partOf(b!)).sort((a, b) => lost(a) - lost(b));
}

function setOf(build: Build, fixes: Fix[], climb: Climb): FixSet {
  const sum = (key: 'cents' | 'grams' | 'effort') => fixes.reduce((n, f) => n + fixPrices[f.kind][key], 0);
  const name = (id: string) => build.parts.find((p) => p.id === id)?.peripheral.name ?? id;
  return {
    fixes,
    words: fixes.map((f) => fixWords(f, name)),
    leftOut: fixes.flatMap((f) => (f.kind === 'leave out' ? [name(f.part)] : [])),
    cents: sum('cents'),
    grams: sum('grams'),
    effort: sum('effort'),
    verdict: climb.verdict,
  };
}

/** A fix as an order to the buyer. */
export function fixWords(fix: Fix, nameOf: (part: string) => string): string {
  switch (fix.kind) {
    case 'leave out':
      return `Leave out ${nameOf(fix.part)}`;
    case 'external regulator':
      return `Feed ${nameOf(fix.part)} from an external ${fix.volts} V regulator on the pack`;
    case 'signal inverter':
      return `Put a signal inverter into the line of ${nameOf(fix.part)}`;
    case 'level shifter':
      return `Put a level shifter into the line of ${nameOf(fix.part)}`;
    case 'adapter plate':
      return 'Mount the board on an adapter plate';
    case 'separate ESC':
      return 'Add a separate four-in-one ESC';
  }
}
