/** An amount with its sign, as a person reads it: €12.34. */
export function money(cents: number): string {
  return `€${euros(cents)}`;
}

/** The same without its sign, for tables and files: 12.34. */
export function euros(cents: number): string {
  return (cents / 100).toFixed(2);
}

/** Whole cents of an amount that was typed or worked out in euros. */
export function centsOf(amount: number): number {
  return Math.round(amount * 100);
}
