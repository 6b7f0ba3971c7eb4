import { freeOfEsc } from '../circuit/esc-lines';
import { not, type Truth } from '../quantity/truth';
import { freeInputs } from './pad-ways';
import type { Workshop } from './way';

/** A pad that the board itself has in use in this build, so that no part of the buyer's can have it. */
export interface Held {
  pad: string;
  by: string;
  /** Certainly, or perhaps. */
  sure: Truth;
  /** The port that must be freed to have the pad; null where nothing frees it. */
  freedBy: string | null;
}

const found = new WeakMap<Workshop, Held[]>();

/** Every pad that the board holds before anything is freed. */
export function heldPads(shop: Workshop): Held[] {
  let held = found.get(shop);
  if (!held) found.set(shop, (held = findHeld(shop)));
  return held;
}

function findHeld(shop: Workshop): Held[] {
  const { build, board } = shop;
  const ports = board.ports.flatMap(({ id, rx, tx, taken }) =>
    taken
      ? [...rx, ...tx].map(({ pad }): Held => ({ pad, by: taken.by, sure: 'yes', freedBy: taken.release ? id : null }))
      : [],
  );
  const outputs = board.outputs.flatMap((o): Held[] => {
    const sure = not(freeOfEsc(build, board, o).motor);
    if (sure === 'no') return [];
    const by = sure === 'yes' ? 'the ESC on the board' : 'the ESC on the board, perhaps';
    return [{ pad: o.pad, by, sure, freedBy: null }];
  });
  const open = freeInputs(shop, 'current');
  const inputs = board.analogueInputs
    .filter((i) => i.kind === 'current' && !open.includes(i))
    .map(({ pad }): Held => ({ pad, by: 'the sensor of the ESC on the board', sure: 'yes', freedBy: null }));
  return [...ports, ...outputs, ...inputs];
}
