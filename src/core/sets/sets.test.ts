import { describe, expect, test } from 'vitest';
import { basketOf } from '../bill/basket';
import { evaluate } from '../evaluate/climb';
import { harnessOf } from '../guide/build-sheet';
import type { Board } from '../records/board';
import { demoBuilds, demoShelf } from '../tests/demo';
import { makeBoard, makeBuild, says, unknown } from '../tests/make';
import { candidateAt } from './candidate';
import { feedsOf } from './feed';
import { joined } from './join';
import { sentenceOf } from '../words/finding/sentence-of';

const { boards } = demoShelf();
const builds = demoBuilds();
const board = (id: string): Board => boards.find((b) => b.id === id)!;
const build = (id: string) => builds.find((b) => b.id === id)!;
const finding = (climb: ReturnType<typeof evaluate>, code: string) =>
  climb.rungs.flatMap((r) => r.findings).filter((f) => f.code === code);

describe('three sets worked out by hand', () => {
  // Six cells, four motors of 9 A steady and 38 A at full throttle for 8 s; a bay of 24 mm, standoffs of 0 mm.
  const belfry = build('belfry-six');

  test('one that fits: Stile F7 on Joist 55', () => {
    const set = joined({ controller: board('marlpit-stile'), esc: board('tarnfield-joist-55') }, belfry);
    const climb = evaluate(belfry, set);
    expect(climb.verdict).toBe('fits with work');
    expect(climb.rungs.filter((r) => r.rung <= 3).map((r) => r.state)).toEqual(['holds', 'holds', 'holds']);
    // 6 mm of ESC, 2 mm of air, 7 mm of controller.
    expect(sentenceOf(finding(climb, 'height')[0]!)).toContain('the stack 15 mm');
    // 80 % of 55 A carry the 9 A of cruise: (44 - 9) / 9.
    expect(finding(climb, 'cruise current')[0]!.margin).toBeCloseTo(35 / 9, 6);
    expect(harnessOf(belfry, set)!.meets).toEqual([]);
    // 39.90 € and 52.90 € from two shops.
    const lines = basketOf(belfry, set, climb.hookup).filter((l) => l.key.startsWith('board '));
    expect(lines.map((l) => [l.what, l.cents])).toEqual([
      ['Marlpit Stile F7, revision 1', 3990],
      ['Tarnfield Joist 55, revision 1', 5290],
    ]);
    // The capacitor comes with the ESC, so none is bought.
    expect(basketOf(belfry, set, climb.hookup).some((l) => l.key === 'capacitor')).toBe(false);
  });

  test('one that the harness stops: Lych H7 sits by a header, Joist 55 has a plug of another order', () => {
    const set = joined({ controller: board('pellmere-lych'), esc: board('tarnfield-joist-55') }, belfry);
    const climb = evaluate(belfry, set);
    expect(climb.stopsAt).toBe(3);
    const [stop] = finding(climb, 'harness line').filter((f) => f.state === 'breaks');
    // Pin 1 of the header is the pack, pin 1 of the plug is ground.
    expect(sentenceOf(stop!)).toContain('VBAT meets GND');
    expect(stop!.member).toBe('tarnfield-joist-55');
  });

  test('one that two sources stop: Lych H7 on Tenon 45 joins their 5 V without a diode', () => {
    const m2 = { ...belfry, frame: { ...belfry.frame, mounts: [{ alongMm: 20, screw: 'M2' as const }] } };
    const set = joined({ controller: board('pellmere-lych'), esc: board('pellmere-tenon-45') }, m2);
    const climb = evaluate(m2, set);
    expect(climb.stopsAt).toBe(6);
    expect(finding(climb, 'two sources')[0]!.state).toBe('breaks');
    // With a controller that makes no 5 V itself the same ESC feeds it, and nothing meets.
    const fed = { ...board('pellmere-lych') };
    fed.rails = fed.rails.map((r) => (r.id === '5v-reg' ? { ...r, source: { kind: 'esc' as const } } : r));
    const quiet = evaluate(m2, joined({ controller: fed, esc: board('pellmere-tenon-45') }, m2));
    expect(finding(quiet, 'two sources')).toEqual([]);
    expect(quiet.verdict).toBe('fits with work');
  });
});

