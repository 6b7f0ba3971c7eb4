/**
 * Keeps Rung readable while its server is away. What the server says always comes first; pages and the shelf as they were last seen come only where it does not answer.
 * Edits are no matter of this file: they are kept by the page and saved when the server is back.
 */
const kept = 'rung pages 1';
const mostPages = 80;
/** A server that takes longer than this for a page that is kept is taken to be away. */
const patienceMs = 8000;

const root = new URL('./', self.location.href).pathname;
const under = (url) => url.pathname.slice(root.length - 1);
const isFixed = (url) => under(url).startsWith('/_next/static/') || under(url).startsWith('/reading/');
const isData = (url) => ['/api/shelf', '/api/builds'].includes(under(url));

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) =>
  event.waitUntil(
    caches
      .keys()
      .then((names) => Promise.all(names.filter((n) => n !== kept).map((n) => caches.delete(n))))
      .then(() => self.clients.claim()),
  ),
);

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (isFixed(url)) event.respondWith(request.destination === 'worker' ? fixed(request).then(unnamed) : fixed(request));
  else if (request.mode === 'navigate' || isData(url)) event.respondWith(newestOr(request));
});

/** A page tells which others are worth keeping: all screens of the build that is open. */
self.addEventListener('message', (event) => {
  if (event.data?.keep) event.waitUntil(keepAll(event.data.keep));
});

/** What has its contents in its name never changes. */
async function fixed(request) {
  const cache = await caches.open(kept);
  const found = await cache.match(request, { ignoreSearch: true });
  if (found) return found;
  const answer = await fetch(request);
  if (answer.ok) await cache.put(request, answer.clone());
  return answer;
}

/** A worker takes the address of its answer for its own, where that has one, and would lose what its own says after the file's name. */
function unnamed({ body, status, headers }) {
  return new Response(body, { status, headers });
}

async function newestOr(request) {
  const cache = await caches.open(kept);
  const asked = fetch(request).then(async (answer) => {
    await keep(cache, request, answer);
    return answer;
  });
  // One page under several searches differs only in what the page itself reads from its address.
  const found = await cache.match(request, { ignoreSearch: true, ignoreVary: true });
  if (!found) return asked.catch(() => away(request));
  const late = new Promise((resolve) => setTimeout(() => resolve(found), patienceMs));
  return Promise.race([asked.catch(() => found), late]);
}

/** Only whole answers that are for this address; a way to the sign-in is none. */
async function keep(cache, request, answer) {
  const url = new URL(request.url ?? request, self.location.href);
  if (!answer.ok || answer.redirected || answer.type !== 'basic') return;
  await cache.put(url.pathname + (isData(url) ? url.search : ''), answer.clone());
  const pages = (await cache.keys()).filter((r) => !isFixed(new URL(r.url)));
  for (const old of pages.slice(0, Math.max(0, pages.length - mostPages))) await cache.delete(old);
}

async function keepAll(paths) {
  const cache = await caches.open(kept);
  if (!(await keepFiles(cache))) return;
  for (const path of paths) {
    const answer = await fetch(path, { credentials: 'same-origin', headers: { accept: 'text/html' } }).catch(
      () => null,
    );
    if (!answer) return;
    await keep(cache, path, answer);
  }
}

/** All that the screens are made of, as the build listed it (scripts/build.mjs); what an older Rung was made of goes. False where the server does not answer. */
async function keepFiles(cache) {
  const base = `${root}_next/static/`;
  const list = await fetch(`${base}files.json`, { cache: 'no-store' }).catch(() => null);
  if (!list?.ok) return false;
  const wanted = new Set((await list.json()).map((file) => base + file));
  for (const { url } of await cache.keys()) {
    const { pathname } = new URL(url);
    if (pathname.startsWith(base) && !wanted.delete(pathname)) await cache.delete(url);
  }
  for (const path of wanted) {
    const answer = await fetch(path).catch(() => null);
    if (!answer) return false;
    if (answer.ok) await cache.put(path, answer);
  }
  return true;
}

function away(request) {
  if (request.mode !== 'navigate') return Response.error();
  return new Response(
    `<!doctype html><html lang="en"><title>Rung</title><meta name="viewport" content="width=device-width">
<body style="font: 15px sans-serif; max-width: 560px; margin: 96px auto; padding: 16px">
<h1>The server does not answer</h1>
<p>This page was not looked at before, so it is not kept here. What was is: go back, or to <a href="${root}">all builds</a>.
What you typed is kept in this browser and is saved when the server is back.</p>`,
    { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } },
  );
}
