import { describe, expect, test } from 'vitest';
import { basketOf } from '../bill/basket';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, makePart, portsAndPads, says, serial } from '../tests/make';
import { speakTogether } from '../trade/radio';

const mine = { system: 'Long-Hop', bandGHz: 2.4 };
const receiver = (radio?: object) => {
  const part = makePart('rx', { links: [serial('two-wire-rc')] }, { kind: 'receiver', massG: says(5) });
  return { ...part, peripheral: { ...part.peripheral, ...(radio ? { radio: radio as never } : {}) } };
};

test.each([
  [mine, { system: 'long hop', bandGHz: 2.42 }, 'yes'],
  [mine, { system: 'Long-Hop' }, 'unknown'],
  [mine, { system: 'Short-Hop', bandGHz: 2.4 }, 'no'],
  [{ system: 'Long-Hop', bandGHz: 0.868 }, { system: 'Long-Hop', bandGHz: 0.915 }, 'no'],
  [mine, undefined, 'unknown'],
] as const)('%j and %j speak with each other: %s', (a, b, truth) => expect(speakTogether(a, b)).toBe(truth));

describe('a receiver against what the radio speaks', () => {
  const board = makeBoard(portsAndPads(['rt']));
  const signals = (part: ReturnType<typeof receiver>, radio?: object) =>
    evaluate({ ...makeBuild({}, [part]), ...(radio ? { radio: radio as never } : {}) }, board).rungs[4]!.state;
  test('is asked only where the build says what that is', () => {
    expect(signals(receiver())).toBe('holds');
    expect([signals(receiver(), mine), signals(receiver(mine), mine)]).toEqual(['unknown', 'holds']);
    expect(signals(receiver({ system: 'Other', bandGHz: 2.4 }), mine)).toBe('breaks');
  });
});

describe('a receiver that is built into the board', () => {
  const board = makeBoard({ ...portsAndPads([]), receiver: mine });
  const build = { ...makeBuild({}, [receiver({ system: 'Other' })]), radio: mine };
  test('serves in place of the one on the list, which is neither carried nor bought', () => {
    const climb = evaluate(build, board);
    expect([climb.verdict, climb.hookup.parts[0]!.mode?.id]).toEqual(['fits with work', 'on-board']);
    const without = evaluate({ ...makeBuild(), radio: mine }, board);
    expect([climb.massG, climb.totalCents]).toEqual([without.massG, without.totalCents]);
    expect(basketOf(build, board, climb.hookup).some((l) => l.key === 'part rx')).toBe(false);
  });
  test('does not where it speaks something else, or where nobody says what the radio speaks', () => {
    expect(evaluate({ ...build, radio: { system: 'Other', bandGHz: 2.4 } }, board).stopsAt).toBe(4);
    expect(evaluate(makeBuild({}, [receiver()]), board).stopsAt).toBe(4);
  });
  test('there is one: a second receiver still wants a port', () => {
    const two = [receiver(), { ...receiver(), id: 'rx2' }];
    expect(evaluate({ ...makeBuild({}, two), radio: mine }, board).stopsAt).toBe(4);
  });
});
