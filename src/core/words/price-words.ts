import { money } from '../quantity/money';
import { euroIn } from '../bill/exchange';
import type { Build } from '../records/build';
import type { Price } from '../wiring/alternatives';

/** A price in plain words, dearest level first; "costs nothing" when all levels are equal. */
export function priceWords({ cost, marginPercent }: Price, build: Pick<Build, 'currency' | 'rates'>): string {
  const parts: string[] = [];
  const count = (n: number, one: string, many: string, gain: string) => {
    if (n > 0) parts.push(`${n} ${n === 1 ? one : many}`);
    else if (n < 0) parts.push(`${gain} ${-n}`);
  };
  count(cost.must, 'must left out', 'musts left out', 'saves a must:');
  count(cost.should, 'should left out', 'shoulds left out', 'saves a should:');
  if (cost.cents !== 0)
    parts.push(`${cost.cents > 0 ? '' : 'saves '}${money(Math.abs(cost.cents) * euroIn(build), build.currency)}`);
  if (cost.deciGrams !== 0) parts.push(`${cost.deciGrams > 0 ? '' : 'saves '}${Math.abs(cost.deciGrams) / 10} g`);
  count(cost.effort, 'point of effort', 'points of effort', 'effort less by');
  count(cost.nice, 'nice left out', 'nices left out', 'brings back nices:');
  count(cost.compromises, 'compromise', 'compromises', 'compromises less by');
  if (marginPercent !== 0)
    parts.push(`smallest margin ${marginPercent > 0 ? 'up' : 'down'} by ${Math.abs(marginPercent)} %`);
  count(cost.ports, 'port more', 'ports more', 'ports less by');
  return parts.length > 0 ? parts.join(', ') : 'costs nothing';
}
