import { euro, money, plainMoney } from '../quantity/money';
import { plausibleEnds } from '../figures/plausible-ends';
import { euroIn, inMoneyOf, offersIn } from './exchange';
import { atTheDoor, type Landed } from './border';
import { flownBeside } from './flown';
import { unlistedParts } from './unlisted';
import { withFixes } from '../fix/apply';
import { fixPrice } from '../fix/price';
import { bought } from '../sets/roles';
import type { Board, Offer } from '../records/board';
import type { Build, Part } from '../records/build';
import { draggedIn, type Sundry } from './dragged-in';
import type { Hookup } from '../wiring/hookup';
import { interval, isKnown, type NumberFigure } from '../quantity/figure';
import { csvLines } from '../records/csv-lines';

export interface BasketLine extends Omit<Sundry, 'grams'> {
  /** Of the whole line; null where nobody says. */
  grams: number | null;
  /** Nobody offers it, and no usual price is known: it counts as nothing in the total. */
  unpriced?: true;
  /** Nobody listed it: `cents` is the least that it plausibly costs, this the most. */
  mostCents?: number;
  /** Who sells it; empty: a usual price, anywhere. */
  offers: Offer[];
}

/** All that is still to be bought for this build on this board, with what the hookup drags in (`dragged`, where it has been worked out). A must that is left out is still owed. */
export function basketOf(build: Build, shelved: Board, hookup: Hookup, dragged?: readonly Sundry[]): BasketLine[] {
  const board = inMoneyOf(build, shelved);
  const usual = euroIn(build);
  const flown = flownBeside(hookup);
  // What is bought is what the page offers; what is wired is the board with its fixes.
  const mended = withFixes(build, board);
  return [
    ...bought(board).map((m) => boardLine(m.board, m.count, board)),
    ...alike(
      build.parts.filter(
        (p) => !p.owned && flown.has(p.id) && (p.peripheral.cents !== 0 || p.peripheral.offers.length > 0),
      ),
    ).map(({ of: { id, peripheral: p }, count }) => ({
      ...piece(
        `part ${id}`,
        p.name,
        count * (p.cents ?? 0),
        gramsOf(p.massG, count),
        'on the parts list',
        offersIn(build, p.offers).offers,
      ),
      quantity: count,
      ...(p.cents === null && offersIn(build, p.offers).offers.length === 0 ? { unpriced: true as const } : {}),
    })),
    ...extras(build, board, hookup).map((l) => ({ ...l, cents: Math.round(l.cents * usual) })),
    ...(dragged ?? draggedIn(mended.build, mended.board, hookup)).map((s) => ({
      ...s,
      cents: Math.round(s.cents * usual),
      offers: [],
    })),
    ...unlistedParts(mended.build, mended.board, hookup).map((u) => ({
      ...piece(u.key, u.what, u.cents.low * usual, u.grams.high, u.why),
      quantity: u.count,
      mostCents: Math.round(u.cents.high * usual),
    })),
  ];
}

/** A member of a set says which set it is for: the controller alone flies nothing. */
function boardLine(board: Board, count: number, whole: Board): BasketLine {
  const cheapest = board.offers.length > 0 ? Math.min(...board.offers.map((o) => o.cents)) : 0;
  return {
    ...piece(
      boardKey(board),
      `${board.maker} ${board.name}, revision ${board.revision}`,
      count * cheapest,
      gramsOf(board.massG, count),
      whole.members ? `of the set ${whole.name}` : 'the board',
      board.offers,
    ),
    quantity: count,
    ...(board.offers.length === 0 ? { unpriced: true as const } : {}),
  };
}

/** The key of the line by which a board is bought. */
export function boardKey({ id }: Pick<Board, 'id'>): string {
  return `board ${id}`;
}

/** Parts that are the same thing to a shop, the first of each with how many there are. */
function alike(parts: Part[]): { of: Part; count: number }[] {
  const lines: { of: Part; count: number }[] = [];
  for (const part of parts) {
    const line = lines.find(
      ({ of }) =>
        of.peripheral.name === part.peripheral.name &&
        JSON.stringify(of.peripheral) === JSON.stringify(part.peripheral),
    );
    if (line) line.count++;
    else lines.push({ of: part, count: 1 });
  }
  return lines;
}

function piece(
  key: string,
  what: string,
  cents: number,
  grams: number | null,
  why: string,
  offers: Offer[] = [],
): BasketLine {
  return {
    key,
    what,
    quantity: 1,
    unit: 'piece',
    cents: Math.round(cents),
    grams: grams === null ? null : Math.round(grams * 100) / 100,
    why,
    offers,
  };
}

/** The heavier end of a range. */
function gramsOf(massG: NumberFigure, count = 1): number | null {
  return isKnown(massG) ? count * interval(massG).high : null;
}