describe('who feeds the controller', () => {
  const belfry = build('belfry-six');

  test('is a choice of the hookup where several could, and never two at once', () => {
    const pieces = {
      controller: board('marlpit-stile'),
      esc: board('quillon-girt-50'),
      power: board('marlpit-weir-12'),
    };
    expect(feedsOf(pieces)).toEqual(['own', 'esc', 'power board']);
    const set = joined(pieces, belfry);
    const bridge = set.bridges.find((b) => b.id === 'feed')!;
    expect(bridge.positions.map((p) => p.id)).toEqual(['own', 'esc', 'power-board']);
    const locked = {
      ...belfry,
      locks: { [set.id]: [{ kind: 'bridge' as const, bridge: 'feed', position: 'power-board' }] },
    };
    const { hookup } = evaluate(locked, set);
    const load = (id: string) => hookup.rails.find((r) => r.rail === id)!;
    expect(load('pb.5v').peakMa).toBeGreaterThan(1000);
    expect(hookup.bridges.find((b) => b.bridge === 'feed')!.position).toBe('power-board');
  });

  test('a controller without a regulator of its own is dead with an ESC that gives none, and lives with a power board', () => {
    const dead = evaluate(
      belfry,
      joined({ controller: board('quillon-turnpike'), esc: board('dunmarrow-batten-45') }, belfry),
    );
    expect(dead.stopsAt).toBe(6);
    const fed = evaluate(
      belfry,
      joined(
        { controller: board('quillon-turnpike'), esc: board('dunmarrow-batten-45'), power: board('marlpit-weir-12') },
        belfry,
      ),
    );
    expect(fed.verdict).toBe('fits with work');
  });

  test('a controller that the pack would destroy is left without it where a power board feeds it', () => {
    const twelve = { ...build('saltgrass'), pack: { ...build('saltgrass').pack, cells: 12 } };
    const pieces = { controller: board('tarnfield-thwart'), power: board('oxbow-penstock') };
    const climb = evaluate(twelve, joined(pieces, twelve));
    expect(finding(climb, 'pack line')[0]!.state).toBe('strained');
    expect(finding(climb, 'full pack')[0]!.state).toBe('holds');
  });
});

