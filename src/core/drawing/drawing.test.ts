import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { wireList } from '../bill/wire-list';
import { asItLies } from '../circuit/turn';
import { evaluate } from '../evaluate/climb';
import { readFile } from '../records/file';
import { makeBoard, makeBuild, makePart, serial, supply } from '../tests/make';
import { arrange, type RimWire, type Side } from './arrange';
import { crossings, runsThrough } from './crossings';
import { drawHookup, type FaceDrawing } from './draw-hookup';
import { faceOf, shortLabel } from '../circuit/face';

describe('lines that cross', () => {
  test('an X does, a V, an L and parallels do not', () => {
    expect(
      crossings([
        [
          [0, 0],
          [10, 10],
        ],
        [
          [0, 10],
          [10, 0],
        ],
      ]),
    ).toBe(1);
    expect(
      crossings([
        [
          [0, 0],
          [10, 10],
        ],
        [
          [0, 0],
          [10, 0],
        ],
      ]),
    ).toBe(0);
    expect(
      crossings([
        [
          [0, 0],
          [10, 0],
        ],
        [
          [10, 0],
          [10, 10],
        ],
      ]),
    ).toBe(0);
    expect(
      crossings([
        [
          [0, 0],
          [10, 0],
        ],
        [
          [0, 5],
          [10, 5],
        ],
      ]),
    ).toBe(0);
  });
  test('a line runs through a rectangle, ends in it, or passes beside it', () => {
    const box = { x: 0, y: 0, width: 10, height: 10 };
    expect([
      runsThrough(
        [
          [-5, 5],
          [15, 5],
        ],
        box,
      ),
      runsThrough(
        [
          [-5, 5],
          [5, 5],
        ],
        box,
      ),
      runsThrough(
        [
          [-5, 12],
          [15, 12],
        ],
        box,
      ),
    ]).toEqual([true, true, false]);
  });
});

describe('the arrangement of the boxes', () => {
  const roll = (seed: number) => () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  const random = (seed: number, boxes: number) => {
    const r = roll(seed);
    const edges = ['front', 'right', 'rear', 'left'] as const;
    const ids = Array.from({ length: boxes }, (_, i) => `b${i}`);
    const wires = ids.flatMap((box) =>
      Array.from({ length: 1 + Math.floor(r() * 3) }, (): RimWire => ({
        box,
        edge: edges[Math.floor(r() * 4)]!,
        share: r(),
      })),
    );
    return { boxes: ids.map((id) => ({ id, rows: 2 })), wires };
  };
  /** Crossings by another rule: walking round the rim, two chords of a circle cross where their ends alternate. */
  const byChords = (wires: readonly RimWire[], side: Map<string, Side>, columns: Record<Side, string[]>): number => {
    // The rim clockwise from the middle of the rear, cut there; the columns lie on a circle around it, with a wire to each end it may run by.
    const at = (w: RimWire, s: Side) => {
      const round = { left: 1 + (1 - w.share), front: 2 + w.share, right: 3 + w.share, rear: 4 + (1 - w.share) }[
        w.edge
      ];
      const rear = w.edge === 'rear' || (w.edge !== s && w.edge !== 'front' && w.share >= 0.5);
      if (s === 'left') return rear && round >= 3.5 ? round - 4 : round;
      return rear && round < 3 ? round + 4 : round;
    };
    let count = 0;
    wires.forEach((a, i) =>
      wires.slice(i + 1).forEach((b) => {
        if (a.box === b.box) return;
        const [s, t] = [side.get(a.box)!, side.get(b.box)!];
        if (s === t) {
          const above = columns[s].indexOf(a.box) < columns[s].indexOf(b.box);
          const higher = s === 'left' ? at(a, s) > at(b, s) : at(a, s) < at(b, s);
          if (above !== higher) count++;
        } else {
          const [l, r] = s === 'left' ? [a, b] : [b, a];
          const span = at(l, 'left') - at(r, 'right');
          if (span > 0 || span < -4) count++;
        }
      }),
    );
    return count;
  };
  test('has the fewest crossings of all sides and orders, counted by another rule (brute force)', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const { boxes, wires } = random(seed, 4);
      const found = arrange(boxes, wires);
      let least = Infinity;
      for (let choice = 0; choice < 16; choice++) {
        const side = new Map(boxes.map((b, i): [string, Side] => [b.id, choice & (1 << i) ? 'right' : 'left']));
        const of = (s: Side) => boxes.filter((b) => side.get(b.id) === s).map((b) => b.id);
        for (const left of orders(of('left')))
          for (const right of orders(of('right'))) least = Math.min(least, byChords(wires, side, { left, right }));
      }
      expect(byChords(wires, found.side, found.columns), `seed ${seed}`).toBe(least);
    }
  });
  test('is the same every time, and gets along with forty boxes', () => {
    const { boxes, wires } = random(7, 40);
    expect(arrange(boxes, wires)).toEqual(arrange(boxes, wires));
    expect(arrange(boxes, wires).columns.left.length + arrange(boxes, wires).columns.right.length).toBe(40);
  });
});

