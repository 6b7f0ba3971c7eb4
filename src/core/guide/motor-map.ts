import type { Board } from '../records/board';
import type { Build } from '../records/build';
import type { Hookup } from '../wiring/hookup';
import { sizeMm, spotOf } from '../circuit/place-pads';
import { asItLies } from '../circuit/turn';

export interface Arm {
  /** As seen from above, nose away from you. */
  arm: string;
  /** Degrees clockwise from the nose. */
  at: number;
  /** The output or the corner that is nearest to it. */
  output: string;
  /** null: one motor alone, or an odd number: that is for the settings to say. */
  spin: 'clockwise' | 'counter-clockwise' | null;
}

export interface MotorMap {
  arms: Arm[];
  notes: string[];
}

const names: Record<number, string> = {
  0: 'front',
  30: 'front right',
  45: 'front right',
  60: 'front right',
  90: 'right',
  120: 'rear right',
  135: 'rear right',
  150: 'rear right',
  180: 'rear',
  210: 'rear left',
  225: 'rear left',
  240: 'rear left',
  270: 'left',
  300: 'front left',
  315: 'front left',
  330: 'front left',
};

/** Where motors sit, by their number: evenly round, the nose between two of them but for three and six, as most frames have it (common practice, no source). */
function anglesOf(count: number): number[] {
  const given: Record<number, number[]> = { 1: [0], 2: [90, 270], 3: [60, 180, 300] };
  const first = count === 6 ? 30 : 180 / count;
  return given[count] ?? Array.from({ length: count }, (_, i) => Math.round(first + (i * 360) / count));
}

/**
 * Which motor output belongs to which arm, with the board as it lies (an ESC on the board has its motors at its own corners, wherever the signal pads are): the nearest by direction from the middle of the board, the sum over all arms least. Spins
 * alternate round the craft, so that the turning moments cancel (any textbook of rotorcraft); which way the first turns is a choice. Null without motors.
 */
export function motorMap(build: Build, board: Board, hookup: Hookup): MotorMap | null {
  const { count, esc } = build.motors;
  if (count === 0) return null;
  const angles = anglesOf(count);
  const outputs = outputsOf(build, board, hookup);
  const given =
    outputs.length === count
      ? nearest(
          angles,
          outputs.map((o) => o.at),
        )
      : null;
  const arms = angles.map((at, i): Arm => {
    const found = given ? outputs[given[i]!] : undefined;
    let spin: Arm['spin'] = null;
    if (count > 1 && count % 2 === 0) spin = i % 2 === 0 ? 'counter-clockwise' : 'clockwise';
    return { arm: names[at] ?? `at ${at} degrees`, at, output: found?.label ?? 'the corner nearest to it', spin };
  });
  return {
    arms,
    notes: [
      esc === 'on the board' && !given
        ? 'The motors are soldered to the corners of the ESC as it lies; note the channel that is printed at each.'
        : 'If another output is soldered to an arm, leave it so and put the order right in the settings.',
      'Neighbours turn against each other. The other way round is as good, if all of them do.',
      'A motor that turns the wrong way: swap any two of its three wires, or turn it round in the settings; not both.',
    ],
  };
}

interface MotorOutput {
  label: string;
  /** Degrees clockwise from the nose, seen from the middle of the board. */
  at: number;
}

/** The outputs that signal separate ESCs, as the hookup wires them. */
function outputsOf(build: Build, board: Board, hookup: Hookup): MotorOutput[] {
  const lies = asItLies(build, board);
  const wired = hookup.parts.find((p) => p.id === 'motors')?.links.flatMap((l) => l.to);
  const used = (wired ?? []).flatMap((id) => board.outputs.find((o) => o.id === id) ?? []);
  const outline = { x: 0, y: 0, width: sizeMm(lies.widthMm), height: sizeMm(lies.lengthMm) };
  return used.flatMap((o) => {
    const pad = lies.pads.find((p) => p.id === o.pad);
    if (!pad) return [];
    const { x, y } = spotOf(lies, pad, outline, 1);
    const at = (Math.atan2(x - outline.width / 2, outline.height / 2 - y) * 180) / Math.PI;
    return [{ label: o.label, at: (at + 360) % 360 }];
  });
}

/** For each angle the index of its own of the others, so that the sum of what lies between is least: all orders are tried up to eight. */
function nearest(angles: number[], others: number[]): number[] {
  const between = (a: number, b: number) => {
    const d = Math.abs(a - b) % 360;
    return Math.min(d, 360 - d);
  };
  if (angles.length > 8) return angles.map((_, i) => i);
  let best: { order: number[]; sum: number } | null = null;
  const tryAll = (taken: number[], sum: number) => {
    if (best && sum >= best.sum) return;
    if (taken.length === angles.length) {
      best = { order: taken, sum };
      return;
    }
    others.forEach((other, i) => {
      if (!taken.includes(i)) tryAll([...taken, i], sum + between(angles[taken.length]!, other));
    });
  };
  tryAll([], 0);
  return best!.order;
}
