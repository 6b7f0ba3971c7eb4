import type { Board } from '../records/board';
import { level } from '../trade/level';
import { protocols } from '../trade/protocol';
import type { Hookup, WiredLink, WiredPart } from '../wiring/hookup';
import { between, least, num, over, times, aboveNought } from './expression';
import { resistor } from './models';
import { elementOf, nodeOf } from './names';
import type { Element } from './netlist';

/** Ohms of a pin that drives, of the pull at a pin that hears, of the pull-ups of a bus: data sheets of usual processors and modules, from memory. */
const ohms = { drives: 100, hears: 47_000, busPull: 2_200 } as const;

/** What drives and what hears every signal pad, all lines idle. A driver without power drives nothing but pulls its line down. */
export function signalElements(board: Board, hookup: Hookup): Element[] {
  const logic = logicRail(board);
  const own = logic === null ? null : { plus: nodeOf.rail(logic), minus: nodeOf.boardGround };
  return hookup.parts.flatMap((p) => p.links.flatMap((l) => linkElements(p, l, own)));
}

/** The rail that the processor lives on: the one that the board itself draws of, else the lowest regulated one. */
function logicRail(board: Board): string | null {
  const own = board.rails.find((r) => r.ownAmps);
  const regulated =
    board.rails.find((r) => r.source.kind === 'either') ?? board.rails.find((r) => r.source.kind === 'regulator');
  return (own ?? regulated)?.id ?? null;
}

interface Powered {
  plus: string;
  minus: string;
}

/** A pin that drives to so many volts while what it belongs to has power. */
function driver(id: string, what: string, node: string, volts: number, by: Powered | null): Element[] {
  const inner = `${id} inside`;
  const minus = by?.minus ?? nodeOf.boardGround;
  const alive = by ? least(over(aboveNought(between(by.plus, by.minus), 1e-3), num(2.5)), num(1), 1e-3) : num(0);
  return [
    { kind: 'volts', id: inner, what, grounds: [], from: inner, to: minus, formula: times(num(volts), alive) },
    resistor({ id, what: `${what}, pin` }, inner, node, ohms.drives),
  ];
}

function linkElements(part: WiredPart, wired: WiredLink, board: Powered | null): Element[] {
  const first = part.supplies[0];
  const own: Powered | null = first
    ? { plus: nodeOf.plus(part.id, first.id), minus: nodeOf.minus(part.id, first.id) }
    : board;
  const { link } = wired;
  return wired.pads.flatMap(({ pad, does }): Element[] => {
    const node = nodeOf.signal(pad);
    const id = `${part.id} ${wired.id} ${pad}`;
    const boardHears = () =>
      resistor({ id: `${id} hears`, what: 'the board hears' }, node, nodeOf.boardGround, ohms.hears);
    const partHears = () =>
      resistor(
        { id: elementOf.partHears(part.id, wired.id, pad), what: `${part.name} hears` },
        node,
        nodeOf.boardGround,
        ohms.hears,
      );
    const sends = elementOf.partSends(part.id, wired.id, pad);
    switch (link.kind) {
      case 'serial': {
        const inverted = (link.sense ?? protocols[link.protocol].sense) === 'inverted';
        if (does === 'board hears')
          return [
            ...driver(sends, `${part.name} sends`, node, inverted ? 0 : (link.sendsVolts ?? level.supplyVolts), own),
            boardHears(),
          ];
        return [
          ...driver(`${id} drives`, `the board sends to ${part.name}`, node, inverted ? 0 : level.supplyVolts, board),
          partHears(),
        ];
      }
      case 'i2c':
        return driver(
          `${id} pulls`,
          `${part.name} pulls the bus up`,
          node,
          link.pullsToVolts ?? level.supplyVolts,
          own,
        ).map((e) => (e.kind === 'resistor' ? { ...e, ohm: ohms.busPull } : e));
      case 'output':
        return [...driver(`${id} drives`, `output for ${part.name}`, node, 0, board), partHears()];
      default:
        return [];
    }
  });
}
