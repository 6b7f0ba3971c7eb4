import { money } from '../quantity/money';
import { euroIn } from '../bill/exchange';
import type { Build } from '../records/build';
import type { Climb } from '../evaluate/climb';
import { linkWords } from '../words/link-words';

export interface SideRow {
  group: 'rungs' | 'figures' | 'hookup';
  what: string;
  cells: string[];
  differs: boolean;
}

/** Boards against each other, row by row: rungs, sums, and where each peripheral goes on each of them. */
export function sideBySide(climbs: readonly Climb[], build: Pick<Build, 'currency' | 'rates'>): SideRow[] {
  const rows: Omit<SideRow, 'differs'>[] = [];
  climbs[0]?.rungs.forEach((r, i) =>
    rows.push({ group: 'rungs', what: r.name, cells: climbs.map((c) => c.rungs[i]!.state) }),
  );
  const figure = (what: string, of: (c: Climb) => string) =>
    rows.push({ group: 'figures', what, cells: climbs.map(of) });
  figure('Take-off mass', (c) =>
    c.massG.high === null ? `over ${Math.round(c.massG.low)} g` : `${Math.round(c.massG.high)} g`,
  );
  figure('To pay', (c) => (c.totalCents === null ? 'no offer' : money(c.totalCents, build.currency)));
  figure('Free ports', (c) => `${c.hookup.freePorts}`);
  figure(
    'Extras',
    (c) =>
      `${money(c.hookup.cost.cents * euroIn(build), build.currency)}, ${c.hookup.cost.deciGrams / 10} g, effort ${c.hookup.cost.effort}`,
  );
  figure(
    'Bridges to move',
    (c) =>
      c.hookup.bridges
        .filter((b) => b.moved)
        .map((b) => `${b.label} to ${b.positionLabel}`)
        .join('; ') || 'none',
  );
  figure(
    'Left out',
    (c) =>
      c.hookup.parts
        .filter((p) => !p.mode)
        .map((p) => p.name)
        .join('; ') || 'nothing',
  );
  for (const part of climbs[0]?.hookup.parts ?? []) {
    rows.push({
      group: 'hookup',
      what: part.name,
      cells: climbs.map((c) => {
        const there = c.hookup.parts.find((p) => p.id === part.id);
        if (!there?.mode) return 'left out';
        const links = there.links.map(
          (l) =>
            `${l.on}${l.pads.some((p) => p.does === 'soft serial') ? ', soft serial' : ''}${there.links.length > 1 ? ` (${linkWords(l.link)})` : ''}`,
        );
        return [...links, ...there.supplies.map((s) => s.on)].join('; ') || 'nothing to wire';
      }),
    });
  }
  return rows.map((r) => ({ ...r, differs: new Set(r.cells).size > 1 }));
}
