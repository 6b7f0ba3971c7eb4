import { leastCap } from './covers';
import { mostUses, setCap, type Relaxation } from './relax';

/**
 * Lowers the cap of every sum to the most that whole options can reach below it (subset sums, as bits of one large number): a 640 mA limit that only
 * 450 and 150 mA parts lie on is as good as 600 mA. No hookup is lost, and the relaxation gets tighter.
 */
export function lowerToReachable(node: Relaxation, from = leastCap): void {
  const { model, alive, caps, rowAt } = node;
  const most = mostUses(node);
  const parts = model.first.length - 1;
  const sums: (bigint | null)[] = Array.from({ length: model.sums }, (_, r) => (rowAt[r]! >= 0 && caps[r]! >= from && most[r]! > Math.floor(caps[r]! + 1e-9) ? 1n : null));
  const amounts = sums.map(() => new Set<number>());
  const taking = new Int32Array(model.sums);
  for (let p = 0; p < parts; p++) {
    let count = 0;
    taking.fill(0);
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) {
      if (!alive[o]) continue;
      count++;
      for (let i = model.at[o]!; i < model.at[o + 1]!; i++) {
        const r = model.row[i]!;
        if (r >= model.sums || sums[r] === null) continue;
        taking[r]!++;
        amounts[r]!.add(model.amount[i]!);
      }
    }
    sums.forEach((before, r) => {
      if (before === null || amounts[r]!.size === 0) return;
      let next = taking[r]! < count ? before : 0n;
      for (const a of amounts[r]!) next |= before << BigInt(a);
      sums[r] = next & ((1n << BigInt(Math.floor(caps[r]! + 1e-9) + 1)) - 1n);
      amounts[r]!.clear();
    });
  }
  sums.forEach((reached, r) => {
    const top = reached === null ? -1 : topBit(reached);
    if (top >= 0 && top < caps[r]!) setCap(node, r, top);
  });
}

/** The number of the highest bit that is set, -1 for nought. */
function topBit(n: bigint): number {
  if (n === 0n) return -1;
  const hex = n.toString(16);
  return (hex.length - 1) * 4 + 31 - Math.clz32(parseInt(hex[0]!, 16));
}
