/**
 * Logic levels of a 3.3 V board. JEDEC JESD8C (LVCMOS, LVTTL), values from memory: a high output is at least 2.4 V under load and
 * VDD - 0.2 V unloaded; an input is specified to VDD + 0.3 V, so that a pad stands more only where its maker says so.
 */
export const level = {
  supplyVolts: 3.3,
  highLoadedVolts: 2.4,
  highUnloadedVolts: 3.1,
  inputMaxVolts: 3.6,
} as const;