function orders(ids: string[]): string[][] {
  if (ids.length < 2) return [ids];
  return ids.flatMap((id) => orders(ids.filter((x) => x !== id)).map((rest) => [id, ...rest]));
}

/** Where the label of a pad lies: beside it on the sides, upright at the front and the rear; 5 px a letter, 9 px high. */
function labelOf({ edge, x, y, label }: FaceDrawing['pads'][number]) {
  const length = shortLabel(label).length * 5;
  if (edge === 'left') return { x: x + 9, y: y - 4.5, width: length, height: 9 };
  if (edge === 'right') return { x: x - 9 - length, y: y - 4.5, width: length, height: 9 };
  return { x: x - 4.5, y: edge === 'rear' ? y - 9 - length : y + 9, width: 9, height: length };
}

const lapping = (a: ReturnType<typeof labelOf>, b: ReturnType<typeof labelOf>) =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

describe('labels', () => {
  test.each([5, 12, 40])('of %d pads on every edge and in the middle none lies on another', (n) => {
    const edges = ['front', 'right', 'rear', 'left'] as const;
    const pads = edges.flatMap((edge) =>
      Array.from({ length: n }, (_, i) => ({
        id: `${edge}${i}`,
        label: `${edge.slice(0, 1)} label ${i}`,
        edge,
        order: i,
      })),
    );
    const board = makeBoard({ pads: [...pads, { id: 'vbat', label: 'VBAT', edge: 'inner' }] });
    const drawn = faceOf(board, 'top').pads.map((p) => ({ ...p, used: false, heldBy: null, stubs: [] }));
    const labels = drawn.map(labelOf);
    labels.forEach((a, i) => labels.slice(i + 1).forEach((b) => expect(lapping(a, b)).toBe(false)));
  });
  test('the underside is seen from below: left and right change places, the nose stays up', () => {
    const pads = [
      { id: 'vbat', label: 'V', edge: 'left' as const, face: 'bottom' as const, order: 0 },
      { id: 'x', label: 'X', edge: 'front' as const, face: 'bottom' as const, order: 0 },
      { id: 'y', label: 'Y', edge: 'front' as const, face: 'bottom' as const, order: 1 },
    ];
    const face = faceOf(makeBoard({ pads }), 'bottom');
    const at = (id: string) => face.pads.find((p) => p.id === id)!;
    expect([at('vbat').edge, at('vbat').x > face.width / 2, at('x').edge]).toEqual(['right', true, 'front']);
    expect(at('x').x).toBeGreaterThan(at('y').x);
  });
});

