import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, makePart, portsAndPads, says } from '../tests/make';
import { sameOnPort } from './same-on-port';

describe('what is said of a port that is like another', () => {
  test('names that port and its pads, whole words only', () => {
    const board = makeBoard(portsAndPads(Array.from({ length: 11 }, () => 'rt')));
    const said = sameOnPort(board, board.ports[0]!, board.ports[9]!);
    expect(said('Port 1 is plain; Port 11 is not, and R1 stands what T1 does not: R11, PART1.')).toBe(
      'Port 10 is plain; Port 11 is not, and R10 stands what T10 does not: R11, PART1.',
    );
    expect(sameOnPort(board, board.ports[0]!, board.ports[0]!)('Port 1')).toBe('Port 1');
  });

  test('three alike ports, three parts: each finding speaks of one port', () => {
    const { ports, pads } = portsAndPads(['rt', 'rt', 'rt']);
    const board = makeBoard({ ports, pads: pads!.map((p) => ({ ...p, toleratesVolts: says(5) })) });
    const loud = (id: string) =>
      makePart(id, { links: [{ kind: 'serial', id: 'serial', protocol: 'two-wire-rc', sendsVolts: 5 }] });
    const { hookup, rungs } = evaluate(makeBuild({}, [loud('one'), loud('two'), loud('three')]), board);
    expect(hookup.parts.map((p) => p.links[0]!.on).sort()).toEqual(['Port 1', 'Port 2', 'Port 3']);
    const signals = rungs[4]!.findings.filter((f) => f.sentence.includes(' on Port '));
    expect(signals).toHaveLength(3);
    for (const { sentence, grounds } of signals) {
      const [, n] = / on Port (\d):/.exec(sentence)!;
      expect(sentence).toContain(`Port ${n} is plain as it stands`);
      expect(sentence).toContain(`R${n} stands the 5 V signal`);
      expect(sentence.match(/Port \d/g)).toEqual([`Port ${n}`, `Port ${n}`]);
      expect(grounds.map((g) => g.what)).toContain(`R${n} stands`);
    }
  });
});
