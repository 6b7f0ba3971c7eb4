import http from 'node:http';
import { afterAll, afterEach, beforeAll, describe, expect, test } from 'vitest';
import { filledIn, newBoard } from '../core';
import { openDatabase, type Database } from '../db/connection';
import { allBoards, findBoard, putBoards, saveBoard } from '../db/library';
import { freshDatabase } from '../db/tests/fresh-database';
import { addPhoto, findPhoto, photosAbout } from '../db/photos';
import { refreshOffers } from './offers';
import { photoFrom } from './photo';

let db: Database;
let close: () => Promise<void>;

beforeAll(async () => {
  const url = await freshDatabase(process.env.TEST_DATABASE_URL!);
  ({ db, close } = openDatabase(url));
});
afterAll(() => close());

const board = newBoard('test-board', 'Test', 'Testwright');

test('a board is added once, saved on the newest version only, and says when it is gone', async () => {
  expect(await saveBoard(db, board, 0)).toEqual({ kind: 'saved', version: 1 });
  expect(await saveBoard(db, { ...board, summary: 'theirs' }, 0)).toMatchObject({ kind: 'conflict', version: 1 });
  expect(await saveBoard(db, { ...board, summary: 'mine' }, 1)).toEqual({ kind: 'saved', version: 2 });
  expect(await saveBoard(db, { ...board, summary: 'late' }, 1)).toMatchObject({
    kind: 'conflict',
    board: { summary: 'mine' },
  });
  expect(await saveBoard(db, { ...board, id: 'nowhere' }, 3)).toEqual({ kind: 'gone' });
  expect((await findBoard(db, 'test-board'))!.version).toBe(2);
});

test('no board is added or renamed to what another one is called; twins that a file brought stay, and can be saved', async () => {
  const one = { ...board, id: 'twin-one', name: 'Twin' };
  const other = { ...board, id: 'twin-other', name: 'TWIN' };
  expect(await saveBoard(db, one, 0)).toEqual({ kind: 'saved', version: 1 });
  expect(await saveBoard(db, other, 0)).toEqual({ kind: 'named', id: 'twin-one' });
  expect(await saveBoard(db, { ...other, revision: '2' }, 0)).toEqual({ kind: 'saved', version: 1 });
  expect(await saveBoard(db, other, 1)).toEqual({ kind: 'named', id: 'twin-one' });
  await putBoards(db, [other]);
  expect(await saveBoard(db, { ...other, summary: 'mine' }, 2)).toEqual({ kind: 'saved', version: 3 });
  expect(await saveBoard(db, { ...one, name: 'Another' }, 1)).toEqual({ kind: 'saved', version: 2 });
});

// The revision has a column of its own, so no row is without one.
test.each(filledIn.filter((f) => f !== 'revision'))(
  'a board stored before %s was added to the format opens with its default',
  async (field) => {
    const older = Object.fromEntries(
      Object.entries({ ...board, id: `without-${field.toLowerCase()}`, name: `Without ${field}` }).filter(
        ([key]) => key !== field,
      ),
    ) as typeof board;
    await saveBoard(db, older, 0);
    expect((await findBoard(db, older.id))!.board).toHaveProperty(field);
    expect((await allBoards(db)).find((b) => b.id === older.id)).toHaveProperty(field);
  },
);