describe('what members bring', () => {
  const belfry = build('belfry-six');

  test('a sensor without a line to the controller is said not to be read', () => {
    const set = joined({ controller: board('dunmarrow-sluice'), esc: board('copperwren-truss-50') }, belfry);
    expect(set.currentSensor).toBeUndefined();
    expect(sentenceOf(finding(evaluate(belfry, set), 'harness line')[0]!)).toContain('it is not read');
  });

  test('nor is that of a power board beside a controller without an input for it', () => {
    const pieces = {
      controller: board('dunmarrow-sluice'),
      esc: board('marlpit-cotter-30'),
      power: board('tarnfield-leat'),
    };
    const said = finding(evaluate(belfry, joined(pieces, belfry)), 'harness line').map(sentenceOf);
    expect(said).toContain('Sluice F4 has no input for the current sensor of Leat: it is not read.');
    const read = { ...pieces, controller: board('marlpit-stile') };
    expect(
      finding(evaluate(belfry, joined(read, belfry)), 'harness line')
        .map(sentenceOf)
        .join(),
    ).not.toContain('it is not read');
  });

  test('a second sensor is said to be paid for twice', () => {
    const set = joined(
      { controller: board('marlpit-stile'), esc: board('tarnfield-joist-55'), power: board('tarnfield-leat') },
      belfry,
    );
    expect(sentenceOf(finding(evaluate(belfry, set), 'sensor twice')[0]!)).toContain('Leat brings one for nothing');
  });

  test('an ESC that asks for a capacitor and brings none has it bought, as large as it asks', () => {
    const set = joined({ controller: board('marlpit-stile'), esc: board('oxbow-strut-65') }, belfry);
    const line = basketOf(belfry, set, evaluate(belfry, set).hookup).find((l) => l.key === 'capacitor')!;
    expect(line.what).toContain('1000 uF');
  });

  test('single ESCs come one a motor, in mass, money and basket, and take no height', () => {
    const set = joined({ controller: board('marlpit-stile'), esc: board('tarnfield-peg-45') }, belfry);
    const climb = evaluate(belfry, set);
    const line = basketOf(belfry, set, climb.hookup).find((l) => l.key === 'board tarnfield-peg-45')!;
    expect([line.quantity, line.cents, line.grams]).toEqual([4, 4 * 1290, 23.6]);
    expect(sentenceOf(finding(climb, 'height')[0]!)).toContain('the stack 7 mm');
  });

  test('what is at home costs nothing in any set', () => {
    const set = joined({ controller: board('marlpit-stile'), esc: board('tarnfield-joist-55') }, belfry);
    const home = { ...belfry, atHome: { 'board marlpit-stile': 1 } };
    const saved = evaluate(belfry, set).totalCents! - evaluate(home, set).totalCents!;
    expect(saved).toBeGreaterThanOrEqual(3990);
    expect(sentenceOf(finding(evaluate(home, set), 'price')[0]!)).toContain('Stile F7 is at home');
  });

  test('pads stay on their member, and the words of a pad say whose it is', () => {
    const set = joined({ controller: board('marlpit-stile'), esc: board('tarnfield-joist-55') }, belfry);
    expect(set.members!.map((m) => m.board.name)).toEqual(['Stile F7', 'Joist 55']);
    expect(set.pads.filter((p) => p.id.startsWith('esc.'))).toHaveLength(board('tarnfield-joist-55').pads.length);
    expect(new Set(set.pads.map((p) => p.id)).size).toBe(set.pads.length);
  });
});

describe('what nobody says of a member', () => {
  const craft = makeBuild({ motors: { count: 4, cruiseAmps: 5, peakAmps: 20, peakSeconds: 5, esc: 'on the board' } });
  const controller = makeBoard({ id: 'fc', kind: 'flight controller', esc: undefined });
  const esc = (change: object) => makeBoard({ id: 'esc', kind: 'esc', ...change });

  test('an unknown most cells is never a yes, and a known one too low breaks whatever the other is', () => {
    const open = joined({ controller, esc: esc({ packCells: { min: says(2), max: unknown } }) }, craft);
    expect(evaluate(craft, open).rungs[1]!.state).toBe('unknown');
    const low = joined(
      {
        controller: { ...controller, packCells: { min: says(1), max: unknown } },
        esc: esc({ packCells: { min: says(1), max: says(craft.pack.cells - 1) } }),
      },
      craft,
    );
    expect(evaluate(craft, low).rungs[1]!.state).toBe('breaks');
  });

  test('an unknown mass or channel count leaves the set open', () => {
    const heavy = joined({ controller, esc: esc({ massG: unknown }) }, craft);
    expect(evaluate(craft, heavy).rungs[7]!.state).toBe('unknown');
    const channels = esc({
      esc: { channels: unknown, continuousAmps: says(40), burstAmps: says(50), burstSeconds: says(10) },
    });
    expect(finding(evaluate(craft, joined({ controller, esc: channels }, craft)), 'esc channels')[0]!.state).toBe(
      'unknown',
    );
  });
});

describe('an address', () => {
  const belfry = build('belfry-six');

  test.each([
    ['marlpit-stile~tarnfield-joist-55', 'Stile F7 + Joist 55'],
    ['marlpit-stile~tarnfield-peg-45', 'Stile F7 + 4 x Peg 45'],
    ['tarnfield-keel-f7', 'Keel F7 45'],
  ])('%s is %s', (id, name) => {
    const candidate = candidateAt(belfry, boards, id)!;
    expect([candidate.id, candidate.name]).toEqual([id, name]);
  });

  test.each([
    'tarnfield-joist-55',
    'marlpit-stile~nobody',
    'tarnfield-joist-55~tarnfield-leat',
    'marlpit-stile~pellmere-lych',
    'tarnfield-keel-f7~tarnfield-joist-55',
    '~',
    'constructor',
  ])('%s is no candidate', (id) => {
    expect(candidateAt(belfry, boards, id)).toBeNull();
  });
});

