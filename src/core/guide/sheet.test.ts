import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { readFile } from '../records/file';
import { makeBoard, makeBuild, makePart, says, unknown } from '../tests/make';
import { awgAreaMm2 } from '../trade/wire';
import { basketCsv, basketOf, orderFor, type BasketLine } from '../bill/basket';
import { buildSheet, sheetMarkdown } from './build-sheet';
import { arrivesOn, currentScale, logCsv, voltageScale, withReading } from './logbook';
import { csvLines } from '../records/csv-lines';
import { wireList } from '../bill/wire-list';
import { sentenceOf } from '../words/finding/sentence-of';

const shelf = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
const load = (id: string) => {
  const read = readFile(readFileSync(`demo/builds/${id}.json`, 'utf8'), 'rung-build');
  if (!read.ok) throw new Error(id);
  return read.value;
};
if (!shelf.ok) throw new Error('shelf');
const board = (id: string) => shelf.value.boards.find((b) => b.id === id)!;
const belfry = load('belfry-six');
const keel = board('tarnfield-keel-f7');
const climb = evaluate(belfry, keel);

describe('wires', () => {
  const wires = wireList(belfry, keel, climb.hookup);
  test('one for each pad the hookup uses, and a ground for each supply', () => {
    const pads = climb.hookup.parts.reduce(
      (n, p) => n + p.links.reduce((m, l) => m + l.pads.length, 0) + (p.supplies[0] ? 1 : 0),
      0,
    );
    expect(wires.filter((w) => w.kind !== 'ground')).toHaveLength(pads);
    expect(wires.filter((w) => w.kind === 'ground')).toHaveLength(
      climb.hookup.parts.filter((p) => p.supplies[0]).length,
    );
    for (const w of wires.filter((x) => x.kind === 'ground')) expect(w.colour).toBe('black');
  });
  test('28 AWG weighs by the copper in it (ASTM B258, 8.96 g/cm3), doubled for the sleeve', () => {
    const w = wires.find((x) => x.gauge === 28)!;
    expect(w.grams).toBeCloseTo((2 * 8.96 * awgAreaMm2(28) * w.lengthMm) / 1000, 6);
  });
});

