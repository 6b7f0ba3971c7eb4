import type { Interval } from '../quantity/figure';
import { flag } from '../quantity/truth';
import { numbered } from '../records/part-names';
import type { Build } from '../records/build';
import type { PeripheralKind } from '../trade/peripheral-kind';
import { unlistedUsually, type UnlistedKind } from '../trade/unlisted';
import type { Board } from '../records/board';
import { spares, sundries } from '../trade/sundries';
import { isolators } from './dragged-in';
import { flownBeside } from './flown';
import type { Hookup } from '../wiring/hookup';

/** A thing that the build needs and that nobody listed, with what it may weigh and cost until it is named. `grams` and `cents` are for all `count` of them. */
export interface Unlisted {
  key: string;
  what: string;
  count: number;
  grams: Interval;
  cents: Interval;
  why: string;
}

/**
 * ESCs of separate motors without a name, the supply of servos that take none from the board, aerials of radios that do not say that they come with one, isolators of a
 * board of which nobody says whether they come with it.
 */
export function unlistedParts(build: Build, board: Board, hookup: Hookup): Unlisted[] {
  return [
    ...unnamedEscs(build),
    ...servoSupply(build, hookup),
    ...aerials(build, hookup),
    ...unsaidIsolators(build, board),
  ];
}

function unlisted(
  key: string,
  what: string,
  { kind, count, surely, why }: { kind: UnlistedKind; count: number; surely: boolean; why: string },
): Unlisted {
  const { grams, cents } = unlistedUsually[kind];
  const ends = ([low, high]: readonly [number, number]) => ({ low: surely ? count * low : 0, high: count * high });
  return { key, what, count, grams: ends(grams), cents: ends(cents), why };
}

function unsaidIsolators({ policies }: Build, { mounting }: Board): Unlisted[] {
  if (flag(mounting.softIsolators) !== 'unknown') return [];
  const { grams, cents } = sundries.isolator;
  return [
    {
      key: 'isolators',
      what: 'Soft isolators',
      count: isolators,
      grams: { low: 0, high: Math.round(isolators * grams * 100) / 100 },
      cents: { low: 0, high: (isolators + spares[policies.spares].fixings) * cents },
      why: 'nobody says whether they come with the board',
    },
  ];
}

function unnamedEscs({ motors }: Build): Unlisted[] {
  if (motors.esc !== 'separate' || motors.ownEsc || motors.count === 0) return [];
  const why = 'one a motor, unless they are at home and in the mass of the bare craft';
  return [
    unlisted('unlisted escs', 'ESCs that nobody has named', { kind: 'esc', count: motors.count, surely: false, why }),
  ];
}

/** Servos wired for their signal alone are fed by something: an ESC that is known to give a supply, or a regulator of their own. */
function servoSupply(build: Build, hookup: Hookup): Unlisted[] {
  const { parts, motors } = numbered(build);
  const gives = motors.esc === 'on the board' ? undefined : motors.ownEsc?.gives;
  const hungry = parts.filter((part) => {
    const wired = hookup.parts.find((p) => p.id === part.id)?.mode?.id;
    const mode = part.peripheral.modes.find((m) => m.id === wired);
    return part.peripheral.kind === 'servo' && mode && mode.supplies.length === 0 && mode.needs === undefined;
  });
  if (gives || hungry.length === 0) return [];
  const names = hungry.map((p) => p.peripheral.name).join(' and ');
  const why = `${names} ${hungry.length === 1 ? 'takes' : 'take'} no power from the board`;
  return [
    unlisted('unlisted servo supply', 'Supply for the servos', {
      kind: 'servo supply',
      count: 1,
      surely: gives === null,
      why,
    }),
  ];
}

function aerials({ parts }: Build, hookup: Hookup): Unlisted[] {
  const flown = flownBeside(hookup);
  const listed = parts.filter((p) => p.peripheral.kind === 'aerial' && flown.has(p.id)).length;
  const without = parts.flatMap((part) => {
    const kind = aerialFor(part.peripheral.kind);
    const comes = part.peripheral.aerial ? flag(part.peripheral.aerial) : 'unknown';
    return kind && flown.has(part.id) && comes !== 'yes' ? [{ part, kind, comes }] : [];
  });
  // A listed aerial belongs to a part that surely has none, before one that may have.
  const open = [...without].sort((a, b) => Number(a.comes !== 'no') - Number(b.comes !== 'no')).slice(listed);
  return open.map(({ part: { id, peripheral: p }, kind, comes }) =>
    unlisted(`unlisted aerial ${id}`, `Aerial of ${p.name}`, {
      kind,
      count: 1,
      surely: comes === 'no',
      why: comes === 'no' ? `${p.name} comes without one` : `nobody says whether ${p.name} comes with one`,
    }),
  );
}

/** Does a part of this kind send or hear over an aerial of its own? */
export function mayWantAerial(kind: PeripheralKind): boolean {
  return aerialFor(kind) !== null;
}

function aerialFor(kind: PeripheralKind): UnlistedKind | null {
  if (kind === 'receiver' || kind === 'ground link') return 'control aerial';
  if (kind === 'video transmitter' || kind === 'digital video') return 'video aerial';
  return null;
}
