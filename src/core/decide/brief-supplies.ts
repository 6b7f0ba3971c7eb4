import { mayHaveMore } from '../circuit/all-pads';
import { packVolts } from '../circuit/packs';
import { suppliesOf } from '../circuit/rail-tree';
import { exactly, interval, isKnown } from '../quantity/figure';
import type { Build, Part } from '../records/build';
import type { Supply } from '../records/peripheral';
import { list, num } from '../quantity/spelled';
import { ratingShare } from '../trade/rating';
import { insideRange } from '../wiring/supply-ways';
import type { BriefLine } from './brief-line';

export function supplyLines(build: Build, musts: readonly Part[]): BriefLine[] {
  return musts.flatMap((part): BriefLine[] => {
    const supply = firstSupply(part);
    if (!supply) return [];
    const amps = leastAmps(supply);
    if (giversTo(build, part, supply).some((g) => ampsOf(g) >= amps * 0.999 - 0.001)) return [];
    const { name } = part.peripheral;
    return [
      {
        id: `supply ${part.id}`,
        asks: `a supply inside ${rangeWords(supply)}${amps > 0 ? ` that gives ${num(amps, 2)} A` : ''}`,
        because: [name],
        lower: `another way to feed ${name}`,
        fails: (board) =>
          !mayHaveMore(board) &&
          !suppliesOf(board, build, 'best').some(
            (s) =>
              !s.deadInFlight &&
              insideRange(s, supply) !== 'no' &&
              s.regulators.every(
                ({ source, perAmp }) =>
                  !isKnown(source.ratedAmps) || interval(source.ratedAmps).high >= amps * perAmp * 0.999 - 0.001,
              ),
          ),
      },
    ];
  });
}

/** What a part wants first, whichever way it is wired: of several ways the most modest counts. null: one of them wants nothing, or other volts. */
function firstSupply({ peripheral: { modes } }: Part): Supply | null {
  const [first, ...others] = modes.map((m) => m.supplies[0]);
  if (!first || others.some((s) => !s || rangeWords(s) !== rangeWords(first) || s.draw !== first.draw)) return null;
  const all = [first, ...(others as Supply[])];
  return all.reduce((least, s) => (leastAmps(s) < leastAmps(least) ? s : least));
}

type Give = Part['peripheral']['gives'][number];

/** Outputs of other parts of the build that may feed it. */
function giversTo(build: Build, part: Part, supply: Supply): Give[] {
  return build.parts
    .filter((p) => p.id !== part.id)
    .flatMap((p) => p.peripheral.gives)
    .filter(({ volts }) => insideRange({ swing: { low: interval(volts), high: interval(volts) } }, supply) !== 'no');
}

function ampsOf({ amps }: Give): number {
  return isKnown(amps) ? interval(amps).high : Infinity;
}

/** What is surely fed by a regulator, of the board or of another part, and not from the raw pack. */
function surelyRegulated(build: Build, part: Part): Supply | null {
  const supply = firstSupply(part);
  if (!supply || part.peripheral.modes.some((m) => m.supplies.length !== 1) || supply.draw === 'constant power')
    return null;
  const pack = { swing: { low: exactly(packVolts(build).low), high: exactly(packVolts(build).high) } };
  return insideRange(pack, supply) !== 'no' ? null : supply;
}

/** Volts up to which supplies count as one class, with those of 5 V. */
const lowVolts = 6;

/** What must hang on regulators adds up: together those of the board carry what all of it draws, less what other parts give. */
export function togetherLines(build: Build, musts: readonly Part[]): BriefLine[] {
  const all = musts.flatMap((part) => {
    const supply = surelyRegulated(build, part);
    return supply ? [{ part, supply }] : [];
  });
  const low = all.filter(({ supply }) => interval(supply.maxVolts).high <= lowVolts);
  const high = all.filter((x) => !low.includes(x));
  return [low, high].flatMap((group): BriefLine[] => {
    if (group.length < 2) return [];
    const givers = new Set(group.flatMap(({ part, supply }) => giversTo(build, part, supply)));
    const given = [...givers].reduce((amps, g) => amps + ampsOf(g), 0);
    const sum = (key: 'typicalAmps' | 'peakAmps') =>
      group.reduce((amps, { supply }) => amps + Math.max(0, finiteLow(supply[key])), 0) - given;
    const [steady, peak] = [Math.max(0, sum('typicalAmps')), Math.max(0, sum('peakAmps'))];
    if (steady + peak === 0) return [];
    const amps = [
      ...(steady > 0 ? [`${num(steady, 2)} A steady`] : []),
      ...(peak > 0 ? [`${num(peak, 2)} A at peak`] : []),
    ].join(', ');
    const beside = build.parts
      .filter((p) => p.peripheral.gives.some((g) => givers.has(g)))
      .map((p) => p.peripheral.name);
    const besides = beside.length > 0 ? `, besides what ${list(beside)} ${beside.length > 1 ? 'give' : 'gives'}` : '';
    return [
      {
        id: group === low ? 'supplies up to 6 V' : 'supplies above 6 V',
        asks: `regulators ${group === low ? `of up to ${lowVolts} V` : `inside ${hullWords(group)}`} that together carry ${amps}${besides}`,
        because: group.map(({ part }) => part.peripheral.name),
        lower: 'a part with a supply of its own',
        fails: (board) => {
          if (mayHaveMore(board)) return false;
          const feeding = suppliesOf(board, build, 'best').filter(
            (s) => !s.deadInFlight && group.some(({ supply }) => insideRange(s, supply) !== 'no'),
          );
          if (feeding.some((s) => s.regulators.length === 0)) return false;
          const last = new Map(
            feeding.flatMap((s) =>
              s.regulators.filter((r) => r.perAmp === 1).map((r) => [r.rail.id, r.source] as const),
            ),
          );
          let [carries, gives] = [0, 0];
          for (const { ratedAmps } of last.values()) {
            const rated = isKnown(ratedAmps) ? interval(ratedAmps).high : Infinity;
            gives += rated;
            carries += rated * ratingShare(ratedAmps, build.policies.ratedAmps);
          }
          return carries < steady * 0.999 - 0.001 || gives < peak * 0.999 - 0.001;
        },
      },
    ];
  });
}

function finiteLow(figure: Supply['peakAmps']): number {
  return isKnown(figure) && Number.isFinite(interval(figure).low) ? interval(figure).low : 0;
}

/** Amps that it surely draws at peak, at whatever volts. */
function leastAmps(supply: Supply): number {
  if (supply.draw === 'constant power') return 0;
  const figure = isKnown(supply.peakAmps) ? supply.peakAmps : supply.typicalAmps;
  return isKnown(figure) ? interval(figure).low : 0;
}

/** From the least that any of them takes to the most that any survives. */
function hullWords(group: readonly { supply: Supply }[]): string {
  const ends = (key: 'minVolts' | 'maxVolts') => group.map(({ supply }) => interval(supply[key]));
  return voltsWords(Math.min(...ends('minVolts').map((v) => v.low)), Math.max(...ends('maxVolts').map((v) => v.high)));
}

function rangeWords({ minVolts, maxVolts }: Supply): string {
  return voltsWords(interval(minVolts).low, interval(maxVolts).high);
}

function voltsWords(low: number, high: number): string {
  if (!Number.isFinite(low)) return `${num(high, 1)} V at most`;
  return Number.isFinite(high) ? `${num(low, 1)} to ${num(high, 1)} V` : `${num(low, 1)} V or more`;
}
