/** The ten rungs in the order in which a careful buyer would stop bothering. */
export const rungNames = [
  'Frame',
  'Pack',
  'Motors',
  'Ports',
  'Signals',
  'Rails',
  'Load',
  'Weight',
  'Cost',
  'Comforts',
] as const;
export type RungName = (typeof rungNames)[number];
