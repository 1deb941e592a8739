/* Opens the run sheet without a connection: pages as they come while there is one; else the survey as it was kept last. */

const PAGES = "tall-ledger pages";
const PARTS = "tall-ledger parts";
/* A computer that sleeps answers nothing, and says nothing of it. */
const PATIENCE = 5000;
const MADE_OF = /^\/(js|css|fonts|favicon|icon)/;
const SMALL = /^\/surveys\/\d+\/photos\/\d+$/;
const SURVEY = /^\/surveys\/(\d+)(\/|$)/;

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

async function kept(path) {
  const store = await self.caches.open(PAGES);
  const survey = path.match(SURVEY);
  return survey ? store.match("/surveys/" + survey[1] + "/pocket") : null;
}

function none() {
  const text = "<!DOCTYPE html><html lang=en><meta charset=utf-8><meta name=viewport content='width=device-width'><title>No connection"
    + "</title><h1>No connection</h1><p>Nothing of that page is on this device. Look again when the connection is back.";
  return new Response(text, { status: 503, headers: { "content-type": "text/html;charset=utf-8" } });
}

async function page(request, url) {
  const have = await kept(url.pathname);
  const coming = fetch(request);
  if (!have) { return coming.catch(() => lastOpened()); }
  const late = new Promise((over) => { setTimeout(() => over(have), PATIENCE); });
  return Promise.race([coming.catch(() => have), late]);
}

/* Opened from the home screen: on to the survey that was kept last. */
async function lastOpened() {
  const all = await (await self.caches.open(PAGES)).keys();
  const last = all.length ? new URL(all[all.length - 1].url).pathname.match(SURVEY) : null;
  return last ? Response.redirect("/surveys/" + last[1] + "/run", 302) : none();
}

/* The connection went while a form was sent: what was typed is in this browser, with its key, and comes back at its step. */
async function sent(request, url) {
  const have = await kept(url.pathname);
  return fetch(request).catch(() => {
    const from = request.referrer && new URL(request.referrer);
    const back = from && from.pathname.match(SURVEY) ? from.pathname + from.search : url.pathname.replace(/(\/surveys\/\d+).*/, "$1/run");
    return have ? Response.redirect(back, 303) : none();
  });
}

async function part(request) {
  const have = await self.caches.match(request);
  return have || fetch(request);
}

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (url.origin !== self.location.origin) { return; }
  if (request.mode === "navigate" && request.method === "GET") {
    event.respondWith(page(request, url));
  } else if (request.mode === "navigate" && SURVEY.test(url.pathname)) {
    event.respondWith(sent(request, url));
  } else if (request.method === "GET" && (MADE_OF.test(url.pathname) || (SMALL.test(url.pathname) && url.search === "?size=small"))) {
    event.respondWith(part(request));
  }
});