describe('the basket', () => {
  const lines = basketOf(belfry, keel, climb.hookup);
  test('holds the board, every part still to buy, wire by gauge, heat shrink', () => {
    expect(lines[0]).toMatchObject({ key: 'board tarnfield-keel-f7', quantity: 1 });
    const bought = belfry.parts.filter(
      (p) => !p.owned && climb.hookup.parts.some((x) => x.id === p.id && x.mode) && p.peripheral.cents !== 0,
    );
    for (const p of bought) expect(lines.map((l) => l.key)).toContain(`part ${p.id}`);
    expect(lines.some((l) => l.key.startsWith('wire 28'))).toBe(true);
  });
  test('a capacitor only where none is delivered and none is at home: 35 V on six cells', () => {
    const none = makeBoard();
    const build = makeBuild({ pack: { cells: 6, chemistry: 'lipo', massG: says(1) } });
    expect(basketOf(build, none, evaluate(build, none).hookup).find((l) => l.key === 'capacitor')!.what).toContain(
      '35 V',
    );
    expect(lines.some((l) => l.key === 'capacitor')).toBe(false);
  });
  const line = (key: string, offers: [string, number, number, number][]): BasketLine => ({
    key,
    what: key,
    quantity: 1,
    unit: 'piece',
    cents: 1000,
    grams: 1,
    why: '',
    offers: offers.map(([shop, cents, shippingCents, deliveryDays]) => ({
      shop,
      cents,
      shippingCents,
      deliveryDays,
      seen: '2026-11-20',
    })),
  });
  const two = [
    line('a', [
      ['X', 1000, 500, 2],
      ['Y', 1100, 300, 9],
    ]),
    line('b', [
      ['X', 2400, 500, 2],
      ['Y', 2000, 300, 9],
      ['Z', 1900, 900, 1],
    ]),
  ];
  test('the best set of shops is exact: held against trying every choice of offers', () => {
    // All from Y: 1100 + 2000 + 300 = 3400; a from X and b from Y: 1000 + 2000 + 800 = 3800; all from X: 3400 + 500 = 3900.
    expect(orderFor(two, 'cheapest')).toMatchObject({ totalCents: 3400, parcels: [{ shop: 'Y' }] });
    expect(orderFor(two, 'fastest')).toMatchObject({ days: 2 });
    expect(orderFor(two, 'fewest parcels').parcels).toHaveLength(1);
    const all = two[0]!.offers.flatMap((a) =>
      two[1]!.offers.map(
        (b) =>
          a.cents +
          b.cents +
          (a.shop === b.shop ? Math.max(a.shippingCents!, b.shippingCents!) : a.shippingCents! + b.shippingCents!),
      ),
    );
    expect(orderFor(two, 'cheapest').totalCents).toBe(Math.min(...all));
  });
  test('two of a kind are one line of two; one at home leaves one to buy, and an offer must have as many in stock', () => {
    const nano = {
      ...makePart('nano', {}).peripheral,
      name: 'Nano',
      cents: 890,
      offers: [
        { shop: 'X', cents: 890, shippingCents: 0, seen: '2026-11-20', stock: 1 },
        { shop: 'Y', cents: 990, shippingCents: 0, seen: '2026-11-20' },
      ],
    };
    const build = makeBuild(
      {},
      ['a', 'b'].map((id) => ({ ...makePart(id, {}), peripheral: nano })),
    );
    const pair = basketOf(build, makeBoard(), evaluate(build, makeBoard()).hookup).filter((l) =>
      l.key.startsWith('part'),
    );
    expect(pair).toEqual([expect.objectContaining({ key: 'part a', what: 'Nano', quantity: 2, cents: 1780 })]);
    expect(orderFor(pair, 'cheapest')).toMatchObject({ totalCents: 1980, parcels: [{ shop: 'Y' }] });
    expect(orderFor(pair, 'cheapest', { atHome: { 'part a': 1 }, imports: [] })).toMatchObject({
      totalCents: 890,
      parcels: [{ shop: 'X' }],
    });
  });
  test('what is at home is not bought', () =>
    expect(orderFor(two, 'cheapest', { atHome: { b: 1 }, imports: [] })).toMatchObject({ totalCents: 1400 }));
  test('the cost rung is the cheapest basket, parcels and all: Cleat 25 for Gutterling, by hand', () => {
    // Gable Parts: 99.90 + 17.00 + 21.76 + 2.76 + 6.56, shipping 5.90; Tallow Lane: 43.09 + 21.49, no shipping; wire, shrink, leads, standoffs 3.52,
    // of which the grounds of the two pictures are 0.17: 0.1 m of wire more, and two pieces of shrink.
    const found = evaluate(load('gutterling'), board('oxbow-cleat-25'));
    expect(found.totalCents).toBe(9990 + 1700 + 2176 + 276 + 656 + 590 + 4309 + 2149 + 352);
    expect([found.stopsAt, sentenceOf(found.rungs[8]!.findings[0]!)]).toEqual([
      9,
      '€1.98 over the budget of €220.00: the board is €99.90 at Gable Parts, all else still to buy €116.18, shipping €5.90 for 2 parcels, €221.98 together.',
    ]);
  });
  test('what is at home is not paid for again', () => {
    const build = load('gutterling');
    expect(evaluate({ ...build, atHome: { 'part lantern-600': 1 } }, board('oxbow-cleat-25')).totalCents!).toBeLessThan(
      22_198 - 3990,
    );
  });
  test('an offer without stock counts only where there is no other', () => {
    const sold = (stock: number) => line('c', [['X', 500, 0, 1]]).offers.map((o) => ({ ...o, stock }));
    const other = line('c', [['Y', 900, 0, 1]]).offers;
    const cents = (offers: BasketLine['offers']) => orderFor([{ ...line('c', []), offers }], 'cheapest').totalCents;
    expect([cents([...sold(3), ...other]), cents([...sold(0), ...other]), cents(sold(0))]).toEqual([500, 900, 500]);
  });
  test('with thirty shops no line is forgotten', () => {
    const many = Array.from({ length: 30 }, (_, i) => line(`l${i}`, [[`Shop ${i}`, 100, 10, 2]]));
    const order = orderFor(many, 'cheapest');
    expect([order.totalCents, order.from.length, order.parcels.length]).toEqual([30 * 110, 30, 30]);
  });
  test('a cell that a spreadsheet would run is made harmless', () => {
    expect(csvLines(['what'], [['=HYPERLINK("x")'], ['+1'], ['plain, with comma']])).toBe(
      'what\r\n"\'=HYPERLINK(""x"")"\r\n"\'+1"\r\n"plain, with comma"',
    );
  });
  test('a price or a mass that nobody says is not nothing', () => {
    const board = makeBoard({ offers: [], massG: unknown });
    const [line] = basketOf(makeBuild(), board, evaluate(makeBuild(), board).hookup);
    expect(line).toMatchObject({ unpriced: true, grams: null });
    expect(basketCsv([line!], 'EUR')).toContain('1,piece,unknown,unknown,the board');
  });
  test('CSV has a line for each and quotes what needs it (RFC 4180)', () => {
    expect(basketCsv(lines, 'EUR').split('\r\n')).toHaveLength(lines.length + 1);
    expect(basketCsv([{ ...two[0]!, what: 'a, "b"' }], 'EUR')).toContain('"a, ""b"""');
  });
});

