import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { evaluate } from './climb';
import { readFile } from '../records/file';
import type { Policies } from '../trade/policies';
import { rankShelf } from '../decide/rank-shelf';
import { makePart, serial, supply } from '../tests/make';
import { mayShare, protocols } from '../trade/protocol';
import { sentenceOf } from '../words/finding/sentence-of';

const shelf = open('demo/shelf.json', 'rung-shelf');
const build = (id: string) => open(`demo/builds/${id}.json`, 'rung-build');
const board = (id: string) => shelf.boards.find((b) => b.id === id)!;

function open<F extends 'rung-shelf' | 'rung-build'>(path: string, format: F) {
  const read = readFile(readFileSync(path, 'utf8'), format);
  if (!read.ok) throw new Error(`${path}: ${JSON.stringify(read.faults)}`);
  return read.value;
}

describe('the traps of the demo shelf', () => {
  // Worked out by hand from the files; each board stops where its trap is.
  test.each([
    ['belfry-six', 'oxbow-cleat-25', 1],
    ['belfry-six', 'pellmere-strake-4', 2],
    ['belfry-six', 'marlpit-hod-30', 3],
    ['gutterling', 'oxbow-punt', 4],
    ['belfry-six', 'dunmarrow-fen-f4', 5],
    ['belfry-six', 'copperwren-corbel', 3],
    ['belfry-six', 'pellmere-quoin', 3],
    ['belfry-six', 'tarnfield-purlin', 7],
    ['gutterling', 'dunmarrow-smack', 4],
    ['gutterling', 'copperwren-vole', 7],
    ['saltgrass', 'oxbow-curlew', 4],
    ['attic-mouse', 'marlpit-shrew', 2],
    ['belfry-six', 'tarnfield-gunnel', 6],
    ['belfry-six', 'copperwren-jamb', 7],
    ['belfry-six', 'pellmere-bollard', 8],
    ['belfry-six', 'oxbow-transom', 9],
    ['attic-mouse', 'tarnfield-sprit-f4', 5],
    ['saltgrass', 'copperwren-lapwing', 4],
    ['saltgrass', 'tarnfield-thwart', 7],
    ['gutterling', 'dunmarrow-teal', 2],
  ] as const)('%s on %s stops at rung %i', (b, id, stop) => {
    expect(evaluate(build(b), board(id)).stopsAt).toBe(stop);
  });
  test.each([
    ['belfry-six', 'tarnfield-keel-f7', 'fits with work'],
    ['belfry-six', 'dunmarrow-tarn-x', 'cannot say yet'],
    ['gutterling', 'copperwren-wicket-20', 'fits'],
    ['saltgrass', 'oxbow-heron-wing', 'fits with work'],
  ] as const)('%s on %s: %s', (b, id, verdict) => {
    expect(evaluate(build(b), board(id)).verdict).toBe(verdict);
  });

  test('four cells: the transmitter that stands 16 V is refused on every raw-pack pad', () => {
    const gutterling = build('gutterling');
    const low = shelf.peripherals.find((p) => p.id === 'lantern-16v')!;
    const changed = {
      ...gutterling,
      parts: gutterling.parts.map((p) => (p.id === 'lantern-600' ? { ...p, peripheral: low } : p)),
    };
    const climb = evaluate(changed, board('marlpit-skiff'));
    expect(climb.stopsAt).toBe(6);
    expect(sentenceOf(climb.rungs[5]!.findings[0]!)).toContain('above the 16 V it survives');
  });
});

