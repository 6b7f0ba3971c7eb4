import type { Board } from '../model/board';
import type { Build, Lock } from '../model/build';
import { withFixes } from '../fix/apply';
import { compile } from './compile';
import { noCost, type Cost } from './cost';
import { hookupOf, type Hookup } from './hookup';
import { layOut } from './lay-out';
import type { Solution } from './problem';
import { solve } from './solve';
import { workshop } from './way';

/** Another end for a link or a supply, with what choosing it would cost against the free optimum. */
export interface Alternative {
  to: string;
  label: string;
  chosen: boolean;
  /** null: it cannot be had without leaving this part out. */
  price: Price | null;
}

export interface Price {
  /** Each level of the objective, this choice minus the free optimum. */
  cost: Cost;
  marginPercent: number;
}

/** The price of the buyer's locks on this board: the locked optimum minus the free one. */
export function priceOfLocks(build: Build, board: Board): Price {
  const locked = best(build, board, build.locks[board.id] ?? []);
  return minus(locked.solution, best(build, board, []).solution);
}

/** For each link and the supply of a part, every port, rail or output it could end on, each solved anew with that choice locked. */
export function alternativesOf(build: Build, board: Board, part: string): { need: string; alternatives: Alternative[] }[] {
  const locks = build.locks[board.id] ?? [];
  const free = best(build, board, locks);
  const wired = free.hookup.parts.find((p) => p.id === part);
  const peripheral = build.parts.find((p) => p.id === part)?.peripheral;
  if (!peripheral) return [];
  const mode = peripheral.modes.find((m) => m.id === wired?.mode?.id) ?? peripheral.modes[0]!;
  const links = mode.links.flatMap((link) => {
    if (link.kind !== 'serial') return [];
    const on = wired?.links.find((l) => l.id === link.id)?.to ?? [];
    return [{ need: link.id, alternatives: board.ports.flatMap((p) => tried({ kind: 'link', part, link: link.id, to: p.id }, p.id, p.label, on.includes(p.id))) }];
  });
  const supply = mode.supply
    ? [{ need: 'supply', alternatives: board.rails.filter((r) => r.pads.length > 0).flatMap((r) => tried({ kind: 'supply', part, to: r.id }, r.id, r.label, wired?.supply?.rail === r.id)) }]
    : [];
  return [...links, ...supply];

  function tried(lock: Lock, to: string, label: string, chosen: boolean): Alternative[] {
    if (chosen) return [{ to, label, chosen, price: { cost: noCost, marginPercent: 0 } }];
    const others = locks.filter((l) => !sameNeed(l, lock));
    const found = best(build, board, [...others, lock]);
    const served = found.hookup.parts.find((p) => p.id === part)?.mode;
    // A mode without this link satisfies the lock idly; then the choice was not had.
    const had = served && (lock.kind === 'supply' ? found.hookup.parts.find((p) => p.id === part)?.supply?.rail === to : found.hookup.parts.find((p) => p.id === part)?.links.some((l) => l.to.includes(to)));
    return [{ to, label, chosen, price: had ? minus(found.solution, free.solution) : null }];
  }
}

export function sameNeed(a: Lock, b: Lock): boolean {
  if (a.kind === 'link' && b.kind === 'link') return a.part === b.part && a.link === b.link;
  return a.kind === 'supply' && b.kind === 'supply' && a.part === b.part;
}

function best(original: Build, originalBoard: Board, locks: Lock[]): { solution: Solution; hookup: Hookup } {
  const { build, board } = withFixes({ ...original, locks: { ...original.locks, [originalBoard.id]: locks } }, originalBoard);
  const shop = workshop(build, board, 'sure');
  const compiled = compile(shop, layOut(shop), 7, locks);
  const solution = solve(compiled.problem);
  return { solution, hookup: hookupOf(shop, compiled, solution) };
}

function minus(a: Solution, b: Solution): Price {
  const cost = { ...noCost };
  for (const key of Object.keys(cost) as (keyof Cost)[]) cost[key] = a.cost[key] - b.cost[key];
  return { cost, marginPercent: a.margin - b.margin };
}
