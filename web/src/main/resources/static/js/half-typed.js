/* What is half typed stays on this tablet until the server says it is recorded, with the key of its form: pressed again after a
   lost answer it finds the entry it wrote. Every form that is sent keeps what is in it. */
import { ConnectionLine, reach } from "./connection.js";
import { Drafts, fills, typedIn } from "./drafts.js";
import { isLaidOpen, keepHere, keepsHere } from "./without.js";

const KEYS = ["submission", "seen"];
const isTick = (e) => e.type === "checkbox" || e.type === "radio";
const cookie = (name) => (document.cookie.split("; ").find((c) => c.startsWith(name + "=")) || "").slice(name.length + 1);

/** One form of the page. */
class KeptForm {
  form;
  drafts;
  line;
  base;
  name;

  constructor(form, drafts, line) {
    this.form = form;
    this.drafts = drafts;
    this.line = line;
    this.base = form.dataset.keeps || (form.classList.contains("keeps") ? location.pathname + " " + this.value("step")
      : form.getAttribute("action") + " " + this.own().filter((e) => e.type === "hidden" && !KEYS.includes(e.name)).map((e) => e.value)
        .join(" "));
    /* Of a description there can be several half typed: each stays by itself, and is offered. */
    this.name = form.dataset.offers ? this.base + " " + this.value("submission") : this.base;
  }

  own() {
    return Array.from(this.form.elements)
      .filter((e) => e.name && e.name !== "_csrf" && !/^(submit|button|file|fieldset|output)$/.test(e.type));
  }

  value(name) { return (this.form.querySelector("[name=" + name + "]") || {}).value || ""; }

  isTypable() { return this.own().some((e) => e.type !== "hidden"); }

  draft() {
    const typed = this.own().filter((e) => (e.type !== "hidden" || this.form.dataset.whole) && !KEYS.includes(e.name))
      .map((e) => [e.name, e.value, isTick(e) ? e.checked : null]);
    return { typed, keys: KEYS.map((name) => [name, this.value(name)]), at: Date.now() };
  }

  save() { this.drafts.keep(this.name, this.draft()); }

  /* A form that holds a whole description is laid out by the server: rows and cells that are not there yet are asked for. */
  layOut(draft) {
    const put = (name, value) => {
      const field = document.createElement("input");
      field.type = "hidden";
      field.name = name;
      field.value = value;
      this.form.append(field);
    };
    this.own().forEach((e) => { e.disabled = true; });
    draft.typed.filter(([, , ticked]) => ticked !== false).forEach(([name, value]) => put(name, value));
    draft.keys.forEach(([name, value]) => put(name, value));
    put("do", "show");
    this.form.action = this.form.dataset.show || this.form.action;
    window.sessionStorage.setItem("laid out", this.base);
    this.form.submit();
  }

  isLaidOut(draft) {
    const names = new Set(this.own().map((e) => e.name));
    return draft.typed.every(([name]) => names.has(name));
  }

  sayItIsBack() {
    this.line.say("What you had half typed here is back.", this.form.dataset.whole ? null : this.form);
    this.line.offer("Forget it", () => {
      this.drafts.forget(this.name);
      location.replace(this.form.dataset.page || location.href);
    });
  }

  restore(draft) {
    const own = this.own();
    own.filter(isTick).forEach((e) => { e.checked = false; });
    fills(draft, own.map((e) => ({ name: e.name, value: e.value, ticks: isTick(e) }))).forEach(({ at, value, ticked }) => {
      if (value === undefined) { own[at].checked = ticked; } else { own[at].value = value; }
      if (value && own[at].type === "text" && value !== own[at].defaultValue) { own[at].closest("details")?.setAttribute("open", ""); }
    });
    /* An entry goes onto whatever is there by now; a whole description only onto the one it was made from. */
    draft.keys.filter(([name]) => name === "submission" || this.form.dataset.whole).forEach(([name, value]) => {
      const field = this.form.querySelector("[name=" + name + "]");
      if (field && value) { field.value = value; }
    });
    for (let fold = this.form.closest("details"); fold; fold = fold.parentElement.closest("details")) { fold.open = true; }
    this.sayItIsBack();
  }

  offer() {
    const others = this.drafts.others(this.base, this.name);
    if (!others.length) { return; }
    const { form, draft } = others[0];
    const more = others.length > 1 ? " (and " + (others.length - 1) + " older)" : "";
    this.line.say("A description you left half typed is kept here: “" + (typedIn(draft, "name") || "without a name") + "”"
      + (draft.at ? ", " + new Date(draft.at).toLocaleString() : "") + more + ".");
    this.line.offer("Go on with it", () => this.layOut(draft));
    this.line.offer("Forget it", () => {
      this.drafts.forget(form);
      this.line.hide();
      this.offer();
    });
  }

  /** Brings back what was half typed. @returns false where the page is left for one that the server lays out */
  begin() {
    const draft = this.drafts.of(this.name);
    const isAnswer = document.body.dataset.answers && window.sessionStorage.getItem("sent") === this.name;
    if (this.form.dataset.refused || isAnswer) {
      if (this.isTypable()) { this.save(); }
      if (window.sessionStorage.getItem("laid out") === this.base) { this.sayItIsBack(); }
    } else if (this.form.dataset.offers) {
      this.offer();
    } else if (draft && this.form.dataset.whole && !this.isLaidOut(draft)) {
      this.layOut(draft);
      return false;
    } else if (draft) {
      this.restore(draft);
    }
    return true;
  }

  watch() {
    this.form.addEventListener("input", () => this.save());
    this.form.addEventListener("change", () => this.save());
    let isReached = false;
    this.form.addEventListener("submit", (event) => {
      if (isReached) { return; }
      event.preventDefault();
      const by = event.submitter;
      document.documentElement.dataset.sending = "yes";
      if (this.isTypable()) { this.save(); }
      reach().then(() => {
        /* Its token is the server's to give: what was laid open from the device goes the device's way. */
        if (isLaidOpen()) { throw new Error("laid open from the device"); }
        isReached = true;
        window.sessionStorage.setItem("sent", this.name);
        if (!this.value("submission")) { this.drafts.forget(this.name); }
        this.form.requestSubmit(by);
      }).catch(() => {
        delete document.documentElement.dataset.sending;
        if (!keepsHere(this.form, by)) {
          this.line.sayNothingWasSent(this.form);
          return;
        }
        keepHere(this.form, by, this.draft()).then((kept) => { if (kept) { this.drafts.forget(this.name); } });
      });
    });
    /* Photographs go their own way. */
    this.form.addEventListener("taken", () => this.drafts.forget(this.name));
    window.addEventListener("pageshow", () => {
      isReached = false;
      delete document.documentElement.dataset.sending;
    });
  }
}

const watched = new WeakSet();
let line = null;

/** All forms that are on the page now and were not before. */
export function keepHalfTyped() {
  let drafts;
  try {
    drafts = new Drafts(window.localStorage);
    drafts.recorded(cookie("recorded"));
  } catch (blocked) {
    /* A browser that keeps nothing keeps nothing half typed. */
    return;
  }
  const forms = Array.from(document.querySelectorAll("form[method=post], form.keeps")).filter((form) => !watched.has(form));
  if (!forms.length) { return; }
  if (!line) {
    line = new ConnectionLine(forms[0]);
    line.watch();
  }
  forms.forEach((form) => watched.add(form));
  forms.map((form) => new KeptForm(form, drafts, line)).forEach((kept) => {
    if (kept.begin()) {
      window.sessionStorage.removeItem("laid out");
      kept.watch();
    }
  });
  window.sessionStorage.removeItem("sent");
}
