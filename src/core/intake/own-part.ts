import { euroIn } from '../bill/exchange';
import type { Build } from '../records/build';
import type { Peripheral, Supply } from '../records/peripheral';
import type { PeripheralKind } from '../trade/peripheral-kind';
import { idFrom, newestVersion } from '../records/words';
import { withLink } from './link-choices';

const unknown = { unknown: true as const };

/** Takes power, and nobody has said how much of what. Stated at 5 V until it is said otherwise. */
export const unsaidSupply: Supply = {
  id: 'supply',
  minVolts: unknown,
  maxVolts: unknown,
  typicalAmps: unknown,
  peakAmps: unknown,
  atVolts: 5,
  draw: 'constant current',
};

/** How most of a kind are wired: common practice of the trade, no source. */
const usual: Record<PeripheralKind, string[]> = {
  receiver: ['serial two-wire-rc'],
  camera: ['video camera'],
  'video transmitter': ['video transmitter overlay', 'serial transmitter-control-a'],
  'digital video': ['serial overlay-link'],
  positioning: ['serial positioning'],
  compass: ['i2c'],
  light: ['output light'],
  servo: ['output servo'],
  buzzer: ['buzzer'],
  'esc telemetry': ['serial esc-telemetry'],
  'air speed': ['analogue air speed'],
  'range finder': ['serial range-finder'],
  'ground link': ['serial ground-link'],
  recorder: ['serial recorder'],
  'current sensor': ['analogue current'],
  gimbal: ['output servo'],
  aerial: [],
  other: [],
};

/** Kinds that take no power from the board. */
const unpowered: readonly PeripheralKind[] = ['esc telemetry', 'aerial'];

/** A copy for the library, priced in euros, under a name of the buyer's own: it takes the place of no other but an earlier one of that name. */
export function forLibrary(build: Build, peripheral: Peripheral): Peripheral {
  const cents = peripheral.cents === null ? null : Math.round(peripheral.cents / euroIn(build));
  return { ...peripheral, cents, id: idFrom(`own ${peripheral.name}`, 'own-part') };
}

/** A part that is in no library: wired as most of its kind are, with every figure but its price still to be said. `cents` null: that too. Null where it has no name. */
export function ownPart(name: string, kind: PeripheralKind, cents: number | null): Peripheral | null {
  const called = name.trim().slice(0, 80);
  if (called === '') return null;
  return {
    format: 'rung-peripheral',
    version: newestVersion,
    id: idFrom(`own ${called}`, 'own-part'),
    name: called,
    maker: 'your own',
    kind,
    summary:
      'Your own: wired as most of its kind are, until you say otherwise. Its figures are unknown until you say them.',
    massG: unknown,
    cents,
    offers: [],
    gives: [],
    plugs: [],
    modes: [
      {
        id: 'way',
        label: 'as you say',
        links: usual[kind].reduce<Peripheral['modes'][number]['links']>(withLink, []),
        supplies: unpowered.includes(kind) ? [] : [unsaidSupply],
        cents: 0,
        grams: 0,
        effort: 0,
        lost: [],
      },
    ],
  };
}

/** A part of one's own that turns out to be of another kind: wired as most of that kind are, fed as was said. */
export function asKind(part: Peripheral, kind: PeripheralKind): Peripheral {
  const { modes } = ownPart(part.name, kind, part.cents)!;
  const [said] = part.modes;
  const fed = unpowered.includes(kind) ? [] : (said?.supplies ?? []);
  return {
    ...part,
    kind,
    modes: modes.map((m) => ({ ...m, supplies: fed.length > 0 ? fed : m.supplies })),
  };
}
