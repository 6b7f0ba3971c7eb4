/** What nobody has said yet. */
export const unknown = { unknown: true as const };

/** An ESC of which nothing is known yet. */
export const unknownEsc = { channels: unknown, continuousAmps: unknown, burstAmps: unknown, burstSeconds: unknown };

/** Holes of which nothing is known yet. */
export const unknownPattern = { alongMm: unknown, screw: unknown };
