/* On without a connection: steps are laid open from what is on the device, what is recorded is kept here and sent when the connection is
   back. Where the browser does not trust this computer's certificate there is no service worker: then the open page goes on, and says that
   it must not be closed. */
import { reach } from "./connection.js";
import { Drafts } from "./drafts.js";
import { Kept, deviceKey, keptFor, kindOf } from "./kept.js";
import { formSays, mayStopUse, wrongForm } from "./kept-form.js";
import { KeptList } from "./kept-list.js";
import { isHeld } from "./keys.js";
import { isChanged } from "./live.js";
import { NotLetIn } from "./kept-lost.js";
import { isStartDue, mounted, refusedHere } from "./kept-safety.js";
import { Sending } from "./kept-sending.js";
import { Pack, forgetPacks } from "./pocket-pack.js";

const REST = 800;
const AGAIN = 10000;
const SOON = 300;
const SENDING = "sending";
const LOCK = "tall-ledger sends";
const ONLY_HERE = "No connection. This page goes on without it; do not close or reload it: this browser does not trust the computer’s"
  + " certificate, so the page cannot be opened again until the connection is back.";
const GOES_ON = "No connection. What you record is kept here and sent when it is back.";
const KEEPS_NOTHING = "No connection, and this browser keeps nothing, as in a private window. Nothing was recorded: write it down, or"
  + " leave this page open and press again when the connection is back.";
const FULL = "No connection, and there is no room left on this device. Nothing was recorded: make room, or write it down.";

const at = (address) => new URL(address, location.href);
const stepAsked = (address) => at(address).searchParams.get("step") || "";

class Without {
  survey = document.body.dataset.survey || "";
  pack = null;
  kept = null;
  entries = [];
  sending = false;
  lost = false;
  laid = false;

  async begin() {
    this.list = new KeptList(this);
    await this.openStore();
    await this.look();
    await this.takeOver();
    this.watchSending();
    if (!this.survey) { return; }
    this.registerWorker();
    /* Not to be cleared away when room is short. */
    if (navigator.storage && navigator.storage.persist) { navigator.storage.persist().catch(() => { /* Then it may be. */ }); }
    if (Pack.here()) {
      this.pack = Pack.here();
      document.documentElement.classList.add("without");
      this.lost = true;
      this.seenUpTo(this.pack.head());
      this.showAsked();
    } else {
      this.seenUpTo(Number(document.body.dataset.head));
      setTimeout(() => this.bring(), REST);
    }
    document.addEventListener("click", (event) => this.onClick(event));
    window.addEventListener("popstate", () => { if (this.pack && this.lost) { this.showAsked(); } });
  }

  watchSending() {
    ["online", "pageshow"].forEach((when) => window.addEventListener(when, () => this.send()));
    setInterval(() => this.send(), AGAIN);
    this.send();
  }

  async openStore() {
    try {
      this.kept = await Kept.open();
    } catch (none) {
      this.kept = null;
    }
  }

  /* What a page was sending when it was left. */
  async takeOver() {
    const left = this.entries.filter((entry) => entry.state === SENDING);
    await Promise.all(left.map((entry) => this.kept.put({ ...entry, state: "waits" })));
    if (left.length) { await this.look(); }
  }

  registerWorker() {
    if (!navigator.serviceWorker || !window.isSecureContext) { return; }
    navigator.serviceWorker.register("/service-worker.js").catch(() => { /* Not trusted: the open page goes on by itself. */ });
  }

  opensAgain() { return Boolean(navigator.serviceWorker && navigator.serviceWorker.controller); }

  async bring() {
    if (this.bringing) { return; }
    this.bringing = true;
    try {
      this.pack = await Pack.bring(this.survey, this.pack || await Pack.kept(this.survey));
      document.documentElement.dataset.packed = this.pack.main().dataset.pack;
    } catch (lost) {
      this.pack = this.pack || await Pack.kept(this.survey).catch(() => null);
    } finally {
      this.bringing = false;
    }
  }

  /* What somebody has seen here is no clash with what they record after it. */
  seenUpTo(head) {
    try {
      const name = "seen " + this.survey;
      window.localStorage.setItem(name, String(Math.max(head, Number(window.localStorage.getItem(name) || 0))));
    } catch (blocked) {
      this.seenHere = Math.max(head, this.seenHere || 0);
    }
  }

  seen() {
    try {
      return Number(window.localStorage.getItem("seen " + this.survey) || this.seenHere || 0);
    } catch (blocked) {
      return this.seenHere || 0;
    }
  }

  async look() {
    this.entries = this.kept ? await this.kept.all().catch(() => this.entries) : this.entries;
    this.list.show(this.entries);
    this.mark();
  }

  /* Of a thousand that are sent one after the other not each is shown. */
  lookSoon() {
    if (this.soon) { return; }
    this.soon = setTimeout(() => {
      this.soon = null;
      this.look();
    }, SOON);
  }

