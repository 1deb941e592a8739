/* What is kept on this device, as a list on every page: what waits, what was refused, what clashes, and what became of the rest. */

const SHOWN = 40;

/** The line above the list. */
export function headline(entries) {
  const of = (state) => entries.filter((entry) => entry.state === state).length;
  const parts = [];
  if (of("waits")) { parts.push(of("waits") + " kept here, not judged yet"); }
  if (of("clash")) { parts.push(of("clash") + " that another also recorded"); }
  if (of("refused")) { parts.push(of("refused") + " not recorded"); }
  if (of("sent")) {
    const failed = entries.filter((entry) => entry.state === "sent" && entry.failed).length;
    parts.push(of("sent") + " sent and judged" + (failed ? ", " + failed + " of them bad" : ""));
  }
  return parts.join("; ");
}

const time = (made) => new Date(made).toLocaleTimeString([], { hour: "2-digit", minute: "2-digit", hour12: false });

const make = (name, text, look) => {
  const made = document.createElement(name);
  if (look) { made.className = look; }
  made.textContent = text;
  return made;
};

export class KeptList {
  without;
  place = null;
  said = "";

  constructor(without) { this.without = without; }

  note(text) {
    this.said = text;
    this.show(this.without.entries);
  }

  show(entries) {
    const shown = entries.filter((entry) => entry.state !== "sending");
    const line = headline(shown);
    if (!line) {
      if (this.place) { this.place.remove(); }
      this.place = null;
      return;
    }
    if (!this.place) {
      this.place = make("details", "", "kept-list");
      this.place.append(document.createElement("summary"), make("p", "", "hint"), document.createElement("ul"), make("p", "", "keys"));
      document.querySelector("main").before(this.place);
    }
    const [summary, note, list, keys] = this.place.children;
    if (summary.textContent !== line) { summary.textContent = line; }
    note.textContent = this.said;
    note.hidden = !this.said;
    const first = { clash: 0, refused: 1, waits: 2, sent: 3 };
    const order = shown.sort((x, y) => first[x.state] - first[y.state] || Number(y.failed || 0) - Number(x.failed || 0)
      || x.n - y.n);
    list.replaceChildren(...order.slice(0, SHOWN).map((entry) => this.item(entry)));
    if (order.length > SHOWN) { list.append(make("li", "and " + (order.length - SHOWN) + " more")); }
    keys.replaceChildren();
    if (entries.some((entry) => entry.state === "sent")) { this.key(keys, "Seen", () => this.without.forgetSent()); }
    if (entries.some((entry) => entry.state === "clash" || entry.state === "refused" || entry.stopsUse)) { this.place.open = true; }
  }

  item(entry) {
    const item = document.createElement("li");
    item.append(make("b", entry.says), make("span", " " + time(entry.made)));
    if (entry.state === "waits") { item.append(make("span", " waits for the connection", "sub")); }
    if (entry.state === "waits" && entry.stopsUse) {
      item.append(make("p", "May stop use: nothing is run until it is judged.", "wrong"));
      if (entry.mayBeGood) { this.key(item, "It was as it should be: run on until then", () => this.without.saidGood(entry)); }
    }
    if (entry.state === "sent") {
      item.append(make("span", " " + (entry.entry ? "entry " + entry.entry : "recorded") + (entry.outcome ? ": " + entry.outcome : ""),
        entry.failed ? "sub gap" : "sub"));
    }
    if (entry.state === "refused") {
      entry.wrong.forEach((text) => item.append(make("p", text, "wrong")));
      if (entry.draft && ["run", "step", "check"].includes(entry.kind)) {
        this.key(item, "Take it up at its step", () => this.without.takeUp(entry));
      }
      this.key(item, "Send it again", () => this.without.again(entry, {}));
      this.leaving(item, entry);
    }
    if (entry.state === "clash") {
      item.append(make("p", "Recorded there by another meanwhile:", "sub"));
      entry.theirs.forEach((text) => item.append(make("p", text, "theirs")));
      this.key(item, "Record mine too: the later counts, both stay", () => this.without.again(entry, { seen: entry.head }));
      this.leaving(item, entry);
    }
    return item;
  }

  /* Nothing goes by one slip of a thumb. */
  leaving(item, entry) {
    const key = this.key(item, "Leave mine out", () => {
      if (key.dataset.sure) { this.without.leaveOut(entry); return; }
      key.dataset.sure = "yes";
      key.textContent = "Press again: it is gone then";
    });
  }

  key(into, text, press) {
    const made = make("button", text, "button small");
    made.type = "button";
    made.addEventListener("click", press);
    into.append(made);
    return made;
  }
}
