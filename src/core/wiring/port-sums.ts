import type { PortLine } from './hookup';

/** How many of the ports are free as the board is delivered, how many can be used in this hookup, and how many of those a part is on. What a harness brings takes none of them. */
export function portSums(ports: readonly PortLine[]): { asDelivered: number; open: number; used: number } {
  const open = ports.filter((p) => !p.takenBy || p.released);
  return {
    asDelivered: ports.filter((p) => !p.takenBy).length,
    open: open.length,
    used: open.filter((p) => p.usedBy.length > 0).length,
  };
}
