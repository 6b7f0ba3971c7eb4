import equal from 'fast-deep-equal';
import { draggedIn } from '../bill/dragged-in';
import { inMoneyOf } from '../bill/exchange';
import { checkComforts } from '../rungs/comforts';
import { cheapestBill, checkCost } from '../rungs/cost';
import { rungNames, worst, type Finding, type RungName, type RungNumber, type RungState } from '../rungs/finding';
import { checkFrame } from '../rungs/frame';
import { checkLights } from '../rungs/lights';
import { checkMotors } from '../rungs/motors';
import { checkPack } from '../rungs/pack';
import { leftOutFinding, mustFindings } from '../rungs/unmet';
import { checkWeight, massLines, total } from '../rungs/weight';
import { sanityFindings } from '../rungs/sanity';
import { checkDesk } from '../rungs/desk';
import { circuitFindings } from '../rungs/circuit-says';
import { checkOwnDraw } from '../rungs/own-draw';
import { checkOwnSupply } from '../rungs/own-supply';
import { auditHookup } from '../simulate/audit';
import { checkSet } from '../rungs/set';
import { memberMeant } from '../rungs/which-stops';
import { checkWired } from '../rungs/wired';
import { checkWires } from '../rungs/wires';
import { withFixes } from '../fix/apply';
import { compile, type Compiled } from '../wiring/compile';
import { juryOf, type Jury } from '../wiring/conflict';
import { remembered, type Memory } from './memory';
import { whatWires } from './what-wires';
import { hookupOf, nothingWired, type Hookup } from '../wiring/hookup';
import { layOut } from '../wiring/lay-out';
import type { LaidPart } from '../wiring/laid';
import { budgetWith, usualSteps, withinSteps, type Budget, type GeneralSolver } from '../solver/budget';
import type { Solution } from '../solver/problem';
import { solve } from '../solver/solve';
import { workshop, type SolvedRung, type Workshop, type World } from '../wiring/way';
import type { Board, Member } from '../records/board';
import type { Build } from '../records/build';

export type Verdict = 'fits' | 'fits with work' | 'cannot say yet' | 'does not fit';

export interface Rung {
  rung: RungNumber;
  name: RungName;
  state: RungState;
  /** Smallest known margin of its findings, (given - needed) / needed; null where none has one. */
  margin: number | null;
  findings: Finding[];
}

/** How far one board carries one build, with all reasons. Every screen, file and command reads this one value. */
export interface Climb {
  boardId: string;
  boardName: string;
  maker: string;
  revision: string;
  /** Of a set, its boards with how many of each; null: one board. */
  members: { id: string; name: string; role: Member['role']; count: number }[] | null;
  verdict: Verdict;
  /** The first rung that breaks, or null. */
  stopsAt: RungNumber | null;
  rungs: Rung[];
  hookup: Hookup;
  massG: { low: number; high: number | null };
  totalCents: number | null;
  /** The wiring could not be worked out within the steps of one climb: the board is shown apart. */
  setAside: boolean;
  /** Some of the wiring was proved by the general solver. */
  delegated: boolean;
  /** Without figures and wires (`decide/slim.ts`). */
  slim?: true;
}

interface Laid {
  shop: Workshop;
  laid: LaidPart[];
  works: Jury;
}

interface Solved extends Laid {
  compiled: Compiled;
  solution: Solution;
}

const solvedRungs: readonly SolvedRung[] = [4, 5, 6, 7];

/**
 * Checks a build against a board on all ten rungs. Pure; never throws for files that passed `readFile`. `general` takes over where the exact search is not done within its
 * share; a wiring that neither answers is unknown, and the board is set aside. `memory` keeps what an edit has not touched from one climb of a board to the next.
 * `search`: only for the order; what is shown is climbed without it.
 */
