import { z } from 'zod';
import { jsonSchemaOf, type FileFormat } from '../core';
import {
  invitationAsked,
  joinAsked,
  moneyAsked,
  newBuildAsked,
  passAsked,
  pastWhich,
  roleAsked,
  signInAsked,
  workspaceAsked,
  workspaceChosen,
} from './asked';

/** The least that whoever calls must be: nobody in particular, the guest of a share, or a role. */
export type Needs = 'anyone' | 'guest' | 'reader' | 'editor' | 'owner';

interface Operation {
  needs: Needs;
  says: string;
  /** A zod schema, a Rung file by its format, or bytes of a media type. */
  body?: z.ZodType | FileBody | BytesBody;
  query?: Record<string, string>;
  /** If-Match with the version that was seen. */
  version?: true;
  /** What comes back when it went, besides a sentence. */
  reply?: Record<string, Json> | BytesBody;
  status?: 200 | 201 | 303;
}

interface FileBody {
  file: 'rung-board' | 'rung-build' | 'rung-shelf';
}
interface BytesBody {
  bytes: string;
}
type Json = Record<string, unknown>;

const text: Json = { type: 'string' };
const whole: Json = { type: 'integer' };
const list = (items: Json): Json => ({ type: 'array', items });
const object = (properties: Record<string, Json>): Json => ({
  type: 'object',
  properties,
  required: Object.keys(properties),
});
const fileRef = (format: FileFormat): Json => ({ $ref: `#/components/schemas/${format}` });

