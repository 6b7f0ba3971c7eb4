import type { Ground } from '../quantity/ground';
import type { Build, PlanNumber } from '../records/build';

interface PlanFigure {
  says: string;
  /** Follows the number. */
  unit: string;
  get: (b: Build) => number | undefined;
}

/** The plain numbers of a build that verdicts lean on: what they are called and where they stand. */
export const planFigures: Record<PlanNumber, PlanFigure> = {
  'bay length': { says: 'Bay length', unit: 'mm', get: (b) => b.frame.bayLengthMm },
  'bay width': { says: 'Bay width', unit: 'mm', get: (b) => b.frame.bayWidthMm },
  'bay height': { says: 'Bay height', unit: 'mm', get: (b) => b.frame.bayHeightMm },
  standoffs: { says: 'Standoffs', unit: 'mm', get: (b) => b.frame.standoffMm },
  overhang: { says: 'Hangs in from above', unit: 'mm', get: (b) => b.frame.overhangMm },
  'pack cells': { says: 'Cells of the pack', unit: 'cells', get: (b) => b.pack.cells },
  'cruise amps': { says: 'Cruise, each motor', unit: 'A', get: (b) => b.motors.cruiseAmps },
  'peak amps': { says: 'Full throttle, each motor', unit: 'A', get: (b) => b.motors.peakAmps },
  'peak seconds': { says: 'Longest full throttle', unit: 's', get: (b) => b.motors.peakSeconds },
  'amps at volts': { says: 'Motor amps were said at', unit: 'V', get: (b) => b.motors.atVolts },
  'take-off limit': { says: 'Most take-off mass', unit: 'g', get: (b) => b.limits.takeOffMassG },
};

/** Numbers of the build as grounds of a verdict; those that the build does not give are left out. */
export function planGrounds(build: Build, ...numbers: PlanNumber[]): Ground[] {
  return numbers.flatMap((number): Ground[] => {
    const { says, unit, get } = planFigures[number];
    const value = get(build);
    if (value === undefined) return [];
    return [{ what: says, figure: `${value} ${unit}`, origin: 'plan', ...build.said[number] }];
  });
}

/** The build after an edit: of a number that it changed nobody else's word is kept, since whoever changed it says it now. */
export function withOwnWord(before: Build, after: Build): Build {
  const old = Object.entries(after.said).filter(([key, word]) => {
    const number = key as PlanNumber;
    const { get } = planFigures[number];
    return word === before.said[number] && get(before) !== get(after);
  });
  if (old.length === 0) return after;
  const said = { ...after.said };
  for (const [number] of old) delete said[number as PlanNumber];
  return { ...after, said };
}
