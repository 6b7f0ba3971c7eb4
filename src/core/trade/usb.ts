/** Volts that USB brings to a board: nominal, and both ends at the plug of a device (USB 2.0, 7.2.2: 4.75 to 5.25 V behind a hub of its own supply; from memory). */
export const usbVolts = { low: 4.75, nominal: 5, high: 5.25 } as const;

/** USB 2.0, section 7.2.1: a configured device may draw 500 mA. */
export const usbAmps = 0.5;
