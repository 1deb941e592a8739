/* What others write appears on the pages that are open on the same survey, and who is at which step. Nothing that is half typed moves:
   such a page is told in a line, and only its list of steps is made anew. */

const PATIENCE = 200;
const AGAIN = 30000;
/* Somebody works on these: they are never loaded anew by themselves. */
const AT_WORK = ["run", "cycles", "machine", "none"];
const LOADED = "loaded for";

/** What an entry says in one line. */
export function told(news) {
  return news.by + ": " + (news.step ? news.step + ", " : "") + news.says;
}

/** Whether a field is another than it came. */
export function isChanged(field) {
  if (field.type === "checkbox" || field.type === "radio") { return field.checked !== field.defaultChecked; }
  if (field.options) { return Array.from(field.options).some((o) => o.selected !== o.defaultSelected && !isFirstOfNone(field, o)); }
  return field.defaultValue !== undefined && field.type !== "hidden" && field.value !== field.defaultValue;
}

/* Where none is chosen a browser chooses the first by itself. */
function isFirstOfNone(field, option) {
  return option === field.options[0] && !Array.from(field.options).some((o) => o.defaultSelected);
}

/** The step an address of the run sheet names. */
export function stepOf(address) {
  return new URLSearchParams(address.split("?")[1] || "").get("step") || "";
}

/** What was open stays open, and the step one is at stays marked, in the part that comes instead. */
function keepPlace(old, fresh) {
  const folds = old.querySelectorAll("details");
  fresh.querySelectorAll("details").forEach((d, i) => { if (folds[i]) { d.open = folds[i].open; } });
  const here = old.querySelector("a[aria-current]");
  if (here) {
    fresh.querySelectorAll("a[aria-current]").forEach((a) => a.removeAttribute("aria-current"));
    fresh.querySelectorAll("a").forEach((a) => {
      if (a.getAttribute("href") === here.getAttribute("href")) { a.setAttribute("aria-current", "step"); }
    });
  }
}

class LivePage {
  survey;
  page;
  step;
  shown;
  source = null;
  waiting = null;
  there = [];

  constructor(body) {
    this.survey = body.dataset.survey;
    this.page = body.dataset.page;
    this.shown = Number(body.dataset.head);
    this.step = (document.querySelector("[data-step]") || { dataset: {} }).dataset.step || "";
  }

  /* A page nobody looks at holds no connection: a browser has few for each address. */
  listen() {
    if (this.source || document.hidden) { return; }
    const source = new EventSource("/surveys/" + this.survey + "/live?step=" + encodeURIComponent(this.step));
    this.source = source;
    source.addEventListener("head", (e) => this.caughtUp(JSON.parse(e.data).head));
    source.addEventListener("entry", (e) => this.came(JSON.parse(e.data)));
    source.addEventListener("there", (e) => { this.there = JSON.parse(e.data).there; this.showThere(); });
    source.addEventListener("error", () => {
      if (source.readyState === EventSource.CLOSED && this.source === source) {
        this.source = null;
        setTimeout(() => this.listen(), AGAIN);
      }
    });
  }

  leave() {
    if (this.source) { this.source.close(); }
    this.source = null;
  }

  caughtUp(head) {
    if (head > this.shown) {
      const more = head - this.shown;
      this.shown = head;
      this.show(more === 1 ? "One entry came since this page was shown." : more + " entries came since this page was shown.");
    }
  }

  came(news) {
    if (news.head <= this.shown || document.documentElement.dataset.sending) { return; }
    this.shown = news.head;
    this.show(told(news));
  }

  isIdle() {
    const at = document.activeElement;
    return !AT_WORK.includes(this.page) && !(at && at.matches("input, textarea, select"))
      && !Array.from(document.querySelectorAll("main form")).some((f) => Array.from(f.elements).some(isChanged));
  }

  show(text) {
    const parts = document.querySelectorAll("[data-live]");
    if (parts.length === 0 && this.isIdle() && window.sessionStorage.getItem(LOADED) !== this.survey + " " + this.shown) {
      window.sessionStorage.setItem(LOADED, this.survey + " " + this.shown);
      location.reload();
      return;
    }
    if (this.page !== "board") { this.say(text); }
    clearTimeout(this.waiting);
    if (parts.length > 0) { this.waiting = setTimeout(() => this.bring(), PATIENCE); }
  }

  say(text) {
    let line = document.querySelector(".others");
    if (!line) {
      line = document.createElement("p");
      line.className = "note others";
      line.setAttribute("role", "status");
      (document.querySelector("#step") || document.querySelector("main .body") || document.querySelector("main")).prepend(line);
    }
    const anew = document.createElement("a");
    anew.href = location.href;
    anew.textContent = "Show this page anew";
    line.replaceChildren(text + " ", anew);
  }

  bring() {
    fetch(location.href, { cache: "no-store" }).then((answer) => answer.text()).then((html) => {
      const fresh = new DOMParser().parseFromString(html, "text/html");
      document.querySelectorAll("[data-live]").forEach((old) => {
        const part = fresh.querySelector('[data-live="' + old.dataset.live + '"]');
        if (part) {
          keepPlace(old, part);
          old.replaceWith(part);
        }
      });
      this.showThere();
    }).catch(() => { /* The next entry brings it, or the next look. */ });
  }

  showThere() {
    const links = Array.from(document.querySelectorAll("nav.steps a"));
    const name = (step) => links.filter((a) => stepOf(a.getAttribute("href")) === step).map((a) => a.querySelector(".name").textContent)[0];
    document.querySelectorAll("[data-there]").forEach((list) => {
      list.hidden = this.there.length === 0;
      list.replaceChildren(...this.there.map((t) => {
        const item = document.createElement("li");
        const who = document.createElement("b");
        who.textContent = t.who;
        item.append(who, " is at " + (name(t.step) || t.name));
        return item;
      }));
    });
  }
}

export function watchOthers() {
  const { body } = document;
  if (!body.dataset.survey || !window.EventSource || body.dataset.answers) { return; }
  const page = new LivePage(body);
  page.listen();
  document.addEventListener("visibilitychange", () => { if (document.hidden) { page.leave(); } else { page.listen(); } });
  window.addEventListener("pagehide", () => page.leave());
  window.addEventListener("pageshow", () => page.listen());
}
