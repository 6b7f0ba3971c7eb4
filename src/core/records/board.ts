import { z } from 'zod';
import { analogueKinds, boardKinds, gyroNoises, motorLines, outputUses, screws, signalRates } from './board-lists';
import { currencySchema } from './currency';
import { processorFamilies } from '../trade/processor';
import { flagFigureSchema, numberFigureSchema, textFigureSchema, wordFigureSchema } from '../quantity/figure-schema';
import { radioSchema } from './radio';
import { idSchema, labelSchema, nameSchema, recordOf, sideSchema, textSchema } from './word-schemas';
import { newestVersion } from './words';

export const screwSchema = z.enum(screws);

/** Something solder or a plug pin can be joined to. `order` counts along the edge, clockwise seen from the top. */
export const padSchema = z.strictObject({
  id: idSchema,
  label: labelSchema.describe('As printed on the board'),
  face: z.enum(['top', 'bottom']).default('top'),
  form: z.enum(['pad', 'hole', 'pin', 'edge']).default('pad'),
  size: z.enum(['large', 'medium', 'small', 'tiny']).default('medium'),
  edge: z.enum(['front', 'right', 'rear', 'left', 'inner']).default('left'),
  order: z.int().min(0).max(99).default(0),
  reachable: z.boolean().default(true).describe('Can still be reached once the board is mounted'),
  relief: z
    .boolean()
    .optional()
    .describe(
      'Thermal relief: spokes join it to its plane, so that it does not draw the heat away; left out where nobody says',
    ),
  toleratesVolts: numberFigureSchema
    .optional()
    .describe('Highest signal level the pad stands; 3.3 V where the page says nothing is not taken for granted'),
});
export type Pad = z.infer<typeof padSchema>;

/** What frees something that the board already uses, and what that costs. */
export const releaseSchema = z.strictObject({
  what: textSchema.describe('The act, as an order: "Turn the wireless module off"'),
  lost: textSchema.describe('What the buyer gives up'),
  cents: z.int().min(0).default(0),
  grams: z.number().min(0).default(0),
  effort: z.int().min(0).max(50).default(1),
});

const senseWord = z.enum(['plain', 'inverted', 'unknown']);
const senseSwitch = z
  .strictObject({ bridge: idSchema, plainAt: idSchema, invertedAt: idSchema })
  .describe('A bridge that selects whether the inverter is in the line');

export const portSchema = z.strictObject({
  id: idSchema,
  label: labelSchema,
  rx: z
    .array(z.strictObject({ pad: idSchema, sense: senseWord.default('plain'), switch: senseSwitch.optional() }))
    .max(4)
    .default([])
    .describe('Pads on which the board listens'),
  tx: z
    .array(
      z.strictObject({
        pad: idSchema,
        sense: senseWord.default('plain'),
        switch: senseSwitch.optional(),
        twoWayInverter: z.boolean().default(false).describe('An inverter that works in both directions on one wire'),
      }),
    )
    .max(4)
    .default([])
    .describe('Pads on which the board talks'),
  taken: z
    .strictObject({
      by: textSchema,
      carries: z
        .literal('esc-telemetry')
        .optional()
        .describe(
          'What the wire that takes the port brings already, where a build may want just that: telemetry of the ESC on the board',
        ),
      release: releaseSchema.optional(),
    })
    .optional(),
});
export type Port = z.infer<typeof portSchema>;

const regulatorSchema = z.strictObject({
  kind: z.literal('regulator'),
  type: z.enum(['buck', 'linear', 'step-up', 'step-up-down']),
  outVolts: numberFigureSchema,
  ratedAmps: numberFigureSchema,
  dropOutVolts: numberFigureSchema,
  efficiency: numberFigureSchema.optional().describe('0 to 1, of one that is not linear'),
  input: idSchema.describe('The rail it is fed from'),
  inputVolts: z
    .strictObject({ min: numberFigureSchema, max: numberFigureSchema })
    .optional()
    .describe('Where it is stated: below the least it does not start, above the most it is destroyed'),
  filtered: z.boolean().default(false),
  burnsWatts: numberFigureSchema.optional().describe('What a linear regulator may turn into heat'),
});

