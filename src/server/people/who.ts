import { sql } from 'drizzle-orm';
import { database, type Database } from '../../db/connection';
import type { Role, Shareable } from '../../db/people-schema';
import { within } from '../../db/within';
import { publicAddress } from '../settings';
import { accounts } from './accounts';
import { passOf } from './passes';

/** Who asks: what they may do, and in whose rows. */
export interface Who {
  role: Role | 'guest';
  workspace: string;
  /** For the audit list and the page. */
  name: string;
  /** The person's id; null alone on this machine, for a token and for a guest. */
  person: string | null;
  /** Of a guest: the build, and what of it, that was shared. */
  share: { build: string; what: Shareable } | null;
}

/** What a request wants to do: look, change what is there, or say who may. */
export type Need = 'read' | 'write' | 'own';

const may: Record<Who['role'], readonly Need[]> = {
  owner: ['read', 'write', 'own'],
  editor: ['read', 'write'],
  reader: ['read'],
  guest: [],
};

export function mayDo({ role }: Who, need: Need): boolean {
  return may[role].includes(need);
}

/** Alone on this machine nobody signs in, and everything is one's own. */
const alone: Who = { role: 'owner', workspace: 'home', name: 'this machine', person: null, share: null };

export const workspaceCookie = 'rung_workspace';
export const shareCookie = (build: string) => `rung_share_${build}`;

export interface Place {
  workspace: string;
  name: string;
  role: Role;
}

/** The workspaces a person is in. */
export async function placesOf(db: Database, person: string): Promise<Place[]> {
  const { rows } = await db.execute<{ workspace: string; name: string; role: Role }>(
    sql`select workspace, name, role from workspaces_of(${person})`,
  );
  return rows;
}

/**
 * Who asks, by the headers of the request: a token, a session, or the secret of a share of `build`; null where it is nobody. Asked anew for every request, so that what was
 * withdrawn a moment ago is withdrawn.
 */
export async function whoAsks(headers: Headers, build?: string): Promise<Who | null> {
  if (!publicAddress()) return alone;
  const db = database();
  const bearer = /^Bearer (\S+)$/.exec(headers.get('authorization') ?? '')?.[1];
  if (bearer !== undefined) return byToken(db, bearer);
  const cookies = cookiesOf(headers);
  const session = await accounts().api.getSession({ headers });
  const secret = build === undefined ? undefined : cookies.get(shareCookie(build));
  const guest = secret === undefined ? null : await byShare(db, secret, build!);
  if (!session) return guest;
  const places = await placesOf(db, session.user.id);
  const place = places.find((p) => p.workspace === cookies.get(workspaceCookie)) ?? places[0];
  // A share of another workspace's build shows that one; of one's own one sees more without it.
  if (guest && place?.workspace !== guest.workspace) return guest;
  if (!place) return null;
  const { role, workspace } = place;
  return { role, workspace, name: session.user.name, person: session.user.id, share: null };
}

/** The address of whoever is signed in and in no workspace, as after the last owner removed them; null for everybody else. */
export async function inNoWorkspace(headers: Headers): Promise<string | null> {
  const session = await accounts().api.getSession({ headers });
  if (!session) return null;
  return (await placesOf(database(), session.user.id)).length === 0 ? session.user.email : null;
}

async function byToken(db: Database, secret: string): Promise<Who | null> {
  const pass = await passOf(db, secret);
  if (pass?.kind !== 'token' || !pass.role) return null;
  return { role: pass.role, workspace: pass.workspace, name: `token ${pass.label}`, person: null, share: null };
}

async function byShare(db: Database, secret: string, build: string): Promise<Who | null> {
  const pass = await passOf(db, secret);
  if (pass?.kind !== 'share' || pass.build !== build || !pass.what) return null;
  const { workspace, what, label } = pass;
  return { role: 'guest', workspace, name: `guest of ${label}`, person: null, share: { build, what } };
}

function cookiesOf(headers: Headers): Map<string, string> {
  return new Map(
    (headers.get('cookie') ?? '').split('; ').map((pair) => {
      const at = pair.indexOf('=');
      return [pair.slice(0, at), decode(pair.slice(at + 1))] as const;
    }),
  );
}

function decode(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return '';
  }
}

/** Work on the rows of whoever asks, and on no others. */
export function theirs<T>(who: Who, work: (db: Database) => Promise<T>): Promise<T> {
  return within(database(), who.workspace, work);
}