/** What the ways of wiring need, the fixes, and whatever else the hookup's own sum holds (filters, releases). */
function extras(build: Build, board: Board, hookup: Hookup): BasketLine[] {
  const needs = hookup.parts.flatMap((p) => {
    const mode = build.parts.find((x) => x.id === p.id)?.peripheral.modes.find((m) => m.id === p.mode?.id);
    return mode && mode.cents > 0
      ? [
          piece(
            `extra ${p.id}`,
            mode.needs ?? `Extras of "${mode.label}"`,
            mode.cents,
            mode.grams,
            `${p.name} is wired by "${mode.label}"`,
          ),
        ]
      : [];
  });
  const wired = new Set(hookup.parts.filter((p) => p.mode).map((p) => p.id));
  const fixes = (build.fixes[board.id] ?? []).flatMap((fix, i) => {
    const price = fixPrice(fix, build.motors.count);
    return price.cents > 0 && (!('part' in fix) || wired.has(fix.part))
      ? [{ inHookup: 'part' in fix, line: piece(`fix ${i}`, fix.kind, price.cents, price.grams, 'a fix you accepted') }]
      : [];
  });
  const named = [...needs, ...fixes.filter((f) => f.inHookup).map((f) => f.line)].reduce((sum, l) => sum + l.cents, 0);
  const rest = hookup.cost.cents - named;
  return [
    ...needs,
    ...fixes.map((f) => f.line),
    ...(rest > 0 ? [piece('extras', 'Filters and what frees a port', rest, 0, 'as the hookup asks')] : []),
  ];
}

export interface Order {
  /** Which shop each offered line is bought from. */
  from: { key: string; shop: string; cents: number }[];
  /** `unsaid`: nobody says what the shop takes for sending it; the shipping is the least then. */
  parcels: { shop: string; shippingCents: number; unsaid: boolean; days: number | null }[];
  /** Goods and shipping of the offered lines, and the usual prices of the rest. */
  totalCents: number;
  /** What shipping that nobody says may plausibly come to on top. */
  moreCents: number;
  /** The last parcel; null when a shop does not say. */
  days: number | null;
}

export type Aim = 'cheapest' | 'fastest' | 'fewest parcels';

type Buying = Pick<Build, 'atHome' | 'imports' | 'currency' | 'rates'>;

/** Every set of so many shops is tried; with more, those that sell most lines, and what only the others sell comes from each alone. */
const mostShops = 10;

/**
 * The best way to buy the lines: every set of shops is tried, each line from the cheapest offer among them. One parcel a shop, its shipping paid once. Exact
 * for up to 10 shops. An offer without stock for all of a line counts only where there is no other. Lines nobody offers count at their usual price; what is at home is not bought.
 * Duty and tax of a parcel are part of its prices, where the buyer says the rates. Shipping that nobody says counts with the most that it plausibly is, so that another
 * shop is asked for its sake only where it is not dearer for sure.
 */
export function orderFor(
  lines: readonly BasketLine[],
  aim: Aim,
  { atHome = {}, imports = [], currency = euro, rates = {} }: Partial<Buying> = {},
): Order {
  const unsaidCents = Math.round(plausibleEnds.shippingCents.ends[1] * euroIn({ currency, rates }));
  const open = lines.flatMap((l) => {
    const quantity = l.quantity - (atHome[l.key] ?? 0);
    return quantity > 0
      ? [
          {
            ...l,
            quantity,
            cents: Math.round((l.cents * quantity) / l.quantity),
            offers: inStock(l.offers, quantity).map((o) => atTheDoor(o, imports)),
          },
        ]
      : [];
  });
  const rest = open.filter((l) => l.offers.length === 0).reduce((sum, l) => sum + l.cents, 0);
  const shops = shopsOf(open);
  const dear = (o: Landed) => o.cents + o.shippingCents + (o.unsaid ? unsaidCents : 0);
  const offered = open.filter((l) => l.offers.some((o) => shops.includes(o.shop)));
  const alone = open
    .filter((l) => l.offers.length > 0 && !offered.includes(l))
    .map((l) => from([l], [[...l.offers].sort((a, b) => dear(a) - dear(b))[0]!.shop], aim, unsaidCents)!);
  let best: Order | null =
    offered.length === 0 ? { from: [], parcels: [], totalCents: 0, moreCents: 0, days: null } : null;
  for (let set = 1; set < 2 ** shops.length; set++) {
    const found = from(
      offered,
      shops.filter((_, i) => set & (1 << i)),
      aim,
      unsaidCents,
    );
    if (found && (!best || better(found, best, aim))) best = found;
  }
  const all = [best!, ...alone];
  let days: number | null;
  if (all.some((o) => o.parcels.length > 0 && o.days === null)) days = null;
  else if (all.every((o) => o.days === null)) days = null;
  else days = Math.max(...all.map((o) => o.days ?? 0));
  return {
    from: all.flatMap((o) => o.from),
    parcels: all.flatMap((o) => o.parcels),
    totalCents: all.reduce((sum, o) => sum + o.totalCents, rest),
    moreCents: all.reduce((sum, o) => sum + o.moreCents, 0),
    days,
  };
}

function inStock(offers: Offer[], quantity: number): Offer[] {
  const there = offers.filter((o) => o.stock === undefined || o.stock >= quantity);
  return there.length > 0 ? there : offers;
}

