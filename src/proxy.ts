import { NextResponse, type NextRequest } from 'next/server';
import { refusalOf } from '@/server/own-pages';
import { askedPath } from '@/server/people/asked-path';
import { securityPolicy } from '@/server/security-policy';

/**
 * Pages are shown to this machine alone, each under a policy of its own for what it may run; the routes under /api ask who calls for themselves, since a large body
 * should not pass through here.
 */
export function proxy(request: NextRequest) {
  const refusal = refusalOf(request);
  if (refusal !== null)
    return new NextResponse(refusal, { status: 403, headers: { 'content-type': 'text/plain; charset=utf-8' } });
  const nonce = btoa(crypto.randomUUID());
  const policy = securityPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  // Whoever has to sign in first comes back to just this page.
  headers.set(askedPath, request.nextUrl.pathname + request.nextUrl.search);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
}

export const config = { matcher: '/((?!api/|_next/static/).*)' };
