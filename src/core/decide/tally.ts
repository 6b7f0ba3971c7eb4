import type { Build } from '../records/build';
import { interval, isKnown } from '../quantity/figure';
import { protocols } from '../trade/protocol';

/** What the parts list asks for, added up over each part's first mode. */
export interface Tally {
  parts: number;
  ports: number;
  hear: number;
  talk: number;
  inverted: number;
  supplied: number;
  grams: number;
  watts: number;
  toBuyCents: number;
  unknownFigures: number;
}

export function tally(build: Build): Tally {
  const t: Tally = {
    parts: build.parts.length,
    ports: 0,
    hear: 0,
    talk: 0,
    inverted: 0,
    supplied: 0,
    grams: 0,
    watts: 0,
    toBuyCents: 0,
    unknownFigures: 0,
  };
  for (const { peripheral, owned } of build.parts) {
    const mode = peripheral.modes[0]!;
    for (const link of mode.links) {
      if (link.kind !== 'serial') continue;
      const p = protocols[link.protocol];
      t.ports += 1;
      if (p.wires !== 'talk') t.hear += 1;
      if (p.wires !== 'hear') t.talk += 1;
      if (p.sense === 'inverted') t.inverted += 1;
    }
    if (isKnown(peripheral.massG)) t.grams += interval(peripheral.massG).high;
    else t.unknownFigures += 1;
    t.supplied += mode.supplies.length;
    for (const { typicalAmps, atVolts } of mode.supplies) {
      if (isKnown(typicalAmps)) t.watts += interval(typicalAmps).high * atVolts;
      else t.unknownFigures += 1;
    }
    if (!owned && peripheral.cents === null) t.unknownFigures += 1;
    if (!owned) t.toBuyCents += peripheral.cents ?? 0;
  }
  return t;
}
