import assert from "node:assert/strict";
import { beforeEach, test } from "node:test";
import { Drafts, fills, typedIn } from "../../main/resources/static/js/drafts.js";

/** Keeps its items as a browser's storage does: as properties of its own beside the methods. */
function storage() {
  const methods = {
    getItem(name) { return Object.hasOwn(this, name) ? this[name] : null; },
    setItem(name, value) { this[name] = String(value); },
    removeItem(name) { delete this[name]; },
  };
  return Object.create(methods);
}

let kept;
let drafts;
const draft = (key, at) => ({ typed: [["name", "Aldwark " + key, null]], keys: [["submission", key], ["seen", "3"]], at });

beforeEach(() => {
  kept = storage();
  kept.setItem("somebody else's", "x");
  drafts = new Drafts(kept);
});

test("what is kept is found again, and nobody else's", () => {
  drafts.keep("/run A", draft("k1", 1));
  assert.deepEqual(drafts.of("/run A"), draft("k1", 1));
  assert.equal(drafts.of("/run B"), null);
  assert.deepEqual(drafts.names(), ["half-typed /run A"]);
  drafts.forget("/run A");
  assert.equal(drafts.of("/run A"), null);
  assert.equal(kept.getItem("somebody else's"), "x");
});

test("recorded under its key it is gone, whatever form it was", () => {
  drafts.keep("/run A", draft("k1", 1));
  drafts.keep("/run B", draft("k2", 2));
  drafts.recorded("k1");
  assert.deepEqual(drafts.names(), ["half-typed /run B"]);
  drafts.recorded("");
  assert.deepEqual(drafts.names(), ["half-typed /run B"]);
});

test("others of a kind come newest first, and never the form's own", () => {
  drafts.keep("machine k1", draft("k1", 5));
  drafts.keep("machine k2", draft("k2", 9));
  drafts.keep("machine k3", draft("k3", 7));
  drafts.keep("machinery k4", draft("k4", 8));
  assert.deepEqual(drafts.others("machine", "machine k3").map((o) => o.form), ["machine k2", "machine k1"]);
  assert.equal(typedIn(drafts.others("machine", "machine k3")[0].draft, "name"), "Aldwark k2");
  assert.equal(typedIn(draft("k1", 1), "serial"), "");
});

test("of two fields of one name the first draft goes into the first; ticks go by their value", () => {
  const fields = [{ name: "row", value: "", ticks: false }, { name: "row", value: "", ticks: false },
    { name: "symptom", value: "GROWLS", ticks: true }, { name: "symptom", value: "CLICKS", ticks: true }];
  const typed = [["row", "1", null], ["row", "2", null], ["row", "3", null], ["symptom", "GROWLS", false], ["symptom", "CLICKS", true]];
  assert.deepEqual(fills({ typed }, fields), [{ at: 0, value: "1" }, { at: 1, value: "2" }, { at: 2, ticked: false }, { at: 3, ticked: true }]);
});
