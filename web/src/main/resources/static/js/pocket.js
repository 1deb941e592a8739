/* The run sheet in one hand: its keys at the bottom of a small screen, a pad of figures, the next step by a swipe. The screen stays on
   while a step is open, and a short buzz says that something was recorded. Everything stands on the page without it. */

import { goTo } from "./without.js";

const SMALL = "(max-width: 600px)";
const SWIPE = 70;
const SLANT = 0.5;
const BUZZ = 40;
const A_PRESS = 300;
const HAND = "hand";
const NUMBERS = "input[inputmode=decimal], input[inputmode=numeric], .series input[type=text]";
const FIGURES = [["7", "8", "9", "del", "abc"], ["4", "5", "6", "−", ""], ["1", "2", "3", "/", ""], ["0", ".", "space", "next", ""]];
const UNITS = { MM: ["mm", "µm"], INCH: ["in", "thou"] };

/** The keys of the pad in their order: figures, sign, fraction, the machine's units, letters, the next field. */
export function padKeys(unit) {
  const units = [...(UNITS[unit] || UNITS.MM), ":"];
  return FIGURES.flat().map((key) => key || units.shift());
}

/** What stands in a field after a key, and where one is in it. */
export function pressed(text, from, to, key) {
  if (key === "del") {
    const start = from === to ? Math.max(0, from - 1) : from;
    return { text: text.slice(0, start) + text.slice(to), at: start };
  }
  const typed = { space: " ", "−": "-" }[key] || (/^[a-zµ]/.test(key) ? " " + key : key);
  return { text: text.slice(0, from) + typed + text.slice(to), at: from + typed.length };
}

/** Which way a finger went: next, back, or neither. */
export function swiped(dx, dy) {
  if (Math.abs(dx) < SWIPE || Math.abs(dy) > Math.abs(dx) * SLANT) { return ""; }
  return dx < 0 ? "next" : "back";
}

/** The addresses before and behind the one that is open. */
export function neighbours(addresses, here) {
  const at = addresses.indexOf(here);
  return { back: at > 0 ? addresses[at - 1] : null, next: at >= 0 && at < addresses.length - 1 ? addresses[at + 1] : null };
}

const make = (name, text, look) => {
  const made = document.createElement(name);
  made.className = "button" + (look ? " " + look : "");
  if (name === "button") { made.type = "button"; }
  made.textContent = text;
  return made;
};

const row = (look, label) => {
  const made = document.createElement("div");
  made.className = look;
  made.setAttribute("role", "group");
  made.setAttribute("aria-label", label);
  return made;
};

/* The same key of a form, where a thumb reaches it. */
function atHand(form, key) {
  if (!form.id) { form.id = "at-hand-" + document.querySelectorAll("form[id^=at-hand]").length; }
  const made = make("button", key.textContent.trim(), key.classList.contains("is-ink") ? "is-ink" : "");
  made.type = "submit";
  made.setAttribute("form", form.id);
  if (key.name) {
    made.name = key.name;
    made.value = key.value;
  }
  return made;
}

class Pocket {
  root = document.documentElement;
  field = null;
  lock = null;

  /* Anew for each step that is laid open. */
  lay() {
    document.querySelectorAll(".thumb").forEach((old) => old.remove());
    this.field = null;
    this.root.classList.remove("padded");
    const bar = document.createElement("div");
    bar.className = "thumb";
    const form = document.querySelector("#step form:has(.closing)");
    this.pad = row("pad", "Figures");
    this.pad.hidden = true;
    bar.append(this.pad);
    if (form) {
      const closing = form.querySelector(".closing");
      const keys = row("do", "This step");
      closing.querySelectorAll(":scope > button[type=submit]").forEach((key) => keys.append(atHand(form, key)));
      closing.classList.add("at-hand");
      bar.append(keys);
    }
    bar.append(this.ways(), this.others());
    this.fold();
    document.querySelector("#sheet").append(bar);
    this.layPad();
    this.root.classList.add("pocket");
    this.root.classList.toggle("left-hand", this.kept() === "left");
  }

