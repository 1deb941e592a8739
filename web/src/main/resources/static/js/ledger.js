/* What must move without a round trip: tap key, stopwatch, event keys, the plate grid's keys, and what is half typed kept on this
   tablet. Everything else is a form that posts. */
"use strict";

document.documentElement.classList.add("has-script");

/** Whether a key press belongs to a field, a button or a link, and not to the page. */
function isTyping(event) {
  return event.target.closest("input, textarea, select, button, a, summary") !== null;
}

document.addEventListener("alpine:init", () => {

  /* Tap key: N turns are N + 1 taps, the first starts the clock. Fills the two fields that a person could also type. */
  Alpine.data("run", () => ({
    first: null,
    taps: 0,
    tap(event) {
      if (event.button) { return; }
      this.count(event.timeStamp);
    },
    tapByKey(event) {
      if ((event.key === " " || event.key === "Enter") && !event.repeat) {
        event.preventDefault();
        this.count(event.timeStamp);
      }
    },
    bySpace(event) {
      if (event.key === " " && !event.repeat && !isTyping(event) && this.$refs.turns) {
        event.preventDefault();
        this.count(event.timeStamp);
      }
    },
    count(now) {
      if (this.first === null || (now - this.last) > 8000) {
        this.first = now;
        this.taps = 0;
      }
      this.last = now;
      this.taps += 1;
      const turns = this.taps - 1;
      this.$refs.turns.value = turns > 0 ? String(turns) : "";
      this.$refs.seconds.value = turns > 0 ? ((now - this.first) / 1000).toFixed(2) : "";
    },
  }));

  /* Stopwatch: one key starts and stops it, and writes the seconds where a person could also type them. */
  Alpine.data("stopwatch", () => ({
    began: null,
    going: false,
    label: "Start the watch",
    press(event) {
      if (event.button) { return; }
      this.turn(event.timeStamp);
    },
    pressByKey(event) {
      if ((event.key === " " || event.key === "Enter") && !event.repeat) {
        event.preventDefault();
        this.turn(event.timeStamp);
      }
    },
    bySpace(event) {
      if (event.key === " " && !event.repeat && !isTyping(event) && this.$refs.seconds) {
        event.preventDefault();
        this.turn(event.timeStamp);
      }
    },
    turn(now) {
      if (this.going) {
        this.$refs.seconds.value = ((now - this.began) / 1000).toFixed(2);
        this.$refs.seconds.dispatchEvent(new Event("input", { bubbles: true }));
      }
      this.going = !this.going;
      this.began = now;
      this.label = this.going ? "Stop the watch" : "Start again";
    },
  }));

  /* Event keys of a cycle: each press adds a line to the log, seconds from the first. */
  Alpine.data("cycle", () => ({
    first: null,
    tap(event) {
      if (event.button) { return; }
      this.log(event.currentTarget.dataset.event, event.timeStamp);
    },
    tapByKey(event) {
      if ((event.key === " " || event.key === "Enter") && !event.repeat) {
        event.preventDefault();
        this.log(event.currentTarget.dataset.event, event.timeStamp);
      }
    },
    /* A digit is the event key it stands on, while the focus is among them and not in a field. */
    byDigit(event) {
      const typing = /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName);
      if (typing || event.repeat || event.ctrlKey || event.altKey || event.metaKey || !/^[1-9]$/.test(event.key)) { return; }
      const key = this.$refs.keys.querySelectorAll("[data-event]")[Number(event.key) - 1];
      if (key) {
        event.preventDefault();
        this.log(key.dataset.event, event.timeStamp);
      }
    },
    log(name, now) {
      const log = this.$refs.log;
      if (this.first === null) {
        const lines = log.value.trim().split("\n");
        const last = parseFloat((lines[lines.length - 1].match(/([\d.]+)\s*s?$/) || [])[1]);
        this.first = Number.isNaN(last) ? now : now - (last + 1) * 1000;
      }
      const text = log.value.replace(/\s*$/, "");
      log.value = (text ? text + "\n" : "") + name + " " + ((now - this.first) / 1000).toFixed(2);
      log.scrollTop = log.scrollHeight;
      log.dispatchEvent(new Event("input", { bubbles: true }));
    },
    clear() {
      this.first = null;
      this.$refs.log.value = "";
      this.$refs.log.focus();
    },
    /* A person's own script gets its keys as it is written. */
    rekey() {
      const names = [];
      this.$refs.script.value.split("\n").forEach((line) => {
        const never = line.match(/^\s*(never|hazard)\s+(.+?)\s*$/);
        const name = never ? never[2] : line.trim().replace(/(\s+[x×]\d+(-\d+)?)?(\s+[\d.,]+\s*-\s*[\d.,]+\s*s)?$/, "");
        if (name && names.indexOf(name) < 0) { names.push(name); }
      });
      const keys = this.$refs.keys;
      keys.replaceChildren(...names.map((name) => {
        const key = document.createElement("button");
        key.type = "button";
        key.className = "button tapkey";
        key.dataset.event = name;
        key.textContent = name;
        key.addEventListener("pointerdown", (event) => this.tap(event));
        key.addEventListener("keydown", (event) => this.tapByKey(event));
        return key;
      }));
    },
  }));

  /* A photograph too large is said before it is sent. */
  Alpine.data("photo", () => ({
    large: false,
    check(event) {
      const file = this.$refs.file.files[0];
      this.large = Boolean(file) && file.size > 15 * 1024 * 1024;
      if (this.large) { event.preventDefault(); }
    },
  }));

  /* Work that takes its time: asks how far it is, and goes on when it is done. A page without this has a key to look again. */
  Alpine.data("work", () => ({
    init() { this.ask(); },
    async ask() {
      const at = "/works/" + this.$el.dataset.work;
      const answer = await fetch(at + "/stand", { headers: { Accept: "application/json" } }).catch(() => null);
      if (answer && !answer.ok) { window.location.replace(at); return; }
      const how = answer ? await answer.json() : null;
      if (how && how.stand !== "GOES_ON") { window.location.replace(at); return; }
      if (how) {
        this.$refs.bar.value = how.share;
        if (this.$refs.doing.textContent !== how.doing) { this.$refs.doing.textContent = how.doing; }
      }
      setTimeout(() => this.ask(), 400);
    },
  }));

  /* Drive screen: sends the form as it stands and shows what the server reckons. The newest answer wins. */
  Alpine.data("drive", () => ({
    asked: 0,
    look(event) {
      const reckoned = /^(stage|cell|feed|reverses|interlocks|kilowatts|law|efficiency|family|unit|axis|phases)/;
      if (!reckoned.test(event.target.name || "")) { return; }
      const ticket = ++this.asked;
      const body = new URLSearchParams(new FormData(this.$root));
      fetch("/machines/preview", { method: "POST", body, headers: { "X-Requested-With": "fetch" } })
        .then((answer) => (answer.ok ? answer.text() : Promise.reject(answer.status)))
        .then((html) => { if (ticket === this.asked) { this.$refs.live.innerHTML = html; } })
        .catch(() => { /* The form itself is untouched; the next key tries again. */ });
    },
  }));

  /* Plate grid: Enter goes on, arrows move up and down, a pasted block spreads from the cell it is pasted into. */
  Alpine.data("plate", () => ({
    cells() { return Array.from(this.$root.querySelectorAll(".plate-cell")); },
    width() { return this.$root.querySelectorAll("thead th").length || 1; },
    go(event, by) {
      const cells = this.cells();
      const next = cells[cells.indexOf(event.target) + by];
      if (next) { event.preventDefault(); next.focus(); next.select(); }
    },
    move(event) {
      if (event.key === "Enter") { event.preventDefault(); this.go(event, 1); }
      if (event.key === "ArrowDown") { this.go(event, this.width()); }
      if (event.key === "ArrowUp") { this.go(event, -this.width()); }
    },
    paste(event) {
      const text = (event.clipboardData || { getData: () => "" }).getData("text");
      const rows = text.replace(/\r/g, "").split("\n").filter((row) => row.trim() !== "").map((row) => row.split(/\t|;/));
      if (rows.length < 2 && rows[0] && rows[0].length < 2) { return; }
      event.preventDefault();
      const cells = this.cells();
      const start = cells.indexOf(event.target);
      rows.forEach((row, r) => row.forEach((value, c) => {
        const column = (start % this.width()) + c;
        const cell = cells[start + r * this.width() + c];
        if (cell && column < this.width()) { cell.value = value.trim(); }
      }));
    },
  }));
});

