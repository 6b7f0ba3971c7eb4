import { z } from 'zod';
import { idShape, sides } from './words';

export const idSchema = z
  .string()
  .regex(idShape, {
    error: 'expected small letters, digits, dots, plus or hyphens, at most 64, and not the word "constructor"',
  })
  .meta({ id: 'id' });

/** The address of a candidate: the id of a board, or of the two or three boards of a set with a tilde between them. */
export const candidateIdSchema = z
  .string()
  .max(200)
  .regex(/^(?!constructor$)[a-z0-9][a-z0-9.+-]{0,63}(~[a-z0-9][a-z0-9.+-]{0,63}){0,2}$/, {
    error: 'expected the id of a board, or two or three of them with a tilde between',
  });

/** A record with at most so many entries. */
export function recordOf<K extends z.core.$ZodRecordKey, V extends z.ZodType>(key: K, value: V, most: number) {
  return z
    .record(key, value)
    .refine((r) => Object.keys(r).length <= most, { error: `expected at most ${most} entries` })
    .meta({ maxProperties: most });
}

export const labelSchema = z.string().min(1).max(40).meta({ id: 'label' });
export const nameSchema = z.string().trim().min(1).max(80).meta({ id: 'name' });
export const textSchema = z.string().max(600).meta({ id: 'text' });
export const sideSchema = z.enum(sides);
