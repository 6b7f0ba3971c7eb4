import { failedLines } from '../decide/brief';
import { packCells } from '../circuit/packs';
import { boardSchema, type Board } from '../records/board';
import type { Build } from '../records/build';
import { interval } from '../quantity/figure';
import { makeBoard, regulator, says, yes } from './make';

/** A board that has plenty of everything for a build. */
function generous(build: Build): Board {
  const pads: { id: string; label: string }[] = [{ id: 'vbat', label: 'VBAT' }];
  const pad = (id: string) => (pads.push({ id, label: id.toUpperCase().slice(0, 9) }), id);
  const many = <T>(n: number, make: (i: number) => T) => Array.from({ length: n }, (_, i) => make(i + 1));
  const rail = (volts: number) => ({
    id: `${volts}v`,
    label: `${volts} V`,
    pads: many(12, (i) => pad(`${volts}v-${i}`)),
    source: regulator(volts, 20),
  });
  const mount = build.frame.mounts[0];
  const board = makeBoard({
    kind: 'all-in-one',
    processor: { value: 'H7', origin: 'manual' },
    claimedPorts: says(8),
    ports: many(8, (i) => ({
      id: `p${i}`,
      label: `Port ${i}`,
      rx: [{ pad: pad(`r${i}`) }],
      tx: [{ pad: pad(`t${i}`) }],
    })),
    outputs: many(16, (i) => ({
      id: `o${i}`,
      label: `Output ${i}`,
      pad: pad(`o${i}`),
      timer: `t${i}`,
      can: ['motor', 'servo', 'light', 'channel in'],
    })),
    buses: [
      { id: 'i2c', label: 'I2C', kind: 'i2c', pads: [pad('sda'), pad('scl')] },
      { id: 'can', label: 'CAN', kind: 'can', pads: [pad('ch'), pad('cl')] },
    ],
    analogueInputs: (['battery', 'current', 'signal strength', 'air speed'] as const).map((kind, i) => ({
      id: `a${i}`,
      label: kind.slice(0, 9),
      kind,
      pad: pad(`a${i}`),
    })),
    video: {
      cameraIns: [pad('cam1'), pad('cam2')],
      out: pad('vtx'),
      overlayChip: yes,
      cameraControl: pad('cc'),
    },
    buzzerPad: pad('bz'),
    motorLine: { value: 'digital both ways', origin: 'manual' },
    rails: (
      [
        { id: 'pack', label: 'Pack', pads: ['vbat', ...many(8, (i) => pad(`v${i}`))], source: { kind: 'pack' } },
        { id: 'usb', label: 'USB', source: { kind: 'usb', dropVolts: 0 } },
        { id: '5v-reg', label: '5 V regulator', source: regulator(5.2, 20) },
        {
          id: '5v',
          label: '5 V',
          pads: many(16, (i) => pad(`5v-${i}`)),
          source: { kind: 'either', of: ['usb', '5v-reg'], isolated: yes },
        },
        ...[3.3, 9, 12].filter((v) => v < 4 * 3.3).map((v) => rail(v)),
      ] as { id: string; label: string; pads?: string[]; source: never }[]
    ).map((r) => ({
      ...r,
      id: r.id.replace('.', '-'),
      pads: r.pads?.map((p) => p.replace('.', '-')) ?? [],
    })),
    packCells: { min: says(1), max: says(packCells(build).high) },
    esc: {
      channels: says(12),
      continuousAmps: says(300),
      burstAmps: says(300),
      burstSeconds: says(600),
      telemetry: yes,
      drivenByOutputs: { value: false, origin: 'manual' },
    },
    mounting: {
      patterns: mount
        ? [
            {
              alongMm: says(mount.alongMm),
              ...(mount.acrossMm ? { acrossMm: says(mount.acrossMm) } : {}),
              screw: { value: mount.screw, origin: 'manual' },
            },
          ]
        : [],
      softIsolators: yes,
    },
    lengthMm: says(5),
    widthMm: says(5),
    heightMm: says(1),
    massG: says(1),
    cableSides: [],
    offers: [{ shop: 'Test Shop', cents: 1, shippingCents: 0, seen: '2026-11-01' }],
    pads: [],
  });
  return boardSchema.parse({
    ...board,
    pads: pads.map((p) => ({ ...p, id: p.id.replace('.', '-'), toleratesVolts: says(5.5) })),
  });
}