  waiting() { return this.entries.filter((entry) => entry.survey === this.survey && entry.state !== "sent"); }

  /* What the pack does not know of: what is not sent, and what was sent since it was fetched. */
  since() {
    const head = this.pack ? this.pack.head() : 0;
    return this.entries.filter((entry) => entry.survey === this.survey && (entry.state !== "sent" || entry.entry > head));
  }

  /* In the list of steps: what is kept of each. */
  mark() {
    document.querySelectorAll("nav.steps .kept-mark").forEach((mark) => mark.remove());
    const steps = new Set(this.waiting().filter((entry) => !["photos", "start", "later"].includes(entry.kind)).map((entry) => entry.step));
    document.querySelectorAll("nav.steps a").forEach((link) => {
      if (steps.has(stepAsked(link.getAttribute("href")))) {
        const mark = document.createElement("span");
        mark.className = "kept-mark";
        mark.textContent = "kept here";
        link.append(mark);
      }
    });
  }

  say(text) {
    let line = document.querySelector(".lost");
    if (!line) {
      if (!text) { return; }
      line = this.line("", "lost");
      line.setAttribute("role", "status");
      (document.querySelector("#step") || document.querySelector("main")).prepend(line);
    }
    line.textContent = text;
    line.hidden = !text;
  }

  /* ---- Steps from the device ---- */

  links() { return Array.from(document.querySelectorAll("nav.steps a")); }

  /** The next that is open and not kept, after one; the first of all where there is none behind it. */
  after(key) {
    const links = this.links();
    const keys = links.map((link) => stepAsked(link.getAttribute("href")));
    const done = new Set(this.waiting().map((entry) => entry.step));
    const open = links.map((link, i) => ({ key: keys[i], open: Boolean(link.querySelector(".mark.is-open")) && !done.has(keys[i]) }));
    const from = keys.indexOf(key);
    const next = open.find((step, i) => i > from && step.open) || open.find((step) => step.open);
    return next ? next.key : keys[0];
  }

  showAsked() {
    const path = location.pathname;
    if (path.endsWith("/kit")) { this.showKit(); return; }
    if (!path.endsWith("/run")) {
      this.show(this.after(""), "That page needs the connection. The run sheet and the kit go on without it.");
      return;
    }
    this.show(stepAsked(location.href) || this.after(""), "");
  }

  limits() { return this.pack.safety(); }

  show(key, note) {
    const step = this.pack.step(key);
    if (!step) {
      const other = this.after("");
      if (this.pack.step(other)) { this.show(other, "That step is not on this device."); }
      return;
    }
    const refused = refusedHere(step, this.since(), this.limits());
    const due = step.turns && !refused && isStartDue(this.limits(), this.since(), Date.now());
    const part = this.pack.part("step " + key);
    let open = part.querySelector(".open-step");
    if (refused || due) {
      const name = open.querySelector("#step-name").textContent;
      open = document.createElement("div");
      open.className = "open-step";
      if (due) {
        open.append(this.pack.part("start"));
        open.querySelector("#step-name").after(this.line("Then: " + name, "task"));
      } else {
        const head = document.createElement("h1");
        head.id = "step-name";
        head.textContent = name;
        open.append(head, this.line(refused, "wrong"));
      }
    }
    this.lay(key, open, part.querySelector(".of-step"), note);
  }

  showKit() {
    const part = this.pack.part("kit");
    this.lay("", part.querySelector(".open-step"), null, "");
  }

  line(text, look) {
    const made = document.createElement("p");
    made.className = look;
    made.textContent = text;
    return made;
  }

  lay(key, open, beside, note) {
    this.laid = true;
    const step = document.querySelector("#step");
    const line = step.querySelector(".connection");
    if (line) { line.hidden = true; }
    const alarm = this.pack.page.querySelector("#step .stopuse");
    const closed = this.pack.page.querySelector("#step .closed");
    const own = [closed, alarm].map((part) => part && document.importNode(part, true));
    const before = [line, ...own, note && this.noted(note)].filter((part) => part);
    step.replaceChildren(...before, open);
    step.dataset.step = key;
    const margin = this.pack.page.querySelector("aside.margin");
    document.querySelector("aside.margin").replaceWith(document.importNode(margin, true));
    if (beside) { document.querySelector("aside.margin .of-step").replaceWith(beside); }
    document.querySelectorAll("aside.margin input[name=step], #step .start input[name=step]").forEach((field) => { field.value = key; });
    document.querySelectorAll("aside.margin select[name=task]").forEach((field) => {
      field.value = this.pack.soundAt(key);
      /* That is how it begins, and nothing half typed. */
      Array.from(field.options).forEach((option) => { option.defaultSelected = option.selected; });
    });
    document.querySelectorAll("input[name=submission]").forEach((field) => { field.value = deviceKey(); });
    document.querySelectorAll("input[name=seen]").forEach((field) => { field.value = String(this.seen()); });
    this.links().forEach((link) => {
      const here = key && stepAsked(link.getAttribute("href")) === key;
      if (here) {
        link.setAttribute("aria-current", "step");
        link.closest("details").open = true;
      } else {
        link.removeAttribute("aria-current");
      }
    });
    document.documentElement.classList.remove("steps-open", "pages-open");
    this.say(this.lost ? (this.opensAgain() ? GOES_ON : ONLY_HERE) : "");
    this.mark();
    window.scrollTo(0, 0);
    document.dispatchEvent(new CustomEvent("step-shown"));
    step.focus({ preventScroll: true });
  }

