import { freeId } from '../../records/new-board';
import type { Board, Rail } from '../../records/board';
import type { Said } from '../apply-readings';
import { addRegulator, railOf } from '../regulator';
import type { BridgeRead } from './read-bridges';
import type { ParcelRead } from './read-parcel';
import type { SuppliesRead, SupplyRead } from './read-supplies';

type Words = Omit<Said, 'placeOf'>;

function noted(board: Board, field: string, after: string, quote: string, { origin, seen }: Words): Board {
  const entry = { when: seen, field, before: 'nothing said', after, who: `${origin}: "${quote}"` };
  return { ...board, history: [...board.history, entry].slice(-500) };
}

/** The board with what a page says of its regulators; one that it has not is added. */
export function withSupplies(board: Board, { supplies, shared }: SuppliesRead, said: Words): Board {
  // All of them first: one may be fed from another that is named later.
  const named = supplies.flatMap((s) => [s.volts, ...(s.fedFrom === undefined ? [] : [s.fedFrom])]);
  const there = named.reduce((b, v) => (railOf(b, v) ? b : addRegulator(b, v)), board);
  const made = supplies.reduce((b, s) => withSupply(b, s, said), there);
  return shared.reduce((b, { volts, amps, quote }) => {
    const all = b.rails.filter((r) => r.source.kind === 'regulator');
    const rails = volts.length === 0 ? all.map((r) => r.id) : volts.flatMap((v) => railOf(b, v)?.id ?? []);
    if (rails.length < 2 || rails.length > 8) return b;
    const limit = { rails, amps: { value: amps, ...said, source: quote } };
    const others = (b.sharedLimits ?? []).filter((l) => l.rails.join() !== rails.join());
    if (others.length >= 8) return b;
    return noted({ ...b, sharedLimits: [...others, limit] }, 'together', `${amps} A`, quote, said);
  }, made);
}

function withSupply(board: Board, supply: SupplyRead, said: Words): Board {
  const { volts, inputVolts, type, fedFrom, servos, quote } = supply;
  const feeder = fedFrom === undefined ? undefined : railOf(board, fedFrom);
  const id = railOf(board, volts)!.id;
  const word = (value: number) => ({ value, ...said, source: quote });
  const rails = board.rails.map((r): Rail => {
    if (r.id !== id || r.source.kind !== 'regulator') return r;
    const source = {
      ...r.source,
      ...(type ? { type } : {}),
      // A feeder that is itself fed from here would be a circle.
      ...(feeder && !isFedFrom(board, feeder, id) ? { input: feeder.id } : {}),
      ...(inputVolts ? { inputVolts: { min: word(inputVolts.min), max: word(inputVolts.max) } } : {}),
    };
    return { ...r, ...(servos ? { servos } : {}), source };
  });
  const after = [
    inputVolts ? `in ${inputVolts.min} to ${inputVolts.max} V` : '',
    type ?? '',
    feeder ? `out of ${feeder.label}` : '',
    servos ? 'for servos' : '',
  ];
  return noted({ ...board, rails }, `${volts} V`, after.filter((w) => w !== '').join(', '), quote, said);
}

function isFedFrom(board: Board, rail: Rail, id: string): boolean {
  const { source } = rail;
  if (source.kind !== 'regulator') return false;
  if (source.input === id) return true;
  const input = board.rails.find((r) => r.id === source.input);
  return input !== undefined && input.id !== rail.id && isFedFrom(board, input, id);
}

/** The board with a bridge that chooses between rails, delivered as `factory` says, and a rail behind it. Rails that it has not are added, without pads. */
export function withBridge(
  board: Board,
  read: BridgeRead,
  factory: BridgeRead['positions'][number],
  said: Words,
): Board {
  const based = read.positions.reduce<Board>(
    (b, p) => (p === 'pack' ? withPack(b) : withRail(b, p, read.quote, said)),
    board,
  );
  const id = freeId('bridge', based.bridges);
  const at = (p: number | 'pack') => (p === 'pack' ? 'pack' : `${p}v`.replace('.', '-'));
  const behind = (p: number | 'pack') =>
    p === 'pack' ? based.rails.find((r) => r.source.kind === 'pack')!.id : railOf(based, p)!.id;
  const bridge = {
    id,
    label: read.label,
    form: read.form,
    face: 'top' as const,
    positions: read.positions.map((p) => ({ id: at(p), label: p === 'pack' ? 'pack' : `${p} V` })),
    factory: at(factory),
    effort: read.form === 'solder bridge' ? 3 : 1,
  };
  const rail: Rail = {
    id: freeId('chosen', based.rails),
    label: `${read.what ? `${read.what} ` : ''}supply by ${read.label}`.slice(0, 40),
    pads: [],
    source: {
      kind: 'bridge',
      bridge: id,
      byPosition: Object.fromEntries(read.positions.map((p) => [at(p), behind(p)])),
    },
    ...(read.what === 'servo' ? { servos: true } : {}),
  };
  const made = { ...based, bridges: [...based.bridges, bridge], rails: [...based.rails, rail] };
  return noted(made, 'bridges', `${read.label}: ${bridge.positions.map((p) => p.label).join(', ')}`, read.quote, said);
}

function withPack(board: Board): Board {
  if (board.rails.some((r) => r.source.kind === 'pack')) return board;
  return {
    ...board,
    rails: [{ id: freeId('pack', board.rails), label: 'Pack', pads: [], source: { kind: 'pack' } }, ...board.rails],
  };
}

function withRail(board: Board, volts: number, quote: string, said: Words): Board {
  if (railOf(board, volts)) return board;
  const based = withPack(board);
  const unknown = { unknown: true as const };
  const rail: Rail = {
    id: freeId(`v${String(volts).replace('.', '-')}-`, based.rails),
    label: `${volts} V`,
    pads: [],
    source: {
      kind: 'regulator',
      type: 'buck',
      outVolts: { value: volts, ...said, source: quote },
      ratedAmps: unknown,
      dropOutVolts: unknown,
      input: based.rails.find((r) => r.source.kind === 'pack')!.id,
      filtered: false,
    },
  };
  return { ...based, rails: [...based.rails, rail] };
}

/** The board with what its parcel brings. */
export function withParcel(board: Board, { capacitor, isolators, quote }: ParcelRead, said: Words): Board {
  const after = [capacitor ? `${capacitor.microfarads} uF ${capacitor.volts} V` : '', isolators ? 'soft mounts' : ''];
  return noted(
    {
      ...board,
      ...(capacitor ? { capacitor: { ...board.capacitor, ...capacitor } } : {}),
      ...(isolators ? { mounting: { ...board.mounting, softIsolators: { value: true, ...said, source: quote } } } : {}),
    },
    'parcel',
    after.filter((w) => w !== '').join(', '),
    quote,
    said,
  );
}
