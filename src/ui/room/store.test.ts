import { expect, test } from 'vitest';
import { makeBuild } from '../../core/tests/make';
import { roomStore } from './store';

const stored = { build: makeBuild({ name: 'As it was' }), version: 1, savedAt: '2026-11-29T00:00:00Z' };
const renamed = (mayWrite: boolean) => {
  const store = roomStore(stored, { mayWrite, shared: null, accounts: true });
  store.getState().edit('name', (b) => ({ ...b, name: 'Another' }));
  return store.getState();
};

test('who may write changes the build, and undo leads back', () => {
  const room = renamed(true);
  expect([room.build.name, room.save.kind, room.history.past.length]).toEqual(['Another', 'saved', 1]);
});
test('a number that is typed is the buyer’s own, and usual again once that is undone', () => {
  const usual = { origin: 'assumed' as const, source: 'usual' };
  const build = { ...stored.build, said: { 'cruise amps': usual } };
  const store = roomStore({ ...stored, build }, { mayWrite: true, shared: null, accounts: false });
  store.getState().edit('motors', (b) => ({ ...b, motors: { ...b.motors, cruiseAmps: 7.5 } }));
  expect(store.getState().build.said).toEqual({});
  store.getState().undo();
  expect(store.getState().build.said).toEqual({ 'cruise amps': usual });
});
test('who may only look changes nothing, and is told so', () => {
  const { build, save, history } = renamed(false);
  expect([build, history.past]).toEqual([stored.build, []]);
  expect(save).toEqual({ kind: 'refused', why: expect.stringContaining('not change it. Nothing was changed') });
});
test('what came from elsewhere stands in every step that undo goes back to', () => {
  const store = roomStore(stored, { mayWrite: true, shared: null, accounts: false });
  store.getState().edit('name', (b) => ({ ...b, name: 'Another' }));
  store.getState().rebase((b) => ({ ...b, craft: 'theirs' }));
  store.getState().undo();
  expect([store.getState().build.name, store.getState().build.craft]).toEqual(['As it was', 'theirs']);
});