/* F2 goes to the first tick that is still to be made; the line beside the ticks says so. */
document.addEventListener("keydown", (event) => {
  if (event.key !== "F2") { return; }
  const tick = document.querySelector("input[type=checkbox][name=confirmed]:not(:checked), input[type=checkbox][name=safe]:not(:checked)");
  if (tick) { event.preventDefault(); tick.focus(); }
});

/* A link to a folded part unfolds it. */
document.addEventListener("click", (event) => {
  const link = event.target.closest ? event.target.closest(".parts a") : null;
  const part = link && document.querySelector(link.getAttribute("href"));
  if (part) { part.open = true; }
});

/* Figures go from field to field: Enter on to the next that is empty, the arrows up and down; a row pasted from a sheet fills several. */
(function fields() {
  const all = (from) => Array.from(from.closest(".measure").querySelectorAll(".field:not(.method):not(.file-in) input[type=text]"))
      .filter((e) => e.offsetParent !== null);
  /* Of a step: a speed has one figure, and Enter records it. */
  const isOne = (e) => e.matches && e.matches("form.keeps[action$='/step'] .measure input[type=text]");
  document.addEventListener("keydown", (event) => {
    if (!isOne(event.target) || event.ctrlKey || event.altKey || event.metaKey) { return; }
    const row = all(event.target);
    const at = row.indexOf(event.target);
    let to = null;
    if (event.key === "Enter" && event.target.value.trim()) { to = row.slice(at + 1).find((e) => !e.value.trim()); }
    if (event.key === "ArrowDown") { to = row[at + 1]; }
    if (event.key === "ArrowUp") { to = row[at - 1]; }
    if (to) { event.preventDefault(); to.focus(); to.select(); }
  });
  document.addEventListener("paste", (event) => {
    if (!isOne(event.target)) { return; }
    const text = event.clipboardData.getData("text").trim();
    const parts = text.split(/[\t\r\n;]+/).map((p) => p.trim()).filter((p) => p);
    if (parts.length < 2) { return; }
    event.preventDefault();
    if (event.target.closest(".series")) {
      event.target.setRangeText(parts.join(" "), event.target.selectionStart, event.target.selectionEnd, "end");
      event.target.dispatchEvent(new Event("input", { bubbles: true }));
      return;
    }
    const row = all(event.target);
    const at = row.indexOf(event.target);
    parts.slice(0, row.length - at).forEach((part, i) => {
      row[at + i].value = part;
      row[at + i].dispatchEvent(new Event("input", { bubbles: true }));
    });
    row[Math.min(at + parts.length, row.length) - 1].focus();
  });
}());

