import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, makePart, portsAndPads, says } from '../tests/make';
import { sameOnPort } from './same-on-port';
import { sentenceOf } from '../words/finding/sentence-of';

describe('what is said of a port that is like another', () => {
  test('names that port and its pads, and leaves alone what is about neither', () => {
    const board = makeBoard(portsAndPads(Array.from({ length: 11 }, () => 'rt')));
    const [first, tenth] = [board.ports[0]!, board.ports[9]!];
    const { reason } = sameOnPort(board, first, tenth);
    expect(reason({ code: 'fixed inverter', port: first })).toEqual({
      code: 'fixed inverter',
      port: { id: 'port10', label: 'Port 10' },
    });
    expect(
      reason({ code: 'pad stands the signal', pad: { id: 't1', label: 'T1' }, volts: 5, stands: 'yes' }),
    ).toMatchObject({ pad: { id: 't10', label: 'T10' } });
    expect(reason({ code: 'draw unsaid', part: 'Port 1' })).toEqual({ code: 'draw unsaid', part: 'Port 1' });
    expect(sameOnPort(board, first, first).reason({ code: 'fixed inverter', port: first })).toEqual({
      code: 'fixed inverter',
      port: first,
    });
  });

  test('three alike ports, three parts: each finding speaks of one port', () => {
    const { ports, pads } = portsAndPads(['rt', 'rt', 'rt']);
    const board = makeBoard({ ports, pads: pads!.map((p) => ({ ...p, toleratesVolts: says(5) })) });
    const loud = (id: string) =>
      makePart(id, { links: [{ kind: 'serial', id: 'serial', protocol: 'two-wire-rc', sendsVolts: 5 }] });
    const { hookup, rungs } = evaluate(makeBuild({}, [loud('one'), loud('two'), loud('three')]), board);
    expect(hookup.parts.map((p) => p.links[0]!.on).sort()).toEqual(['Port 1', 'Port 2', 'Port 3']);
    const signals = rungs[4]!.findings.filter((f) => f.code === 'signal');
    expect(signals).toHaveLength(3);
    for (const signal of signals) {
      const { grounds } = signal;
      const sentence = sentenceOf(signal);
      const [, n] = / on Port (\d);/.exec(sentence)!;
      expect(sentence).toContain(`Port ${n} is plain as it stands`);
      expect(sentence).toContain(`R${n} stands the 5 V signal`);
      expect(sentence.match(/Port \d/g)).toEqual([`Port ${n}`, `Port ${n}`]);
      expect(grounds.map((g) => g.what)).toContain(`R${n} stands`);
    }
  });
});
