import type { Climb } from '../climb';
import { fixPrices } from '../fix/price';
import type { Board, Offer } from '../model/board';
import type { Build } from '../model/build';
import { csvLines } from './csv-lines';
import { draggedIn, type Sundry } from '../hookup/dragged-in';

export interface BasketLine extends Sundry {
  /** Who sells it; empty: a usual price, anywhere. */
  offers: Offer[];
}

/** All that is still to be bought for this build on this board, with what the hookup drags in. */
export function basketOf(build: Build, board: Board, climb: Climb): BasketLine[] {
  const lines: BasketLine[] = [];
  const add = (key: string, what: string, quantity: number, unit: string, cents: number, grams: number, why: string, offers: Offer[] = []) => {
    if (quantity > 0) lines.push({ key, what, quantity, unit, cents: Math.round(cents), grams: Math.round(grams * 100) / 100, why, offers });
  };
  const mass = 'value' in board.massG ? board.massG.value : 'high' in board.massG ? board.massG.high : 0;
  add(`board ${board.id}`, `${board.maker} ${board.name}, revision ${board.revision}`, 1, 'piece', board.offers.length > 0 ? Math.min(...board.offers.map((o) => o.cents)) : 0, mass, 'the board', board.offers);
  const flown = new Set(climb.hookup.parts.filter((p) => p.mode).map((p) => p.id));
  for (const { id, owned, peripheral } of build.parts) {
    if (owned || !flown.has(id) || peripheral.cents === 0) continue;
    const grams = 'value' in peripheral.massG ? peripheral.massG.value : 0;
    add(`part ${id}`, peripheral.name, 1, 'piece', peripheral.cents, grams, 'on the parts list', peripheral.offers);
  }
  for (const p of climb.hookup.parts) {
    const mode = build.parts.find((x) => x.id === p.id)?.peripheral.modes.find((m) => m.id === p.mode?.id);
    if (mode?.needs) add(`extra ${p.id}`, mode.needs, 1, 'piece', mode.cents, mode.grams, `${p.name} is wired by "${mode.label}"`);
  }
  for (const [i, fix] of (build.fixes[board.id] ?? []).entries()) {
    const price = fixPrices[fix.kind];
    if (price.cents > 0) add(`fix ${i}`, fix.kind, 1, 'piece', price.cents, price.grams, 'a fix you accepted');
  }
  for (const s of draggedIn(build, board, climb.hookup)) lines.push({ ...s, offers: [] });
  return lines;
}

export interface Order {
  /** Which shop each offered line is bought from. */
  from: { key: string; shop: string; cents: number }[];
  parcels: { shop: string; shippingCents: number; days: number | null }[];
  /** Goods and shipping of the offered lines, and the usual prices of the rest. */
  totalCents: number;
  /** The last parcel; null when a shop does not say. */
  days: number | null;
}

export type Aim = 'cheapest' | 'fastest' | 'fewest parcels';

/**
 * The best way to buy the lines: every set of shops is tried (there are few), each line from the cheapest offer among them. One parcel a shop, its shipping
 * paid once. Exact. Lines nobody offers count at their usual price; what is at home is not bought.
 */
export function orderFor(lines: readonly BasketLine[], aim: Aim, atHome: Readonly<Record<string, number>> = {}): Order {
  const open = lines.filter((l) => (atHome[l.key] ?? 0) < l.quantity);
  const offered = open.filter((l) => l.offers.length > 0);
  const rest = open.filter((l) => l.offers.length === 0).reduce((sum, l) => sum + Math.round((l.cents * (l.quantity - (atHome[l.key] ?? 0))) / l.quantity), 0);
  const shops = [...new Set(offered.flatMap((l) => l.offers.map((o) => o.shop)))].sort().slice(0, 14);
  let best: Order | null = null;
  for (let set = offered.length === 0 ? 0 : 1; set < 2 ** shops.length; set++) {
    const open = shops.filter((_, i) => set & (1 << i));
    const found = from(offered, open, aim);
    if (found && (!best || better({ ...found, totalCents: found.totalCents + rest }, best, aim))) best = { ...found, totalCents: found.totalCents + rest };
    if (offered.length === 0) break;
  }
  return best ?? { from: [], parcels: [], totalCents: rest, days: null };
}

function from(lines: readonly BasketLine[], shops: string[], aim: Aim): Order | null {
  const chosen: { line: BasketLine; offer: Offer }[] = [];
  for (const line of lines) {
    const offers = line.offers.filter((o) => shops.includes(o.shop)).sort((a, b) => (aim === 'fastest' ? (a.deliveryDays ?? 99) - (b.deliveryDays ?? 99) : 0) || a.cents - b.cents || a.shop.localeCompare(b.shop));
    if (!offers[0]) return null;
    chosen.push({ line, offer: offers[0] });
  }
  const parcels = shops.flatMap((shop) => {
    const mine = chosen.filter((c) => c.offer.shop === shop).map((c) => c.offer);
    if (mine.length === 0) return [];
    const days = mine.map((o) => o.deliveryDays);
    return [{ shop, shippingCents: Math.max(...mine.map((o) => o.shippingCents)), days: days.includes(undefined) ? null : Math.max(...(days as number[])) }];
  });
  if (parcels.length < shops.length) return null;
  return {
    from: chosen.map(({ line, offer }) => ({ key: line.key, shop: offer.shop, cents: offer.cents * line.quantity })),
    parcels,
    totalCents: chosen.reduce((sum, { line, offer }) => sum + offer.cents * line.quantity, 0) + parcels.reduce((sum, p) => sum + p.shippingCents, 0),
    days: parcels.some((p) => p.days === null) ? null : Math.max(0, ...parcels.map((p) => p.days!)),
  };
}

function better(a: Order, b: Order, aim: Aim): boolean {
  const days = (o: Order) => o.days ?? 999;
  const keys: Record<Aim, (o: Order) => number[]> = {
    cheapest: (o) => [o.totalCents, o.parcels.length, days(o)],
    fastest: (o) => [days(o), o.totalCents, o.parcels.length],
    'fewest parcels': (o) => [o.parcels.length, o.totalCents, days(o)],
  };
  const [x, y] = [keys[aim](a), keys[aim](b)];
  for (let i = 0; i < x.length; i++) if (x[i] !== y[i]) return x[i]! < y[i]!;
  return false;
}

export function basketCsv(lines: readonly BasketLine[]): string {
  return csvLines(['what', 'quantity', 'unit', 'EUR', 'g', 'why'], lines.map((l) => [l.what, l.quantity, l.unit, (l.cents / 100).toFixed(2), l.grams, l.why]));
}
