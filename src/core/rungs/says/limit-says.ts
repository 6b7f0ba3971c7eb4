import type { Interval } from '../../quantity/figure';

/** What rungs 8 and 9 say: grams, and cents of the build's currency. */
export type LimitSays =
  | {
      code: 'take-off mass';
      limitG: number;
      massG: Interval;
      /** What nobody says the mass of. */
      unsaid: string[];
      /** What the build needs and nobody listed. */
      unlisted: { what: string; grams: Interval }[];
    }
  | {
      code: 'price';
      currency: string;
      budgetCents: number;
      sumCents: number;
      /** `name`: null for the board alone; `bought`: null for one that is at home. */
      boards: { name: string | null; bought: { cents: number; shop: string } | null }[];
      restCents: number;
      parcels: number;
      shippingCents: number;
      /** Shops of the order that do not say what sending it costs, and what that may come to on top. */
      unsent: string[];
      unsentCents: number;
      dutied: boolean;
      unsaid: string[];
      unlisted: { what: string; cents: number; mostCents: number }[];
    }
  | {
      code: 'no price';
      /** Members of a set that nobody offers; null: the board alone. */
      members: string[] | null;
      /** Currencies that nobody said the worth of. */
      foreign: string[];
      currency: string;
    };
