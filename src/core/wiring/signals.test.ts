import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import type { z } from 'zod';
import type { boardSchema } from '../records/board';
import { makeBoard, makeBuild, makePart, serial, unknown } from '../tests/make';

/**
 * One part on a board with one port, every protocol against every kind of port and processor, against a table written in the words of the trade and not of the
 * code. Inversion inside the port: RXINV/TXINV in USART_CR2 (reference manuals RM0316, RM0385, RM0433, RM0440; absent in RM0008 and RM0090), from memory.
 * What each protocol needs: common practice of the trade, no source.
 */
type Answer = 'no port' | 'no signal' | 'nobody says' | 'works' | 'works, gives something up';

/** Hears, talks, both, or both on one wire; and whether it is inverted on the wire. */
const links = {
  'inverted-rc': ['hears', 'inverted'],
  'one-wire-rc-telemetry': ['one wire', 'inverted'],
  'two-wire-rc': ['both', 'plain'],
  'plain-rc': ['hears', 'plain'],
  'one-wire-telemetry': ['one wire', 'inverted'],
  'transmitter-control-a': ['one wire', 'plain'],
  'transmitter-control-b': ['one wire', 'plain'],
  'esc-telemetry': ['hears', 'plain'],
  'overlay-link': ['both', 'plain'],
  'ground-link': ['both', 'plain'],
  positioning: ['both, or hears and is not configured', 'plain'],
  'range-finder': ['hears', 'plain'],
  recorder: ['talks', 'plain'],
  'gimbal-control': ['talks', 'plain'],
} as const;
type LinkName = keyof typeof links;

const processors = {
  F1: 'never',
  F3: 'turns',
  F4: 'never',
  F7: 'turns',
  H7: 'turns',
  G4: 'turns',
  unknown: 'nobody says',
} as const;
type ProcessorName = keyof typeof processors;
const hearing = ['none', 'plain', 'inverted', 'unknown', 'switched'] as const;
const talking = ['none', 'plain', 'inverted', 'two-way inverter'] as const;
type Hearing = (typeof hearing)[number];
type Talking = (typeof talking)[number];

/** Can a pad that stands so carry a wire of this sense one way? */
function oneWay(pad: Hearing | Talking, sense: 'plain' | 'inverted', processor: ProcessorName): Answer {
  if (pad === 'none') return 'no port';
  if (pad === 'switched') return 'works';
  const stands = pad === 'two-way inverter' ? 'inverted' : pad;
  if (stands === sense || processors[processor] === 'turns') return 'works';
  if (stands === 'unknown' || processors[processor] === 'nobody says') return 'nobody says';
  return 'no signal';
}

/** One wire that carries both directions sits on the talking pad. */
function bothWaysOnOne(pad: Talking, sense: 'plain' | 'inverted', processor: ProcessorName): Answer {
  if (pad === 'none') return 'no port';
  if (processors[processor] === 'turns') return 'works';
  // A fixed inverter lets one direction through; only one that works both ways carries an inverted wire, and no plain one.
  const asItStands = sense === 'plain' ? pad === 'plain' : pad === 'two-way inverter';
  if (asItStands) return 'works';
  return processors[processor] === 'nobody says' ? 'nobody says' : 'no signal';
}

const worst = (...answers: Answer[]): Answer =>
  (['no port', 'no signal', 'nobody says'] as const).find((a) => answers.includes(a)) ?? 'works';

function expected(name: LinkName, processor: ProcessorName, rx: Hearing, tx: Talking): Answer {
  const [does, sense] = links[name];
  if (does === 'hears') return oneWay(rx, sense, processor);
  if (does === 'talks') return oneWay(tx, sense, processor);
  if (does === 'one wire') return bothWaysOnOne(tx, sense, processor);
  if (does !== 'both' && tx === 'none' && rx !== 'none') {
    const heard = oneWay(rx, sense, processor);
    return heard === 'works' ? 'works, gives something up' : heard;
  }
  return worst(oneWay(rx, sense, processor), oneWay(tx, sense, processor));
}

function boardWith(processor: ProcessorName, rx: Hearing, tx: Talking) {
  const ports: z.input<typeof boardSchema>['ports'] = [
    {
      id: 'port',
      label: 'Port 1',
      rx:
        rx === 'none'
          ? []
          : [
              rx === 'switched'
                ? { pad: 'r', sense: 'plain', switch: { bridge: 'way', plainAt: 'a', invertedAt: 'b' } }
                : { pad: 'r', sense: rx },
            ],
      tx:
        tx === 'none'
          ? []
          : [
              tx === 'two-way inverter'
                ? { pad: 't', sense: 'inverted', twoWayInverter: true }
                : { pad: 't', sense: tx },
            ],
    },
  ];
  return makeBoard({
    ports,
    processor: processor === 'unknown' ? unknown : { value: processor, origin: 'manual' },
    pads: ['vbat', 'r', 't'].map((id) => ({ id, label: id })),
    bridges:
      rx === 'switched'
        ? [
            {
              id: 'way',
              label: 'Way',
              form: 'solder bridge',
              positions: [
                { id: 'a', label: 'a' },
                { id: 'b', label: 'b' },
              ],
              factory: 'a',
              effort: 1,
            },
          ]
        : [],
  });
}

function answered(name: LinkName, processor: ProcessorName, rx: Hearing, tx: Talking): Answer {
  const { rungs, hookup } = evaluate(
    makeBuild({}, [makePart('part', { links: [serial(name)] })]),
    boardWith(processor, rx, tx),
  );
  if (rungs[3]!.state === 'breaks') return 'no port';
  if (rungs[4]!.state === 'breaks') return 'no signal';
  if (rungs[4]!.state === 'unknown') return 'nobody says';
  return hookup.cost.compromises > 0 ? 'works, gives something up' : 'works';
}

describe('every protocol on every kind of port', () => {
  test.each(Object.keys(links) as LinkName[])('%s', (name) => {
    for (const processor of Object.keys(processors) as ProcessorName[]) {
      for (const rx of hearing) {
        for (const tx of talking) {
          if (rx === 'none' && tx === 'none') continue;
          expect
            .soft(answered(name, processor, rx, tx), `${name} on ${processor}, hearing pad ${rx}, talking pad ${tx}`)
            .toBe(expected(name, processor, rx, tx));
        }
      }
    }
  });

  test('a bridge between plain and inverted is moved only where that is needed, and never where the processor turns the signal', () => {
    const bridge = (name: LinkName, processor: ProcessorName) =>
      evaluate(makeBuild({}, [makePart('part', { links: [serial(name)] })]), boardWith(processor, 'switched', 'none'))
        .hookup.cost.effort;
    expect([bridge('inverted-rc', 'F4'), bridge('plain-rc', 'F4'), bridge('inverted-rc', 'F7')]).toEqual([1, 0, 0]);
  });
});
