/** What a figure of a board that is a word may be. */

export const outputUses = ['motor', 'servo', 'light', 'soft serial', 'channel in'] as const;
export type OutputUse = (typeof outputUses)[number];

export const screws = ['M2', 'M3'] as const;
export type Screw = (typeof screws)[number];

/** How ESCs and servos are signalled. */
export const signalRates = ['digital', '50 Hz'] as const;
export const analogueKinds = ['battery', 'current', 'signal strength', 'air speed'] as const;
export type AnalogueKind = (typeof analogueKinds)[number];
export const gyroNoises = ['low', 'usual', 'high'] as const;
export const boardKinds = ['flight controller', 'all-in-one', 'esc', 'power board', 'stack'] as const;
export const motorLines = ['analogue', 'digital', 'digital both ways'] as const;
