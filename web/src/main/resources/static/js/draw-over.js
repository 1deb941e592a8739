/* Draws over a photograph: an arrow, a ring or a word, by finger or mouse. What is drawn is a line of text in the form's field, where a
   person could also type it. */

const SVG = "http://www.w3.org/2000/svg";
const LEAST = 1.5;

/** A place in per cent with a tenth. */
const percent = (part, whole) => Math.min(100, Math.max(0, 100 * part / whole)).toFixed(1).replace(/\.0$/, "");

/** The line of what was drawn from one place to another; empty for a slip. Places in px of a box so wide and high. */
export function drawnLine(shape, from, to, box, word) {
  const places = [percent(from.x, box.width), percent(from.y, box.height), percent(to.x, box.width), percent(to.y, box.height)];
  const says = word.trim() ? " " + word.trim() : "";
  if (shape === "word") { return says ? "word " + places[0] + " " + places[1] + says : ""; }
  const far = Math.hypot(places[2] - places[0], places[3] - places[1]);
  return far < LEAST ? "" : shape + " " + places.join(" ") + says;
}

/** What a line draws, in per cent; null where it draws nothing. */
export function lineDrawn(line) {
  const found = line.trim().match(/^(arrow|ring|word)((?: \d{1,3}(?:\.\d+)?){2,4})(?: (\D.*))?$/i);
  const places = found ? found[2].trim().split(" ").map(Number) : [];
  const shape = found ? found[1].toLowerCase() : "";
  return places.length === (shape === "word" ? 2 : 4) ? { shape, places, word: found[3] || "" } : null;
}

const make = (name, attributes) => {
  const made = document.createElementNS(SVG, name);
  Object.entries(attributes).forEach(([key, value]) => made.setAttribute(key, value));
  return made;
};

class Drawing {
  from = null;

  constructor(form) {
    this.form = form;
    this.over = document.querySelector(".drawn-over .over");
    this.field = form.querySelector("[name=marks]");
    const [, , width, height] = this.over.getAttribute("viewBox").split(" ").map(Number);
    this.size = { width, height };
    this.layer = make("g", { class: "pending" });
    this.over.append(this.layer);
  }

  shape() { return this.form.querySelector("[name=with]:checked").value; }

  word() { return this.form.querySelector("[name=says]").value; }

  at(event) {
    const box = this.over.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top };
  }

  line(event) { return drawnLine(this.shape(), this.from, this.at(event), this.over.getBoundingClientRect(), this.word()); }

  show(more) {
    this.layer.replaceChildren(...[...this.field.value.split("\n"), more].map(lineDrawn).filter((mark) => mark)
      .flatMap((mark) => this.drawn(mark)));
  }

  drawn({ shape, places, word }) {
    const [x1, y1, x2, y2] = places.map((place, i) => place / 100 * (i % 2 ? this.size.height : this.size.width));
    const wide = Math.max(this.size.width, this.size.height) / 190;
    const parts = [];
    if (shape === "arrow") {
      const to = Math.atan2(y2 - y1, x2 - x1);
      const head = wide * 6.6;
      const side = (turn) => (x2 - head * Math.cos(to + turn)) + " " + (y2 - head * Math.sin(to + turn));
      const tip = "L" + x2 + " " + y2;
      parts.push(make("path", { d: "M" + x1 + " " + y1 + tip + "M" + side(0.45) + tip + "L" + side(-0.45) }));
    } else if (shape === "ring") {
      parts.push(make("ellipse", { cx: (x1 + x2) / 2, cy: (y1 + y2) / 2, rx: Math.abs(x2 - x1) / 2, ry: Math.abs(y2 - y1) / 2 }));
    }
    if (word) {
      const text = make("text", { x: x1, y: y1 });
      text.textContent = word;
      parts.push(text);
    }
    parts.forEach((part) => part.setAttribute("stroke-width", part.tagName === "text" ? "0" : wide));
    return parts;
  }

  begin(event) {
    if (event.button) { return; }
    if (this.shape() === "word" && !this.word().trim()) {
      this.form.querySelector("[name=says]").focus();
      return;
    }
    event.preventDefault();
    this.over.setPointerCapture(event.pointerId);
    this.from = this.at(event);
  }

  move(event) { if (this.from) { this.show(this.line(event)); } }

  end(event) {
    if (!this.from) { return; }
    const line = this.line(event);
    this.from = null;
    if (line) {
      this.field.value = (this.field.value.trimEnd() + "\n" + line).trimStart();
      this.field.dispatchEvent(new Event("input", { bubbles: true }));
    }
    this.show("");
  }

  watch() {
    this.over.addEventListener("pointerdown", (event) => this.begin(event));
    this.over.addEventListener("pointermove", (event) => this.move(event));
    this.over.addEventListener("pointerup", (event) => this.end(event));
    this.over.addEventListener("pointercancel", () => { this.from = null; this.show(""); });
    this.field.addEventListener("input", () => this.show(""));
    this.show("");
  }
}

export function watchDrawing() {
  const form = document.querySelector("form[data-draw]");
  if (form) { new Drawing(form).watch(); }
}
