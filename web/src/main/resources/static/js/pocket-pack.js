/* A survey as one page: every step as the run sheet shows it, kit and claims, and the newest pictures small. Fetched once, then only what
   became other; kept where the browser keeps pages, or as long as this page is open. */

const PAGES = "tall-ledger pages";
const PARTS = "tall-ledger parts";
const PATIENCE = 8000;

/** Where the page of a survey lies. */
export function packAddress(survey) { return "/surveys/" + survey + "/pocket"; }

/** Parts that are the same as before are taken from what was there. @returns false where one of them is not there any more */
export function merged(fresh, had) {
  return Array.from(fresh.querySelectorAll("template[data-same]")).every((gap) => {
    const part = had && Array.from(had.querySelectorAll("template[data-part]")).find((p) => p.dataset.part === gap.dataset.part);
    if (part) { gap.replaceWith(fresh.importNode(part, true)); }
    return Boolean(part);
  });
}

const parsed = (html) => new DOMParser().parseFromString(html, "text/html");
/* Only where the page came by a connection the browser trusts. */
const pages = () => (window.caches ? window.caches.open(PAGES).catch(() => null) : Promise.resolve(null));

async function answer(address) {
  const stop = new AbortController();
  const late = setTimeout(() => stop.abort(), PATIENCE);
  try {
    const got = await fetch(address, { cache: "no-store", signal: stop.signal });
    if (got.redirected && new URL(got.url).pathname.startsWith("/pair")) { await forgetPacks(); }
    if (!got.ok || got.redirected) { throw new Error(String(got.status)); }
    return { page: parsed(await got.text()), headers: got.headers };
  } finally {
    clearTimeout(late);
  }
}

export class Pack {
  page;

  constructor(page) { this.page = page; }

  /** The page that is open is one. */
  static here() { return document.querySelector("main[data-pack]") ? new Pack(document) : null; }

  /** As it was kept last; null where none was. */
  static async kept(survey) {
    const store = await pages();
    const page = store && await store.match(packAddress(survey));
    return page ? new Pack(parsed(await page.text())) : null;
  }

  /** As it is now, and kept. @param had what is here already */
  static async bring(survey, had) {
    const number = had ? had.main().dataset.pack : "";
    let { page, headers } = await answer(packAddress(survey) + (number ? "?has=" + encodeURIComponent(number) : ""));
    if (!merged(page, had && had.page)) { ({ page, headers } = await answer(packAddress(survey))); }
    const pack = new Pack(page);
    pack.main().dataset.ahead = String(Number(pack.main().dataset.now) - Date.now());
    await pack.keep(survey, headers);
    return pack;
  }

  async keep(survey, headers) {
    const store = await pages();
    if (!store) { return; }
    const plain = new Headers();
    ["content-type", "content-security-policy", "referrer-policy", "x-content-type-options"].forEach((name) => {
      if (headers.get(name)) { plain.set(name, headers.get(name)); }
    });
    const html = "<!DOCTYPE html>\n" + this.page.documentElement.outerHTML;
    await store.put(packAddress(survey), new Response(html, { headers: plain }));
    const parts = await window.caches.open(PARTS);
    await Promise.all(this.all("template[data-picture]").map((part) => parts.put("/surveys/" + survey + "/photos/" + part.dataset.picture
      + "?size=small", new Response(bytes(part.content.textContent), { headers: { "content-type": part.dataset.type } }))));
    const used = performance.getEntriesByType("resource").map((r) => new URL(r.name)).filter((u) => u.origin === location.origin
      && /^\/(js|css|fonts|favicon)/.test(u.pathname)).map((u) => u.pathname);
    const have = new Set((await parts.keys()).map((request) => new URL(request.url).pathname));
    await Promise.all(used.filter((path) => !have.has(path)).map((path) => parts.add(path)));
  }

  all(what) { return Array.from(this.page.querySelectorAll(what)); }

  main() { return this.page.querySelector("main[data-pack]"); }

  part(name) {
    const found = this.all("template[data-part]").find((part) => part.dataset.part === name);
    return found ? document.importNode(found.content, true) : null;
  }

  /** What is known of a step: as the safety rules take it. */
  step(key) {
    const found = this.all("template[data-step]").find((part) => part.dataset.step === key);
    return found ? { turns: found.dataset.turns === "yes", route: found.dataset.route === "yes", rpm: Number(found.dataset.rpm || 0),
      refused: found.dataset.refused || "", stops: found.dataset.stops === "yes", decides: found.dataset.decides === "yes" } : null;
  }

  /** The speed that a recording made at a step is of; empty for the room. */
  soundAt(key) {
    return this.all("template[data-step]").find((part) => part.dataset.step === key)?.dataset.sound ?? "";
  }

  /** Rules and figures as the safety rules take them; times by this device's clock. */
  safety() {
    const { due, goodFor, last, top, unmarked, dangers, wheel, ahead, closed } = this.main().dataset;
    return { due: due === "yes", goodFor: Number(goodFor), last: Number(last) - Number(ahead || 0), top: Number(top || 0),
      unmarked: Number(unmarked), dangers: Number(dangers), wheel: Number(wheel || 0),
      closed: closed === "yes" };
  }

  head() { return Number(this.page.body.dataset.head); }
}

/** Of a device that is not let in any more no survey stays; what it recorded does. */
export async function forgetPacks() {
  if (!window.caches) { return; }
  await Promise.all([PAGES, PARTS].map((name) => window.caches.delete(name))).catch(() => { /* There was none. */ });
}

function bytes(base64) {
  const text = window.atob(base64.trim());
  return Uint8Array.from(text, (sign) => sign.charCodeAt(0));
}
