import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { boardSchema, type Board } from '../../records/board';
import { readFile } from '../../records/file';
import { beside } from './beside';
import { metOnShelf } from './met-on-shelf';
import { publicBoard } from './public-board';
import { sealed, sealOf } from './seal';
import { unitedBoard } from './united';

const file = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
if (!file.ok) throw new Error('demo shelf');
const { boards } = file.value;
const own = boards.find((b) => b.pads.length > 0 && b.rails.some((r) => r.source.kind === 'regulator'))!;
const called = (change: Partial<Board>): Board => ({ ...own, id: 'theirs', ...change });

describe('the same board on another shelf', () => {
  const how = (change: Partial<Board>) => metOnShelf([called(change)], boards).met[0]?.how ?? 'new';
  test.each([
    [{}, 'same'],
    [{ maker: own.maker.toUpperCase(), name: `${own.name.replaceAll(' ', '-')}` }, 'same'],
    [{ revision: '99' }, 'other revision'],
    [{ name: own.name.slice(0, 1) + own.name.slice(2) }, 'near'],
    [{ maker: `${own.maker}s` }, 'near'],
    [{ name: `${own.name} 77` }, 'new'],
    [{ name: 'Something Else' }, 'new'],
    [{ maker: 'Another Maker Entirely' }, 'new'],
  ])('%j is %s', (change, expected) => expect(how(change)).toBe(expected));
  test('every demo board finds itself', () =>
    expect(metOnShelf(boards, boards).met.map((m) => [m.how, m.own.id])).toEqual(boards.map((b) => ['same', b.id])));
});

describe('two boards made one', () => {
  const claim: Board = {
    ...own,
    massG: { value: 8, origin: 'claim', source: 'shop', seen: '2026-10-01' },
    history: [],
  };
  const measured = called({
    massG: {
      value: 8.6,
      origin: 'measured',
      source: 'their log',
      seen: '2026-11-01',
      also: [{ value: 8, origin: 'claim', source: 'shop', seen: '2026-10-01' }],
    },
  });
  test('what they measured counts before the claim, as measured by others; both words stay, and the conflict is told', () => {
    const { board, conflicts } = unitedBoard(claim, measured, 'same', '2026-11-28');
    expect(board.massG).toMatchObject({ value: 8.6, origin: 'tested', also: [{ value: 8, origin: 'claim' }] });
    expect(conflicts).toContainEqual({
      says: expect.any(String) as string,
      own: '8 g',
      theirs: '8.6 g',
      counts: '8.6 g',
    });
    expect(boardSchema.safeParse(board).error).toBeUndefined();
  });
  test('what they say of another revision stands behind whatever is said of this one', () => {
    const { board } = unitedBoard(claim, { ...measured, revision: '7' }, 'other revision', '2026-11-28');
    expect(board.massG).toMatchObject({
      value: 8,
      also: [
        { value: 8.6, ofRevision: '7' },
        { value: 8, ofRevision: '7' },
      ],
    });
  });
  test('what is drawn is taken where there is nothing yet, and otherwise kept', () => {
    const bare: Board = {
      ...own,
      pads: [],
      ports: [],
      buses: [],
      outputs: [],
      analogueInputs: [],
      plugs: [],
      bridges: [],
      grounds: [],
      rails: [],
    };
    expect(unitedBoard(bare, own, 'same', '2026-11-28').board.pads).toEqual(own.pads);
    const fewer = called({ pads: own.pads.slice(1) });
    const { board, conflicts } = unitedBoard(own, fewer, 'same', '2026-11-28');
    expect(board.pads).toEqual(own.pads);
    expect(conflicts.some((c) => c.says === 'What is drawn')).toBe(true);
  });
  test('what regulators carry together is taken over where the rails are known, and heard where both say it', () => {
    const rails = own.rails.filter((r) => r.source.kind === 'regulator').slice(0, 2);
    const limit = (value: number, origin: 'claim' | 'manual') => ({
      sharedLimits: [{ rails: rails.map((r) => r.id), amps: { value, origin } }],
    });
    expect(unitedBoard(own, called(limit(3, 'manual')), 'same', '2026-11-28').board.sharedLimits).toEqual(
      limit(3, 'manual').sharedLimits,
    );
    const { board, conflicts } = unitedBoard(
      { ...own, ...limit(4, 'claim') },
      called(limit(3, 'manual')),
      'same',
      '2026-11-28',
    );
    expect(board.sharedLimits).toMatchObject([{ amps: { value: 3, origin: 'manual', also: [{ value: 4 }] } }]);
    expect(conflicts.map((c) => c.says)).toEqual([`${rails[0]!.label} and ${rails[1]!.label} together`]);
  });
  test('a database and a file have the keys of a pad in other orders: that is no difference', () => {
    const turned = own.pads.map((p) => Object.fromEntries(Object.entries(p).reverse()) as typeof p);
    expect(unitedBoard(own, called({ pads: turned }), 'same', '2026-11-28').conflicts).toEqual([]);
  });
  test('with itself it says nothing new', () => {
    for (const b of boards) {
      const { board, conflicts } = unitedBoard(b, b, 'same', '2026-11-28');
      expect(conflicts).toEqual([]);
      expect({ ...board, history: [], offers: [] }).toEqual({ ...b, history: [], offers: [] });
    }
  });
  test('prices that somebody typed are not theirs to give, and of a shop the newest offer stays', () => {
    const offer = { shop: 'Kiosk', cents: 4000, shippingCents: 0, seen: '2026-10-01' };
    const { board } = unitedBoard(
      { ...own, offers: [offer] },
      called({
        offers: [
          { ...offer, cents: 3500, seen: '2026-11-01' },
          { ...offer, shop: 'paid', typed: true },
        ],
      }),
      'same',
      '2026-11-28',
    );
    expect(board.offers).toMatchObject([{ shop: 'Kiosk', cents: 3500 }]);
  });
});

