/* Figures go from field to field: Enter on to the next that is empty, the arrows up and down; a row pasted from a sheet fills several. */
import { isHeld } from "./keys.js";

/** Which field a key goes to, by its place; undefined where it stays. */
export function goesTo(key, at, values) {
  if (key === "Enter" && values[at].trim()) {
    const next = values.findIndex((value, i) => i > at && !value.trim());
    return next < 0 ? undefined : next;
  }
  const to = key === "ArrowDown" ? at + 1 : key === "ArrowUp" ? at - 1 : -1;
  return to >= 0 && to < values.length ? to : undefined;
}

/** What is pasted, figure by figure; empty where it is one, which the browser pastes itself. */
export function figures(text) {
  const parts = text.trim().split(/[\t\r\n;]+/).map((part) => part.trim()).filter((part) => part);
  return parts.length < 2 ? [] : parts;
}

const tell = (field) => field.dispatchEvent(new Event("input", { bubbles: true }));
const fieldsBeside = (field) => Array.from(field.closest(".measure").querySelectorAll(".field:not(.method):not(.file-in) input[type=text]"))
  .filter((e) => e.offsetParent !== null);
/* Of a step: a speed has one figure, and Enter records it. */
const isOne = (e) => e.matches && e.matches("form.keeps[action$='/step'] .measure input[type=text]");

function onKey(event) {
  if (!isOne(event.target) || isHeld(event)) { return; }
  const row = fieldsBeside(event.target);
  const to = row[goesTo(event.key, row.indexOf(event.target), row.map((e) => e.value))];
  if (to) { event.preventDefault(); to.focus(); to.select(); }
}

function onPaste(event) {
  const parts = isOne(event.target) ? figures(event.clipboardData.getData("text")) : [];
  if (!parts.length) { return; }
  event.preventDefault();
  if (event.target.closest(".series")) {
    event.target.setRangeText(parts.join(" "), event.target.selectionStart, event.target.selectionEnd, "end");
    tell(event.target);
    return;
  }
  const row = fieldsBeside(event.target);
  const at = row.indexOf(event.target);
  parts.slice(0, row.length - at).forEach((part, i) => {
    row[at + i].value = part;
    tell(row[at + i]);
  });
  row[Math.min(at + parts.length, row.length) - 1].focus();
}

export function watchFields() {
  document.addEventListener("keydown", onKey);
  document.addEventListener("paste", onPaste);
}