describe('both ends of a line', () => {
  const belfry = build('belfry-six');

  test('motor wires carry what both ends can, and what nobody says of one of them is open', () => {
    const pieces = { controller: board('marlpit-stile'), esc: board('tarnfield-joist-55') };
    expect(joined(pieces, belfry).motorLine).toMatchObject({ value: 'digital both ways' });
    const plain = { ...pieces.esc, motorLine: { value: 'digital' as const, origin: 'claim' as const } };
    expect(joined({ ...pieces, esc: plain }, belfry).motorLine).toMatchObject({ value: 'digital' });
    const unsaid = { ...pieces.esc, motorLine: undefined };
    expect(joined({ ...pieces, esc: unsaid }, belfry).motorLine).toEqual({ unknown: true });
  });

  test('who has ESCs at home and puts another into a set flies on that one', () => {
    const wing = build('saltgrass');
    const set = candidateAt(wing, boards, 'tarnfield-thwart~quillon-dowel-60')!;
    expect(sentenceOf(finding(evaluate(wing, set), 'esc channels')[0]!)).toContain('Dowel 60');
  });
});

test("the controller's own draw is carried by what feeds it, not by what could", () => {
  const belfry = build('belfry-six');
  const weak = board('quillon-girt-50');
  const tiny = weak.rails.map((r) =>
    r.source.kind === 'regulator' ? { ...r, source: { ...r.source, ratedAmps: says(0.1) } } : r,
  );
  const pieces = { controller: board('marlpit-stile'), esc: { ...weak, rails: tiny } };
  const climb = evaluate(belfry, joined(pieces, belfry));
  expect(climb.verdict).toBe('fits with work');
  expect(climb.hookup.rails.find((r) => r.rail === 'esc.5v')!.ownMa).toBe(0);
});

describe('limits and sources of a member are its own', () => {
  const belfry = build('belfry-six');
  const pieces = { controller: board('marlpit-stile'), esc: board('tarnfield-joist-55') };

  test('of stated volts and plain cells the member that stands least decides: 25.2 V are more than 24', () => {
    const states = { ...pieces.controller, packMaxVolts: says(24) };
    const low = evaluate(belfry, joined({ ...pieces, controller: states }, belfry));
    expect(finding(low, 'full pack')[0]).toMatchObject({ state: 'breaks', member: 'marlpit-stile' });
    const high = { ...pieces.controller, packMaxVolts: says(30) };
    expect(joined({ ...pieces, controller: high }, belfry).packMaxVolts).toBeUndefined();
    // Six cells are 25.2 V for certain and 26.1 V perhaps; a member that states 25.8 V leaves what lies between.
    const between = { ...pieces.controller, packMaxVolts: says(25.8) };
    const cells = { ...pieces.esc, packMaxVolts: undefined, packCells: { min: says(3), max: says(6) } };
    for (const set of [
      { controller: between, esc: cells },
      { controller: { ...pieces.controller, packMaxVolts: undefined }, esc: { ...cells, packMaxVolts: says(25.8) } },
    ])
      expect(joined(set, belfry).packMaxVolts).toMatchObject({ low: 25.2, high: 25.8 });
  });

  test('USB and regulator that are tied on the controller are not two sources of the set', () => {
    const lych = board('pellmere-lych');
    const rails = lych.rails.map((r) => {
      if (r.id === '5v-reg') return { ...r, source: { kind: 'esc' as const } };
      return r.source.kind === 'either'
        ? { ...r, source: { ...r.source, isolated: { value: false, origin: 'manual' as const } } }
        : r;
    });
    const climb = evaluate(belfry, joined({ controller: { ...lych, rails }, esc: board('pellmere-tenon-45') }, belfry));
    expect(finding(climb, 'two sources')).toEqual([]);
  });
});
