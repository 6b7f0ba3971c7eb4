import { interval, isKnown, type NumberFigure } from '../quantity/figure';
import type { Build } from '../records/build';

/** Figures of a build that cannot all be true at once, each in a sentence that names both. Nothing is changed: only the buyer knows which of them is meant. */
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
  return doubts.filter((d) => d !== false);
}