test('a board that is put beside one of the same name has an id and a name of its own, and so has the next', () => {
  const first = beside(own, boards);
  const second = beside(own, [...boards, first]);
  expect(new Set([own.id, first.id, second.id]).size).toBe(3);
  expect([first.name, second.name]).toEqual([`${own.name} (theirs)`, `${own.name} (theirs 2)`]);
  expect(beside({ ...own, id: 'x', name: 'Another' }, boards)).toMatchObject({ id: 'x', name: 'Another' });
});

test('a board that is given away has no typed price, no history, no pictures, and can be read', () => {
  const given = publicBoard({
    ...own,
    offers: [{ shop: 'paid', cents: 1, shippingCents: 0, seen: '2026-11-01', typed: true }],
    corrections: [{ field: 'massG', read: '1', meant: '2', seen: '2026-11-01' }],
    sources: [
      { id: 's', name: 'page', kind: 'PDF', seen: '2026-11-01', pages: [{ number: 1, text: 't', picture: 'p' }] },
    ],
  });
  expect(given).toMatchObject({ offers: [], history: [], sources: [{ pages: [{ number: 1, text: 't' }] }] });
  expect(JSON.stringify(given)).not.toMatch(/paid|picture|corrections/);
  expect(boardSchema.safeParse(given).success).toBe(true);
});

describe('the checksum of a file', () => {
  const shelf = { format: 'rung-shelf', version: 2, name: 'Gödwit', boards: [], peripherals: [] };
  test('is that of another implementation of SHA-256 (Node) over the text with noughts in its place', async () => {
    const text = await sealed(shelf);
    const said = /"checksum": "(\w+)"/.exec(text)![1]!;
    expect(
      createHash('sha256')
        .update(text.replace(said, '0'.repeat(64)))
        .digest('hex'),
    ).toBe(said);
  });
  test('tells whole, changed and none', async () => {
    const text = await sealed(shelf);
    expect(
      await Promise.all([text, text.replace('Gödwit', 'Godwit'), `${text} `, JSON.stringify(shelf)].map(sealOf)),
    ).toEqual(['whole', 'changed', 'changed', 'open']);
  });
});
