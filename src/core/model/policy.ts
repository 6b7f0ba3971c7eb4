import { z } from 'zod';

/** Where people of the trade disagree: a setting of the build, each with a default. */
export const policiesSchema = z.strictObject({
  ratedAmps: z.enum(['cautious', 'usual', 'as printed']).default('usual'),
  videoSupply: z.enum(['quiet rail first', 'raw pack', 'raw pack with filter']).default('quiet rail first'),
  cameraSupply: z.enum(['board', 'transmitter']).default('board'),
  joints: z.enum(['plugs', 'solder']).default('plugs'),
  batteryLeads: z.enum(['last', 'first']).default('last'),
  mounting: z.enum(['underside first', 'all before']).default('underside first'),
  currentSensing: z.enum(['through the shunt', 'none']).default('through the shunt'),
  gyro: z.enum(['noise tolerance', 'newer part']).default('noise tolerance'),
  spares: z.enum(['usual', 'none', 'field kit']).default('usual'),
  burst: z.enum(['for the stated seconds', 'ignored']).default('for the stated seconds'),
});
export type Policies = z.infer<typeof policiesSchema>;