/** Every route and method of the application: a test holds that there is no other, and tries each with every role. */
export const operations: Record<string, Operation> = {
  'GET /api/health': { needs: 'anyone', says: 'Does Rung answer, and is what is saved kept?' },
  'GET /api/ready': {
    needs: 'anyone',
    says: 'May requests be sent here? 503 while the process stops or the database is away.',
  },
  'GET /api/metrics': {
    needs: 'anyone',
    says: 'Counters in the text format of Prometheus; answered to this machine alone.',
    reply: { bytes: 'text/plain' },
  },
  'GET /api/openapi.json': { needs: 'anyone', says: 'This description.', reply: {} },
  'GET /api/builds': {
    needs: 'reader',
    says: 'The builds by name, with what each was forked from.',
    reply: { builds: list(object({ id: text, name: text, forkOf: { type: ['string', 'null'] } })) },
  },
  'POST /api/builds': {
    needs: 'editor',
    says: 'Begins a build, or a fork of one.',
    body: newBuildAsked,
    reply: { id: text },
    status: 201,
  },
  'GET /api/builds/{id}': {
    needs: 'guest',
    says: 'One build with the version it has.',
    reply: { build: fileRef('rung-build'), version: whole, savedAt: text },
  },
  'PUT /api/builds/{id}': {
    needs: 'editor',
    says: 'Saves a build on top of the version in If-Match; 409 with the newer one where somebody was first.',
    body: { file: 'rung-build' },
    version: true,
    reply: { version: whole, savedAt: text },
  },
  'DELETE /api/builds/{id}': {
    needs: 'editor',
    says: 'Removes a build; it can be brought back for 30 days.',
    version: true,
  },
  'GET /api/builds/{id}/likely': {
    needs: 'guest',
    says: 'Boards that may carry the build, the first 300 of them: what its brief does not rule out by size, cells, amps, mass or money; with the library of parts. Kept as the shelf is, and packed as that is.',
    query: { packed: 'Packed (gzip), as for whoever says Accept: application/gzip' },
    reply: { boards: list(fileRef('rung-board')), total: whole, peripherals: list(fileRef('rung-peripheral')) },
  },
  'GET /api/builds/{id}/ranking': {
    needs: 'reader',
    says: 'The shelf ranked for the build, worked out on the server: lines of JSON as it goes, the order in the last. Kept until the build or a board changes.',
    reply: { bytes: 'application/x-ndjson' },
  },
  'GET /api/shelf': {
    needs: 'guest',
    says: 'All boards and parts, with the version of each board; packed for whoever says Accept: application/gzip. Answers 304 to the ETag of a shelf that has not changed.',
    query: { for: 'Of a guest: the build that was shared' },
    reply: { boards: list(fileRef('rung-board')), versions: { type: 'object', additionalProperties: whole } },
  },
  'GET /api/money': {
    needs: 'reader',
    says: 'What new builds of the workspace are paid in, and what other currencies are worth in it.',
    reply: { currency: text, rates: { type: 'object', additionalProperties: { type: 'number' } } },
  },
  'PUT /api/money': {
    needs: 'editor',
    says: 'Says what new builds are paid in. Builds that are there stay as they are.',
    body: moneyAsked,
  },
  'GET /api/moved': {
    needs: 'reader',
    says: 'Builds, boards and parts that changed in the last days, each as it was then and as it is now; null: it was or is not there. Of more than 200 the latest.',
    query: { days: '1 to 365; left out: 1' },
    reply: { moved: list(object({ kind: text, id: text, before: {}, now: {} })) },
  },
  'PUT /api/boards/{id}': {
    needs: 'editor',
    says: 'Saves a board on top of the version in If-Match; 0 adds it.',
    body: { file: 'rung-board' },
    version: true,
    reply: { version: whole },
  },
  'DELETE /api/boards/{id}': {
    needs: 'editor',
    says: 'Takes a board off the shelf; it can be brought back for 30 days.',
    version: true,
  },
  'POST /api/offers/{id}': { needs: 'editor', says: "Asks the shops for today's offers of a board and keeps them." },
  'POST /api/import': {
    needs: 'editor',
    says: 'Stores a Rung file, all or nothing; 409 where something is here already and says something else.',
    query: { over: 'ask, replace or keep' },
    body: { file: 'rung-shelf' },
    reply: { boards: whole, peripherals: whole, builds: list(text) },
  },
  'GET /api/past': {
    needs: 'reader',
    says: 'What was removed; of a kind and an id what it was before; of a version too, itself as it was then.',
    query: { kind: 'build, board or part', id: 'Of what', version: 'Which' },
  },
  'POST /api/past': {
    needs: 'editor',
    says: 'Brings a version back as the newest one.',
    body: pastWhich,
    reply: { version: whole },
  },
  'GET /api/photos': {
    needs: 'reader',
    says: 'The pictures of a board or an entry.',
    query: { about: 'Of what' },
    reply: { photos: list(text) },
  },
  'POST /api/photos': {
    needs: 'editor',
    says: 'Keeps a picture, stripped of what the camera added.',
    query: { about: 'Of what' },
    body: { bytes: 'image/*' },
    reply: { id: text },
  },
  'GET /api/photos/{id}': { needs: 'reader', says: 'One picture.', reply: { bytes: 'image/*' } },
  'DELETE /api/photos/{id}': { needs: 'editor', says: 'Removes a picture.' },
  'GET /api/people': {
    needs: 'reader',
    says: 'Who is in the workspace.',
    reply: { members: list(object({ person: text, name: text, email: text, role: text })), role: text },
  },
  'POST /api/people': {
    needs: 'owner',
    says: 'Invites somebody by a link that goes once.',
    body: invitationAsked,
    reply: { link: text },
    status: 201,
  },
  'PUT /api/people/{id}': { needs: 'owner', says: 'Changes what somebody may do.', body: roleAsked },
  'DELETE /api/people/{id}': { needs: 'owner', says: 'Takes somebody out of the workspace.' },
  'GET /api/passes': { needs: 'editor', says: 'Links and tokens that open something; never their secrets.' },
  'POST /api/passes': {
    needs: 'editor',
    says: 'Makes a share link, or (owners) a token; the secret is told this once.',
    body: passAsked,
    reply: { id: text },
    status: 201,
  },
  'DELETE /api/passes/{id}': { needs: 'editor', says: 'Withdraws a link or a token.' },
  'GET /api/workspaces': { needs: 'reader', says: 'The workspaces of whoever asks.', reply: { here: text } },
  'POST /api/workspaces': {
    needs: 'reader',
    says: 'Makes a workspace of one’s own.',
    body: workspaceAsked,
    reply: { id: text },
    status: 201,
  },
  'PUT /api/workspaces': { needs: 'reader', says: 'Goes to another of one’s workspaces.', body: workspaceChosen },
  'GET /api/audit': { needs: 'owner', says: 'Who did what, the latest first.' },
  'POST /api/sign-in': { needs: 'anyone', says: 'Begins a session.', body: signInAsked },
  'POST /api/sign-out': { needs: 'anyone', says: 'Ends the session.' },
  'POST /api/join': { needs: 'anyone', says: 'Uses up an invitation, or a link for a new password.', body: joinAsked },
  'GET /s/{secret}': {
    needs: 'anyone',
    says: 'Opens what was shared: a cookie, and on to the page.',
    status: 303,
    reply: {},
  },
  'GET /reading/{file}': {
    needs: 'anyone',
    says: 'A file of the readers of PDFs and of print that run in the page.',
    reply: { bytes: 'application/octet-stream' },
  },
};

