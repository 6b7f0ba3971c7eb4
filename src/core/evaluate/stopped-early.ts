import { inMoneyOf } from '../bill/exchange';
import { withFixes } from '../fix/apply';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { cheapestBill } from '../rungs/cost';
import { rungNames, worst, type Finding, type RungNumber } from '../rungs/finding';
import { checkFrame } from '../rungs/frame';
import { checkLights } from '../rungs/lights';
import { checkMotors } from '../rungs/motors';
import { checkPack } from '../rungs/pack';
import { sanityFindings } from '../rungs/sanity';
import { massLines, total } from '../rungs/weight';
import { nothingWired } from '../wiring/hookup';
import { headOf, type Climb, type Rung } from './climb';
import { remembered, type Memory } from './memory';
import { whatWires } from './what-wires';

/**
 * The climb of a board that rungs 1 to 3 stop, without a search for its wiring: where it stops, and that it does, are those of the whole climb; of rungs 4 to 10 nothing is
 * said, and mass and price are the least they can be. null where those rungs do not stop it. For shelves of thousands. With a memory, the very same climb as before where no
 * edit has touched it.
 */
export function stoppedEarly(asked: Build, shelved: Board, memory: Memory | null = null): Climb | null {
  const { bareMassG, atHome, imports, currency, rates } = asked;
  const from = [...whatWires(asked), bareMassG, atHome, imports, currency, rates];
  return remembered(memory, shelved, 'stopped early', from, () => stopped(asked, shelved));
}

function stopped(asked: Build, shelved: Board): Climb | null {
  const bought = inMoneyOf(asked, shelved);
  const { build, board } = withFixes(asked, bought);
  const findings = beforeWiring(build, board);
  const stopsAt = firstStop(findings);
  if (stopsAt === null) return null;
  const hookup = nothingWired(build);
  return {
    ...headOf(board),
    verdict: 'does not fit',
    stopsAt,
    rungs: rungNames.map((name, i) => rungOf((i + 1) as RungNumber, name, findings)),
    hookup,
    massG: { low: total(massLines(build, board, hookup)).low, high: null },
    totalCents: cheapestBill(asked, bought, hookup)?.order.totalCents ?? null,
    setAside: false,
    delegated: false,
    slim: true,
  };
}

/** Which of rungs 1 to 3 a board stops at, without a search for its wiring; null: none. */
export function stopsEarly(asked: Build, shelved: Board): RungNumber | null {
  const { build, board } = withFixes(asked, shelved);
  return firstStop(beforeWiring(build, board));
}

function beforeWiring(build: Build, board: Board): Finding[] {
  return [
    ...checkFrame(build, board),
    ...checkPack(build, board),
    ...checkMotors(build, board),
    ...sanityFindings(board),
    ...checkLights(build),
  ];
}

function firstStop(findings: readonly Finding[]): RungNumber | null {
  const stops = findings.filter((f) => f.state === 'breaks' && f.rung <= 3);
  return stops.length > 0 ? (Math.min(...stops.map((f) => f.rung)) as RungNumber) : null;
}

function rungOf(rung: RungNumber, name: Rung['name'], findings: readonly Finding[]): Rung {
  const own = findings.filter((f) => f.rung === rung);
  if (rung > 3) return { rung, name, state: 'unknown', margin: null, findings: [{ ...notWorkedOut, rung }] };
  const margins = own.flatMap((f) => (f.margin === undefined ? [] : [f.margin]));
  return {
    rung,
    name,
    state: worst(own.map((f) => f.state)),
    margin: margins.length > 0 ? Math.min(...margins) : null,
    findings: [...own].sort((a, b) => Number(b.state === 'breaks') - Number(a.state === 'breaks')),
  };
}

const notWorkedOut: Omit<Finding, 'rung'> = {
  state: 'unknown',
  code: 'not worked out',
  about: 'Not worked out',
  says: { code: 'stops before' },
  grounds: [],
};