  ways() {
    const links = Array.from(document.querySelectorAll("nav.steps a")).map((a) => a.getAttribute("href"));
    const here = document.querySelector("nav.steps a[aria-current]");
    this.near = neighbours(links, here ? here.getAttribute("href") : "");
    const ways = row("ways", "Other steps");
    const link = (address, text) => {
      if (!address) { return; }
      const made = make("a", text);
      made.href = address;
      ways.append(made);
    };
    link(this.near.back, "‹ Back");
    const steps = make("button", "Steps");
    steps.setAttribute("aria-expanded", "false");
    steps.addEventListener("click", () => this.toggle("steps-open", steps));
    ways.append(steps);
    const photo = document.querySelector("#photo");
    if (photo && window.parent === window) {
      const take = make("button", "Photo");
      /* Taken from here it goes at once. */
      take.addEventListener("click", () => {
        photo.addEventListener("change", () => { if (photo.files.length) { photo.form.requestSubmit(); } }, { once: true });
        photo.click();
      });
      ways.append(take);
    }
    if (document.querySelector("#sound-here")) {
      const sound = make("button", "Sound");
      sound.addEventListener("click", () => {
        this.show(null);
        const start = document.querySelector("#sound-here [data-sound=record]");
        start.closest("details").open = true;
        start.scrollIntoView({ block: "center" });
        start.focus();
      });
      ways.append(sound);
    }
    link(this.near.next, "Next ›");
    return ways;
  }

  /* What ends a step without a record, and what ends the start. */
  others() {
    const others = row("not-now", "Not now");
    [["/later", "Later"], ["/stop", "Stopped"]].forEach(([ending, text]) => {
      const form = document.querySelector("aside.margin form[action$='" + ending + "']");
      if (!form) { return; }
      const key = atHand(form, form.querySelector("button"));
      key.setAttribute("aria-label", key.textContent);
      key.textContent = text;
      others.append(key);
    });
    const reason = document.querySelector("#reason");
    if (reason) {
      const pass = make("button", "Pass over");
      pass.addEventListener("click", () => {
        this.show(null);
        reason.closest("details").open = true;
        reason.focus();
        reason.scrollIntoView({ block: "center" });
      });
      others.append(pass);
    }
    return others;
  }

  /* Limit, worth and plan are looked up; what is pressed stands in the bar. */
  fold() {
    const margin = document.querySelector("aside.margin");
    if (!margin || margin.querySelector(".beside")) { return; }
    const beside = document.createElement("details");
    beside.className = "beside";
    const summary = document.createElement("summary");
    summary.textContent = "Limit, worth and plan";
    beside.append(summary, ...Array.from(margin.children).filter((part) => !part.matches(".more-of-step, .how-long")));
    margin.prepend(beside);
  }

  toggle(what, key) {
    this.show(null);
    key.setAttribute("aria-expanded", String(this.root.classList.toggle(what)));
  }

  layPages() {
    const pages = make("button", "Pages", "pages-key");
    pages.setAttribute("aria-expanded", "false");
    pages.addEventListener("click", () => this.toggle("pages-open", pages));
    document.querySelector(".spine nav").before(pages);
    const hand = document.createElement("a");
    hand.href = "#hand";
    const say = () => { hand.textContent = this.kept() === "left" ? "Keys for the right hand" : "Keys for the left hand"; };
    say();
    hand.addEventListener("click", (event) => {
      event.preventDefault();
      this.keep(this.kept() === "left" ? "right" : "left");
      this.root.classList.toggle("left-hand", this.kept() === "left");
      say();
    });
    document.querySelector(".spine nav").append(hand);
  }

  /* A private window may keep nothing. */
  kept() { try { return window.localStorage.getItem(HAND); } catch { return null; } }

