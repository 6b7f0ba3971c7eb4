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

/**
 * What a gauge carries by the same table. Between its gauges, and beyond its ends, by a straight line of logarithms through the two nearest: the table's own steps
 * lie close to one.
 */
export function carriesAmps(gauge: number): number {
  const said = chassisAmps.find(([g]) => g === gauge);
  if (said) return said[1];
  const at = chassisAmps.findIndex(([g]) => g < gauge);
  const i = Math.min(Math.max(1, at < 0 ? chassisAmps.length - 1 : at), chassisAmps.length - 1);
  const [[g0, a0], [g1, a1]] = [chassisAmps[i - 1]!, chassisAmps[i]!];
  return a0 * (a1 / a0) ** ((gauge - g0) / (g1 - g0));
}

/** Heat that a wire of a few millimetres gives off to still air, in watts a square metre and degree: about 12 by convection and 8 by radiation, engineering handbooks, from memory. */
const givesOffWPerM2K = 20;
/** Silicone sleeve: about 0.5 mm of wall, stranded copper a seventh wider than solid (assumed), good for 200 C (data sheets, from memory). */
const sleeveMm = 0.5;
const strandedShare = 1.15;
export const sleeveMostCelsius = 200;
/** The air round a wire in a craft in summer: our own choice. */
export const airCelsius = 40;

/** Millimetres across the strands of a wire, bare. */
export function strandedMm(gauge: number): number {
  return strandedShare * awgDiameterMm(gauge);
}

/**
 * Degrees that a wire in still air settles at under so many amps: what it burns, I^2 R with R growing by the temperature, is what its surface gives off.
 * Infinity where it never settles.
 */
export function settlesAtCelsius(gauge: number, amps: number): number {
  const surfaceM2PerM = (Math.PI * (strandedMm(gauge) + 2 * sleeveMm)) / 1000;
  const kelvinAt20 = (amps ** 2 * awgMilliohmPerM(gauge)) / 1000 / (givesOffWPerM2K * surfaceM2PerM);
  const grows = 1 - kelvinAt20 * copperPerK;
  return grows > 0 ? airCelsius + (kelvinAt20 * (1 + copperPerK * (airCelsius - 20))) / grows : Infinity;
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
