/** How somebody likes to read figures and days. Rung works in metric units and ISO 8601 days; only what is shown is turned. */
export const unitWays = ['metric', 'imperial'] as const;
export const dayWays = ['2026-11-28', '28 Nov 2026', 'Nov 28, 2026'] as const;
export interface Ways {
  units: (typeof unitWays)[number];
  days: (typeof dayWays)[number];
}
export const usualWays: Ways = { units: 'metric', days: '2026-11-28' };

/** What one of theirs is in ours, exact by definition (NIST Special Publication 811, appendix B), and decimals that say about as much. */
const imperial: Record<string, { unit: string; per: number; decimals: number }> = {
  g: { unit: 'oz', per: 28.349523125, decimals: 2 },
  kg: { unit: 'lb', per: 0.45359237, decimals: 2 },
  mm: { unit: 'in', per: 25.4, decimals: 2 },
  cm: { unit: 'in', per: 2.54, decimals: 2 },
  m: { unit: 'ft', per: 0.3048, decimals: 1 },
};

/** Numbers that share a unit: "44 x 44 x 22 mm", "38 to 54 g"; not a square, as in mm2, nor an amount of money. */
const measured =
  /(?<![\w.,€$£-])-?\d+(?:\.\d+)?(?:(?: x | to | and |-)\d+(?:\.\d+)?)*\s?(kg|g|mm|cm|m)(?![\p{L}\p{N}_/])/gu;
const day = /\b(\d{4})-(\d\d)-(\d\d)\b/g;
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A sentence, or a figure with its unit, as somebody likes to read it. */
export function preferred(text: string, { units, days }: Ways): string {
  const turned =
    units === 'metric'
      ? text
      : text.replace(measured, (all, unit: string) => {
          const to = imperial[unit]!;
          const numbers = all.slice(0, all.length - unit.length);
          return numbers.replace(/\d+(?:\.\d+)?/g, (n) => inTheirs(Number(n), to)) + to.unit;
        });
  return days === usualWays.days ? turned : turned.replace(day, (all, y, m, d) => dayWords(all, y, m, d, days));
}

/** A number of ours in theirs and what its unit is called there; both as they are where the unit is read the same everywhere. */
export function preferredUnit(unit: string, units: Ways['units']): { unit: string; per: number } {
  const to = units === 'imperial' ? imperial[unit] : undefined;
  return to ?? { unit, per: 1 };
}

function inTheirs(value: number, { per, decimals }: { per: number; decimals: number }): string {
  const n = value / per;
  // Small things keep two figures that count.
  const places = n !== 0 && Math.abs(n) < 0.1 ? decimals + 1 : decimals;
  return String(Number(n.toFixed(places)));
}

function dayWords(all: string, y: string, m: string, d: string, days: Ways['days']): string {
  const month = months[Number(m) - 1];
  if (month === undefined) return all;
  return days === '28 Nov 2026' ? `${Number(d)} ${month} ${y}` : `${month} ${Number(d)}, ${y}`;
}
