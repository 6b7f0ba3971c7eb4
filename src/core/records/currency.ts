import { z } from 'zod';
import { recordOf } from './word-schemas';

export const currencySchema = z
  .string()
  .regex(/^[A-Z]{3}$/, 'Expected the three letters of a currency, such as EUR')
  .describe('ISO 4217');

/** What one of another currency is worth in that of the build, as the buyer says. */
export const ratesSchema = recordOf(currencySchema, z.number().min(1e-6).max(1e6), 20);
