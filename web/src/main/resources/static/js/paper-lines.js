/* What each number of the paper stands for, and what is wrong with its line, said as it is typed. The newest answer wins. */

const CELLS = ["number", "reading", "mark", "remark"];

/** The cells of a row as the first row's, which is what the server looks at. */
export function asFirstRow(fields) {
  const body = new URLSearchParams();
  fields.forEach(([name, value]) => {
    const cell = CELLS.find((c) => new RegExp("^" + c + "\\d+$").test(name));
    if (cell) { body.append(cell + "0", value); }
  });
  return body;
}

class PaperRow {
  row;
  address;
  asked = 0;
  soon = 0;

  constructor(row, address) {
    this.row = row;
    this.address = address;
    row.addEventListener("input", () => {
      clearTimeout(this.soon);
      this.soon = setTimeout(() => this.look(), 300);
    });
  }

  look() {
    const ticket = ++this.asked;
    const token = document.querySelector("input[name=_csrf]");
    const body = asFirstRow(Array.from(this.row.querySelectorAll("input")).map((e) => [e.name, e.value]));
    if (token) { body.append("_csrf", token.value); }
    fetch(this.address, { method: "POST", body, headers: { "X-Requested-With": "fetch" } })
      .then((answer) => (answer.ok ? answer.json() : null))
      .then((line) => { if (line && ticket === this.asked) { this.show(line); } })
      .catch(() => { /* Only a look ahead; the form itself is untouched. */ });
  }

  show({ said, wrong }) {
    this.row.querySelector(".line-of .sub").textContent = said;
    const place = this.row.querySelector(".line-of .wrong");
    place.textContent = wrong;
    place.hidden = !wrong;
  }
}

export function watchPaperLines() {
  const table = document.querySelector("table[data-line]");
  if (!table) { return; }
  table.querySelectorAll("tbody tr").forEach((row) => new PaperRow(row, table.dataset.line));
}
