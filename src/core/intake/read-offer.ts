import { plain } from './reader/plain';

/** A price on a page, with what sending it costs. */
export interface OfferRead {
  cents: number;
  /** null: the page does not say. */
  shippingCents: number | null;
  /** ISO 4217; null where the page names none. */
  currency: string | null;
  start: number;
  end: number;
}

const signs: Record<string, string> = {
  '€': 'EUR',
  eur: 'EUR',
  euro: 'EUR',
  euros: 'EUR',
  $: 'USD',
  usd: 'USD',
  '£': 'GBP',
  gbp: 'GBP',
  'us $': 'USD',
  pln: 'PLN',
  sek: 'SEK',
  czk: 'CZK',
  chf: 'CHF',
  jpy: 'JPY',
  cny: 'CNY',
};
const SIGN = '(us \\$|[€$£]|eur(?:os?)?|usd|gbp|pln|sek|czk|chf|jpy|cny)';
const AMOUNT = '(\\d{1,4}(?:[.,]\\d{2})?)';
const amount = new RegExp(`(?<![\\w.,])${SIGN} ?${AMOUNT}(?![\\d.,]*\\d)|(?<![\\w.,])${AMOUNT} ?${SIGN}(?![a-z])`, 'g');
const named = new RegExp(
  `\\b(?:price|preis|prix|precio|prezzo|cena|prijs|pris|цена|价格)[ \\t]{0,3}:?[ \\t]{0,3}${AMOUNT}(?![\\d.,]*\\d)`,
  'g',
);
const sending = /shipping|postage|delivery|versand|envío|livraison|spedizione|verzend|wysyłka|frakt|доставка|送料|运费/;
const noPrice = /\b(?:over|above|from|ab|off|save|instead|was|statt|coupon|voucher|code)\b[^\n]{0,12}$/;

/** The price that a page asks for what it is about: the first one, above whatever else it sells, and what is said of shipping near it. Null where it names none. */
export function readOffer(text: string): OfferRead | null {
  const t = plain(text.slice(0, 200_000));
  let price: Omit<OfferRead, 'shippingCents'> | null = null;
  let shipping: number | null = null;
  for (const match of [...t.matchAll(amount), ...t.matchAll(named)].sort((a, b) => a.index - b.index)) {
    const [whole, sign, value, value2, sign2] = match;
    const before = t.slice(Math.max(t.lastIndexOf('\n', match.index) + 1, match.index - 40), match.index);
    if (noPrice.test(before)) continue;
    const said = value ?? value2 ?? sign!;
    const currency = signs[(value ? sign : sign2) ?? ''] ?? null;
    const cents = Math.round(Number(said.replace(',', '.')) * 100);
    if (sending.test(before)) shipping ??= cents;
    else price ??= { cents, currency, start: match.index, end: match.index + whole.length };
    if (price && shipping !== null) break;
  }
  if (!price) return null;
  const line = t.slice(Math.max(0, price.start - 200), price.end + 300);
  const free =
    /\bfree (?:shipping|postage|delivery)\b(?! (?:over|above|from))|(?:shipping|postage|delivery|versand)[ :]{1,3}(?:free|included|kostenlos|gratis)/.test(
      line,
    );
  return { ...price, shippingCents: shipping ?? (free ? 0 : null) };
}
