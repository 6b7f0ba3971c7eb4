import { z } from 'zod';
import { euro } from '../quantity/money';
import { currencySchema, ratesSchema } from './currency';
import { chemistries } from '../trade/cell';
import { places } from '../trade/place';
import { rungNames } from '../trade/rungs';
import { boardSchema, screwSchema } from './board';
import { signalRates } from './board-lists';
import { radioSchema } from './radio';
import { flagFigureSchema, numberFigureSchema, wordSchema } from '../quantity/figure-schema';
import { peripheralSchema } from './peripheral';
import { fixSchema } from './fix';
import { policiesSchema } from './policy';
import { candidateIdSchema, idSchema, labelSchema, nameSchema, recordOf, sideSchema, textSchema } from './word-schemas';
import { newestVersion } from './words';

/** The numbers of a build whose word may be given: the buyer's own, unless `said` names another. */
export const planNumbers = [
  'bay length',
  'bay width',
  'bay height',
  'standoffs',
  'overhang',
  'pack cells',
  'cruise amps',
  'peak amps',
  'peak seconds',
  'amps at volts',
  'take-off limit',
] as const;
export type PlanNumber = (typeof planNumbers)[number];

export const priorities = ['must', 'should', 'nice'] as const;
export type Priority = (typeof priorities)[number];

export const frameSchema = z.strictObject({
  name: nameSchema,
  mounts: z
    .array(
      z.strictObject({
        alongMm: z.number().positive().max(80).describe('Between hole centres, from front to rear'),
        acrossMm: z.number().positive().max(80).optional().describe('From left to right; left out where it is square'),
        screw: screwSchema,
      }),
    )
    .max(12)
    .describe('Hole patterns the frame offers; none: a plate or tray to tape a board on'),
  bayLengthMm: z.number().positive().max(1000),
  bayWidthMm: z.number().positive().max(1000),
  bayHeightMm: z.number().positive().max(500),
  standoffMm: z.number().min(0).max(50).default(0).describe('Height of standoffs or isolators under the board'),
  overhangMm: z
    .number()
    .min(0)
    .max(100)
    .default(0)
    .describe('What already hangs into the bay from above: camera mount, strap, aerial'),
  openSides: z.array(sideSchema).max(4).describe('Sides from which a USB plug can be reached'),
});

export const packSchema = z.strictObject({
  cells: z.int().min(1).max(14),
  chemistry: z.enum(chemistries),
  connector: nameSchema.optional(),
  cellMilliohm: numberFigureSchema.optional().describe('Inner resistance of one cell'),
  leadGauge: z.int().min(6).max(30).optional().describe('AWG of the pack leads'),
  leadMm: z.number().min(10).max(1000).default(80),
  massG: numberFigureSchema,
  mostAmps: numberFigureSchema
    .optional()
    .describe('What the pack gives without end: capacity times its C figure, or what its maker says'),
  capacityMah: numberFigureSchema.optional().describe('What it holds, in mAh'),
});

export const escArrangements = ['on the board', 'separate', 'any'] as const;

export const motorsSchema = z.strictObject({
  count: z.int().min(0).max(12),
  cruiseAmps: z.number().min(0).max(300).describe('Each, steady'),
  peakAmps: z.number().min(0).max(300).describe('Each, full throttle'),
  atVolts: z
    .number()
    .positive()
    .max(80)
    .optional()
    .describe('Volts at which the two currents were stated; left out: they are those on this pack'),
  peakSeconds: z.number().min(0).max(600).describe('Longest full-throttle stretch'),
  ownEsc: z
    .strictObject({
      name: nameSchema,
      channels: z.union([z.int().min(1).max(12), numberFigureSchema]),
      continuousAmps: numberFigureSchema,
      burstAmps: numberFigureSchema,
      burstSeconds: numberFigureSchema,
      maxCells: numberFigureSchema,
      maxVolts: numberFigureSchema.optional().describe('Where it is stated: counts before the cells'),
      telemetry: flagFigureSchema.optional().describe('Does it send its telemetry on a wire of its own?'),
      count: z.int().min(1).max(12).default(1).describe('How many of them there are: 1 four-in-one, or one a motor'),
      plugFamily: labelSchema.optional(),
      gives: z
        .strictObject({ volts: numberFigureSchema, amps: numberFigureSchema })
        .nullable()
        .optional()
        .describe('What its own regulator gives; null: it has none; left out: nobody says'),
      wantsMicrofarads: numberFigureSchema.optional().describe('Least capacitor that its maker asks for'),
      padAmps: numberFigureSchema
        .optional()
        .describe('What its motor pads carry, where that is less than the transistors'),
      pins: z.array(labelSchema).max(20).default([]).describe('Pin order of its harness plug'),
      heightMm: z.number().min(0).max(50).default(6),
    })
    .optional()
    .describe('The ESC the buyer has, where it is separate'),
  esc: z
    .enum(escArrangements)
    .describe(
      'on the board: ESCs are bought with the board, on it or beside it; separate: the buyer has ESCs, the board only signals them; any: whichever is best',
    ),
  signal: z
    .enum(signalRates)
    .default('digital')
    .describe('How separate ESCs are signalled: at 50 Hz they may share a timer with servos'),
});
export type Motors = z.infer<typeof motorsSchema>;
export type OwnEsc = NonNullable<Motors['ownEsc']>;

