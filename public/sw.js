/* Keeps what was opened on this screen, so that a page opened without a connection shows the
   application with what it knows. The network always goes first; nothing is written from here. */
const PAGES = 'waffenrad-pages-1';
const FILES = 'waffenrad-files-1';
const MOST_PAGES = 80;
const MOST_FILES = 400;
const WARM_EVERY_MS = 1500;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((names) =>
        Promise.all(names.filter((n) => n !== PAGES && n !== FILES).map((n) => caches.delete(n))),
      )
      .then(() => self.clients.claim()),
  );
});

/** The oldest go first: keys stand in the order they were put. */
async function put(cacheName, most, key, response) {
  const cache = await caches.open(cacheName);
  await cache.delete(key);
  await cache.put(key, response);
  const keys = await cache.keys();
  for (const old of keys.slice(0, Math.max(0, keys.length - most))) await cache.delete(old);
}

const isFile = ({ pathname }) => pathname.startsWith('/_next/static/') || pathname === '/icon.svg';
const isPage = (response) =>
  response.ok &&
  // The door is never what somebody wanted to see later.
  new URL(response.url).pathname !== '/sign-in' &&
  (response.headers.get('content-type') ?? '').startsWith('text/html');

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (request.mode === 'navigate') event.respondWith(page(request, url));
  else if (isFile(url)) event.respondWith(file(request));
});

async function file(request) {
  const known = await caches.match(request, { cacheName: FILES });
  if (known) return known;
  const response = await fetch(request);
  if (response.ok) await put(FILES, MOST_FILES, request.url, response.clone());
  return response;
}

/** A wireless that is gone says nothing of itself: after so long the page that is here is shown. */
const WAIT_FOR_PAGE_MS = 6000;

async function page(request, url) {
  const cache = await caches.open(PAGES);
  const kept =
    (await cache.match(url.href)) ?? (await cache.match(url.origin + url.pathname)) ?? null;
  const asked = fetch(request).then(async (response) => {
    if (isPage(response)) await put(PAGES, MOST_PAGES, url.href, response.clone());
    return response;
  });
  // Nobody waits any more for what comes too late, whatever it is.
  asked.catch(() => undefined);
  const late = new Promise((show) => setTimeout(() => show(kept), WAIT_FOR_PAGE_MS));
  try {
    return await (kept ? Promise.race([asked, late]) : asked);
  } catch {
    return kept ?? (await notHere(cache, url));
  }
}

/** A page never opened here: said so, with what there is. */
async function notHere(cache, url) {
  const [, area, id] = url.pathname.split('/');
  const known = [];
  for (const { url: href } of await cache.keys()) {
    const { pathname, search } = new URL(href);
    const title = /<title>([^<]*)<\/title>/.exec(await (await cache.match(href)).text())?.[1] ?? '';
    known.push({ href: pathname + search, title, same: pathname.startsWith(`/${area}/${id}/`) });
  }
  const rows = known
    .sort((a, b) => Number(b.same) - Number(a.same))
    .slice(0, 30)
    .map(
      ({ href, title }) =>
        `<li><a href="${href.replaceAll('"', '&quot;')}">${title}</a> <span>${href.replaceAll('<', '&lt;')}</span></li>`,
    )
    .join('');
  const body = `<!doctype html><html lang="en"><head><meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1"><title>Not connected · Waffenrad</title>
<style>body{margin:0;background:#F5F1E8;color:#1E2A2F;font:17px/1.5 'Atkinson Hyperlegible Next Variable',sans-serif}
main{max-width:760px;margin:0 auto;padding:40px 24px}h1{font-size:32px;margin:0 0 8px}
a{color:#0E5A60;display:inline-block;min-height:44px;line-height:44px;font-weight:650}
li{border-top:1px solid #E2DBCB;list-style:none}ul{padding:0}span{color:#55605F;font-size:14px}
.again{border:1px solid #0E5A60;border-radius:4px;padding:0 18px;text-decoration:none}</style></head>
<body><main><p>waffenrad</p><h1>Not connected</h1>
<p>This page was not opened on this screen before, and the shop’s program does not answer. Nothing is lost: what was typed stands in its fields when it is back.</p>
<p><a class="again" href="">Try again</a></p>
<h2>What is here</h2><ul>${rows || '<li>Nothing was opened on this screen yet.</li>'}</ul></main></body></html>`;
  return new Response(body, {
    status: 503,
    headers: { 'content-type': 'text/html; charset=utf-8' },
  });
}

/* Pages that may be wanted next, fetched one after another while there is time. */
self.addEventListener('message', (event) => {
  const urls = event.data?.warm;
  if (Array.isArray(urls)) event.waitUntil(warm(urls.slice(0, 10)));
});

async function warm(urls) {
  const cache = await caches.open(PAGES);
  for (const href of urls) {
    if (await cache.match(href)) continue;
    try {
      const response = await fetch(href, { headers: { accept: 'text/html' } });
      if (!isPage(response)) continue;
      const text = await response.clone().text();
      // A page is of no use without what it is drawn and moved by: it is kept once all of that is here.
      for (const [path] of text.matchAll(/\/_next\/static\/[\w./~-]+\.(?:js|css)/g))
        if (!(await caches.match(path, { cacheName: FILES }))) await file(new Request(path));
      await put(PAGES, MOST_PAGES, href, response);
    } catch {
      return;
    }
    await new Promise((resolve) => setTimeout(resolve, WARM_EVERY_MS));
  }
}
