import { expect, test } from 'vitest';
import { makeBoard, makeBuild, makePart, says } from '../tests/make';
import { boardChanges } from './board-changes';
import { buildChanges } from './build-differences';

const offer = { shop: 'Test Shop', cents: 5000, shippingCents: 500, seen: '2026-11-01' };
const other = { shop: 'Other Shop', cents: 4500, shippingCents: 0, seen: '2026-11-01' };

test('prices first, then figures; that an offer was only looked at again is no change', () => {
  const was = makeBoard();
  expect(boardChanges(was, was)).toEqual([]);
  expect(boardChanges(was, makeBoard({ offers: [{ ...offer, seen: '2026-11-28' }] }))).toEqual([]);
  const [price, mass, ...rest] = boardChanges(was, makeBoard({ massG: says(22), offers: [{ ...offer, cents: 4200 }] }));
  expect(price).toBe('Test Shop: €50.00 and €5.00 shipping, now €42.00 and €5.00 shipping');
  expect(mass).toContain('20 g');
  expect(mass).toContain('now 22 g');
  expect(rest).toEqual([]);
});

test('an offer that came, one that went, one that is sold out', () => {
  const was = makeBoard({ offers: [offer] });
  expect(boardChanges(was, makeBoard({ offers: [offer, other] }))).toEqual(['Other Shop offers it for €45.00']);
  expect(boardChanges(was, makeBoard({ offers: [] }))).toEqual([
    'Test Shop offers it no more (was €50.00 and €5.00 shipping)',
  ]);
  expect(boardChanges(was, makeBoard({ offers: [{ ...offer, stock: 0 }] }))[0]).toContain('sold out');
});

test('a build: what came, what went, what is other in it', () => {
  const [a, b] = [makePart('a', {}), makePart('b', {})];
  const was = makeBuild({}, [a]);
  expect(buildChanges(was, was)).toEqual([]);
  expect(buildChanges(was, { ...was, name: 'Other', parts: [b] })).toEqual(['new: b', 'left out: a', 'the name']);
  expect(buildChanges(was, { ...was, parts: [{ ...a, owned: true }] })).toEqual(['changed: a']);
});