export function evaluate(
  asked: Build,
  shelved: Board,
  general: GeneralSolver | null = null,
  memory: Memory | null = null,
  search: InSearch | null = null,
): Climb {
  const bought = inMoneyOf(asked, shelved);
  const known = <T>(layer: string, more: readonly unknown[], work: () => T) =>
    remembered(
      memory,
      shelved,
      search ? `${layer} in a search` : layer,
      [...whatWires(asked), general === null, ...more],
      work,
    );
  const { build, board, wiring, early, after, motors } = known('wired', [], () =>
    wired(asked, bought, search, (build, board) =>
      // Of a search the wiring is the set's own where it is kept: what is shown of it takes it over.
      remembered(memory, shelved, 'wiring', [...whatWires(asked), general === null], () =>
        wiringOf(build, board, budgetWith(general)),
      ),
    ),
  );
  const { hookup, findings: solved, states, setAside, delegated } = wiring;
  const checkedAfter = new Set(after);
  const dragged = known('dragged in', [], () => draggedIn(build, board, hookup));
  // Of the masses and the bill a limit changes nothing.
  const masses = known('masses', [asked.bareMassG], () =>
    massLines({ ...build, bareMassG: asked.bareMassG }, board, hookup, dragged),
  );
  const bill = known('bill', [asked.atHome, asked.imports, asked.currency, asked.rates], () =>
    cheapestBill(asked, bought, hookup, dragged),
  );
  const now: Build = { ...build, limits: asked.limits, comforts: asked.comforts };
  const findings: Finding[] = [
    ...early,
    ...after,
    ...motors,
    ...solved,
    ...checkWeight(now, masses),
    ...checkCost(asked, bought, bill),
    ...checkComforts(now, board, hookup),
  ];
  const rungs = rungNames.map((name, i): Rung => {
    const rung = (i + 1) as RungNumber;
    const found = findings.filter((f) => f.rung === rung);
    const own = found.length > 0 ? found : [nothingToJudge(rung)];
    const margins = own.flatMap((f) => (f.margin === undefined ? [] : [f.margin]));
    // Rungs 4 to 7 take their state from the solve, and what is checked on the hookup can only add to it.
    const state = worst([
      ...(states.has(rung as SolvedRung) ? [states.get(rung as SolvedRung)!] : []),
      ...own.filter((f) => !states.has(rung as SolvedRung) || checkedAfter.has(f)).map((f) => f.state),
    ]);
    return {
      rung,
      name,
      state,
      margin: margins.length > 0 ? Math.min(...margins) : null,
      findings: worstFirst(own).map((f) => ofMember(board, f)),
    };
  });
  const mass = total(masses);
  return {
    ...headOf(board),
    verdict: verdictOf(rungs),
    stopsAt: rungs.find((r) => r.state === 'breaks')?.rung ?? null,
    rungs,
    hookup,
    massG: { low: mass.low, high: Number.isFinite(mass.high) ? mass.high : null },
    totalCents: bill?.order.totalCents ?? null,
    setAside,
    delegated,
  };
}

/** All of a climb that neither a limit nor a wish can change. */
function wired(
  asked: Build,
  bought: Board,
  search: InSearch | null,
  wiringFor: (build: Build, board: Board) => Wiring,
) {
  const { build, board } = withFixes(asked, bought);
  const known = search?.alike.get(search.key);
  const wiring = known ?? wiringFor(build, board);
  if (!known && search) remember(search, wiring);
  const early = [...checkFrame(build, board), ...checkPack(build, board)];
  const motors = checkMotors(build, board);
  const checked = [
    ...checkSet(build, board, wiring.hookup),
    ...sanityFindings(board),
    ...checkLights(build),
    ...checkWires(board, wiring.hookup),
    ...checkOwnDraw(board, wiring.hookup),
    ...checkOwnSupply(build, board, bought),
  ];
  // Only what would fit is worth solving as a circuit.
  const states = [...wiring.states.values(), ...[...early, ...motors, ...checked].map((f) => f.state)];
  const fits = worst(states) === 'holds' || worst(states) === 'strained';
  const circuit = fits && !search ? circuitFindings(auditHookup(build, board, wiring.hookup)) : [];
  return {
    build,
    board,
    wiring,
    early,
    after: [...checked, ...circuit],
    motors,
  };
}

/**
 * A climb of one among very many: its circuit is not solved, and its wiring is that of another one of the same key, where there was one. What it says of names may be the other's.
 */
export interface InSearch {
  key: string;
  alike: Map<string, Wiring>;
}

/** Wirings kept at once: a search of thousands would hold a hookup of each. */
const mostAlike = 400;

function remember({ key, alike }: InSearch, wiring: Wiring): void {
  if (alike.size >= mostAlike) alike.clear();
  alike.set(key, wiring);
}

export interface Wiring {
  hookup: Hookup;
  findings: Finding[];
  states: Map<SolvedRung, RungState>;
  setAside: boolean;
  delegated: boolean;
}

function wiringOf(build: Build, board: Board, budget: Budget): Wiring {
  const wiring = withinSteps(() => solveRungs(build, board, budget));
  return { ...(wiring ?? setAsideWiring(build)), setAside: wiring === null, delegated: budget.delegated > 0 };
}

/** Of rungs 4 to 7 nothing is known. */
function setAsideWiring(build: Build): Omit<Wiring, 'setAside' | 'delegated'> {
  const finding: Finding = {
    rung: 4,
    state: 'unknown',
    code: 'set aside',
    about: 'Set aside',
    says: { code: 'too many steps', steps: usualSteps },
    grounds: [],
    fix: { code: 'shorter search' },
  };
  const states = new Map(solvedRungs.map((rung) => [rung, 'unknown' as RungState]));
  return { hookup: nothingWired(build), findings: [finding], states };
}

/**
 * Rungs 4 to 7 are one problem: rung k breaks exactly when no hookup serves every must under all conditions of
 * rungs 4 to k, even when every unknown turns out well; it is unknown when that works only if some unknown does.
 */
