/* What must move without a round trip: the tap key and the plate grid's keys. Everything else is a form that posts. */
"use strict";

document.documentElement.classList.add("has-script");

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

  /* Drive screen: sends the form as it stands and shows what the server reckons. The newest answer wins. */
  Alpine.data("drive", () => ({
    asked: 0,
    look(event) {
      if (!/^(stage|cell|feed|reverses|interlocks|kilowatts|law|efficiency)/.test(event.target.name || "")) { return; }
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
