/** Kinds of parts that hang off a board. */
export const peripheralKinds = [
  'receiver',
  'camera',
  'video transmitter',
  'digital video',
  'positioning',
  'compass',
  'light',
  'servo',
  'buzzer',
  'esc telemetry',
  'air speed',
  'range finder',
  'ground link',
  'recorder',
  'current sensor',
  'gimbal',
  'aerial',
  'other',
] as const;
export type PeripheralKind = (typeof peripheralKinds)[number];