function solveRungs(build: Build, board: Board, budget: Budget): Omit<Wiring, 'setAside' | 'delegated'> {
  const sure = prepare(build, board, 'sure', budget);
  const best = at(sure, 7);
  const states = new Map<SolvedRung, RungState>();
  let shown = best;
  if (best.solution.cost.must > 0) {
    const hopeful = prepare(build, board, 'hopeful', budget);
    shown = at(hopeful, 7);
    // The rungs nest: what fails at one fails at every higher one, and needs no asking.
    let surely = true;
    let hopefully = true;
    for (const k of solvedRungs) {
      surely &&= k < 7 && passes(sure, k);
      if (surely) continue;
      hopefully &&= passes(hopeful, k);
      states.set(k, hopefully ? 'unknown' : 'breaks');
    }
  }
  const hookup = hookupOf(shown.shop, shown.compiled, shown.solution);
  const findings = [...checkWired(hookup), ...checkDesk(shown.shop.build, hookup), ...unmetFindings(shown, states)];
  for (const k of solvedRungs) {
    const state =
      states.get(k) ??
      worst(
        findings
          .filter((f) => f.rung === k)
          .map((f) => (f.state === 'unknown' || f.state === 'breaks' ? 'strained' : f.state)),
      );
    states.set(k, state);
  }
  return { hookup, findings, states };
}

function prepare(build: Build, board: Board, world: World, budget: Budget): Laid {
  const shop = workshop(build, board, world, budget);
  const laid = layOut(shop);
  return { shop, laid, works: juryOf(shop, laid, build.locks[board.id]) };
}

/** Can rungs 4 to `rung` serve every must? */
function passes({ laid, works }: Laid, rung: SolvedRung): boolean {
  return works(
    laid.filter((l) => l.part.priority === 'must'),
    rung,
  );
}

function at(ready: Laid, rung: SolvedRung): Solved {
  const { shop, laid } = ready;
  const compiled = compile(shop, laid, rung, shop.build.locks[shop.board.id]);
  return { ...ready, compiled, solution: solve(compiled.problem, shop.budget) };
}

/** A sentence for each solved rung that the musts do not pass, and one for each other part that is left out. */
function unmetFindings(shown: Solved, states: Map<SolvedRung, RungState>): Finding[] {
  const { shop, laid, works, solution } = shown;
  const stopped = mustFindings(
    shop,
    works,
    laid,
    solvedRungs.flatMap((rung) => (states.has(rung) ? [{ rung, state: states.get(rung)! }] : [])),
  );
  const out = laid.filter((l, i) => solution.picks[i] === null && l.part.priority !== 'must');
  const wired = laid.filter((_, i) => solution.picks[i] !== null);
  return [...stopped, ...out.map((part) => leftOutFinding(shop, works, wired, part))];
}

function verdictOf(rungs: Rung[]): Verdict {
  const state = worst(rungs.filter((r) => r.rung < 10).map((r) => r.state));
  return { holds: 'fits', strained: 'fits with work', unknown: 'cannot say yet', breaks: 'does not fit' }[
    state
  ] as Verdict;
}

function worstFirst(findings: Finding[]): Finding[] {
  const order: RungState[] = ['breaks', 'unknown', 'strained', 'holds'];
  const once = findings.filter((f, i) => findings.findIndex((g) => equal(g.says, f.says)) === i);
  return once.sort((a, b) => order.indexOf(a.state) - order.indexOf(b.state));
}

/** Where nothing can be wired at all, no signal and no supply is left to judge. */
function nothingToJudge(rung: RungNumber): Finding {
  return {
    rung,
    state: 'holds',
    code: 'nothing new',
    about: 'Nothing wired',
    says: { code: 'nothing to judge' },
    grounds: [],
  };
}

function ofMember(board: Board, finding: Finding): Finding {
  const member = memberMeant(board, finding);
  return member === null || member === finding.member ? finding : { ...finding, member };
}

/** What a climb says of the board itself. */
export function headOf(board: Board): Pick<Climb, 'boardId' | 'boardName' | 'maker' | 'revision' | 'members'> {
  const { id, name, maker, revision } = board;
  return { boardId: id, boardName: name, maker, revision, members: membersOf(board) };
}

function membersOf({ members }: Board): Climb['members'] {
  return members?.map((m) => ({ id: m.board.id, name: m.board.name, role: m.role, count: m.count })) ?? null;
}

/** The climb of a board that made the climb itself fail: nothing is known of it but why. */
export function notClimbed(build: Build, board: Board, why: string): Climb {
  const finding: Finding = {
    rung: 1,
    state: 'unknown',
    code: 'set aside',
    about: 'Set aside',
    says: { code: 'climb failed', why },
    grounds: [],
  };
  return {
    ...headOf(board),
    verdict: 'cannot say yet',
    stopsAt: null,
    rungs: rungNames.map((name, i) => ({
      rung: (i + 1) as RungNumber,
      name,
      state: 'unknown',
      margin: null,
      findings: i === 0 ? [finding] : [],
    })),
    hookup: nothingWired(build),
    massG: { low: 0, high: null },
    totalCents: null,
    setAside: true,
    delegated: false,
  };
}
