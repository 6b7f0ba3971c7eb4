/** Rated volts of capacitors in the usual steps. */
const steps = [10, 16, 25, 35, 50, 63, 80, 100] as const;

/**
 * The least rated volts of a capacitor at the pack leads: the first step with a fifth to spare above the full pack.
 * 16.8 V asks for 25 V, 25.2 V for 35 V: common practice of the trade, no source.
 */
export function capacitorVolts(fullVolts: number): number {
  return steps.find((s) => s >= fullVolts * 1.2) ?? steps[steps.length - 1]!;
}

/** Microfarads by full-throttle amps, within the 220 to 1000 that are usual. Common practice, no source. */
function usualMicrofarads(peakAmps: number): number {
  if (peakAmps <= 40) return 220;
  if (peakAmps <= 100) return 470;
  return 1000;
}

/** Capacitances of capacitors in the usual steps (IEC 60063, E3 and E6), in microfarads. */
const capacitances = [100, 150, 220, 330, 470, 680, 1000, 1500, 2200] as const;

/** What to buy: the usual one for the amps, or the next step above what the ESC's maker asks for. */
export function capacitorMicrofarads(peakAmps: number, asked: number): number {
  const usual = usualMicrofarads(peakAmps);
  return asked <= usual ? usual : (capacitances.find((c) => c >= asked) ?? Math.ceil(asked));
}
