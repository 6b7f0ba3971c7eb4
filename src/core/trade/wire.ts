/** Diameter of bare AWG wire in millimetres: 0.127 mm x 92^((36 - n) / 39), ASTM B258. */
export function awgDiameterMm(gauge: number): number {
  return 0.127 * 92 ** ((36 - gauge) / 39);
}

export function awgAreaMm2(gauge: number): number {
  return (Math.PI / 4) * awgDiameterMm(gauge) ** 2;
}

/** Resistivity of annealed copper at 20 C, IEC 60028: 0.017241 ohm mm2/m. */
const copperOhmMm2PerM = 0.017241;

/** Milliohm a metre at 20 C. */
export function awgMilliohmPerM(gauge: number): number {
  return (1000 * copperOhmMm2PerM) / awgAreaMm2(gauge);
}

/**
 * Amps for chassis wiring by gauge: table of the Handbook of Electronic Tables and Formulas, from memory.
 * A rule of thumb; short wires in free air take more.
 */
const chassisAmps: readonly (readonly [gauge: number, amps: number])[] = [
  [30, 0.86],
  [28, 1.4],
  [26, 2.2],
  [24, 3.5],
  [22, 7],
  [20, 11],
  [18, 16],
  [16, 22],
  [14, 32],
  [12, 41],
  [10, 55],
];

/** Temperature coefficient of copper at 20 C, IEC 60028. */
const copperPerK = 0.00393;

/** Volts lost on a wire and back on its ground, at so many degrees. */
export function dropVolts(gauge: number, lengthMm: number, amps: number, celsius = 20): number {
  return (2 * amps * awgMilliohmPerM(gauge) * (1 + copperPerK * (celsius - 20)) * lengthMm) / 1e6;
}

/** What a gauge carries by the same table; null for gauges that are not in it. */
export function carriesAmps(gauge: number): number | null {
  return chassisAmps.find(([g]) => g === gauge)?.[1] ?? null;
}

/** Grams of copper and silicone sleeve a metre: copper 8.96 g/cm3 (handbook) and about as much again for the sleeve, assumed. */
export function wireGramsPerM(gauge: number): number {
  return 2 * 8.96 * awgAreaMm2(gauge);
}

/** Thinnest wire for supplies of small parts: thinner ones break before they overheat. Common practice, no source. */
const thinnestSupply = 28;

/** The thinnest gauge that carries so many amps, or null above 55 A. */
export function gaugeFor(amps: number): number | null {
  return chassisAmps.find(([gauge, most]) => gauge <= thinnestSupply && most >= amps)?.[0] ?? null;
}
