import { freeOfEsc } from '../circuit/esc-lines';
import { freeInputs } from './pad-ways';
import type { Workshop } from './way';

/** Pads that the board itself holds in this build, so that no part of the buyer's can have them, and by what. */
export function heldPads(
  shop: Workshop,
  lines: readonly { takenBy: string | null; released: boolean }[],
): { pad: string; by: string }[] {
  const { build, board } = shop;
  const ports = board.ports.flatMap((p, i) => {
    const { takenBy, released } = lines[i]!;
    return takenBy && !released ? [...p.rx, ...p.tx].map(({ pad }) => ({ pad, by: takenBy })) : [];
  });
  const outputs = board.outputs.flatMap((o) => {
    const free = freeOfEsc(build, board, o).motor;
    return free === 'yes'
      ? []
      : [{ pad: o.pad, by: free === 'no' ? 'the ESC on the board' : 'the ESC on the board, perhaps' }];
  });
  const open = freeInputs(shop, 'current');
  const inputs = board.analogueInputs
    .filter((i) => i.kind === 'current' && !open.includes(i))
    .map(({ pad }) => ({ pad, by: 'the sensor of the ESC on the board' }));
  return [...ports, ...outputs, ...inputs];
}
