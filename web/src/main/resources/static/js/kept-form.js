/* A form that is kept instead of sent: what it says in a line, and what is wrong with it that needs no server to see. */
import { isStartDue, mounted, refusedHere, wrongStart } from "./kept-safety.js";

const RUNS = ["run", "step", "check"];
const OF_A_RUN = ["reading", "turns", "symptom", "shift"];

/** What a form says, in a line: the step, and whatever was filled in. */
export function summary(name, filled, pressed) {
  return [name, ...filled.map(([label, value]) => (label ? label + " " + value : value))].filter((part) => part).join(", ")
    + (pressed ? " (" + pressed + ")" : "");
}

function filledIn(form) {
  const said = [];
  Array.from(form.elements).forEach((field) => {
    if (field.type === "hidden" || field.name === "author" || !field.name || field.type === "submit" || field.type === "file") { return; }
    if (field.type === "checkbox" || field.type === "radio") {
      if (field.checked && field.name !== "confirmed" && field.name !== "safe") {
        said.push(["", (field.closest("label") || field).textContent.trim()]);
      }
    } else if (field.value.trim() && field.value !== field.defaultValue) {
      const label = form.querySelector("label[for='" + field.id + "']");
      said.push([label ? label.textContent.trim() : "", field.options ? field.selectedOptions[0].textContent.trim() : field.value.trim()]);
    }
  });
  return said;
}

/** @param name of the step; @param by the key that was pressed */
export function formSays(kind, name, form, by) {
  const pressed = by ? by.textContent.trim() : "";
  const filled = filledIn(form);
  if (kind === "start") { return ["Start checks", ...filled.map(([, value]) => value)].join(", "); }
  if (kind === "stop") { return "Machine stopped and left"; }
  if (kind === "kit/mark") { return form.querySelector("[name=name]").value + " " + pressed; }
  return summary(["plan", "camera", "kit"].includes(kind) ? "" : name, filled, pressed);
}

/**
 * What a record may come to that is not judged yet: a danger by what the person says or by what was logged; or one that only the server
 * can tell, unless the person says that it was as it should be.
 *
 * @param known the step as the device knows it, or null
 */
export function mayStopUse(kind, form, fields, known) {
  if (!["step", "check"].includes(kind) || !known || !known.stops) { return { stopsUse: false, mayBeGood: false }; }
  const bad = fields.some(([name, value]) => name === "do" && value.startsWith("bad"));
  const log = (fields.find(([name]) => name === "log") || ["", ""])[1].split("\n").map((line) => line.trim().toLowerCase());
  const never = Array.from(form.querySelectorAll(".is-never[data-event]"), (key) => key.dataset.event.toLowerCase());
  const danger = bad || log.some((line) => never.some((event) => line.startsWith(event + " ")));
  return { stopsUse: danger || known.decides, mayBeGood: !danger };
}

/**
 * What is wrong; empty where nothing is.
 *
 * @param known the step as the device knows it, or null
 * @param kept  what waits to be sent
 */
export function wrongForm(kind, form, fields, known, kept, limits) {
  const has = (names) => fields.some(([name, value]) => names.includes(name) && value.trim());
  const count = (what) => form.querySelectorAll(what).length;
  if (limits.closed) { return "This survey is closed and takes no entry any more."; }
  if (kind === "start") {
    const says = count("[name=mounted]") === 0 || has(["mounted"]);
    return wrongStart(count("[name=safe]:checked"), count("[name=safe]"), says ? mounted(fields, document.body.dataset.unit) : null,
      limits.dangers);
  }
  if (!has(["author"])) { return "Write who is recording this."; }
  if (!RUNS.includes(kind) || !known) { return ""; }
  const refused = refusedHere(known, kept, limits);
  if (refused) { return refused; }
  if (known.turns && isStartDue(limits, kept, Date.now())) {
    return "The start checks are due: press “Steps”, open this step again, and go through them first. What you typed stays.";
  }
  if (count("[name=confirmed]:checked") < count("[name=confirmed]")) {
    return "Tick what must be free or safe first: " + count("[name=confirmed]:checked") + " of " + count("[name=confirmed]")
      + " are ticked.";
  }
  const pressed = (fields.find(([name]) => name === "do") || ["", ""])[1];
  return kind === "run" && !has(OF_A_RUN) && !["unread", "swept"].includes(pressed)
    ? "Type the reading, choose what was heard, or press “Ran, not read”." : "";
}