  noted(text) {
    const made = this.line(text, "done kept-now");
    made.setAttribute("role", "status");
    return made;
  }

  go(address, note) {
    const to = at(address);
    if (to.href !== location.href) { window.history.pushState(null, "", to.href); }
    if (to.pathname.endsWith("/kit")) { this.showKit(); } else { this.show(stepAsked(to.href) || this.after(""), note || ""); }
  }

  /* Without a worker a link that leads nowhere would lose the page. */
  onClick(event) {
    const link = event.target.closest("a[href]");
    if (!link || event.defaultPrevented || event.button || isHeld(event) || event.shiftKey || this.opensAgain()) { return; }
    const to = at(link.getAttribute("href"));
    if (to.origin !== location.origin || (to.pathname === location.pathname && to.search === location.search && to.hash)) { return; }
    if (!this.pack) { return; }
    event.preventDefault();
    this.leave(to);
  }

  /** Goes where a link leads, if it can; lays open from the device what is there. */
  leave(to) {
    reach().then(() => { location.href = to.href; }).catch(() => {
      this.lost = true;
      const run = "/surveys/" + this.survey + "/";
      if (to.pathname === run + "run" || to.pathname === run + "kit") { this.go(to.href); } else {
        this.say("No connection: that page cannot be opened now. The run sheet and the kit go on.");
      }
    });
  }

  /* ---- What is recorded ---- */

  /** Whether a form can be kept here where it cannot be sent. */
  keeps(form, by) {
    return Boolean(this.survey && isPocketed() && keptFor(form.action, location.href) && !(by && by.getAttribute("formaction"))
      && document.body.dataset.device !== "reads");
  }

  /** A form that could not be sent. @param draft what half-typed forms keep of it */
  async keep(form, by, draft) {
    if (!this.kept) { await this.openStore(); }
    if (!this.kept) { this.say(KEEPS_NOTHING); return false; }
    if (!this.pack) { this.pack = Pack.here() || await Pack.kept(this.survey).catch(() => null); }
    this.lost = true;
    const fields = Array.from(new FormData(form).entries()).filter(([, value]) => typeof value === "string");
    if (by && by.name) { fields.push([by.name, by.value]); }
    const kind = kindOf(new URL(form.action).pathname);
    const step = (fields.find(([name]) => name === "step") || ["", ""])[1];
    const known = this.pack && this.pack.step(step);
    const wrong = this.pack ? wrongForm(kind, form, fields, known, this.since(), this.limits()) : "";
    if (wrong) { this.say(wrong); return false; }
    const key = (form.querySelector("[name=submission]") || {}).value || deviceKey();
    const name = ((form.closest("#step") || document).querySelector("#step-name") || { textContent: "" }).textContent.trim();
    const entry = { survey: this.survey, action: new URL(form.action).pathname, kind, step, fields, key, seen: this.seen(),
      made: Date.now(), state: "waits", draft, says: formSays(kind, name, form, by) };
    if (kind === "start") { entry.mounted = mounted(fields, document.body.dataset.unit); }
    Object.assign(entry, mayStopUse(kind, form, fields, known));
    return this.put(entry, form);
  }

  /**
   * A photograph, made small already, a film or a recording, while it is being sent: should the page be left, another sends it.
   *
   * @returns its number; 0 where nothing can be kept
   */
  async holdPhoto(action, fields, key, photo, what) {
    if (!this.kept) { return 0; }
    const step = (fields.find(([name]) => name === "step") || ["", ""])[1];
    const caption = (fields.find(([name]) => name === "caption") || ["", ""])[1];
    const says = { photo: "Photograph", film: "Film", sound: "Sound recording" }[what] + (caption ? ": " + caption : "");
    return this.kept.add({ survey: this.survey, action: new URL(action).pathname, kind: "photos", step, fields, key, seen: 0,
      made: Date.now(), state: SENDING, photo, what, says })
      .catch(() => 0);
  }

