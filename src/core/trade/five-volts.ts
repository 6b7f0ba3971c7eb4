/** What goes for 5 V at a controller's 5 V pad: 5 V and what light tuning makes of it (common practice, no source). */
export const fiveVolts = { low: 4.7, high: 5.6 };
