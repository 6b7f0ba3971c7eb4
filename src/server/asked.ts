import { z } from 'zod';
import { currencySchema, euro, ratesSchema, startingKinds, startingParts } from '../core';
import { roles, shareable } from '../db/people-schema';
import { kinds } from '../db/past';

/** What requests may carry besides Rung files; routes read by these, and the description of the API is made from them. */
const name = z.string().trim().min(1).max(80);

export const newBuildAsked = z.object({
  name,
  from: z.string().max(64).optional().describe('The build to fork'),
  kind: z.enum(startingKinds).optional().describe('What flies: the build begins with what is usual for it'),
  parts: z
    .array(z.object({ part: z.enum(startingParts), owned: z.boolean().describe('At home already') }))
    .max(startingParts.length)
    .optional()
    .describe('What it carries: each with the figures that are usual for such a part'),
  ownEsc: z.boolean().optional().describe('Its ESCs are at home already'),
});

export const pastAbout = z.object({ kind: z.enum(kinds), id: z.string().min(1).max(64) });
export const pastWhich = pastAbout.extend({ version: z.coerce.number().int().min(1).max(2_000_000_000) });

/** How far back changes are asked for; what is older is not kept in every case. */
export const movedAsked = z.object({ days: z.coerce.number().int().min(1).max(365).default(1) });

export const moneyAsked = z
  .object({
    currency: currencySchema.describe('What new builds are paid in'),
    rates: ratesSchema.describe('What one of another currency is worth in it'),
  })
  .refine(({ currency, rates }) => currency === euro || rates[euro] !== undefined, {
    path: ['rates'],
    error: 'expected what one EUR is worth: usual prices are in euros',
  });

export const signInAsked = z.object({ email: z.string().trim().max(200), password: z.string().max(200) });

export const joinAsked = z.object({
  secret: z.string().max(100),
  name: z.string().max(80).default(''),
  email: z.string().trim().max(200).default(''),
  password: z.string().max(200).default(''),
});

export const invitationAsked = z.object({ label: name, role: z.enum(roles), days: z.int().min(1).max(90).default(7) });
export const roleAsked = z.object({ role: z.enum(roles) });

const days = z.int().min(1).max(730).nullable().default(null).describe('null: it does not end');
export const passAsked = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('share'), build: z.string().min(1).max(64), what: z.enum(shareable), days }),
  z.object({ kind: z.literal('token'), label: name, role: z.enum(roles), days }),
]);

export const workspaceAsked = z.object({ name });
export const workspaceChosen = z.object({ id: z.string().max(64) });
