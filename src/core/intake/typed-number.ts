const microfarads = { µf: 1, μf: 1, uf: 1, mf: 1000, nf: 0.001 };

/** What one of another unit is in ours. Exact by definition: the international pound, ounce and inch (agreement of 1959; NIST Special Publication 811, appendix B) and the prefixes of the SI; bits by eight. */
const units: Record<string, Record<string, number>> = {
  g: {
    g: 1,
    gram: 1,
    grams: 1,
    kg: 1000,
    mg: 0.001,
    oz: 28.349523125,
    ounce: 28.349523125,
    ounces: 28.349523125,
    lb: 453.59237,
    lbs: 453.59237,
  },
  mm: { mm: 1, cm: 10, m: 1000, in: 25.4, inch: 25.4, inches: 25.4, '"': 25.4, '″': 25.4, ft: 304.8, mil: 0.0254 },
  A: { a: 1, amp: 1, amps: 1, ma: 0.001 },
  V: { v: 1, volt: 1, volts: 1, mv: 0.001 },
  mΩ: { mω: 1, mohm: 1, milliohm: 1, ω: 1000, ohm: 1000 },
  µF: microfarads,
  uF: microfarads,
  cells: { s: 1, cells: 1, cell: 1 },
  s: { s: 1, sec: 1, seconds: 1, ms: 0.001, min: 60 },
  mAh: { mah: 1, ah: 1000 },
  MB: { mb: 1, gb: 1000, kb: 0.001, mbit: 1 / 8, gbit: 125 },
  AWG: { awg: 1, ga: 1 },
  S: { s: 1, cells: 1, cell: 1 },
  '%': { '%': 1, percent: 1 },
  '€': { '€': 1, eur: 1, euro: 1, euros: 1 },
};

/**
 * A number as somebody typed it into a box of ours that takes `unit`: "0,3", "23 oz", "1.2 in", "16 awg"; with a comma or a point, and with a unit that can be turned into
 * ours. null: nothing was typed; NaN: not understood.
 */
export function typedNumber(typed: string, unit = ''): number | null {
  const text = typed.trim();
  if (text === '') return null;
  const read = /^([-+]?\d*[.,]?\d+|\d+[.,])\s*(\D*)$/.exec(text);
  if (!read) return NaN;
  const value = Number(read[1]!.replace(',', '.'));
  const said = read[2]!.trim().toLowerCase();
  if (said === '' || said === unit.toLowerCase()) return value;
  const times = units[unit]?.[said];
  // Turned into another unit it is no more exact than it was.
  return times === undefined ? NaN : Number((value * times).toPrecision(6));
}

/** What a box that takes `unit` understands besides, for a person; empty where nothing else. */
export function unitsFor(unit: string): string[] {
  const asWritten: Record<string, string[]> = {
    g: ['kg', 'oz', 'lb'],
    mm: ['cm', 'in'],
    A: ['mA'],
    V: ['mV'],
    s: ['min'],
    mAh: ['Ah'],
    MB: ['GB', 'Mbit'],
    µF: ['nF', 'mF'],
    mΩ: ['ohm'],
  };
  return asWritten[unit] ?? [];
}
