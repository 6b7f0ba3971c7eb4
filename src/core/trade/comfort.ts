/** Margins below these hold, but are shown as strained. Common practice of the trade, no source. */
export const comfort = {
  /** Millimetres of air round the outline and above the stack. */
  airMm: 1,
  /** Share between the full pack and a part's absolute limit. */
  packVolts: 0.05,
  /** Share of the derated amps that stays free. */
  load: 0.1,
  /** Share of the motors' current that stays free in the ESC. */
  motors: 0.1,
  /** Share of the take-off limit and of the budget. */
  weight: 0.03,
  cost: 0,
} as const;

/**
 * What is called 5 V is not known to the hundredth. So much of a part's least volts at the part counts as enough; down to the other share it is strained and worth a reading;
 * less is too little. Our own choice, no source.
 */
export const arrivesShare = { enough: 0.99, nearly: 0.97 } as const;

/** Common practice of the trade, no source: more addressable lights than this in one chain flicker and overload the processor's timing. */
export const mostLightsInChain = 32;

/** Amps of one addressable light of three dies at full white: 3 x 20 mA, data sheets of the common part, from memory. */
export const ampsPerLight = 0.06;
