import { z } from 'zod';
import { placeSchema } from './place';

/** Who says so. `assumed` is a named rule of Rung's own; `measured` comes from the buyer's logbook, `tested` from somebody else's. */
export const originSchema = z.enum(['claim', 'manual', 'print', 'report', 'tested', 'measured', 'assumed']);
export type Origin = z.infer<typeof originSchema>;

const said = {
  origin: originSchema,
  source: z.string().max(400).optional().describe('Where it was read: page, quote, reading'),
  seen: z.iso.date().optional().describe('The day it was read, ISO 8601'),
  ofRevision: z.string().max(40).optional().describe('Said of another revision than this one'),
  chosen: z.literal(true).optional().describe('Somebody had this word count against the rule'),
  reports: z
    .int()
    .min(2)
    .max(100)
    .optional()
    .describe('From the least to the most of so many words, which stand beside it'),
  place: placeSchema.optional().describe('Where in a source that is kept with the board'),
};

/** Whose word something is, without the thing itself. */
export const wordSchema = z.strictObject(said);

/** What others say of the same figure; the figure itself is the word that counts. */
const also = <T extends z.ZodType>(word: T) =>
  z.array(word).max(12).optional().describe('What else is said of it, by whom and when; it does not count');

const inOrder = { error: 'low must not be above high', path: ['low'] };
const oneNumber = { value: z.number(), ...said };
const twoEnds = { low: z.number(), high: z.number(), ...said };
const numberWord = z.union([
  z.strictObject(oneNumber),
  z.strictObject(twoEnds).refine((f) => f.low <= f.high, inOrder),
]);

const unknownFigure = z.strictObject({
  unknown: z.literal(true),
  source: z.string().max(400).optional().describe('What was tried, or why nobody knows'),
});

/** A number with its origin: one value, a range whose ends are both possible, or unknown. */
export const numberFigureSchema = z
  .union([
    z.strictObject({ ...oneNumber, also: also(numberWord) }),
    z.strictObject({ ...twoEnds, also: also(numberWord) }).refine((f) => f.low <= f.high, inOrder),
    unknownFigure,
  ])
  .meta({ id: 'numberFigure' });
export type NumberFigure = z.infer<typeof numberFigureSchema>;

/** A yes/no with its origin, or unknown. */
export const flagFigureSchema = saying(z.boolean()).meta({ id: 'flagFigure' });
export type FlagFigure = z.infer<typeof flagFigureSchema>;

/** Free words with their origin, or unknown. */
export const textFigureSchema = saying(z.string().min(1).max(200));

/** A word from a closed list with its origin, or unknown. */
export function wordFigureSchema<const T extends readonly [string, ...string[]]>(words: T) {
  return saying(z.enum(words));
}

function saying<T extends z.ZodType>(value: T) {
  return z.union([z.strictObject({ value, ...said, also: also(z.strictObject({ value, ...said })) }), unknownFigure]);
}
