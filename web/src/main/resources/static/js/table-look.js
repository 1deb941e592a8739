/* What a table makes, said as it is typed or pasted. Nothing is recorded by it. The newest answer wins. */

/** The same fields with another key pressed, without what only a press may send. */
export function asLook(fields) {
  const body = new URLSearchParams();
  fields.forEach(([name, value]) => { if (typeof value === "string" && name !== "do") { body.append(name, value); } });
  body.append("do", "look");
  return body;
}

class TableLook {
  form;
  asked = 0;
  soon = 0;

  constructor(form) {
    this.form = form;
    form.addEventListener("input", (event) => {
      if (event.target.name !== "author") {
        clearTimeout(this.soon);
        this.soon = setTimeout(() => this.look(), 400);
      }
    });
  }

  look() {
    const ticket = ++this.asked;
    if (!this.form.elements.text.value.trim() || this.form.elements.file.files.length > 0) {
      this.show(null);
      return;
    }
    fetch(this.form.action, { method: "POST", body: asLook([...new FormData(this.form)]), headers: { "X-Requested-With": "fetch" } })
      .then((answer) => answer.text())
      .then((page) => { if (ticket === this.asked) { this.show(new DOMParser().parseFromString(page, "text/html")); } })
      .catch(() => { /* Only a look ahead; the form itself is untouched. */ });
  }

  /** @param page as the key would show it; nothing where nothing is typed */
  show(page) {
    [".looked", ".record-key"].forEach((part) => {
      const answer = page && page.querySelector(part);
      if (answer || !page) {
        document.querySelector(part).replaceChildren(...(answer ? [...answer.childNodes].map((n) => document.importNode(n, true)) : []));
      }
    });
  }
}

export function watchTable() {
  const form = document.querySelector("form[data-table]");
  if (form) { new TableLook(form); }
}