describe('the build sheet', () => {
  const sheet = buildSheet(belfry, keel, climb);
  test('solder order: underside, mount, grounds late, pack leads last; each step names its rule', () => {
    const keys = sheet.solder.map((s) => s.key);
    expect(keys.at(-1)).toBe('leads');
    const firstGround = keys.findIndex((k) => k.includes(' ground '));
    expect(keys.slice(firstGround, -1).every((k) => k.includes(' ground '))).toBe(true);
    for (const s of sheet.solder) expect(s.why.length).toBeGreaterThan(10);
    const first = buildSheet(
      { ...belfry, policies: { ...belfry.policies, batteryLeads: 'first', mounting: 'all before' } },
      keel,
      climb,
    ).solder.map((s) => s.key);
    expect([first[0], first.at(-1)]).toEqual(['leads', 'mount']);
  });
  test('a pad without thermal relief is soldered among the grounds; pack pads with it need no hurry and it says so', () => {
    const sheetOf = (relief: boolean, id: (p: { id: string }) => boolean) => {
      const b = { ...keel, pads: keel.pads.map((p) => (id(p) ? { ...p, relief } : p)) };
      return buildSheet(belfry, b, evaluate(belfry, b)).solder;
    };
    const first = climb.hookup.parts.find((p) => p.links.length > 0)!.links[0]!.pads[0]!.pad;
    const label = keel.pads.find((p) => p.id === first)!.label;
    const at = (list: typeof sheet.solder) => list.findIndex((s) => s.does.startsWith(`${label} to `));
    const ground = (list: typeof sheet.solder) => list.findIndex((s) => s.key.includes(' ground '));
    expect(at(sheet.solder)).toBeLessThan(ground(sheet.solder));
    const sinking = sheetOf(false, (p) => p.id === first);
    expect(sinking[at(sinking)]!.why).toContain('no thermal relief');
    expect(at(sinking)).toBeGreaterThan(at(sheet.solder));
    const packPads = keel.rails.filter((r) => r.source.kind === 'pack').flatMap((r) => r.pads);
    expect(sheetOf(true, (p) => packPads.includes(p.id)).find((s) => s.key === 'leads')!.why).toContain(
      'have thermal relief',
    );
  });
  test('underside pads come before the board is mounted', () => {
    const flipped = {
      ...keel,
      pads: keel.pads.map((p) =>
        p.id === climb.hookup.parts[0]!.links[0]!.pads[0]!.pad ? { ...p, face: 'bottom' as const } : p,
      ),
    };
    const steps = buildSheet(belfry, flipped, evaluate(belfry, flipped)).solder;
    const under = steps.findIndex((s) => s.wire?.face === 'bottom');
    expect(under).toBeGreaterThanOrEqual(0);
    expect(under).toBeLessThan(steps.findIndex((s) => s.key === 'mount'));
  });
  test('re-pinning: two orders that differ are spelled out pin by pin', () => {
    const salt = load('saltgrass');
    const heron = board('oxbow-heron-wing');
    const repin = buildSheet(salt, heron, evaluate(salt, heron)).repin!;
    expect(repin.meets[0]).toEqual({ pin: 1, board: 'GND', esc: 'VBAT', burns: true });
  });
  test('port settings: one row a serial link, with speed and sense', () => {
    const serial = climb.hookup.parts.flatMap((p) => p.links.filter((l) => l.link.kind === 'serial'));
    expect(sheet.settings).toHaveLength(serial.length);
    expect(sheet.settings[0]).toMatchObject({ duplex: 'two wires, full duplex', baud: '420,000 baud, 8N1' });
  });
  test('cautions stand where they matter and defer', () => {
    expect(sheet.checks[0]!.does).toMatch(/^Propellers off/);
    expect(sheet.cautions.join(' ')).toMatch(/aviation authority/);
    expect(sheet.cautions.join(' ')).toMatch(/does not say that the craft is safe/);
  });
  test('Markdown holds every wire and every step', () => {
    const text = sheetMarkdown(sheet);
    for (const s of [...sheet.solder, ...sheet.checks, ...sheet.powerUp])
      expect(text).toContain(s.does.replaceAll('|', '/'));
    expect(text.match(/^\| (?!part|---)/gm)!.length).toBeGreaterThanOrEqual(sheet.wires.length);
  });
});

