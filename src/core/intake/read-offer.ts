import { withoutMarkup } from './reader/markup';
import { centsOf } from '../quantity/money';
import { sourceOf } from './reader/script';

/** A price on a page, with what sending it costs. */
export interface OfferRead {
  cents: number;
  /** null: the page does not say. */
  shippingCents: number | null;
  /** ISO 4217; null where the page names none, or a sign that several have. */
  currency: string | null;
  start: number;
  end: number;
}

/** What stands beside an amount; null: the money of several countries. */
const signs: Record<string, string | null> = {
  '€': 'EUR',
  eur: 'EUR',
  euro: 'EUR',
  euros: 'EUR',
  $: 'USD',
  us$: 'USD',
  usd: 'USD',
  dollars: 'USD',
  ca$: 'CAD',
  c$: 'CAD',
  cad: 'CAD',
  au$: 'AUD',
  a$: 'AUD',
  aud: 'AUD',
  nz$: 'NZD',
  nzd: 'NZD',
  hk$: 'HKD',
  hkd: 'HKD',
  s$: 'SGD',
  sgd: 'SGD',
  r$: 'BRL',
  brl: 'BRL',
  '£': 'GBP',
  gbp: 'GBP',
  pln: 'PLN',
  zł: 'PLN',
  zl: 'PLN',
  czk: 'CZK',
  kč: 'CZK',
  huf: 'HUF',
  ron: 'RON',
  lei: 'RON',
  sek: 'SEK',
  nok: 'NOK',
  dkk: 'DKK',
  kr: null,
  chf: 'CHF',
  'fr.': 'CHF',
  jpy: 'JPY',
  円: 'JPY',
  cny: 'CNY',
  rmb: 'CNY',
  元: 'CNY',
  '¥': null,
  krw: 'KRW',
  '₩': 'KRW',
  원: 'KRW',
  inr: 'INR',
  '₹': 'INR',
  rub: 'RUB',
  '₽': 'RUB',
  руб: 'RUB',
  '₺': 'TRY',
  zar: 'ZAR',
};
const SIGN = `(${Object.keys(signs)
  .sort((a, b) => b.length - a.length)
  .map((sign) => sign.replace(/[$.]/g, '\\$&').replace('\\$', ' ?\\$'))
  .join('|')})`;
const signAtAnEnd = new RegExp(`^\\s*${SIGN}(?!\\p{L})|(?<!\\p{L})${SIGN}\\s*$`, 'iu');

/** An amount as somebody typed it, without the sign or name of its money, and which that is (null: that of several countries); null where there is none. */
export function withoutSign(typed: string): { currency: string | null; rest: string } | null {
  const [sign] = signAtAnEnd.exec(typed) ?? [];
  return sign === undefined
    ? null
    : { currency: signs[sign.trim().toLowerCase().replace(' ', '')] ?? null, rest: typed.replace(sign, '') };
}

const AMOUNT = "(\\d{1,3}(?:[., '’]\\d{3})+(?:[.,]\\d{1,2})?|\\d{1,6}(?:[.,]\\d{1,2})?)(?:[.,]?-(?!\\d))?";
/** Of sending, without its money: with cents, since days and grams have none. */
const BARE = '(\\d{1,4}[.,]\\d{2})(?![\\d.,]*\\d| ?(?:%|kg|g\\b|lbs?\\b|oz\\b))';
const LABEL = '(?:price|preis|prix|precio|prezzo|cena|prijs|pris|preço|цена|价格|価格)';
const sending =
  /shipping|postage|delivery|versand|porto|p ?& ?p|envío|envio|livraison|spedizione|verzend|wysyłka|frakt|доставка|送料|运费/;
const EITHER = SIGN.replace('(', '(?:');
/** "30.5 EUR 42.00": what stands before the sign is no price where only what follows has cents, and it has no sign of its own and is not of sending. */
const OWN = `(?:(?<=[.,]\\d\\d ?${EITHER})|(?! ?\\d{1,5}[.,]\\d{2}(?!\\d| ?${EITHER}| (?:for |of )?(?:${sending.source}))))`;
const amount = new RegExp(
  `(?<![\\p{L}\\d.,])${SIGN} ?${AMOUNT}(?![\\d.,]*\\d)(?: ?(usd|cad|aud|nzd)\\b)?|(?<![\\p{L}\\d.,]|\\d )${AMOUNT} ?${SIGN}(?!\\p{L})${OWN}|(?<=\\b${LABEL}[ \\t]{0,3}:?[ \\t]{0,3})${AMOUNT}(?![\\d.,]*\\d| ?%)|(?<=(?:${sending.source})(?: costs?| cost is)?[ \\t]{0,3}:?[ \\t]{0,3}\\+? ?)${BARE}|(?<![\\p{L}\\d.,:]|\\d )${BARE}(?= (?:for |of )?(?:${sending.source}))`,
  'gu',
);