describe('the shop service, at its worst', () => {
  let shop: http.Server | null = null;
  afterEach(() => {
    shop?.closeAllConnections();
    shop?.close();
  });
  const ask = async (answer: (r: http.ServerResponse) => void, waitMs: number) => {
    shop = http.createServer((_, r) => answer(r));
    await new Promise<void>((done) => shop!.listen(0, '127.0.0.1', done));
    return refreshOffers(board, `http://127.0.0.1:${(shop.address() as { port: number }).port}`, '2026-11-25', waitMs);
  };
  const offer = { shop: 'S', cents: 4000, currency: 'EUR', shippingCents: 300, deliveryDays: 3, stock: 2 };
  const reply = (offers: unknown) => (r: http.ServerResponse) => void r.end(JSON.stringify({ offers }));
  test('a sound reply is taken, with the day it was seen', async () => {
    expect(await ask(reply([offer]), 10_000)).toMatchObject({
      ok: true,
      offers: [{ cents: 4000, seen: '2026-11-25', stock: 2 }],
    });
  });
  test.each([
    ['a negative price', reply([{ ...offer, cents: -1 }]), 'cannot be right'],
    ['no currency', reply([{ ...offer, currency: 'euro' }]), 'cannot be right'],
    ['one bad offer among good ones', reply([offer, { ...offer, deliveryDays: 'soon' }]), 'cannot be right'],
    ['something that is not JSON', (r: http.ServerResponse) => void r.end('<html>'), 'not a list of offers'],
    ['an outage', (r: http.ServerResponse) => void r.writeHead(503).end(), 'answers 503'],
    ['no answer at all', () => undefined, 'does not answer'],
    ['a slow drip', (r: http.ServerResponse) => void setInterval(() => r.write('['), 100).unref(), 'does not answer'],
    ['a body without end', (r: http.ServerResponse) => void r.write('['.repeat(200_000)), 'far more'],
  ])('%s changes nothing and is said plainly', async (_, answer, words) => {
    // Only where waiting is the point is the wait short: a busy machine may take its time for the rest.
    const result = await ask(answer, words === 'does not answer' ? 400 : 10_000);
    expect([result.ok, result.sentence.includes(words), result.sentence.includes('stay as they are')]).toEqual([
      false,
      true,
      true,
    ]);
  });
  test('no shop set up, or none listening', async () => {
    expect((await refreshOffers(board, undefined, '2026-11-25')).ok).toBe(false);
    expect((await refreshOffers(board, 'http://127.0.0.1:9', '2026-11-25')).sentence).toContain('does not answer');
  });
});

describe('pictures', () => {
  const chunk = (type: string, data: string) => {
    const length = Buffer.alloc(4);
    length.writeUInt32BE(data.length);
    return Buffer.concat([length, Buffer.from(type + data, 'latin1'), Buffer.alloc(4)]);
  };
  const png = Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', '0123456789abc'),
    chunk('tEXt', 'Place 52.1 N'),
    chunk('eXIf', 'MM'),
    chunk('IDAT', 'picture'),
    chunk('IEND', ''),
  ]);
  const segment = (marker: number, data: string) =>
    Buffer.concat([Buffer.from([0xff, marker, 0, data.length + 2]), Buffer.from(data)]);
  const jpeg = Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    segment(0xe0, 'JFIF'),
    segment(0xe1, 'Exif place'),
    segment(0xfe, 'comment'),
    segment(0xda, 'scan'),
    Buffer.from('picture'),
    Buffer.from([0xff, 0xd9]),
  ]);
  test('what the camera wrote beside the picture is left out (ISO/IEC 15948 chunks, ITU-T T.81 segments)', () => {
    const [a, b] = [photoFrom(png), photoFrom(jpeg)];
    expect(a.ok && a.body.toString('latin1')).not.toMatch(/Place|eXIf/);
    expect(a.ok && a.body.toString('latin1')).toContain('picture');
    expect(b.ok && b.body.toString('latin1')).not.toMatch(/Exif|comment/);
    expect(b.ok && b.body.toString('latin1')).toMatch(/JFIF[\s\S]*picture/);
  });
  test('a JPEG ends at its end: what is hung on behind it is left out; data and restart marks within a scan are no end (ITU-T T.81, B.1.1)', () => {
    const odd = Buffer.concat([jpeg.subarray(0, -2), Buffer.from([0xff, 0x00, 0xff, 0xd0, 0xff, 0x00])]);
    const second = Buffer.concat([
      segment(0xfe, 'hidden'),
      segment(0xda, 'more'),
      Buffer.from('lines'),
      Buffer.from([0xff, 0xd9]),
    ]);
    const taken = photoFrom(Buffer.concat([odd, second, Buffer.from('<script>behind</script>')]));
    const text = taken.ok ? taken.body.toString('latin1') : '';
    expect(text).toMatch(/picture[\s\S]*lines\u00ff\u00d9$/);
    expect(text).not.toMatch(/behind|hidden/);
    expect(photoFrom(odd).ok).toBe(false);
  });
  test('content counts, not the name; what ends in the middle is refused', () => {
    expect(photoFrom(Buffer.from('<svg onload=alert(1)>')).ok).toBe(false);
    expect(photoFrom(png.subarray(0, 40)).ok).toBe(false);
    expect(photoFrom(jpeg.subarray(0, 8)).ok).toBe(false);
    expect(photoFrom(Buffer.alloc(0)).ok).toBe(false);
  });
  test('kept and found again', async () => {
    const photo = photoFrom(png);
    if (!photo.ok) throw new Error();
    await addPhoto(db, { id: 'p', about: 'board:x', mime: photo.mime, body: photo.body });
    expect(await photosAbout(db, 'board:x')).toEqual(['p']);
    expect((await findPhoto(db, 'p'))!.body.equals(photo.body)).toBe(true);
  });
});
