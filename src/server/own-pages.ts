const loopback = /^(127\.0\.0\.1|localhost|\[::1\])(:\d{1,5})?$/i;
const readOnly = new Set(['GET', 'HEAD']);

/**
 * Why a request is not answered, or null. Rung has no accounts yet, so it answers on this machine alone, under a name of this machine (a foreign name that resolves to
 * loopback could otherwise read and change everything), and what changes something must come from its own pages: browsers say where from in Origin (RFC 6454).
 */
export function refusalOf({ method, headers }: Pick<Request, 'method' | 'headers'>): string | null {
  const host = headers.get('host') ?? '';
  if (!loopback.test(host))
    return 'Rung answers on this machine alone, as 127.0.0.1 or localhost. Nothing was read or changed.';
  const origin = headers.get('origin');
  if (readOnly.has(method) || origin === `http://${host}`) return null;
  return `Only Rung's own pages may change something: the request says it comes from ${origin === null ? 'nowhere (no Origin)' : 'another place'}. Nothing was changed.`;
}