export const railSchema = z.strictObject({
  id: idSchema,
  label: labelSchema,
  pads: z.array(idSchema).max(24).default([]),
  source: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('pack') }),
    z.strictObject({ kind: z.literal('esc') }).describe('Over the harness, from the regulator of a separate ESC'),
    regulatorSchema,
    z.strictObject({ kind: z.literal('usb'), dropVolts: z.number().min(0).default(0) }),
    z
      .strictObject({
        kind: z.literal('either'),
        of: z.array(idSchema).min(2).max(4),
        dropVolts: recordOf(idSchema, z.number().min(0).max(2), 4)
          .optional()
          .describe('What the diode of each loses, by its rail'),
        isolated: flagFigureSchema
          .optional()
          .describe('Diodes keep the sources apart; no: USB and regulator back-feed each other'),
      })
      .describe('Whichever is up'),
    z.strictObject({ kind: z.literal('bridge'), bridge: idSchema, byPosition: recordOf(idSchema, idSchema, 8) }),
  ]),
  ownAmps: numberFigureSchema.optional().describe('What the board itself draws from this rail'),
  servos: z.boolean().optional().describe('Its pads are meant for servos, whose pulses would disturb others'),
  onlyFor: idSchema.optional().describe('A regulator bought for one part of a build'),
});
export type Rail = z.infer<typeof railSchema>;
export type Regulator = z.infer<typeof regulatorSchema>;

/** "5 V and 9 V: 3 A together". */
export const sharedLimitSchema = z
  .strictObject({ rails: z.array(idSchema).min(2).max(8), amps: numberFigureSchema })
  .describe('Regulators that together carry no more than this, whatever each carries alone');
export type SharedLimit = z.infer<typeof sharedLimitSchema>;

export const bridgeSchema = z.strictObject({
  id: idSchema,
  label: labelSchema,
  form: z
    .enum(['solder bridge', 'jumper', 'switch', 'wire'])
    .describe('wire: one lead that is soldered to one place or another'),
  face: z.enum(['top', 'bottom']).default('top'),
  positions: z
    .array(z.strictObject({ id: idSchema, label: labelSchema }))
    .min(2)
    .max(8),
  factory: idSchema.describe('The position it is delivered in'),
  effort: z.int().min(0).max(20).default(2),
});
export type Bridge = z.infer<typeof bridgeSchema>;

export const busSchema = z.strictObject({
  id: idSchema,
  label: labelSchema,
  kind: z.enum(['i2c', 'can']),
  pads: z.array(idSchema).max(8).default([]),
  onBoard: z
    .array(z.strictObject({ address: z.int().min(0x08).max(0x77), what: textSchema }))
    .max(16)
    .default([])
    .describe('Chips of the board that already answer on this bus'),
  sharesPort: idSchema.optional().describe('The serial port whose pads this bus uses'),
});

export const outputSchema = z.strictObject({
  id: idSchema,
  label: labelSchema,
  pad: idSchema,
  timer: labelSchema.describe('Outputs of one timer run at one rate'),
  can: z.array(z.enum(outputUses)).min(1).max(outputUses.length),
  rates: z.array(z.enum(signalRates)).min(1).max(2).optional().describe('Rates it can send at; left out: both'),
  sendsVolts: z.number().positive().max(12).optional().describe('Its signal level; left out: 3.3 V'),
});
export type Output = z.infer<typeof outputSchema>;

export const analogueInputSchema = z.strictObject({
  id: idSchema,
  label: labelSchema,
  kind: z.enum(analogueKinds),
  pad: idSchema,
  maxVolts: z.number().positive().default(3.3),
  at: z
    .strictObject({ bridge: idSchema, position: idSchema })
    .optional()
    .describe('The jumper position in which this input is connected'),
});

export const offerSchema = z.strictObject({
  shop: nameSchema,
  currency: currencySchema.optional().describe('Left out: EUR'),
  cents: z.int().min(0),
  shippingCents: z.int().min(0).nullable().default(null).describe('null: not said'),
  deliveryDays: z.int().min(0).max(365).optional(),
  seen: z.iso.date(),
  stock: z.int().min(0).max(100_000).optional(),
  typed: z.boolean().optional().describe('The buyer typed it in; it stays when shops are asked again'),
});
export type Offer = z.infer<typeof offerSchema>;

