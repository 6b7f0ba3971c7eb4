import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { holes, makeBoard, makeBuild, makePart, portsAndPads, says, serial, unknown } from '../tests/make';
import { wireGramsPerM } from '../trade/wire';
import { draggedIn } from './dragged-in';

/** Prices and spares: common practice, no source; the sums here are worked by hand from them. */
const board = makeBoard(portsAndPads(['rt']));
const part = { ...makePart('esc', { links: [serial('esc-telemetry')] }), wireMm: 100 };
const sundries = (more: Parameters<typeof makeBuild>[0] = {}, on = board) => {
  const build = makeBuild(more, [part]);
  return draggedIn(build, on, evaluate(build, on).hookup);
};
const line = (list: ReturnType<typeof sundries>, key: string) => list.find((s) => s.key === key);

describe('what a hookup drags in', () => {
  test('by hand: one wire of 100 mm. With a fifth to spare 0.2 m are sold, at 90 cents a metre; only 0.1 m flies', () => {
    const wire = line(sundries(), 'wire 28')!;
    expect([wire.quantity, wire.cents]).toEqual([0.2, 18]);
    expect(wire.grams).toBeCloseTo(0.1 * wireGramsPerM(28), 2);
    expect(wire.why).toBe('1 wire of 100 mm in all, 100 mm to spare');
    expect(line(sundries(), 'shrink')).toMatchObject({ quantity: 1, cents: 4 });
  });

  test.each([
    ['none', 0.1, 4],
    ['usual', 0.2, 5],
    ['field kit', 0.2, 8],
  ] as const)('spares "%s": %s m of wire and %s standoffs, the same grams', (spares, metres, standoffs) => {
    const list = sundries({ policies: { spares } });
    expect(line(list, 'wire 28')!.quantity).toBe(metres);
    expect(line(list, 'standoffs')!.quantity).toBe(standoffs);
    expect(line(list, 'standoffs')!.grams).toBe(1.6);
  });

  test('four motors of 30 A ask for 1000 uF; four cells for 25 V, six for 35 V', () => {
    expect(line(sundries(), 'capacitor')!.what).toBe('Capacitor, 1000 uF, 25 V');
    expect(line(sundries({ pack: { cells: 6, chemistry: 'lipo', massG: says(200) } }), 'capacitor')!.what).toBe(
      'Capacitor, 1000 uF, 35 V',
    );
  });

  test('no capacitor is bought where the build or the board brings one, or where nothing turns', () => {
    expect(line(sundries({ capacitor: { microfarads: 470, volts: 35 } }), 'capacitor')).toBeUndefined();
    expect(line(sundries({}, { ...board, capacitor: { microfarads: 470, volts: 35 } }), 'capacitor')).toBeUndefined();
  });

  test('isolators are bought where the board is known to come without; where nobody says, they stand among what nobody listed', () => {
    const soft = (softIsolators: object) =>
      line(
        sundries(
          {},
          makeBoard({
            ...portsAndPads(['rt']),
            mounting: holes(says(30.5), 'M3', softIsolators as never),
          }),
        ),
        'isolators',
      )?.quantity ?? 0;
    expect(soft({ value: true, origin: 'manual' })).toBe(0);
    expect(soft({ value: false, origin: 'manual' })).toBe(5);
    expect(soft(unknown)).toBe(0);
  });

  test("pack leads count only where their gauge is said and the board's mass does not include them", () => {
    const pack = { cells: 4, chemistry: 'lipo' as const, massG: says(180), leadGauge: 14, leadMm: 100 };
    expect(line(sundries(), 'pack leads')).toBeUndefined();
    // Out and back: 0.2 m of 14 AWG at 320 cents a metre.
    expect(line(sundries({ pack }), 'pack leads')).toMatchObject({ quantity: 0.2, cents: 64 });
    expect(line(sundries({ pack }, { ...board, massIncludes: 'with pack leads' }), 'pack leads')).toBeUndefined();
    expect(line(sundries({ pack }, { ...board, massIncludes: 'without wires' }), 'pack leads')).toBeDefined();
  });

  test('housings are bought only where the policy says plugs', () => {
    const plugged = {
      ...board,
      plugs: [{ id: 'p', label: 'p', family: 'SH 1.0', pins: [{ name: 'GND' }, { name: '5V' }] }],
    };
    expect(line(sundries({ policies: { joints: 'solder' } }, plugged as never), 'housing SH 1.0')).toBeUndefined();
    // Two pins of 4 cents and one housing of 25.
    expect(
      line(sundries({ policies: { joints: 'plugs', spares: 'none' } }, plugged as never), 'housing SH 1.0'),
    ).toMatchObject({ quantity: 2, cents: 33 });
  });
});
