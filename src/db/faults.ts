/** A row whose contents this Rung cannot read: stored by a newer one, or changed by hand. Nothing is lost; it is only not shown. */
export class UnreadableRecord extends Error {
  constructor(
    readonly kind: 'build' | 'board' | 'part',
    readonly id: string,
    faults: readonly { field: string; sentence: string }[],
  ) {
    super(
      `The stored ${kind} "${id}" cannot be read: ${faults
        .slice(0, 3)
        .map((f) => `${f.field}: ${f.sentence}`)
        .join(' ')} It is still in the database as it was.`,
    );
  }
}

/** Classes and codes by which PostgreSQL (Appendix A of its manual: 08, 53, 57P0x) and the network say that it cannot be talked to. */
const down =
  /^(08...|53...|57P0\d|ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|ENOTFOUND|EAI_AGAIN|EHOSTUNREACH|28P01|28000|3D000)$/;
const downWords =
  /Connection terminated|connection error and is not queryable|timeout exceeded when trying to connect|Query read timeout|DATABASE_URL is not set/;

/** Does an error mean that the database does not answer? Looks through the errors that others wrap it in. */
export function isDatabaseDown(error: unknown): boolean {
  for (let e = error; e instanceof Error; e = e.cause) {
    const { code } = e as { code?: unknown };
    if ((typeof code === 'string' && down.test(code)) || downWords.test(e.message)) return true;
    if (e instanceof AggregateError && e.errors.some(isDatabaseDown)) return true;
  }
  return false;
}

/** Has the disk of the database no room left (53100)? Reading goes on. */
export function isDiskFull(error: unknown): boolean {
  for (let e = error; e instanceof Error; e = e.cause) if ('code' in e && e.code === '53100') return true;
  return false;
}

/** A NUL or half of a surrogate pair, which PostgreSQL does not store (22021, 22P05). */
export function isUnstorable(error: unknown): boolean {
  for (let e = error; e instanceof Error; e = e.cause)
    if ('code' in e && (e.code === '22021' || e.code === '22P05')) return true;
  return false;
}