  /** It was not sent: it waits. @returns false where it could not be kept */
  async keepPhoto(n) {
    this.lost = true;
    await this.look();
    const held = this.entries.find((entry) => entry.n === n);
    if (!held) { this.say(this.kept ? FULL : KEEPS_NOTHING); return false; }
    await this.kept.put({ ...held, state: "waits" });
    await this.look();
    return true;
  }

  async put(entry, form) {
    try {
      await this.kept.add(entry);
    } catch (failed) {
      this.say(failed && failed.name === "QuotaExceededError" ? FULL : KEEPS_NOTHING);
      return false;
    }
    await this.look();
    if (form) { this.goOn(entry); }
    this.send();
    return true;
  }

  goOn(entry) {
    const note = "Kept here, not judged yet: " + entry.says + ".";
    if (!this.pack || !document.querySelector("#step")) { this.say(note); return; }
    if (entry.kind.startsWith("kit")) {
      this.showKit();
      document.querySelector("#step .open-step").before(this.noted(note));
      return;
    }
    const stays = ["start", "stop", "plan", "camera"].includes(entry.kind);
    this.go("/surveys/" + this.survey + "/run?step=" + encodeURIComponent(stays ? entry.step : this.after(entry.step)), note);
  }

  /* ---- Sending ---- */

  async send() {
    if (this.sending || !this.kept) { return; }
    await this.look();
    if (!this.entries.some((entry) => entry.state === "waits")) {
      if (this.lost) { reach().then(() => this.found()).catch(() => { /* Still none. */ }); }
      return;
    }
    this.sending = true;
    try {
      await this.alone(() => new Sending(this.kept, () => this.lookSoon()).send());
      this.found();
      this.list.note("");
    } catch (failed) {
      if (failed instanceof NotLetIn) {
        await forgetPacks();
        this.list.note("This device is not let in any more. What it holds stays here: let it in again, and it is sent.");
      }
    } finally {
      this.sending = false;
      await this.look();
    }
    if (!this.lost && this.survey) { this.bring(); }
  }

  /* The connection is back: a page that was laid open from the device is loaded as it stands now, unless somebody types in it. */
  found() {
    this.lost = false;
    this.say("");
    document.querySelectorAll("#step .kept-now").forEach((note) => note.remove());
    const typed = Array.from(document.querySelectorAll("main form")).some((form) => Array.from(form.elements).some(isChanged));
    if (this.laid && !typed && !document.hidden) { location.reload(); }
  }

  /* Two pages of one device do not send side by side; if they did, each entry would still be written once. */
  alone(work) {
    return navigator.locks ? navigator.locks.request(LOCK, { ifAvailable: true }, (lock) => (lock ? work() : null)) : work();
  }

  async again(entry, changes) {
    await this.kept.put({ ...entry, ...changes, state: "waits" });
    await this.look();
    this.send();
  }

  /* Whoever was at the machine says so; what the record comes to is judged when it is sent. */
  async saidGood(entry) {
    await this.kept.put({ ...entry, stopsUse: false, mayBeGood: false });
    await this.look();
    if (this.laid) { this.showAsked(); }
  }

  async leaveOut(entry) {
    await this.kept.remove(entry.n);
    await this.look();
  }

  /** Opens its step with all that was typed, to be mended there. */
  async takeUp(entry) {
    const run = "/surveys/" + entry.survey + "/run";
    new Drafts(window.localStorage).keep(run + " " + entry.step, entry.draft);
    await this.leaveOut(entry);
    goTo(run + "?step=" + encodeURIComponent(entry.step));
  }

  async forgetSent() {
    await Promise.all(this.entries.filter((entry) => entry.state === "sent").map((entry) => this.kept.remove(entry.n)));
    await this.look();
  }
}

/** Whether this is a device that may lose its connection: one that was let in, or one that is typed on with fingers. */
export function isPocketed() {
  return Boolean(document.body.dataset.device) || window.matchMedia("(pointer: coarse)").matches;
}

let one = null;

/** Whether what the page shows now was laid open from the device. */
export function isLaidOpen() { return one !== null && one.laid; }

export function keepsHere(form, by) { return one !== null && one.keeps(form, by); }

export function keepHere(form, by, draft) { return one.keep(form, by, draft); }

export function holdPhoto(action, fields, key, photo, what) {
  return one ? one.holdPhoto(action, fields, key, photo, what) : Promise.resolve(0);
}

/** It was not sent, and waits. */
export function keepPhotoHere(n) { return one && n ? one.keepPhoto(n) : Promise.resolve(false); }

/** It was answered. */
export function letGo(n) { if (one && n) { one.leaveOut({ n }); } }

/** Goes to another step by a swipe, as a link would. */
export function goTo(address) {
  if (one && one.pack && !one.opensAgain()) { one.leave(at(address)); } else { location.href = address; }
}

export function goOnWithout() {
  if (!isPocketed()) { return; }
  one = new Without();
  one.begin();
}
