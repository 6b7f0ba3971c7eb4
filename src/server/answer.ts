import { randomUUID } from 'node:crypto';
import { STATUS_CODES } from 'node:http';
import { NextResponse } from 'next/server';
import pino from 'pino';
import { isDatabaseDown, isDiskFull, isUnstorable, UnreadableRecord } from '../db/faults';
import { refusalOf } from './own-pages';
import { mayDo, whoAsks, type Need, type Who } from './people/who';
import { counted } from './metrics';
import { SlowBody } from './body';
import { publicAddress } from './settings';
import { everybody, fromAddress, letIn, ofPerson, type Account } from './traffic';

const log = pino({ name: 'rung' });

/** A sentence for a person; what did not go comes as problem details (RFC 9457). */
export function say(status: number, sentence: string, more: object = {}): NextResponse {
  if (status < 400) return NextResponse.json({ sentence, ...more }, { status });
  const problem = { type: 'about:blank', title: STATUS_CODES[status] ?? 'Error', status, detail: sentence };
  return NextResponse.json(
    { ...problem, sentence, ...more },
    { status, headers: { 'content-type': 'application/problem+json' } },
  );
}

/** The version in If-Match, a whole number from 0; null where there is none. */
export function seenVersion(request: Request): number | null {
  const header = request.headers.get('if-match')?.trim() ?? '';
  return /^"?\d{1,10}"?$/.test(header) ? Number(header.replaceAll('"', '')) : null;
}

/** What a route asks of whoever calls it. `guest`: the build of which a guest may see what this route shows. */
type Asks = Need | { need: Need; guest: string };

/** Runs a route for Rung's own pages and those who may; an error becomes a sentence that says what it is, not a stack trace. */
export function answer(request: Request, asks: Asks, work: (who: Who) => Promise<NextResponse>): Promise<NextResponse> {
  return answerAnyone(request, async () => {
    const { need, guest } = typeof asks === 'string' ? { need: asks, guest: undefined } : asks;
    const who = await whoAsks(request.headers, guest);
    if (!who) return say(401, 'Sign in first. What you typed is kept in this browser.');
    const shown = who.share !== null && need === 'read' && who.share.build === guest;
    if (!shown && !mayDo(who, need)) return say(403, refusedWords[need]);
    return who.person === null ? work(who) : within(request, [ofPerson(who.person)], () => work(who));
  });
}

const refusedWords: Record<Need, string> = {
  read: 'That was not shared with you.',
  write: 'You may look at this, not change it. Nothing was changed.',
  own: 'Only an owner of this workspace may do that. Nothing was changed.',
};

/** The same for what needs nobody signed in: health, signing in, joining. */
export async function answerAnyone(request: Request, work: () => Promise<NextResponse>): Promise<NextResponse> {
  const begun = performance.now();
  const reply = await answered(request, work);
  counted(request.method, reply.status, performance.now() - begun);
  return reply;
}

async function answered(request: Request, work: () => Promise<NextResponse>): Promise<NextResponse> {
  const refusal = refusalOf(request);
  if (refusal !== null) return say(403, refusal);
  try {
    return await within(request, publicAddress() ? [everybody, fromAddress(addressOf(request))] : [everybody], work);
  } catch (error) {
    return faultOf(error);
  }
}

/** The nearest address that a proxy, or else the server itself, has seen; what stands before it anybody can write. */
function addressOf({ headers }: Request): string {
  return headers.get('x-forwarded-for')?.split(',').at(-1)?.trim() ?? '';
}

/** The work of a request on the accounts of those who ask for it; told so, and when to come again, where one of them has asked for too much. */
async function within(
  request: Request,
  [account, ...more]: readonly Account[],
  work: () => Promise<NextResponse>,
): Promise<NextResponse> {
  if (!account) return work();
  const made = await letIn(request.method, account, () => within(request, more, work));
  if (made instanceof NextResponse) return made;
  const refused = say(429, made.sentence);
  refused.headers.set('retry-after', String(made.wait));
  return refused;
}

/** What went wrong, in its own words: the database, a record, or a fault of ours, which is logged under a number. */
function faultOf(error: unknown): NextResponse {
  if (error instanceof SlowBody)
    return say(408, 'What was sent came too slowly, or stopped on the way. Nothing was changed; send it again.');
  if (isUnstorable(error)) return say(422, 'That holds a character that cannot be kept. Nothing was changed.');
  if (isDiskFull(error)) {
    log.error(named(error));
    return say(
      503,
      'The disk of the database is full. What you typed is kept in this browser, and is saved once there is room.',
    );
  }
  if (isDatabaseDown(error)) {
    log.warn(named(error));
    return say(
      503,
      'The database does not answer. What you typed is kept in this browser and is saved as soon as it is back.',
    );
  }
  if (error instanceof UnreadableRecord) {
    log.warn(error.message);
    return say(500, error.message);
  }
  const number = randomUUID().slice(0, 8);
  log.error({ number, err: named(error) });
  return say(
    500,
    `A fault of ours stopped this; it stands in the log as ${number}. What you typed is kept in this browser.`,
  );
}

/** An error for the log: what it is and where, without what somebody typed, which a query carries in its message. */
function named(error: unknown): object {
  const causes: { name: string; code?: unknown; message: string; at: string[] }[] = [];
  for (let e = error; e instanceof Error && causes.length < 5; e = e.cause) {
    const message = e.message.split('\nparams:')[0]!.slice(0, 300);
    const at = (e.stack ?? '')
      .split('\n')
      .filter((l) => l.startsWith('    at '))
      .slice(0, 8);
    causes.push({ name: e.name, message, at: at.map((l) => l.trim()), ...('code' in e ? { code: e.code } : {}) });
  }
  return causes.length > 0 ? { causes } : { thrown: typeof error };
}
