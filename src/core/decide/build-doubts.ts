import { leadOhm, motorAmps, packsOf } from '../circuit/packs';
import { exactly, interval, isKnown, type NumberFigure } from '../quantity/figure';
import type { Build, Part } from '../records/build';
import { cellVolts, lowestVolts } from '../trade/cell';

/**
 * Figures of a build that cannot all be true at once, each in a sentence that names both, and what no craft flies without and the list does not have. Nothing is changed:
 * only the buyer knows what is meant.
 */
export function buildDoubts(build: Build): string[] {
  const { motors, pack, frame, limits } = build;
  const { ownEsc } = motors;
  const low = (f: NumberFigure | undefined) => (isKnown(f) ? interval(f).low : null);
  const high = (f: NumberFigure | undefined) => (isKnown(f) ? interval(f).high : null);
  const doubts: (string | false)[] = [
    motors.count > 0 &&
      motors.cruiseAmps > motors.peakAmps &&
      `Each motor draws ${motors.cruiseAmps} A at cruise and ${motors.peakAmps} A at full throttle: full throttle is the larger one.`,
    motors.count > 0 &&
      motors.peakAmps > 0 &&
      motors.peakSeconds === 0 &&
      'Full throttle lasts 0 s, so no burst is ever checked.',
    frame.standoffMm + frame.overhangMm >= frame.bayHeightMm &&
      `Standoffs and what hangs in from above take ${frame.standoffMm + frame.overhangMm} mm of ${frame.bayHeightMm} mm of height: nothing is left for a board.`,
    limits.budgetCents === 0 && 'The budget is 0: nothing can be bought.',
  ];
  const alone = [low(build.bareMassG), low(pack.massG)].reduce<number>((sum, g) => sum + (g ?? 0), 0);
  if (alone >= limits.takeOffMassG)
    doubts.push(`Bare craft and pack weigh ${alone} g, and the take-off limit is ${limits.takeOffMassG} g.`);
  if (ownEsc && motors.esc !== 'on the board') {
    const [steady, burst] = [low(ownEsc.continuousAmps), high(ownEsc.burstAmps)];
    if (steady !== null && burst !== null && steady > burst)
      doubts.push(
        `${ownEsc.name} stands ${steady} A steadily and ${burst} A for moments: the burst is the larger one.`,
      );
    const cells = high(ownEsc.maxCells);
    if (cells !== null && cells < pack.cells)
      doubts.push(`${ownEsc.name} stands ${cells} cells, and the pack has ${pack.cells}.`);
  }
  return [...doubts.filter((d) => d !== false), ...packsRunDown(build), ...forgotten(build)];
}

/**
 * A pack gives its most power at half of its volts (maximum power transfer, P any electronics handbook): motors that would pull it lower, even by the kindest of what its
 * resistance may be, have too many amps, or its cells too many milliohm.
 */
function packsRunDown(build: Build): string[] {
  const { count } = build.motors;
  const amps = count * motorAmps(build).peak;
  return packsOf(build).flatMap((pack) => {
    const atRest = pack.cells * cellVolts[pack.chemistry].land;
    const { high: sagged } = lowestVolts(pack, exactly(amps), leadOhm(pack));
    if (sagged >= atRest / 2) return [];
    return `${count} motors at full throttle draw ${round(amps)} A, which would pull a pack of ${pack.cells} cells from ${round(atRest)} to ${round(sagged)} V when it is nearly empty: less than half, so either the amps or the resistance of its cells is too high. Volts are reckoned with them everywhere.`;
  });
}

const round = (n: number) => Math.round(n * 10) / 10;

function forgotten({ parts, motors }: Build): string[] {
  if (parts.length === 0) return ['Nothing hangs off the board yet: what fits, fits an empty list.'];
  const has = (kind: Part['peripheral']['kind']) => parts.some((p) => p.peripheral.kind === kind);
  return [
    ...(has('receiver') ? [] : ['No receiver is on the list: nothing hears your radio.']),
    // Two motors and more may steer by their difference.
    ...(motors.count !== 1 || has('servo') ? [] : ['One motor and no servo is on the list: nothing steers it.']),
  ];
}