/** The API by OpenAPI 3.1 (spec.openapis.org, 2021), whose schemas are JSON Schema 2020-12. */
export function apiDescription(address: string): object {
  const paths: Record<string, Record<string, object>> = {};
  for (const [what, operation] of Object.entries(operations)) {
    const [method, path] = what.split(' ') as [string, string];
    (paths[path] ??= {})[method.toLowerCase()] = described(what, path, operation);
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Rung',
      version: '1',
      summary: 'Which flight controller carries a build, why, and how to wire it.',
      description:
        'Programs send a token of their workspace as a bearer. What did not go comes as problem details (RFC 9457) with a sentence for a person.',
      license: { name: 'MIT', identifier: 'MIT' },
    },
    servers: [{ url: address }],
    security: [{ token: [] }],
    paths,
    components: {
      securitySchemes: { token: { type: 'http', scheme: 'bearer' } },
      schemas: {
        'rung-board': component('rung-board'),
        'rung-build': component('rung-build'),
        'rung-shelf': component('rung-shelf'),
        'rung-peripheral': component('rung-peripheral'),
        problem: object({ type: text, title: text, status: whole, detail: text, sentence: text }),
      },
    },
  };
}

/** The schema of a file where it stands in the description: what it refers to inside itself is named from the root. */
function component(format: FileFormat): object {
  const text = JSON.stringify(jsonSchemaOf(format));
  return JSON.parse(text.replaceAll('"#/$defs/', `"#/components/schemas/${format}/$defs/`)) as object;
}

function described(
  what: string,
  path: string,
  { needs, says, body, query, version, reply, status = 200 }: Operation,
): object {
  const inPath = [...path.matchAll(/\{(\w+)\}/g)].map((m) => ({
    name: m[1],
    in: 'path',
    required: true,
    schema: text,
  }));
  const inQuery = Object.entries(query ?? {}).map(([name, description]) => ({
    name,
    in: 'query',
    description,
    schema: text,
  }));
  const seen = version
    ? [{ name: 'If-Match', in: 'header', required: true, description: 'The version that was seen', schema: text }]
    : [];
  return {
    operationId: what
      .toLowerCase()
      .replace(/[^a-z]+/g, '-')
      .replace(/-$/, ''),
    summary: says,
    description:
      needs === 'anyone'
        ? 'Needs nobody signed in.'
        : `Needs ${needs === 'guest' ? 'a reader, or a guest of a share' : `the role ${needs}`}.`,
    ...(needs === 'anyone' ? { security: [] } : {}),
    ...(inPath.length + inQuery.length + seen.length > 0 ? { parameters: [...inPath, ...inQuery, ...seen] } : {}),
    ...(body ? { requestBody: { required: true, content: contentOf(body) } } : {}),
    responses: {
      [status]: { description: 'It went.', ...(reply ? { content: repliedWith(reply) } : {}) },
      default: {
        description: 'It did not go; nothing was changed.',
        content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/problem' } } },
      },
    },
  };
}

function contentOf(body: NonNullable<Operation['body']>): object {
  if ('bytes' in body) return { [body.bytes]: {} };
  const schema = 'file' in body ? fileRef(body.file) : z.toJSONSchema(body, { io: 'input', target: 'draft-2020-12' });
  return { 'application/json': { schema } };
}

function repliedWith(reply: NonNullable<Operation['reply']>): object {
  if ('bytes' in reply && typeof reply.bytes === 'string') return { [reply.bytes]: {} };
  return { 'application/json': { schema: object(reply as Record<string, Json>) } };
}
