import type { Board } from '../records/board';
import type { Build, Lock } from '../records/build';
import { withFixes } from '../fix/apply';
import type { Link } from '../records/peripheral';
import { compile } from './compile';
import { noCost, type Cost } from '../solver/cost';
import { hookupOf, type Hookup, type WiredPart } from './hookup';
import { layOut } from './lay-out';
import type { Solution } from '../solver/problem';
import { budgetWith, withinSteps, type GeneralSolver } from '../solver/budget';
import { solve } from '../solver/solve';
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

/** Everything that a part's mode, one of its links or one of its supplies could be. */
export interface Choices {
  kind: 'mode' | 'link' | 'supply';
  /** Id of the link or the supply; "mode". */
  need: string;
  /** Which supply, where the part takes several. */
  which?: string;
  alternatives: Alternative[];
}

/** The price of the buyer's locks on this board: the locked optimum minus the free one; null where either takes too long to prove. */
export function priceOfLocks(build: Build, board: Board, general: GeneralSolver | null = null): Price | null {
  const locked = best(build, board, build.locks[board.id] ?? [], general);
  const free = best(build, board, [], general);
  return locked && free && minus(locked.solution, free.solution);
}

/** For each way to wire a part, each of its links and its supply: everything else it could be, each solved anew with that choice locked. */
export function alternativesOf(
  build: Build,
  board: Board,
  part: string,
  general: GeneralSolver | null = null,
): Choices[] {
  const locks = build.locks[board.id] ?? [];
  const unlocked = best(build, board, locks, general);
  if (!unlocked) return [];
  const free = unlocked;
  const wired = free.hookup.parts.find((p) => p.id === part);
  const peripheral = build.parts.find((p) => p.id === part)?.peripheral;
  if (!peripheral) return [];
  const mode = peripheral.modes.find((m) => m.id === wired?.mode?.id) ?? peripheral.modes[0]!;
  const others =
    peripheral.modes.length > 1
      ? [
          {
            kind: 'mode' as const,
            need: 'mode',
            alternatives: peripheral.modes.flatMap((m) =>
              tried({ kind: 'mode', part, mode: m.id }, m.id, m.label, m.id === wired?.mode?.id),
            ),
          },
        ]
      : [];
  const links = mode.links.flatMap((link) => {
    const places = placesFor(board, link);
    if (places.length < 2) return [];
    const on = wired?.links.find((l) => l.id === link.id)?.to ?? [];
    return [
      {
        kind: 'link' as const,
        need: link.id,
        alternatives: places.flatMap((p) =>
          tried({ kind: 'link', part, link: link.id, to: p.id }, p.id, p.label, on.includes(p.id)),
        ),
      },
    ];
  });
  const supplies = mode.supplies.map(({ id: supply, label }) => ({
    kind: 'supply' as const,
    need: supply,
    ...(label === undefined ? {} : { which: label }),
    alternatives: feedsFor(build, board, part).flatMap((r) =>
      tried({ kind: 'supply', part, supply, to: r.id }, r.id, r.label, isOn(wired, supply, r.id)),
    ),
  }));
  return [...others, ...links, ...supplies];

  function tried(lock: Lock, to: string, label: string, chosen: boolean): Alternative[] {
    if (chosen) return [{ to, label, chosen, price: { cost: noCost, marginPercent: 0 } }];
    const kept = locks.filter((l) => !sameNeed(l, lock));
    const found = best(build, board, [...kept, lock], general);
    if (!found) return [];
    const served = found.hookup.parts.find((p) => p.id === part);
    // A mode without this link satisfies the lock idly; then the choice was not had.
    let had = false;
    if (lock.kind === 'supply') had = isOn(served, lock.supply, to);
    else if (lock.kind === 'mode') had = served?.mode?.id === to;
    else had = served?.links.some((l) => l.to.includes(to)) ?? false;
    return [{ to, label, chosen, price: had ? minus(found.solution, free.solution) : null }];
  }
}

/** Every bridge of the board in every position, each solved anew with that position locked. */
export function bridgeAlternativesOf(
  build: Build,
  board: Board,
  general: GeneralSolver | null = null,
): { bridge: string; label: string; alternatives: Alternative[] }[] {
  const locks = build.locks[board.id] ?? [];
  const free = best(build, board, locks, general);
  if (!free) return [];
  return board.bridges.map((b) => {
    const stands = free.hookup.bridges.find((x) => x.bridge === b.id)?.position;
    const alternatives = b.positions.flatMap((p): Alternative[] => {
      if (p.id === stands)
        return [{ to: p.id, label: p.label, chosen: true, price: { cost: noCost, marginPercent: 0 } }];
      const lock: Lock = { kind: 'bridge', bridge: b.id, position: p.id };
      const found = best(build, board, [...locks.filter((l) => !sameNeed(l, lock)), lock], general);
      return found ? [{ to: p.id, label: p.label, chosen: false, price: minus(found.solution, free.solution) }] : [];
    });
    return { bridge: b.id, label: b.label, alternatives };
  });
}

function isOn(part: WiredPart | undefined, supply: string, rail: string): boolean {
  return part?.supplies.some((s) => s.id === supply && s.rail === rail) ?? false;
}

/** Where a link of this kind could end on this board. */
function placesFor(board: Board, link: Link): { id: string; label: string }[] {
  switch (link.kind) {
    case 'serial':
      return [
        ...board.ports,
        ...board.outputs
          .filter((o) => o.can.includes('soft serial'))
          .map((o) => ({ id: o.id, label: `${o.label}, soft serial` })),
      ];
    case 'i2c':
    case 'can':
      return board.buses.filter((b) => b.kind === link.kind);
    case 'output':
      return board.outputs.filter((o) => o.can.includes(link.use));
    default:
      return [];
  }
}

/** The rails with pads, and the outputs of other parts. */
function feedsFor(build: Build, board: Board, part: string): { id: string; label: string }[] {
  const parts = build.parts
    .filter((p) => p.id !== part && p.peripheral.gives.length > 0)
    .map((p) => ({ id: `part:${p.id}`, label: p.peripheral.name }));
  return [...board.rails.filter((r) => r.pads.length > 0), ...parts];
}

export function sameNeed(a: Lock, b: Lock): boolean {
  if (a.kind === 'link' && b.kind === 'link') return a.part === b.part && a.link === b.link;
  if (a.kind === 'bridge' && b.kind === 'bridge') return a.bridge === b.bridge;
  if (a.kind === 'supply' && b.kind === 'supply') return a.part === b.part && a.supply === b.supply;
  return a.kind === 'mode' && b.kind === 'mode' && a.part === b.part;
}

/** The best hookup under some locks; null where it takes too long to prove. */
function best(
  original: Build,
  originalBoard: Board,
  locks: Lock[],
  general: GeneralSolver | null,
): { solution: Solution; hookup: Hookup } | null {
  const { build, board } = withFixes(
    { ...original, locks: { ...original.locks, [originalBoard.id]: locks } },
    originalBoard,
  );
  return withinSteps(() => {
    const shop = workshop(build, board, 'sure', budgetWith(general));
    const compiled = compile(shop, layOut(shop), 7, locks);
    const solution = solve(compiled.problem, shop.budget);
    return { solution, hookup: hookupOf(shop, compiled, solution) };
  });
}

function minus(a: Solution, b: Solution): Price {
  const cost = { ...noCost };
  for (const key of Object.keys(cost) as (keyof Cost)[]) cost[key] = a.cost[key] - b.cost[key];
  return { cost, marginPercent: a.margin - b.margin };
}
