import type { Lock } from '../records/build';
import { cost } from '../solver/cost';
import type { LaidMode, LaidNeed, LaidPart } from './laid';
import type { Choice, Problem, TagUse } from '../solver/problem';
import { isMet, type Place, type SolvedRung, type Way, type Workshop } from './way';
import { bridgeKey } from './keys';

/** A choice problem, and for each of its choices the way it stands for. */
export interface Compiled {
  problem: Problem;
  parts: { laid: LaidPart; modes: { laid: LaidMode; needs: { laid: LaidNeed; ways: Way[] }[] }[] }[];
}

/**
 * The problem of rungs 4 to `upTo`: a way takes part when it meets all conditions asked up to that rung.
 * A lower rung asks fewer conditions of the same ways, so what solves a higher one solves every lower one.
 */
export function compile(shop: Workshop, laid: LaidPart[], upTo: SolvedRung, locks: Lock[] = []): Compiled {
  const rowIds = [...shop.rows.keys()];
  const tagIds = [...shop.tags.keys()];
  const rowAt = new Map(rowIds.map((id, i) => [id, i]));
  const tagAt = new Map(tagIds.map((id, i) => [id, { tag: i, values: [...shop.tags.get(id)!.keys()] }]));

  const parts = laid.map((l) => ({
    laid: l,
    modes: l.modes
      .filter(
        (m) =>
          !locks.some(
            (k) =>
              (k.kind === 'leave out' && k.part === l.part.id) ||
              (k.kind === 'mode' && k.part === l.part.id && k.mode !== m.mode.id),
          ),
      )
      .map((m) => ({
        laid: m,
        needs: m.needs
          .filter((n) => n.kind === 'link' || upTo >= 6)
          .map((n) => ({ laid: n, ways: n.ways.filter((w) => goes(shop, w, upTo) && keepsLocks(w, n, l, locks)) })),
      })),
  }));

  return {
    parts,
    problem: {
      rows: rowIds.map((id) => shop.rows.get(id)!),
      tags: tagIds.map((id) => ({ id, once: [...shop.tags.get(id)!.values()].map(cost) })),
      parts: parts.map(({ laid: l, modes }) => ({
        id: l.part.id,
        unmet: cost({ [l.part.priority]: 1 }),
        ...(l.unmetTags ? { unmetTags: l.unmetTags.map(tagUse) } : {}),
        modes: modes.map(({ laid: m, needs }) => ({
          id: m.mode.id,
          cost: cost({
            cents: m.mode.cents,
            deciGrams: Math.round(m.mode.grams * 10),
            effort: m.mode.effort,
            compromises: m.mode.lost.length,
          }),
          needs: needs.map(({ laid: n, ways }) => ({ id: n.id, choices: ways.map((w) => choiceOf(w)) })),
        })),
      })),
    },
  };

  function choiceOf(w: Way): Choice {
    return {
      cost: cost({ ...w.cost, doubts: doubtsOf(w, upTo) }),
      margin: upTo === 7 ? w.margin : Infinity,
      uses: w.rows.filter((r) => r.rung <= upTo).map((r) => [rowAt.get(r.id)!, r.amount] as const),
      tags: w.tags.map(tagUse),
    };
  }

  function tagUse(t: Way['tags'][number]): TagUse {
    const { tag, values } = tagAt.get(t.id)!;
    return [tag, values.indexOf(t.value)];
  }
}

function goes(shop: Workshop, w: Way, upTo: SolvedRung): boolean {
  return w.conditions.every((c) => c.rung > upTo || isMet(c, shop.world));
}

function doubtsOf(w: Way, upTo: SolvedRung): number {
  return w.conditions.filter((c) => c.rung <= upTo && c.truth === 'unknown').length;
}

function keepsLocks(w: Way, need: LaidNeed, l: LaidPart, locks: Lock[]): boolean {
  return locks.every((k) => {
    if (k.kind === 'link' && k.part === l.part.id && k.link === need.id)
      return w.link !== undefined && endsAt(w.link, k.to);
    if (k.kind === 'supply' && k.part === l.part.id && need.kind === 'supply' && k.supply === need.id)
      return w.feed?.rail === k.to;
    if (k.kind === 'bridge') return w.tags.every((t) => t.id !== bridgeKey(k.bridge) || t.value === k.position);
    return true;
  });
}

function endsAt(place: Place, to: string): boolean {
  switch (place.kind) {
    case 'port':
    case 'soft serial':
    case 'input':
      return place.group === to;
    case 'output':
      return place.take.some((t) => t.group === to);
    case 'bus':
      return place.bus === to;
    case 'pad':
      return place.pads.includes(to);
  }
}
