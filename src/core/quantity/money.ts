/** The three letters of ISO 4217. What Rung itself takes for usual prices, and what a file does not name, is in euros. */
export const euro = 'EUR';

const shown = new Map<string, Intl.NumberFormat>();

function formatOf(currency: string): Intl.NumberFormat {
  const known = shown.get(currency);
  if (known) return known;
  const made = new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
    currencyDisplay: 'narrowSymbol',
    useGrouping: false,
    minimumFractionDigits: 2,
    maximumFractionDigits: 2,
  });
  shown.set(currency, made);
  return made;
}

/** An amount in hundredths with the sign of its currency, as a person reads it: €12.34, $9.90. */
export function money(cents: number, currency = euro): string {
  return formatOf(currency)
    .format(cents / 100)
    .replace(/\u00a0/g, ' ');
}

/** How a currency is written beside a number: €, $, CHF. */
export function currencySign(currency: string): string {
  return (
    formatOf(currency)
      .formatToParts(0)
      .find((p) => p.type === 'currency')?.value ?? currency
  );
}

/** The same without its sign, for tables and files: 12.34. */
export function plainMoney(cents: number): string {
  return (cents / 100).toFixed(2);
}

/** Whole hundredths of an amount that was typed or worked out in whole money. */
export function centsOf(amount: number): number {
  return Math.round(amount * 100);
}
