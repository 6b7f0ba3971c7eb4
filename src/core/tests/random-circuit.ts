import { capacitor, diode, load, regulator, resistor, source } from '../simulate/models';
import type { Element, Netlist } from '../simulate/netlist';
import { dice } from './random-build';

/**
 * A circuit such as a craft has, drawn at random: a pack or two sources, some with limiters, a tree of regulators and diodes, wires out and back, loads of both kinds,
 * bridges between nodes.
 */
export function randomCircuit(seed: number): Netlist {
  const roll = dice(seed);
  const between = (low: number, high: number) => low + (high - low) * roll();
  const pick = <T>(list: readonly T[]): T => list[Math.floor(roll() * list.length)]!;
  const n = (id: string) => ({ id, what: id });
  const packVolts = between(3.3, 26);
  const elements: Element[] = [
    source(n('pack'), 'cells', '0', {
      volts: packVolts,
      ohm: between(0.002, 0.08),
      ...(roll() < 0.2 ? { mostAmps: between(0.5, 3) } : {}),
    }),
    resistor(n('lead'), 'cells', 'pack', between(0.001, 0.02)),
    resistor(n('back'), 'gnd', '0', between(0.001, 0.02)),
    capacitor(n('bulk'), 'pack', 'gnd', 470e-6),
  ];
  const rails: { node: string; volts: number }[] = [{ node: 'pack', volts: packVolts }];
  const regulators = 1 + Math.floor(roll() * 4);
  for (let i = 0; i < regulators; i++) {
    const from = pick(rails);
    const type = pick(['buck', 'buck', 'linear', 'step-up', 'step-up-down'] as const);
    const outVolts = type === 'step-up' ? from.volts + between(1, 6) : pick([3.3, 5, 5.2, 9, 10, 12]);
    const node = `rail${i}`;
    elements.push(
      ...regulator(n(`reg${i}`), from.node, node, 'gnd', {
        type,
        outVolts,
        dropOutVolts: between(0.1, 1.2),
        efficiency: between(0.75, 0.95),
        mostAmps: between(0.3, 4),
        startsAtVolts: between(1.5, 4),
      }),
      resistor(n(`bleed${i}`), node, 'gnd', 20_000),
      capacitor(n(`out${i}`), node, 'gnd', 22e-6),
    );
    rails.push({ node, volts: Math.min(outVolts, type === 'step-up' ? outVolts : from.volts) });
  }
  if (roll() < 0.6) {
    const into = pick(rails);
    elements.push(
      source(n('usb'), 'usb', 'gnd', { volts: between(4.75, 5.25), ohm: 0.1, mostAmps: 1.5 }),
      diode(n('usb diode'), 'usb', 'either', between(0.2, 0.5)),
      diode(n('rail diode'), into.node, 'either', between(0.2, 0.5)),
      resistor(n('either bleed'), 'either', 'gnd', 20_000),
      capacitor(n('either out'), 'either', 'gnd', 22e-6),
    );
    rails.push({ node: 'either', volts: Math.max(into.volts - 0.3, 4.7) });
  }
  const loads = 1 + Math.floor(roll() * 6);
  for (let i = 0; i < loads; i++) {
    const rail = pick(rails);
    elements.push(
      resistor(n(`wire${i}`), rail.node, `p${i}`, between(0.005, 0.2)),
      resistor(n(`return${i}`), `m${i}`, 'gnd', between(0.005, 0.2)),
      load(n(`load${i}`), `p${i}`, `m${i}`, {
        amps: between(0.02, 0.8),
        atVolts: rail.volts,
        fullVolts: Math.max(1, rail.volts * between(0.4, 0.9)),
        power: roll() < 0.4,
      }),
    );
  }
  return { title: `random circuit ${seed}`, elements };
}
