/** Length of a wire between board and part where nobody has routed it: assumed. */
export const signalWireMm = 80;

/** Grams that one soldered or plugged wire of a signal or small supply adds: assumed, 28 AWG, 80 mm, with sleeve. */
export const gramsPerWire = 0.25;
