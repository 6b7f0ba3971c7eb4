import type { Output } from '../records/board';
import type { OutputUse } from '../records/board-lists';
import type { Link } from '../records/peripheral';
import type { Truth } from '../quantity/truth';
import { spend } from '../solver/budget';
import { freeOfEsc } from '../circuit/esc-lines';
import { sharedPads } from '../circuit/shared-pads';
import { level } from '../trade/level';
import type { Reason } from './reason';
import { row, tag, way, type Condition, type Way, type Workshop } from './way';
import { outputRow } from './keys';

/** Outputs that are alike: one timer, the same uses. */
export interface OutputGroup {
  id: string;
  timer: string;
  can: OutputUse[];
  outputs: Output[];
  limit: number;
  /** Does the ESC on the board leave them to a motor of another ESC, and to any other job? */
  free: { motor: Truth; other: Truth };
}

export function outputGroups(shop: Workshop): OutputGroup[] {
  let groups = grouped.get(shop);
  if (!groups) grouped.set(shop, (groups = groupOutputs(shop)));
  return groups;
}

const grouped = new WeakMap<Workshop, OutputGroup[]>();

function groupOutputs(shop: Workshop): OutputGroup[] {
  const named = new Set((shop.build.locks[shop.board.id] ?? []).flatMap((l) => (l.kind === 'link' ? [l.to] : [])));
  const groups = new Map<string, OutputGroup>();
  for (const output of shop.board.outputs) {
    const free = freeOfEsc(shop.build, shop.board, output);
    const key = JSON.stringify([
      output.timer,
      [...output.can].sort(),
      output.rates,
      output.sendsVolts,
      free,
      named.has(output.id) || sharedPads(shop.board).has(output.pad) ? output.id : '',
    ]);
    const group = groups.get(key) ?? {
      id: output.id,
      timer: output.timer,
      can: output.can,
      outputs: [],
      limit: 0,
      free,
    };
    group.outputs.push(output);
    group.limit = group.outputs.length;
    groups.set(key, group);
  }
  return [...groups.values()];
}

/** The groups that can do a job, and what must turn out well for it. */
export function ableGroups(shop: Workshop, use: OutputUse): { group: OutputGroup; conditions: Condition[] }[] {
  return outputGroups(shop).flatMap((group) => {
    const free = use === 'motor' ? group.free.motor : group.free.other;
    if (!group.can.includes(use) || free === 'no' || !sendsAt(shop, group, use)) return [];
    return [
      {
        group,
        conditions:
          free === 'yes'
            ? []
            : [
                {
                  rung: 4,
                  truth: free,
                  reason: { code: 'outputs may drive the ESC' },
                },
              ],
      },
    ];
  });
}

/** Motors are signalled as their ESCs listen, servos at 50 Hz; lights have a rate of their own, which every output has. */
function sendsAt({ build }: Workshop, { outputs }: OutputGroup, use: OutputUse): boolean {
  const rate = use === 'motor' ? build.motors.signal : '50 Hz';
  if (use !== 'motor' && use !== 'servo') return true;
  return outputs[0]!.rates?.includes(rate) ?? true;
}

/** What a timer runs at for a job: motors whose ESCs listen at 50 Hz may share one with servos. */
function rateOf({ build }: Workshop, use: OutputUse): string {
  return use === 'motor' && build.motors.signal === '50 Hz' ? 'servo' : use;
}

/**
 * All splits of `count` wires over the groups that can do the job. Outputs of one timer run at one rate,
 * so a timer that drives motors drives nothing else.
 */
export function outputWays(shop: Workshop, { use, count, hearsFromVolts }: Extract<Link, { kind: 'output' }>): Way[] {
  const able = ableGroups(shop, use);
  const total = able.reduce((sum, { group }) => sum + group.limit, 0);
  if (total < count) {
    const held = outputGroups(shop).some((g) => g.can.includes(use) && !able.some(({ group }) => group === g));
    const reason: Reason = { code: 'too few outputs', there: total, othersHeld: held };
    return [way({ conditions: [{ rung: 4, truth: 'no', reason }] })];
  }
  const left = able.map((_, i) => able.slice(i).reduce((sum, { group }) => sum + group.limit, 0));
  const splits: number[][] = [];
  const split = (i: number, rest: number, taken: number[]) => {
    if (rest === 0) {
      // Each is a way to be made: very many are more than a climb has steps for, and then the board is set aside.
      spend(shop.budget, 1);
      splits.push(taken);
    } else if (rest <= (left[i] ?? 0)) {
      for (let n = Math.min(rest, able[i]!.group.limit); n >= 0; n--) split(i + 1, rest - n, [...taken, n]);
    }
  };
  split(0, count, []);
  return splits.map((taken) => {
    const used = able.flatMap(({ group: g, conditions }, i) => (taken[i] ? [{ g, conditions, n: taken[i]! }] : []));
    const heard = heardAt(
      used.map((u) => u.g),
      hearsFromVolts,
    );
    return way({
      ...heard,
      conditions: [...used.flatMap((u) => u.conditions), ...(heard.conditions ?? [])],
      rows: used.map(({ g, n }) => ({
        id: row(shop, { id: outputRow(g.id), limit: g.limit, pool: 'output' }),
        amount: n,
        rung: 4,
      })),
      tags: used.map(({ g }) => tag(shop, `timer:${g.timer}`, rateOf(shop, use))),
      link: { kind: 'output', take: used.map(({ g, n }) => ({ group: g.id, count: n })) },
    });
  });
}

/** Of the volts that a chip takes for high, what mostly does with a short wire. */
const mostlyHeard = 0.9;

/**
 * Chips of lights on 5 V take 0.7 of it, 3.5 V, for high (data sheets of the common part, from memory). A pad of 3.3 V lies below that, and mostly works all the
 * same with a short wire: a compromise; below nine tenths of what is asked it does not.
 */
function heardAt(
  groups: OutputGroup[],
  hearsFromVolts: number | undefined,
): Partial<Pick<Way, 'conditions' | 'cost' | 'lost'>> {
  if (hearsFromVolts === undefined) return {};
  const said = groups.flatMap(({ outputs }): Extract<Reason, { code: 'light data low' }>[] => {
    const { label, sendsVolts = level.supplyVolts } = outputs[0]!;
    return sendsVolts < hearsFromVolts
      ? [{ code: 'light data low', output: label, volts: sendsVolts, hearsFromVolts }]
      : [];
  });
  if (said.length === 0) return {};
  const tooLow = said.filter((r) => r.volts < mostlyHeard * hearsFromVolts);
  return {
    conditions: tooLow.map((reason) => ({ rung: 5, truth: 'no', reason })),
    cost: { compromises: 1 },
    lost: said,
  };
}
