import { z } from 'zod';
import { labelSchema } from './word-schemas';

export const radioSchema = z.strictObject({
  system: labelSchema.describe('As its maker names it'),
  bandGHz: z.number().positive().max(100).optional(),
});