/** One line of the parts list; the electrical needs are a copy the buyer may edit. */
export const partSchema = z.strictObject({
  id: idSchema,
  priority: z.enum(priorities),
  onUsb: z.boolean().default(false).describe('Must work from USB power alone on the desk'),
  owned: z.boolean().default(false),
  sits: z
    .enum(places)
    .optional()
    .describe('Where it sits, seen from the board; else where parts of its kind usually do'),
  wireMm: z
    .number()
    .min(10)
    .max(3000)
    .optional()
    .describe('Length of its wires where they have been measured; else routed over the bay'),
  peripheral: peripheralSchema,
});
export type Part = z.infer<typeof partSchema>;

export const comfortSchema = z.strictObject({
  barometer: z.boolean().default(false),
  compass: z.boolean().default(false),
  storageMb: z.number().min(0).default(0),
  quietGyro: z.boolean().default(false),
  sparePorts: z.int().min(0).max(8).default(0),
  plugs: z.boolean().default(false).describe('Plugs rather than pads'),
  topSide: z.boolean().default(false).describe('Nothing to solder on the underside'),
  buttonReach: z.boolean().default(false),
  weights: z
    .record(
      z.enum(['barometer', 'compass', 'storage', 'gyro', 'spare ports', 'plugs', 'top side', 'button']),
      z.number().min(0).max(5),
    )
    .default({ barometer: 1, compass: 1, storage: 1, gyro: 1, 'spare ports': 1, plugs: 1, 'top side': 1, button: 1 })
    .describe('How much each preference counts, 0 to 5'),
});

/** What the buyer says of how much the rungs count; all weightings that agree with it are reasonable. */
export const weighingSchema = z.strictObject({
  statements: z
    .array(z.strictObject({ more: z.enum(rungNames), than: z.enum(rungNames) }))
    .max(40)
    .default([]),
  ranges: z
    .partialRecord(z.enum(rungNames), z.tuple([z.number().min(0).max(1), z.number().min(0).max(1)]))
    .default({})
    .describe('Least and most share of a rung'),
});
export type Weighing = z.infer<typeof weighingSchema>;

/** A choice as it was made, kept whole so that it can be judged again when figures change. */
export const pickSchema = z.strictObject({
  id: idSchema,
  when: z.iso.date(),
  board: boardSchema,
  with: z.array(boardSchema).max(2).default([]).describe('Of a set, the boards that go with it'),
  verdict: z.string().max(40),
  rank: z.int().min(1),
  firstShare: z.number().min(0).max(1).nullable().describe('Share of reasonable weightings for which it came first'),
  cents: z.int().nullable(),
  grams: z.number().nullable(),
  reasons: z.array(textSchema).max(40),
  open: z.array(textSchema).max(60).describe('What was not known'),
  brief: z.array(textSchema).max(80).default([]).describe('What any board had to have'),
});
export type Pick = z.infer<typeof pickSchema>;

/** What happened on the bench or in the field. */
export const entrySchema = z.strictObject({
  id: idSchema,
  when: z.iso.date(),
  about: nameSchema.describe('Board, pad or step'),
  kind: z.enum(['inspected', 'measured', 'passed', 'failed', 'changed']),
  note: textSchema.default(''),
  reading: z
    .strictObject({
      value: z.number(),
      unit: labelSchema,
      instrument: nameSchema.optional(),
      field: labelSchema.optional().describe('The figure of the board it is a reading of'),
    })
    .optional(),
});
export type Entry = z.infer<typeof entrySchema>;

