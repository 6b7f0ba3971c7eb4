import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { claims, makeBoard, makeBuild, makePart, regulator, says, supply } from '../tests/make';
import { sentenceOf } from '../words/finding/sentence-of';

/** The sentence that says which sum is too much names what falls short, and nothing that would do. Figures by hand. */
const pads = ['vbat', 'a', 'b'].map((id) => ({ id, label: id }));
const pack = { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' as const } };
const load = (board: ReturnType<typeof makeBoard>, ...parts: ReturnType<typeof makePart>[]) =>
  evaluate(makeBuild({}, parts), board).rungs[6]!.findings.find((f) => f.state === 'breaks')!;

describe('what is too little', () => {
  test("a regulator out of the part's volts is not named", () => {
    const board = makeBoard({
      pads,
      rails: [
        pack,
        { id: 'five', label: '5 V', pads: ['a'], source: regulator(5, 1) },
        { id: 'ten', label: '10 V', pads: ['b'], source: regulator(10, 3) },
      ],
    });
    const finding = load(board, makePart('servo', { supply: supply(4.8, 6.6, 1.2) }));
    // 1.2 A peak against 1 A printed; 0.6 A steady is within 0.8 A.
    expect(sentenceOf(finding)).toBe(
      'servo would draw 0.6 A of the 5 V rail, 1.2 A at peak; it may carry 0.8 A (80 % of its rating), 1 A for moments: too little.',
    );
    expect(finding.fix?.code).toBe('external regulator');
  });

  test('where USB is what falls short, the regulator that would do is not named, and the fix is to ask less of USB', () => {
    const board = makeBoard({
      pads,
      rails: [
        pack,
        { id: 'reg', label: 'Regulator', source: regulator(5, 3) },
        { id: 'usb', label: 'USB', source: { kind: 'usb', dropVolts: 0.3 } },
        { id: 'five', label: '5 V', pads: ['a'], source: { kind: 'either', of: ['usb', 'reg'] } },
      ],
    });
    const alive = makePart('gps', { supply: supply(4.5, 5.5, 0.1) }, { onUsb: true });
    const finding = load(board, alive, makePart('servo', { supply: supply(4.5, 6.6, 1.2) }, { onUsb: true }));
    // Typical 0.6 A on the servo: within 3 A x 80 %, above the 0.5 A of USB 2.0 (7.2.1).
    expect(sentenceOf(finding)).toContain(
      'servo would draw 0.6 A of USB on the desk; it gives 0.5 A to what must live on it',
    );
    expect(sentenceOf(finding)).not.toContain('Regulator');
    expect(finding.fix?.code).toBe('go without USB');
  });

  test('where no single sum is too much but all choices together are, every regulator is named, and the sentence is whole', () => {
    // Each rail takes any one of the three parts of 0.6 A peak, neither two: three parts, two rails.
    const rail = (id: string, pad: string) => ({ id, label: id, pads: [pad], source: regulator(5, 1) });
    const part = (id: string) => makePart(id, { supply: supply(4.5, 5.5, 0.6) });
    const finding = load(
      makeBoard({ pads, rails: [pack, rail('left', 'a'), rail('right', 'b')] }),
      part('one'),
      part('two'),
      part('three'),
    );
    expect(sentenceOf(finding)).toBe(
      'one, two and three would draw 0.9 A of left, 1.8 A at peak; it may carry 0.8 A (80 % of its rating), 1 A for moments; or 0.9 A of right, 1.8 A at peak; it may carry 0.8 A (80 % of its rating), 1 A for moments: too little.',
    );
  });

  test("another part's output is named with what it carries", () => {
    const host = makePart(
      'transmitter',
      { supply: supply(7, 17, 0.4) },
      { kind: 'video transmitter', gives: [{ id: 'five', label: '5 V out', volts: says(5), amps: claims(0.3) }] },
    );
    const finding = load(
      makeBoard({ pads, rails: [{ ...pack, pads: ['vbat'] }] }),
      host,
      makePart('lamp', { supply: supply(4.5, 5.5, 0.5) }),
    );
    // 0.5 A peak against 0.3 A printed; derated 0.24 A.
    expect(sentenceOf(finding)).toBe(
      'lamp would draw 0.25 A of the 5 V out of transmitter, 0.5 A at peak; it may carry 0.24 A, 0.3 A for moments: too little.',
    );
  });
});