describe('every climb', () => {
  const climbs = ['belfry-six', 'gutterling', 'saltgrass', 'attic-mouse'].flatMap((b) =>
    shelf.boards.map((x) => ({ b, climb: evaluate(build(b), x) })),
  );
  test('has ten rungs, each with a reason, and a verdict that follows from them', () => {
    for (const { climb } of climbs) {
      expect(climb.rungs.map((r) => r.rung)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
      for (const r of climb.rungs) expect(r.findings.length, `${climb.boardName} ${r.name}`).toBeGreaterThan(0);
      expect(climb.verdict === 'does not fit').toBe(climb.stopsAt !== null);
    }
  });
  test('nests: where rung k of 4 to 7 breaks, all above break with it', () => {
    for (const { climb } of climbs) {
      const broken = climb.rungs.slice(3, 7).map((r) => r.state === 'breaks');
      expect(broken).toEqual([...broken].sort());
    }
  });
  test('wires no port twice, but for the two sides that the protocol table lets share, and no part to a rail outside its volts', () => {
    for (const { b, climb } of climbs) {
      for (const port of climb.hookup.ports) {
        const shared =
          port.usedBy.length > 1
            ? climb.hookup.parts.flatMap((p) =>
                p.links
                  .filter((l) => l.to.includes(port.port))
                  .map((l) => (l.link.kind === 'serial' ? protocols[l.link.protocol] : null)),
              )
            : [];
        expect(
          shared.length === 0 || (shared.length === 2 && mayShare(shared[0]!, shared[1]!)),
          `${b} ${climb.boardName} ${port.label}`,
        ).toBe(true);
      }
      for (const part of climb.hookup.parts) {
        for (const c of part.supplies[0]?.conditions ?? []) expect(c.truth).not.toBe('no');
      }
    }
  });
});

describe('monotone, as a buyer expects', () => {
  const extra = fc.record({
    protocol: fc.constantFrom(
      'ground-link',
      'inverted-rc',
      'esc-telemetry',
      'transmitter-control-a',
      'one-wire-rc-telemetry',
    ),
    peak: fc.integer({ min: 1, max: 20 }).map((n) => n / 10),
    which: fc.nat(shelf.boards.length - 1),
  });
  const reached = (c: ReturnType<typeof evaluate>) => c.stopsAt ?? 11;
  test('one must more never makes a board reach a higher rung', () => {
    const belfry = build('belfry-six');
    fc.assert(
      fc.property(extra, ({ protocol, peak, which }) => {
        const part = makePart('extra', { links: [serial(protocol)], supply: supply(4.5, 5.5, peak) });
        const more = evaluate({ ...belfry, parts: [...belfry.parts, part] }, shelf.boards[which]!);
        expect(reached(more)).toBeLessThanOrEqual(reached(evaluate(belfry, shelf.boards[which]!)));
      }),
      { numRuns: 60, seed: 5 },
    );
  });
  test('one port more never makes it reach a lower one', () => {
    const belfry = build('belfry-six');
    for (const b of shelf.boards) {
      const pads = [
        ...b.pads,
        {
          id: 'r99',
          label: 'R99',
          face: 'top',
          form: 'pad',
          size: 'medium',
          edge: 'left',
          order: 99,
          reachable: true,
        } as const,
        {
          id: 't99',
          label: 'T99',
          face: 'top',
          form: 'pad',
          size: 'medium',
          edge: 'left',
          order: 98,
          reachable: true,
        } as const,
      ];
      const ports = [
        ...b.ports,
        {
          id: 'port99',
          label: 'Port 99',
          rx: [{ pad: 'r99', sense: 'plain' as const }],
          tx: [{ pad: 't99', sense: 'plain' as const, twoWayInverter: false }],
        },
      ];
      expect(reached(evaluate(belfry, { ...b, pads, ports }))).toBeGreaterThanOrEqual(reached(evaluate(belfry, b)));
    }
  });
  test('whole boards rank before undecided, undecided before broken ones', () => {
    const order = rankShelf(build('belfry-six'), shelf.boards).map((r) => {
      if (['fits', 'fits with work'].includes(r.climb.verdict)) return 0;
      if (r.climb.verdict === 'cannot say yet') return 1;
      return 2;
    });
    expect(order).toEqual([...order].sort());
  });
});

describe('each policy moves boards of the demo', () => {
  const moves = {
    ratedAmps: ['gutterling', 'cautious'],
    videoSupply: ['gutterling', 'raw pack'],
    cameraSupply: ['gutterling', 'transmitter'],
    joints: ['gutterling', 'solder'],
    batteryLeads: ['belfry-six', 'first'],
    mounting: ['gutterling', 'all before'],
    currentSensing: ['belfry-six', 'none'],
    gyro: ['belfry-six', 'newer part'],
    spares: ['gutterling', 'none'],
    burst: ['belfry-six', 'ignored'],
  } as const satisfies Record<keyof Policies, readonly [string, string]>;
  const order = (b: ReturnType<typeof build>) => rankShelf(b, shelf.boards).map((r) => r.climb.boardId);
  test.each(Object.entries(moves))('%s', (policy, [id, value]) => {
    const b = build(id);
    expect(order({ ...b, policies: { ...b.policies, [policy]: value } })).not.toEqual(order(b));
  });
});
