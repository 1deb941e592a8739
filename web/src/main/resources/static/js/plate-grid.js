/* Plate grid: Enter goes on, arrows move up and down, a pasted block spreads from the cell it is pasted into. */

/** Rows of cells as a spreadsheet copies them; null where it is one figure, which the browser pastes itself. */
export function block(text) {
  const rows = text.replace(/\r/g, "").split("\n").filter((row) => row.trim() !== "").map((row) => row.split(/\t|;/));
  return rows.length < 2 && (rows[0] || []).length < 2 ? null : rows;
}

/** Where a block goes: pairs of cell and text. What stands beyond the last column or row is left. */
export function spread(rows, start, width, cells) {
  return rows.flatMap((row, r) => row.map((text, c) => ({ at: start + r * width + c, text: text.trim(), column: (start % width) + c })))
    .filter((put) => put.column < width && put.at < cells).map(({ at, text }) => ({ at, text }));
}

/** A fieldset with a plate. */
export function plateForm() {
  return {
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
      const rows = block(event.clipboardData ? event.clipboardData.getData("text") : "");
      if (!rows) { return; }
      event.preventDefault();
      const cells = this.cells();
      spread(rows, cells.indexOf(event.target), this.width(), cells.length).forEach(({ at, text }) => { cells[at].value = text; });
    },
  };
}
