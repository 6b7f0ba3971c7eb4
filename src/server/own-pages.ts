import { publicAddress } from './settings';

const loopback = /^(127\.0\.0\.1|localhost|\[::1\])(:\d{1,5})?$/i;
const readOnly = new Set(['GET', 'HEAD']);

/** Did a request come by a name of this machine, and through no proxy? */
export function isOwnMachine({ headers }: Pick<Request, 'headers'>): boolean {
  const passed = (headers.get('x-forwarded-for') ?? '127.0.0.1').split(',').map((a) => a.trim());
  return (
    loopback.test(headers.get('host') ?? '') &&
    passed.every((a) => /^(::ffff:)?127\.|^::1$/.test(a)) &&
    !headers.has('forwarded')
  );
}

/**
 * Why a request is not answered, or null. Without accounts Rung answers on this machine alone, under a name of this machine (a foreign name that resolves to
 * loopback could otherwise read and change everything); with accounts also under its one public address. What changes something must come from its own pages: browsers say
 * where from in Origin (RFC 6454). A token is no cookie that a foreign page could send along: what comes with one needs no Origin.
 */
export function refusalOf(
  { method, headers }: Pick<Request, 'method' | 'headers'>,
  address: URL | null = publicAddress(),
): string | null {
  const host = headers.get('host') ?? '';
  const known = host.toLowerCase() === address?.host;
  if (!known && !loopback.test(host))
    return address
      ? `Rung answers as ${address.host} alone. Nothing was read or changed.`
      : 'Rung answers on this machine alone, as 127.0.0.1 or localhost. Nothing was read or changed.';
  const origin = headers.get('origin');
  if (readOnly.has(method) || origin === (known ? address!.origin : `http://${host}`)) return null;
  if (address && origin === null && headers.get('authorization')?.startsWith('Bearer ')) return null;
  return `Only Rung's own pages may change something: the request says it comes from ${origin === null ? 'nowhere (no Origin)' : 'another place'}. Nothing was changed.`;
}