const sent = new RegExp(`^ ?(?:for |of |\\+ )?(?:${sending.source})`);
const free =
  /\bfree (?:(?:standard|express|worldwide) )?(?:shipping|postage|delivery)\b(?! (?:over|above|from|on orders))|(?:shipping|postage|delivery|versand)[ :]{1,3}(?:free|included|kostenlos|gratis)|(?:versandkostenfrei|gratis versand|kostenloser versand|livraison gratuite|envío gratis)/;
/** Amounts that are none of what is asked for one of it now. */
const others =
  /\b(?:over|above|from|ab|orders? of|minimum|was|statt|uvp|msrp|rrp|list price|regular(?: price)?|reg\.|old price|before|previously|originally|vorher|avant|save|saves|saving|discount|coupon|voucher|code|(?<!% ?)off|deposit|credit|cashback|points|sub ?total|total|summe|insurance|tax|vat|payments? of|approx\.?|about|ca\.|(?:[2-9]|\d{2,}) ?(?:pcs|pieces|units|stk|x|\+))[ :=(]{0,3}$|[≈~] ?$/;
const othersBehind =
  /^ ?(?:off\b|total\b|(?:for )?(?:the |a )?(?:pair|two|three|four|set of \d)\b|discount|saved|savings?|rabatt|cheaper|\/ ?month|per month|a month|pro monat|each for|\/ ?(?:[2-9]|\d\d) ?pcs)/;
const range = /^ ?(?:-|to|bis|–) ?(?:[$€£]|us ?\$)? ?\d/;

interface Amount {
  cents: number;
  currency: string | null;
  before: string;
  after: string;
  start: number;
  end: number;
}

/** "1.299,00", "1,299", "39,-": the last point or comma before two digits is the decimal one, three behind it are thousands. */
function centsSaid(written: string): number {
  const decimals = /[.,](\d{1,2})$/.exec(written)?.[1];
  const whole = (decimals === undefined ? written : written.slice(0, -decimals.length - 1)).replace(/\D/g, '');
  return centsOf(Number(`${whole}.${decimals ?? 0}`));
}

function amountsIn(t: string): Amount[] {
  return [...t.matchAll(amount)].map((m) => {
    const [whole, sign, value, country, value2, sign2, bare, afterSending, beforeSending] = m;
    const end = m.index + whole.length;
    const from = Math.max(t.lastIndexOf('\n', m.index) + 1, m.index - 40);
    const line = t.indexOf('\n', end);
    return {
      cents: centsSaid((value ?? value2 ?? bare ?? afterSending ?? beforeSending)!),
      currency: signs[(country ?? sign ?? sign2 ?? '').replace(' ', '')] ?? null,
      before: t.slice(from, m.index),
      after: t.slice(end, Math.min(line < 0 ? t.length : line, end + 40)),
      start: m.index,
      end,
    };
  });
}

/** Does it say what one of them costs now? A price that runs from one to another is that of several versions: none of them is taken. */
function isPrice({ before, after }: Amount, i: number, all: Amount[]): boolean {
  const behindRange = i > 0 && /^ ?(?:-|to|bis) ?$/.test(all[i - 1]!.after.slice(0, all[i]!.start - all[i - 1]!.end));
  return !others.test(before) && !othersBehind.test(after) && !range.test(after) && !behindRange;
}

/** Words of sending before it in its own clause, or right behind it. */
const isShipping = ({ before, after }: Amount) =>
  sending.test(before.slice(before.search(/[^,;.(]*$/))) || sent.test(after);

/** The price that a page asks for what it is about: the first one, above whatever else it sells, and what is said of shipping near it. Null where it names none. */
export function readOffer(text: string): OfferRead | null {
  const cut = text.slice(0, 200_000);
  const script = withoutMarkup(cut);
  const all = amountsIn(script.text);
  const price = all.filter(isPrice).find((a) => !isShipping(a));
  if (!price) return null;
  // "$60.00 $45.00 Save 25 %": of two that stand beside each other the lower one is asked now.
  const next = all[all.indexOf(price) + 1];
  const beside =
    next && next.start - price.end <= 2 && /^ ?\(?(?:save|-? ?\d{1,2} ?%|sale)/.test(next.after) ? next : price;
  const asked = beside.cents < price.cents ? beside : price;
  const shipping = all.find(
    (a) =>
      isShipping(a) &&
      !/\b(?:over|above|from|ab|orders)\b[^\n]{0,12}$/.test(a.before) &&
      Math.abs(a.start - asked.end) < 600,
  );
  const near = script.text.slice(Math.max(0, asked.start - 200), asked.end + 300);
  const [start, end] = sourceOf(script, asked.start, asked.end);
  return {
    cents: asked.cents,
    currency: asked.currency,
    shippingCents: shipping?.cents ?? (free.test(near) ? 0 : null),
    start,
    end,
  };
}
