import { expect, test } from 'vitest';
import { begin, edited, redone, undone } from './history';

test('undo and redo walk back and forth; a new edit drops what was undone', () => {
  let h = begin(0);
  h = edited(h, 1, 'a', 10_000);
  h = edited(h, 2, 'b', 20_000);
  h = undone(h);
  expect([h.now, undone(h).now, undone(undone(h)).now, redone(h).now]).toEqual([1, 0, 0, 2]);
  h = edited(h, 9, 'c', 30_000);
  expect([h.now, redone(h).now, undone(h).now]).toEqual([9, 9, 1]);
});

test('typing one word undoes at once; a pause or another field starts a new step', () => {
  let h = begin('');
  for (const [i, text] of ['K', 'Ke', 'Kee'].entries()) h = edited(h, text, 'name', 10_000 + i * 200);
  h = edited(h, 'Keel', 'name', 15_000);
  expect(undone(h).now).toBe('Kee');
  expect(undone(undone(h)).now).toBe('');
});
