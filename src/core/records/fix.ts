import { z } from 'zod';
import { idSchema } from './word-schemas';

/** Something bought or given up so that a board can carry the build. What each costs stands in fix/price. */
export const fixSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('leave out'), part: idSchema }),
  z.strictObject({ kind: z.literal('external regulator'), part: idSchema, volts: z.number().positive().max(30) }),
  z.strictObject({ kind: z.literal('signal inverter'), part: idSchema }),
  z.strictObject({ kind: z.literal('level shifter'), part: idSchema }),
  z.strictObject({ kind: z.literal('adapter plate') }),
  z.strictObject({ kind: z.literal('separate ESC') }),
]);
export type Fix = z.infer<typeof fixSchema>;
