import { z } from 'zod';

/** A place in a source that is kept with the board: a page of it, the characters of its text, and on a picture or a sheet where that is. */
export const placeSchema = z.strictObject({
  source: z.string().min(1).max(40),
  page: z.int().min(1).max(10_000),
  start: z.int().min(0).max(200_000),
  end: z.int().min(0).max(200_000),
  box: z
    .tuple([z.number(), z.number(), z.number(), z.number()])
    .optional()
    .describe('Left, top, width, height, in shares of the page from 0 to 1'),
});
export type Place = z.infer<typeof placeSchema>;
