import { z } from 'zod';

/** Short names that files use to point at things inside themselves. */
export const idSchema = z
  .string()
  .regex(/^[a-z0-9][a-z0-9.+-]{0,63}$/, { error: 'expected small letters, digits, dots, plus or hyphens, at most 64' });
export const labelSchema = z.string().min(1).max(40);
export const nameSchema = z.string().trim().min(1).max(80);
export const textSchema = z.string().max(600);
export const sideSchema = z.enum(['front', 'right', 'rear', 'left']);
export type Side = z.infer<typeof sideSchema>;