  keep(hand) { try { window.localStorage.setItem(HAND, hand); } catch { /* Then it holds for this page. */ } }

  /* Only where fingers type: whoever has keys uses them. */
  layPad() {
    if (!window.matchMedia("(pointer: coarse)").matches) { return; }
    padKeys(document.body.dataset.unit).forEach((key) => {
      const made = make("button", { del: "⌫", space: "space", next: "›" }[key] || key);
      made.tabIndex = -1;
      made.setAttribute("aria-label", { del: "Delete", next: "Next field", abc: "Letters", "−": "Minus" }[key] || key);
      /* The field keeps the focus. */
      made.addEventListener("pointerdown", (event) => event.preventDefault());
      made.addEventListener("click", () => this.press(key));
      this.pad.append(made);
    });
    document.querySelectorAll("#step form").forEach((form) => form.querySelectorAll(NUMBERS).forEach((field) => {
      field.inputMode = "none";
    }));
    const first = document.activeElement;
    if (first && first.inputMode === "none") { this.show(first); }
  }

  watchFocus() {
    document.addEventListener("focusin", (event) => {
      /* A key of the bar must not move from under the thumb while it is pressed. */
      if (event.target.closest(".thumb")) { return; }
      this.show(event.target.closest("#step") && event.target.inputMode === "none" ? event.target : null);
    });
    document.addEventListener("focusout", () => setTimeout(() => {
      if (document.activeElement === document.body) { this.show(null); }
    }, A_PRESS));
  }

  show(field) {
    this.field = field;
    this.pad.hidden = !field;
    this.root.classList.toggle("padded", Boolean(field));
    if (field) { field.scrollIntoView({ block: "center" }); }
  }

  press(key) {
    const { field } = this;
    if (!field) { return; }
    if (key === "abc") {
      field.inputMode = "text";
      field.blur();
      field.focus();
      return;
    }
    if (key === "next") {
      const all = Array.from(field.form.querySelectorAll(NUMBERS)).filter((f) => f.offsetParent);
      const next = all[all.indexOf(field) + 1];
      if (next) { next.focus(); } else { field.blur(); }
      return;
    }
    const now = pressed(field.value, field.selectionStart, field.selectionEnd, key);
    field.value = now.text;
    field.setSelectionRange(now.at, now.at);
    field.dispatchEvent(new Event("input", { bubbles: true }));
  }

  watchSwipes() {
    let from = null;
    document.addEventListener("touchstart", (event) => {
      const aside = event.target.closest(".scroll, svg, input, select, textarea, .thumb, .steps, .spine");
      from = event.touches.length === 1 && !aside ? event.touches[0] : null;
    }, { passive: true });
    document.addEventListener("touchend", (event) => {
      const to = event.changedTouches[0];
      const address = from && this.near[swiped(to.clientX - from.clientX, to.clientY - from.clientY)];
      from = null;
      if (address) { goTo(address); }
    }, { passive: true });
  }

  /* Where the browser has one, and while the page is looked at. */
  stayOn() {
    if (!navigator.wakeLock) { return; }
    const ask = () => {
      if (document.hidden) { return; }
      navigator.wakeLock.request("screen").then((lock) => { this.lock = lock; }).catch(() => { this.lock = null; });
    };
    ask();
    document.addEventListener("visibilitychange", ask);
  }
}

/** A short buzz where something was recorded just now. */
function buzz() {
  if (navigator.vibrate && document.querySelector(".done[data-recorded]")) { navigator.vibrate(BUZZ); }
}

export function watchPocket() {
  if (document.body.dataset.page !== "run" || !document.querySelector("#step") || !window.matchMedia(SMALL).matches) { return; }
  const pocket = new Pocket();
  pocket.layPages();
  pocket.lay();
  pocket.watchFocus();
  document.addEventListener("step-shown", () => pocket.lay());
  pocket.watchSwipes();
  pocket.stayOn();
  buzz();
}