/** A board that just meets every line of a build's brief: each thing taken away, and each figure brought down to where the next step would fail a line. null: not even plenty meets it. */
export function justMeets(build: Build): Board | null {
  const meets = (b: Board) => failedLines(build, b).length === 0;
  let board = generous(build);
  if (!meets(board)) return null;
  const attempt = (change: (b: Board) => Board) => {
    const next = change(board);
    if (meets(next)) board = next;
  };
  const without = <K extends 'ports' | 'outputs' | 'buses' | 'analogueInputs' | 'rails'>(key: K, id: string) =>
    attempt((b) => ({ ...b, [key]: (b[key] as { id: string }[]).filter((x) => x.id !== id) }));
  for (const key of ['ports', 'outputs', 'buses', 'analogueInputs'] as const)
    for (const { id } of [...board[key]]) without(key, id);
  for (const { id } of [...board.ports])
    for (const side of ['tx', 'rx'] as const)
      attempt((b) => ({ ...b, ports: b.ports.map((p) => (p.id === id ? { ...p, [side]: [] } : p)) }));
  for (const rail of ['12v', '9v', '3-3v']) without('rails', rail);
  attempt((b) => ({ ...b, video: b.video && { ...b.video, cameraIns: [] } }));
  attempt((b) => ({ ...b, buzzerPad: undefined }));
  for (const { id } of [...board.rails])
    least(0.05, 20, (b, amps) => ({
      ...b,
      rails: b.rails.map((r) =>
        r.id === id && r.source.kind === 'regulator' ? { ...r, source: { ...r.source, ratedAmps: says(amps) } } : r,
      ),
    }));
  const esc = (key: 'channels' | 'continuousAmps' | 'burstAmps' | 'burstSeconds') => (b: Board, n: number) => ({
    ...b,
    esc: { ...b.esc!, [key]: says(n) },
  });
  least(1, 12, esc('channels'), 1);
  for (const key of ['continuousAmps', 'burstAmps', 'burstSeconds'] as const) least(0.1, 600, esc(key));
  most(1, 400, (b, mm) => ({ ...b, heightMm: says(mm) }));
  most(1, 5000, (b, grams) => ({ ...b, massG: says(grams) }));
  most(1, 1e6, (b, cents) => ({ ...b, offers: b.offers.map((o) => ({ ...o, cents: Math.round(cents) })) }));
  // Regulators are rated in round figures.
  const round = (amps: number) => Math.ceil(amps * 20) / 20;
  board = {
    ...board,
    rails: board.rails.map((r) =>
      r.source.kind === 'regulator'
        ? { ...r, source: { ...r.source, ratedAmps: says(round(interval(r.source.ratedAmps).low)) } }
        : r,
    ),
  };
  // What the brief says comes on top: wire and small things.
  return {
    ...board,
    massG: says(Math.max(0, interval(board.massG).low - onTop.grams)),
    offers: board.offers.map((o) => ({ ...o, cents: Math.max(0, o.cents - onTop.cents) })),
  };

  /** The least value that still meets all lines, found by halving; the lines are monotone in each. */
  function least(low: number, high: number, set: (b: Board, value: number) => Board, step = 0) {
    if (meets(set(board, low))) return void (board = set(board, low));
    if (!meets(set(board, high))) return;
    let [fails, holds] = [low, high];
    for (let i = 0; i < 24 && holds - fails > Math.max(step, 0.001); i++) {
      const middle = step > 0 ? Math.floor((fails + holds) / 2) : (fails + holds) / 2;
      if (meets(set(board, middle))) holds = middle;
      else fails = middle;
    }
    board = set(board, holds);
  }

  function most(low: number, high: number, set: (b: Board, value: number) => Board) {
    if (meets(set(board, high))) return void (board = set(board, high));
    let [holds, fails] = [low, high];
    for (let i = 0; i < 24 && fails - holds > 0.01; i++) {
      const middle = (fails + holds) / 2;
      if (meets(set(board, middle))) holds = middle;
      else fails = middle;
    }
    board = set(board, holds);
  }
}

/** What wires, heat shrink and shipping of the parts come to, at most, in the builds that are drawn here. */
const onTop = { grams: 15, cents: 6000 };
