import { z } from 'zod';
import { boardSchema } from './board';
import { peripheralSchema } from './peripheral';
import { nameSchema } from './word-schemas';
import { newestVersion } from './words';

/** Candidate boards and a library of parts, as one file. */
export const shelfSchema = z.strictObject({
  format: z.literal('rung-shelf'),
  version: z.literal(newestVersion),
  name: nameSchema,
  boards: z.array(boardSchema).max(20_000).default([]),
  peripherals: z.array(peripheralSchema).max(20_000).default([]),
  checksum: z
    .string()
    .regex(/^[0-9a-f]{64}$/)
    .optional()
    .describe('SHA-256 of the text of the file with noughts here'),
});
export type Shelf = z.infer<typeof shelfSchema>;