export const plugSchema = z.strictObject({
  id: idSchema,
  label: labelSchema,
  family: labelSchema,
  pins: z
    .array(z.strictObject({ name: labelSchema, pad: idSchema.optional() }))
    .min(1)
    .max(24),
});

/** A page, a sheet or a picture from which figures were taken; of a long one the pages that gave some. */
export const sourceSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(120).describe('As the file was called, or its first line'),
  kind: z.enum(['text', 'web page', 'PDF', 'picture', 'table']),
  seen: z.iso.date(),
  pages: z
    .array(
      z.strictObject({
        number: z.int().min(1).max(10_000),
        text: z.string().max(200_000),
        picture: z.string().max(60).optional().describe('A picture of the page that is kept with the board'),
      }),
    )
    .max(24),
});
export type Source = z.infer<typeof sourceSchema>;

export const boardSchema = z.strictObject({
  format: z.literal('rung-board'),
  version: z.literal(newestVersion),
  id: idSchema,
  name: nameSchema,
  maker: nameSchema,
  revision: labelSchema.default('1'),
  kind: z.enum(boardKinds),
  summary: textSchema.optional(),
  processor: wordFigureSchema(processorFamilies),
  claimedPorts: numberFigureSchema.describe('Serial ports as the shop counts them'),
  ports: z.array(portSchema).max(24).default([]),
  buses: z.array(busSchema).max(12).default([]),
  outputs: z.array(outputSchema).max(32).default([]),
  analogueInputs: z.array(analogueInputSchema).max(16).default([]),
  video: z
    .strictObject({
      cameraIns: z.array(idSchema).max(8).default([]),
      out: idSchema.optional(),
      overlayChip: flagFigureSchema,
      cameraControl: idSchema.optional(),
    })
    .optional(),
  buzzerPad: idSchema.optional(),
  pads: z.array(padSchema).max(200).default([]),
  grounds: z.array(idSchema).max(60).default([]).describe('The pads, holes and pins of ground'),
  allPads: flagFigureSchema
    .default({ value: true, origin: 'claim' })
    .describe(
      'Every pad of the board is among the pads here. Unknown or no: what is not here may be there all the same',
    ),
  rails: z.array(railSchema).max(40).default([]),
  sharedLimits: z.array(sharedLimitSchema).max(8).optional(),
  bridges: z.array(bridgeSchema).max(24).default([]),
  plugs: z.array(plugSchema).max(40).default([]),
  harness: z
    .strictObject({ controllerPins: z.array(labelSchema).max(24), escPins: z.array(labelSchema).max(24) })
    .optional()
    .describe('Pin order of the two ends of a stack harness'),
  packCells: z.strictObject({ min: numberFigureSchema, max: numberFigureSchema }),
  packMaxVolts: numberFigureSchema.optional().describe('Absolute limit at the battery pads, where it is stated'),
  esc: z
    .strictObject({
      channels: numberFigureSchema,
      continuousAmps: numberFigureSchema,
      burstAmps: numberFigureSchema,
      burstSeconds: numberFigureSchema,
      padAmps: numberFigureSchema
        .optional()
        .describe('What the motor pads or corner pads carry, where that is less than the transistors'),
      telemetry: flagFigureSchema.optional(),
      wantsMicrofarads: numberFigureSchema
        .optional()
        .describe('Least capacitor that its maker asks for at the pack leads'),
      drivenByOutputs: flagFigureSchema
        .optional()
        .describe(
          'The motor outputs on pads drive its channels, in their order; no: it has lines of its own. Left out: in a stack they do',
        ),
    })
    .optional(),
  receiver: radioSchema
    .extend({
      updatePads: z
        .array(idSchema)
        .max(8)
        .optional()
        .describe('Pads by which the receiver is updated: they share its line to the processor'),
    })
    .optional()
    .describe("A receiver built into the board: it serves where it speaks what the buyer's radio speaks"),
  escPlug: z
    .strictObject({
      family: labelSchema,
      pins: z.array(labelSchema).min(1).max(20),
      rigid: z.boolean().optional().describe('Board sits on board by it: no line of it can be moved or left out'),
    })
    .optional()
    .describe('The plug between controller and four-in-one ESC, on either of them, and its pin order'),
  capacitor: z
    .strictObject({
      microfarads: z.number().positive(),
      volts: z.number().positive(),
      inMass: flagFigureSchema.optional().describe('Is it part of the stated mass?'),
    })
    .optional()
    .describe('Delivered with the board'),
  motorLine: wordFigureSchema(motorLines)
    .optional()
    .describe('What runs on the motor wires; both ways: revolutions come back'),
  digitalCurrent: z
    .strictObject({ there: flagFigureSchema, at: z.strictObject({ bridge: idSchema, position: idSchema }).optional() })
    .optional()
    .describe('Current of each motor reported over its wire, and the jumper position that selects it'),
  currentSensor: z
    .strictObject({
      fullScaleAmps: numberFigureSchema,
      shuntMilliohm: numberFigureSchema.optional(),
      throughAmps: numberFigureSchema
        .optional()
        .describe('What trace and pads of the shunt carry when a separate ESC is fed through it'),
    })
    .optional(),
  mounting: z.strictObject({
    patterns: z
      .array(
        z.strictObject({
          alongMm: numberFigureSchema.describe('Between hole centres, from front to rear'),
          acrossMm: numberFigureSchema.optional().describe('From left to right; left out where it is square'),
          screw: wordFigureSchema(screwSchema.options as ['M2', 'M3']),
        }),
      )
      .max(6)
      .describe('Hole patterns of the board; none: it has no holes and is taped down'),
    softIsolators: flagFigureSchema,
  }),
  arrowOffsetDeg: z
    .union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)])
    .default(0)
    .describe("Where the printed arrow points against the drawing's nose, clockwise"),
  buttonSide: sideSchema.optional(),
  cableSides: z.array(sideSchema).max(4).default([]).describe('Edges that want room for plugs and cables'),
  lengthMm: numberFigureSchema,
  widthMm: numberFigureSchema,
  heightMm: numberFigureSchema,
  massG: numberFigureSchema,
  massIncludes: textSchema.optional(),
  usb: z.strictObject({ plug: z.enum(['C', 'micro']), side: z.union([sideSchema, z.literal('unknown')]) }),
  barometer: flagFigureSchema,
  compass: flagFigureSchema.optional(),
  firmware: z
    .strictObject({
      target: textFigureSchema.describe('As the seller names it'),
      supported: flagFigureSchema.describe('Is it still brought up to date?'),
    })
    .optional(),
  storageMb: numberFigureSchema,
  gyroNoise: wordFigureSchema(gyroNoises),
  sources: z.array(sourceSchema).max(12).optional().describe('What its figures were read from'),
  corrections: z
    .array(
      z.strictObject({
        field: labelSchema,
        read: z.string().max(60),
        meant: z.string().max(60),
        seen: z.iso.date(),
        revoked: z.literal(true).optional(),
      }),
    )
    .max(40)
    .optional()
    .describe(
      'What the reader of pages took and somebody put right: such figures of this maker are doubted from then on',
    ),
  offers: z.array(offerSchema).max(200).default([]),
  history: z
    .array(
      z.strictObject({
        when: z.iso.date(),
        field: labelSchema,
        before: textSchema,
        after: textSchema,
        who: textSchema,
      }),
    )
    .max(500)
    .default([])
    .describe('What was changed: when, by whose word, and what stood there before'),
});

/** One board of a set: what it is in it, how many of it, and what its pads are called in the whole. */
export interface Member {
  role: 'controller' | 'esc' | 'power board';
  board: Board;
  count: number;
  /** Ids of the pads in the whole, by the board's own. */
  pads: Readonly<Record<string, string>>;
}

/** A board as it is bought, or several that are bought together and read as one: then it says which. */
export type Board = z.infer<typeof boardSchema> & {
  members?: readonly Member[];
  /** Currencies of offers that this buyer cannot count. */
  foreign?: readonly string[];
};

/** Fields that every board has once it has been read, since they have a default. */
export const filledIn = Object.entries(boardSchema.shape).flatMap(([field, schema]) =>
  schema instanceof z.ZodDefault ? [field] : [],
);