/* A reading from the instrument goes into its field as if it were typed: into a row behind what stands there,
    unless the whole row comes. */
document.addEventListener("click", (event) => {
  const key = event.target.closest("[data-take]");
  if (!key) { return; }
  const field = document.getElementById(key.dataset.into);
  const place = document.querySelector("form .weigh");
  fetch(key.dataset.take, { cache: "no-store" }).then((answer) => answer.text().then((text) => {
    if (!answer.ok) { if (place) { place.textContent = text || "The instrument does not answer."; } return; }
    const row = field.closest(".series") !== null;
    const several = /\s/.test(text.replace(/\s*(mm|in|°F)$/, ""));
    field.value = row && !several && field.value.trim() ? field.value.trim() + " " + text.replace(/\s+/g, "") : text;
    field.dispatchEvent(new Event("input", { bubbles: true }));
    field.focus();
  })).catch(() => { if (place) { place.textContent = "The instrument does not answer."; } });
});

/* What is typed so far would come to: asked of the server as it is typed, shown before it is recorded. The newest answer wins. */
(function weigh() {
  const form = document.querySelector("form[data-weigh]");
  const place = form && form.querySelector(".weigh");
  if (!place) { return; }
  let asked = 0;
  let soon = 0;
  const look = () => {
    const ticket = ++asked;
    const body = new URLSearchParams();
    new FormData(form).forEach((value, name) => { if (typeof value === "string") { body.append(name, value); } });
    /* A list from an instrument is weighed once, when it is recorded. */
    if (body.toString().length > 60000) { return; }
    fetch(form.dataset.weigh, { method: "POST", body, headers: { "X-Requested-With": "fetch" } })
      .then((answer) => (answer.ok ? answer.text() : ""))
      .then((html) => { if (ticket === asked) { place.innerHTML = html; } })
      .catch(() => { /* Only a look ahead; the form itself is untouched. */ });
  };
  form.addEventListener("input", (event) => {
    if (event.target.name === "remark" || event.target.name === "author") { return; }
    clearTimeout(soon);
    soon = setTimeout(look, 300);
  });
}());

