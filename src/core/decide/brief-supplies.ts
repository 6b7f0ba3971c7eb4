import { mayHaveMore } from '../circuit/all-pads';
import { packVolts } from '../circuit/packs';
import { suppliesOf } from '../circuit/rail-tree';
import { exactly, interval, isKnown } from '../quantity/figure';
import type { Build, Part } from '../records/build';
import type { Supply } from '../records/peripheral';
import { num } from '../quantity/spelled';
import { ratingShare } from '../trade/rating';
import { insideRange } from '../wiring/supply-ways';
import type { BriefLine } from './brief-line';

export function supplyLines(build: Build, musts: readonly Part[]): BriefLine[] {
  const gives = build.parts.flatMap((p) => p.peripheral.gives);
  return musts.flatMap((part): BriefLine[] => {
    const { modes, name } = part.peripheral;
    // Where it may be wired in several ways, or another part may feed it, a board need not have what one of them wants.
    const [supply] = modes[0]!.supplies;
    if (modes.length > 1 || !supply) return [];
    const fedByPart = gives.some(
      (g) => insideRange({ swing: { low: interval(g.volts), high: interval(g.volts) } }, supply) !== 'no',
    );
    if (fedByPart) return [];
    const amps = leastAmps(supply);
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

/** Where a part is surely fed: in one way only, by no other part, and not from the raw pack. */
function surelyRegulated(build: Build, { peripheral: { modes } }: Part): Supply | null {
  const [supply] = modes[0]!.supplies;
  if (modes.length > 1 || modes[0]!.supplies.length !== 1 || !supply || supply.draw === 'constant power') return null;
  const pack = { swing: { low: exactly(packVolts(build).low), high: exactly(packVolts(build).high) } };
  const others = build.parts.flatMap((p) => p.peripheral.gives);
  const given = others.some(
    (g) => insideRange({ swing: { low: interval(g.volts), high: interval(g.volts) } }, supply) !== 'no',
  );
  return given || insideRange(pack, supply) !== 'no' ? null : supply;
}

/** Volts up to which supplies count as one class, with those of 5 V. */
const lowVolts = 6;

/** What must hang on regulators adds up: together they carry what all of it draws. */
export function togetherLines(build: Build, musts: readonly Part[]): BriefLine[] {
  const all = musts.flatMap((part) => {
    const supply = surelyRegulated(build, part);
    return supply ? [{ part, supply }] : [];
  });
  const low = all.filter(({ supply }) => interval(supply.maxVolts).high <= lowVolts);
  const high = all.filter((x) => !low.includes(x));
  return [low, high].flatMap((group): BriefLine[] => {
    if (group.length < 2) return [];
    const sum = (key: 'typicalAmps' | 'peakAmps') =>
      group.reduce((amps, { supply }) => amps + Math.max(0, finiteLow(supply[key])), 0);
    const [steady, peak] = [sum('typicalAmps'), sum('peakAmps')];
    return [
      {
        id: group === low ? 'supplies up to 6 V' : 'supplies above 6 V',
        asks: `regulators ${group === low ? `of up to ${lowVolts} V` : `of more than ${lowVolts} V`} that together carry ${num(steady, 2)} A steady, ${num(peak, 2)} A at peak`,
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

function rangeWords({ minVolts, maxVolts }: Supply): string {
  const [low, high] = [interval(minVolts).low, interval(maxVolts).high];
  if (!Number.isFinite(low)) return `${num(high, 1)} V at most`;
  return Number.isFinite(high) ? `${num(low, 1)} to ${num(high, 1)} V` : `${num(low, 1)} V or more`;
}