describe('every demo build on every board that fits', () => {
  const shelf = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
  const builds = readdirSync('demo/builds').map((f) =>
    readFile(readFileSync(`demo/builds/${f}`, 'utf8'), 'rung-build'),
  );
  const pairs = builds.flatMap((b) =>
    b.ok && shelf.ok
      ? shelf.value.boards.slice(0, 24).flatMap((board) => {
          const climb = evaluate(b.value, board);
          return climb.stopsAt === null ? [{ build: b.value, board, hookup: climb.hookup }] : [];
        })
      : [],
  );
  const drawn = (stubs: boolean) =>
    pairs.flatMap(({ build, board, hookup }) =>
      drawHookup(asItLies(build, board), hookup, wireList(build, board, hookup), { stubs }).map((face) => ({
        face,
        name: `${build.id} on ${board.id}`,
      })),
    );
  test.each([true, false])('no line runs over the face, a label or a box (stubs: %s)', (stubs) => {
    expect(pairs.length).toBeGreaterThan(8);
    for (const { face, name } of drawn(stubs)) {
      const { board } = face;
      const inside = { x: board.x + 15, y: board.y + 15, width: board.width - 30, height: board.height - 30 };
      const labels = face.pads.map(labelOf);
      for (const box of face.boxes)
        for (const { line } of box.rows) {
          if (!line) continue;
          expect(runsThrough(line, inside), name).toBe(false);
          for (const label of labels) expect(runsThrough(line, label), name).toBe(false);
          for (const b of face.boxes)
            expect(runsThrough(line, { x: b.x + 1, y: b.y, width: b.width - 2, height: b.height }), name).toBe(false);
        }
      const boxes = face.boxes.map(({ x, y, width, height }) => ({ x, y, width, height }));
      boxes.forEach((a, i) => boxes.slice(i + 1).forEach((b) => expect(lapping(a, b), name).toBe(false)));
    }
  });
  test('with stubs there is less than one crossing for five lines', () => {
    const faces = drawn(true).map((d) => d.face);
    const lines = faces.flatMap((f) => f.boxes.flatMap((b) => b.rows.filter((r) => r.line)));
    expect(faces.reduce((n, f) => n + f.crossings, 0)).toBeLessThan(lines.length / 5);
  });
  test('every joint of the wire list is a row, at its pad', () => {
    for (const { build, board, hookup } of pairs) {
      const wires = wireList(build, board, hookup);
      const rows = drawHookup(board, hookup, wires, { stubs: true }).flatMap((f) => f.boxes.flatMap((b) => b.rows));
      expect(rows.map((r) => r.wire).sort((a, b) => wires.indexOf(a) - wires.indexOf(b))).toEqual(wires);
    }
  });
});

test('both faces where something is joined below, plugs with their pin numbers, the parts of one face only', () => {
  const board = makeBoard({
    pads: [
      { id: 'vbat', label: 'V', face: 'bottom' },
      { id: 'r1', label: 'R1', form: 'pin', order: 0 },
      { id: 't1', label: 'T1', form: 'pin', order: 1 },
    ],
    ports: [{ id: 'port1', label: 'Port 1', rx: [{ pad: 'r1' }], tx: [{ pad: 't1' }] }],
    plugs: [
      {
        id: 'gps',
        label: 'GPS',
        family: 'JST SH',
        pins: [
          { name: 'R', pad: 'r1' },
          { name: 'T', pad: 't1' },
        ],
      },
    ],
  });
  const build = makeBuild({}, [makePart('gps', { links: [serial('positioning')], supply: supply(4, 20, 0.1) })]);
  const { hookup } = evaluate(build, board);
  const [top, under] = drawHookup(board, hookup, wireList(build, board, hookup), { stubs: true });
  expect(top!.plugs.map((p) => p.pins)).toEqual([
    [
      { pad: 'r1', number: 1 },
      { pad: 't1', number: 2 },
    ],
  ]);
  expect(under!.pads.map((p) => [p.id, p.stubs])).toEqual([['vbat', [1]]]);
  expect(under!.boxes.flatMap((b) => b.rows.map((r) => r.wire.kind))).toContain('supply');
});