/** One choice the buyer has fixed for the solver. */
export const lockSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('mode'), part: idSchema, mode: idSchema }),
  z.strictObject({
    kind: z.literal('link'),
    part: idSchema,
    link: idSchema,
    to: idSchema.describe('Port, bus, input or output'),
  }),
  z.strictObject({
    kind: z.literal('supply'),
    part: idSchema,
    supply: idSchema.default('supply').describe('Which, where the part takes several'),
    to: z.string().min(1).max(80).describe('Rail, or "part:" and the id of the part that feeds it'),
  }),
  z.strictObject({ kind: z.literal('bridge'), bridge: idSchema, position: idSchema }),
  z.strictObject({ kind: z.literal('leave out'), part: idSchema }),
]);
export type Lock = z.infer<typeof lockSchema>;

/** Duty and tax of a parcel from one shop. Tax is taken on goods, shipping and duty together (common practice of customs, no source). */
export const importSchema = z.strictObject({
  shop: nameSchema,
  dutyPercent: z.number().min(0).max(200).default(0),
  taxPercent: z.number().min(0).max(100).default(0),
  feeCents: z.int().min(0).max(1_000_000).default(0).describe('What the carrier asks for a parcel'),
});

export const buildSchema = z
  .strictObject({
    format: z.literal('rung-build'),
    version: z.literal(newestVersion),
    id: idSchema,
    name: nameSchema,
    craft: textSchema.default(''),
    frame: frameSchema,
    pack: packSchema,
    morePacks: z
      .array(packSchema)
      .max(5)
      .default([])
      .describe('Other packs it is to fly with: each must pass, the heaviest counts'),
    motors: motorsSchema,
    bareMassG: numberFigureSchema.describe(
      'Frame, motors, propellers, screws: all that is neither pack, board nor listed part',
    ),
    capacitor: z
      .strictObject({ microfarads: z.number().positive(), volts: z.number().positive() })
      .optional()
      .describe('At the pack leads, already at home'),
    said: z
      .partialRecord(z.enum(planNumbers), wordSchema)
      .default({})
      .describe('Whose word the plain numbers of frame, pack and motors are; left out: the buyer says so'),
    currency: currencySchema
      .default(euro)
      .describe('Of all amounts that the buyer says: budget, prices of parts, fees'),
    rates: ratesSchema.default({}).describe('What one of another currency is worth in this one'),
    limits: z.strictObject({ takeOffMassG: z.number().positive(), budgetCents: z.int().min(0) }),
    radio: radioSchema.optional().describe("The buyer's radio: what receivers must speak"),
    imports: z
      .array(importSchema)
      .max(20)
      .default([])
      .describe('What a parcel of a shop costs at the border, where the buyer says the rates'),
    comforts: comfortSchema,
    policies: policiesSchema,
    parts: z.array(partSchema).max(40),
    locks: recordOf(candidateIdSchema, z.array(lockSchema).max(400), 2000)
      .default({})
      .describe('Locked choices by board or set'),
    sets: z
      .array(candidateIdSchema)
      .max(40)
      .default([])
      .describe('Sets that the buyer put together: they take part however they rank'),
    fixes: recordOf(candidateIdSchema, z.array(fixSchema).max(100), 2000)
      .default({})
      .describe('Fixes the buyer has accepted, by board or set'),
    weighing: weighingSchema.default({ statements: [], ranges: {} }),
    picks: z.array(pickSchema).max(20).default([]),
    log: z.array(entrySchema).max(2000).default([]),
    done: recordOf(z.string().max(120), z.literal(true), 2000)
      .default({})
      .describe('Steps of the build sheet that are ticked off'),
    stage: z.enum(['planned', 'picked', 'ordered', 'arrived', 'soldered', 'powered', 'done']).default('planned'),
    orderedOn: z.iso.date().optional(),
    arrivesOn: z.iso.date().optional().describe('When the last parcel of the order is due'),
    atHome: recordOf(z.string().max(120), z.number().min(0), 2000)
      .default({})
      .describe('Basket lines already at home, by their key'),
    forkOf: idSchema.optional(),
  })
  .refine(({ currency, rates }) => currency === euro || rates[euro] !== undefined, {
    path: ['rates'],
    error: 'expected what one EUR is worth in the currency of the build: usual prices are in euros',
  });
export type Build = z.infer<typeof buildSchema>;