describe('the logbook', () => {
  test('scales: 12.0 V shown at 12.6 V true lifts a scale of 110 to 115.5; 9 A shown at 10 A true lowers 250 to 225 (by hand)', () => {
    expect(voltageScale(110, 12.6, 12)).toBeCloseTo(115.5, 9);
    expect(currentScale(250, 10, 9)).toBeCloseTo(225, 9);
  });
  test('a measured figure goes onto the board with its origin, and what stood there into the history', () => {
    const measured = withReading(keel, {
      id: 'e',
      when: '2026-11-24',
      about: 'Keel',
      kind: 'measured',
      note: '',
      reading: { value: 33.4, unit: 'g', instrument: 'kitchen scale', field: 'massG' },
    })!;
    expect(measured.massG).toMatchObject({ value: 33.4, origin: 'measured' });
    expect(measured.history.at(-1)).toMatchObject({ field: 'massG', after: '33.4 g' });
    const at = keel.rails.findIndex((r) => r.source.kind === 'regulator');
    const rail = withReading(keel, {
      id: 'e',
      when: '2026-11-24',
      about: '5 V',
      kind: 'measured',
      note: '',
      reading: { value: 1.1, unit: 'A', field: `rails[${at}].source.ratedAmps` },
    })!;
    expect(rail.rails[at]!.source).toMatchObject({ ratedAmps: { value: 1.1, origin: 'measured' } });
    expect(withReading(keel, { id: 'e', when: '2026-11-24', about: 'x', kind: 'passed', note: '' })).toBeNull();
  });
  test('CSV and the day of arrival', () => {
    expect(logCsv([{ id: 'e', when: '2026-11-24', about: 'a, b', kind: 'passed', note: '' }]).split('\r\n')[1]).toBe(
      '2026-11-24,"a, b",passed,,,,',
    );
    expect(arrivesOn('2026-11-28', 5)).toBe('2026-12-03');
  });
});