function shopsOf(lines: readonly OpenLine[]): string[] {
  const sells = new Map<string, number>();
  for (const l of lines)
    for (const shop of new Set(l.offers.map((o) => o.shop))) sells.set(shop, (sells.get(shop) ?? 0) + 1);
  return [...sells]
    .sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]))
    .slice(0, mostShops)
    .map(([shop]) => shop)
    .sort();
}

/**
 * The least that any order comes to: shipping that nobody says counts as nothing. Of `order`, the cheapest one where it counts with its most.
 */
export function leastToPay(lines: readonly BasketLine[], order: Order, build: Partial<Buying>): number {
  if (lines.every((l) => l.offers.every((o) => o.shippingCents !== null))) return order.totalCents;
  const free = lines.map((l) => ({
    ...l,
    offers: l.offers.map((o) => ({ ...o, shippingCents: o.shippingCents ?? 0 })),
  }));
  return orderFor(free, 'cheapest', build).totalCents;
}

type OpenLine = Omit<BasketLine, 'offers'> & { offers: Landed[] };

function from(lines: readonly OpenLine[], shops: string[], aim: Aim, unsaidCents: number): Order | null {
  const chosen: { line: OpenLine; offer: Landed }[] = [];
  for (const line of lines) {
    const offers = line.offers
      .filter((o) => shops.includes(o.shop))
      .sort(
        (a, b) =>
          (aim === 'fastest' ? (a.deliveryDays ?? 99) - (b.deliveryDays ?? 99) : 0) ||
          a.cents - b.cents ||
          a.shop.localeCompare(b.shop),
      );
    if (!offers[0]) return null;
    chosen.push({ line, offer: offers[0] });
  }
  const parcels = shops.flatMap((shop) => {
    const mine = chosen.filter((c) => c.offer.shop === shop).map((c) => c.offer);
    if (mine.length === 0) return [];
    const days = mine.map((o) => o.deliveryDays);
    return [
      {
        shop,
        shippingCents: Math.max(...mine.map((o) => o.shippingCents)),
        unsaid: mine.some((o) => o.unsaid),
        days: days.includes(undefined) ? null : Math.max(...(days as number[])),
      },
    ];
  });
  if (parcels.length < shops.length) return null;
  return {
    from: chosen.map(({ line, offer }) => ({ key: line.key, shop: offer.shop, cents: offer.cents * line.quantity })),
    parcels,
    totalCents:
      chosen.reduce((sum, { line, offer }) => sum + offer.cents * line.quantity, 0) +
      parcels.reduce((sum, p) => sum + p.shippingCents, 0),
    moreCents: parcels.filter((p) => p.unsaid).length * unsaidCents,
    days: parcels.some((p) => p.days === null) ? null : Math.max(0, ...parcels.map((p) => p.days!)),
  };
}

function better(a: Order, b: Order, aim: Aim): boolean {
  const days = (o: Order) => o.days ?? 999;
  const keys: Record<Aim, (o: Order) => number[]> = {
    cheapest: (o) => [o.totalCents + o.moreCents, o.parcels.length, days(o)],
    fastest: (o) => [days(o), o.totalCents + o.moreCents, o.parcels.length],
    'fewest parcels': (o) => [o.parcels.length, o.totalCents + o.moreCents, days(o)],
  };
  const [x, y] = [keys[aim](a), keys[aim](b)];
  for (let i = 0; i < x.length; i++) if (x[i] !== y[i]) return x[i]! < y[i]!;
  return false;
}

/** The lines of things that nobody listed and that are not at home, and what they may cost above the least that is counted. */
export function unlistedSpan(
  { atHome }: Pick<Build, 'atHome'>,
  lines: readonly BasketLine[],
): { lines: BasketLine[]; moreCents: number } {
  const open = lines.filter((l) => l.mostCents !== undefined && (atHome[l.key] ?? 0) < l.quantity);
  const share = (l: BasketLine) => 1 - (atHome[l.key] ?? 0) / l.quantity;
  const more = open.reduce((sum, l) => sum + (l.mostCents! - l.cents) * share(l), 0);
  return { lines: open, moreCents: Math.round(more) };
}

/** What sending a parcel costs, in words; with a fee at the border, where the shop does not say what it takes, at least that. */
export function shippingOf({ shippingCents, unsaid }: Order['parcels'][number], currency: string): string {
  if (!unsaid) return `shipping ${money(shippingCents, currency)}`;
  return shippingCents > 0 ? `shipping at least ${money(shippingCents, currency)}` : 'shipping not said';
}

/** What a line costs with two places, a range of a thing that nobody listed, or that they are unknown. */
export function priceOf({ cents, mostCents, unpriced }: BasketLine): string {
  if (mostCents !== undefined) return `${plainMoney(cents)} to ${plainMoney(mostCents)}`;
  return unpriced ? 'unknown' : plainMoney(cents);
}

export function basketCsv(lines: readonly BasketLine[], currency: string): string {
  return csvLines(
    ['what', 'quantity', 'unit', currency, 'g', 'why'],
    lines.map((l) => [l.what, l.quantity, l.unit, priceOf(l), l.grams ?? 'unknown', l.why]),
  );
}
