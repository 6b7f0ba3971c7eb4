import { z } from 'zod';
import { peripheralKinds } from '../trade/peripheral-kind';
import { protocolIds } from '../trade/protocol';
import { analogueKinds } from './board-lists';
import { offerSchema } from './board';
import { flagFigureSchema, numberFigureSchema } from '../quantity/figure-schema';
import { radioSchema } from './radio';
import { idSchema, labelSchema, nameSchema, textSchema } from './word-schemas';
import { newestVersion } from './words';

const linkId = { id: idSchema };

/** One connection to the board. `wires` says which sides of the board's port it needs. */
export const linkSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('serial'),
    ...linkId,
    protocol: z.enum(protocolIds),
    sense: z.enum(['plain', 'inverted']).optional().describe("Where this part differs from the protocol's usual sense"),
    sendsVolts: z
      .number()
      .positive()
      .max(12)
      .optional()
      .describe('Level of the signal it sends, where that is above 3.3 V'),
    hearsFromVolts: z.number().positive().max(5).optional().describe('Least volts that it takes for high'),
  }),
  z.strictObject({
    kind: z.literal('i2c'),
    ...linkId,
    address: z
      .int()
      .min(0x08)
      .max(0x77)
      .optional()
      .describe('Left out where nobody says it: then it may be that of another part'),
    pullsToVolts: z
      .number()
      .positive()
      .max(12)
      .optional()
      .describe('Volts that its own pull-ups draw the bus to, where that is above 3.3 V'),
  }),
  z.strictObject({ kind: z.literal('can'), ...linkId }),
  z.strictObject({
    kind: z.literal('output'),
    ...linkId,
    use: z.enum(['motor', 'servo', 'light', 'channel in']),
    count: z.int().min(1).max(16).default(1),
    hearsFromVolts: z
      .number()
      .positive()
      .max(12)
      .optional()
      .describe('Least volts that it takes for high, as chips of lights on 5 V do'),
  }),
  z.strictObject({
    kind: z.literal('analogue'),
    ...linkId,
    input: z.enum(analogueKinds),
    sendsVolts: z.number().positive().max(100).optional().describe('Most volts it puts on the input'),
  }),
  z.strictObject({
    kind: z.literal('video'),
    ...linkId,
    role: z.enum(['camera', 'transmitter']),
    overlay: z.boolean().default(false).describe('The board must write its overlay into this picture'),
  }),
  z.strictObject({ kind: z.literal('camera control'), ...linkId }),
  z.strictObject({ kind: z.literal('buzzer'), ...linkId }),
  z
    .strictObject({ kind: z.literal('motor line'), ...linkId, carries: z.enum(['revolutions', 'current']) })
    .describe('Comes back over the motor wires, without a pad of its own'),
]);
export type Link = z.infer<typeof linkSchema>;

/** What the part takes from a supply pad. */
export const supplySchema = z.strictObject({
  id: idSchema.default('supply'),
  label: labelSchema.optional().describe('Where a part takes several: "chips", "strips"'),
  minVolts: numberFigureSchema,
  maxVolts: numberFigureSchema.describe('Absolute limit'),
  typicalAmps: numberFigureSchema,
  peakAmps: numberFigureSchema,
  atVolts: z.number().positive().describe('Volts at which the two currents were stated'),
  draw: z
    .enum(['constant current', 'constant power'])
    .default('constant current')
    .describe('Parts with a switching regulator of their own draw constant power: more amps at fewer volts'),
});
export type Supply = z.infer<typeof supplySchema>;

/** One complete way to wire the part. */
export const modeSchema = z.strictObject({
  id: idSchema,
  label: nameSchema,
  links: z.array(linkSchema).max(8),
  supplies: z.array(supplySchema).max(4).describe('None: it takes no power from the board'),
  cents: z.int().min(0).default(0).describe('Extra things this way needs, such as a converter'),
  grams: z.number().min(0).default(0),
  effort: z.int().min(0).max(50).default(0),
  lost: z.array(textSchema).max(12).default([]).describe('What this way gives up'),
  needs: textSchema.optional().describe('The extra thing, in words'),
});
export type Mode = z.infer<typeof modeSchema>;

export const peripheralSchema = z.strictObject({
  format: z.literal('rung-peripheral'),
  version: z.literal(newestVersion),
  id: idSchema,
  name: nameSchema,
  maker: nameSchema,
  kind: z.enum(peripheralKinds),
  summary: textSchema.optional(),
  massG: numberFigureSchema,
  radio: radioSchema.optional().describe('What a receiver or a link speaks'),
  aerial: flagFigureSchema
    .optional()
    .describe('Of a radio: does it come with its aerial, and is that in its mass and its price?'),
  lights: z.int().min(1).max(300).optional().describe('Chips in a chain of lights'),
  overhangMm: z.number().min(0).max(100).optional().describe('Height it takes away above the board'),
  cents: z.int().min(0).nullable().describe('Price where it is still to be bought; null: not known yet'),
  offers: z.array(offerSchema).max(200).default([]),
  gives: z
    .array(z.strictObject({ id: idSchema, label: labelSchema, volts: numberFigureSchema, amps: numberFigureSchema }))
    .max(4)
    .default([])
    .describe('Supplies this part offers to others'),
  plugs: z
    .array(
      z.strictObject({
        family: labelSchema,
        pins: z.array(z.strictObject({ name: labelSchema, colour: labelSchema.optional() })).max(24),
        warning: textSchema.optional().describe('Where a wire colour misleads'),
      }),
    )
    .max(8)
    .default([]),
  modes: z.array(modeSchema).min(1).max(8),
});
export type Peripheral = z.infer<typeof peripheralSchema>;
