import { z } from 'zod';
import { policyChoices } from '../trade/policies';

/** A setting of the build for each thing that people of the trade disagree about. */
export const policiesSchema = z.strictObject({
  ratedAmps: z.enum(policyChoices.ratedAmps).default('usual'),
  videoSupply: z.enum(policyChoices.videoSupply).default('quiet rail first'),
  cameraSupply: z.enum(policyChoices.cameraSupply).default('board'),
  joints: z.enum(policyChoices.joints).default('plugs'),
  batteryLeads: z.enum(policyChoices.batteryLeads).default('last'),
  mounting: z.enum(policyChoices.mounting).default('underside first'),
  currentSensing: z.enum(policyChoices.currentSensing).default('through the shunt'),
  gyro: z.enum(policyChoices.gyro).default('noise tolerance'),
  spares: z.enum(policyChoices.spares).default('usual'),
  burst: z.enum(policyChoices.burst).default('for the stated seconds'),
});