/* What is half typed stays on this tablet until the server says it is recorded, with the key of its form: pressed again after a
   lost answer it finds the entry it wrote. Every form that is sent keeps what is in it. */
(function keep() {
  const PREFIX = "half-typed ";
  const forms = Array.from(document.querySelectorAll("form[method=post], form.keeps"));
  let line = document.querySelector(".connection");
  const read = (name) => (document.cookie.split("; ").find((c) => c.startsWith(name + "=")) || "").slice(name.length + 1);
  const places = () => Object.keys(localStorage).filter((name) => name.startsWith(PREFIX));
  /* The server names the form it recorded last, by its key, wherever the answer led to. */
  const sweep = (key) => places().forEach((name) => {
    const kept = localStorage.getItem(name);
    if (key && kept.indexOf('["submission","' + key + '"]') >= 0) { localStorage.removeItem(name); }
  });
  try { sweep(read("recorded")); } catch (blocked) { return; }
  if (!forms.length) { return; }
  if (!line) {
    line = document.createElement("p");
    line.className = "connection";
    line.setAttribute("role", "status");
    line.hidden = true;
    forms[0].before(line);
  }
  /* Beside the form it is about, and in sight. */
  const say = (text, form) => {
    if (form) { form.before(line); }
    line.textContent = text;
    line.hidden = false;
    if (form) { line.scrollIntoView({ block: "nearest" }); }
  };
  const button = (text, press) => {
    const key = document.createElement("button");
    key.type = "button";
    key.className = "button small";
    key.textContent = text;
    key.addEventListener("click", press);
    line.append(" ", key);
  };

  const keepOne = (form) => {
    const own = () => Array.from(form.elements)
        .filter((e) => e.name && e.name !== "_csrf" && !/^(submit|button|file|fieldset|output)$/.test(e.type));
    const typable = () => own().filter((e) => e.type !== "hidden");
    const ticked = (e) => e.type === "checkbox" || e.type === "radio";
    const keys = ["submission", "seen"];
    const value = (name) => (form.querySelector("[name=" + name + "]") || {}).value || "";
    const base = PREFIX + (form.dataset.keeps || (form.classList.contains("keeps") ? location.pathname + " " + value("step")
        : form.getAttribute("action") + " " + own().filter((e) => e.type === "hidden" && !keys.includes(e.name)).map((e) => e.value).join(" ")));
    /* Of a description there can be several half typed: each stays by itself, and is offered. */
    const place = form.dataset.offers ? base + " " + value("submission") : base;
    const save = () => {
      const typed = own().filter((e) => e.type !== "hidden" || form.dataset.whole)
          .filter((e) => !keys.includes(e.name))
        .map((e) => [e.name, e.value, ticked(e) ? e.checked : null]);
      localStorage.setItem(place, JSON.stringify({ typed, keys: keys.map((name) => [name, value(name)]), at: Date.now() }));
    };
    const setKey = (name, to) => {
      const field = form.querySelector("[name=" + name + "]");
      if (field && to) { field.value = to; }
    };

    /* A form that holds a whole description is laid out by the server: rows and cells that are not there yet are asked for. */
    const layOut = (was) => {
      const put = (name, to) => {
        const field = document.createElement("input");
        field.type = "hidden";
        field.name = name;
        field.value = to;
        form.append(field);
      };
      own().forEach((e) => { e.disabled = true; });
      was.typed.filter(([, , checked]) => checked !== false).forEach(([name, to]) => put(name, to));
      was.keys.forEach(([name, to]) => put(name, to));
      put("do", "show");
      sessionStorage.setItem("laid out", base);
      form.submit();
    };
    const isBack = () => {
      say("What you had half typed here is back.", form.dataset.whole ? null : form);
      button("Forget it", () => { localStorage.removeItem(place); location.replace(form.dataset.page || location.href); });
    };
    const restore = (was) => {
      own().filter(ticked).forEach((e) => { e.checked = false; });
      const seen = {};
      was.typed.forEach(([name, to, checked]) => {
        const fields = own().filter((e) => e.name === name && (checked === null ? !ticked(e) : e.value === to));
        if (checked !== null) { fields.forEach((e) => { e.checked = checked; }); return; }
        const nth = seen[name] || 0;
        seen[name] = nth + 1;
        if (fields[nth]) { fields[nth].value = to; }
      });
      /* An entry goes onto whatever is there by now; a whole description only onto the one it was made from. */
      was.keys.filter(([name]) => name === "submission" || form.dataset.whole).forEach(([name, to]) => setKey(name, to));
      for (let fold = form.closest("details"); fold; fold = fold.parentElement.closest("details")) { fold.open = true; }
      isBack();
    };
    const isLaidOut = (was) => {
      const names = new Set(own().map((e) => e.name));
      return !was.typed.some(([name]) => !names.has(name));
    };
    const offer = () => {
      const others = places().filter((name) => name.startsWith(base + " ") && name !== place)
          .map((name) => ({ name, was: JSON.parse(localStorage.getItem(name)) })).sort((x, y) => (y.was.at || 0) - (x.was.at || 0));
      if (!others.length) { return; }
      const { name, was } = others[0];
      const called = (was.typed.find(([field]) => field === "name") || [])[1] || "without a name";
      const more = others.length > 1 ? " (and " + (others.length - 1) + " older)" : "";
      say("A description you left half typed is kept here: “" + called + "”" + (was.at ? ", " + new Date(was.at).toLocaleString() : "")
          + more + ".");
      button("Go on with it", () => { layOut(was); });
      button("Forget it", () => { localStorage.removeItem(name); line.hidden = true; offer(); });
    };
    const kept = localStorage.getItem(place);
    const isAnswer = document.body.dataset.answers && sessionStorage.getItem("sent") === place;
    if (form.dataset.refused || isAnswer) {
      if (typable().length) { save(); }
      if (sessionStorage.getItem("laid out") === base) { isBack(); }
    } else if (form.dataset.offers) {
      offer();
    } else if (kept) {
      const was = JSON.parse(kept);
      if (form.dataset.whole && !isLaidOut(was)) { layOut(was); return; }
      restore(was);
    }
    sessionStorage.removeItem("laid out");
    form.addEventListener("input", save);
    form.addEventListener("change", save);

    let asked = false;
    form.addEventListener("submit", (event) => {
      if (asked) { return; }
      event.preventDefault();
      const by = event.submitter;
      document.documentElement.dataset.sending = "yes";
      if (typable().length) { save(); }
      fetch("/alive", { cache: "no-store" }).then((answer) => {
        if (!answer.ok) { throw new Error(String(answer.status)); }
        asked = true;
        sessionStorage.setItem("sent", place);
        if (!value("submission")) { localStorage.removeItem(place); }
        form.requestSubmit(by);
      }).catch(() => {
        delete document.documentElement.dataset.sending;
        say("No connection: nothing was sent. What you typed is kept on this tablet. Press again when the connection is back.", form);
      });
    });
    window.addEventListener("pageshow", () => { asked = false; delete document.documentElement.dataset.sending; });
  };
  forms.forEach(keepOne);
  sessionStorage.removeItem("sent");

  const watch = () => fetch("/alive", { cache: "no-store" })
      .then(() => { if (/^(No connection|The connection)/.test(line.textContent)) { line.hidden = true; line.textContent = ""; } })
    .catch(() => { say("The connection is lost. Go on typing: it is kept on this tablet."); });
  setInterval(watch, 15000);
  window.addEventListener("offline", watch);
  window.addEventListener("online", watch);
}());
