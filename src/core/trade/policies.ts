/** Where people of the trade disagree, and what each may say. */
export const policyChoices = {
  ratedAmps: ['cautious', 'usual', 'as printed'],
  videoSupply: ['quiet rail first', 'raw pack', 'raw pack with filter'],
  cameraSupply: ['board', 'transmitter'],
  joints: ['plugs', 'solder'],
  batteryLeads: ['last', 'first'],
  mounting: ['underside first', 'all before'],
  currentSensing: ['through the shunt', 'none'],
  gyro: ['noise tolerance', 'newer part'],
  spares: ['usual', 'none', 'field kit'],
  burst: ['for the stated seconds', 'ignored'],
} as const;

export type Policies = { [K in keyof typeof policyChoices]: (typeof policyChoices)[K][number] };
