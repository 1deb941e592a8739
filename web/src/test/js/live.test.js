import assert from "node:assert/strict";
import { test } from "node:test";
import { isChanged, stepOf, told } from "../../main/resources/static/js/live.js";

test("an entry is told by whom, of what, and what it says", () => {
  assert.equal(told({ by: "J. Rowe", step: "Lamp", says: "good" }), "J. Rowe: Lamp, good");
  assert.equal(told({ by: "J. Rowe", step: "", says: "camera started" }), "J. Rowe: camera started");
});

test("a field is changed where it is another than it came", () => {
  assert.equal(isChanged({ type: "text", value: "181", defaultValue: "" }), true);
  assert.equal(isChanged({ type: "text", value: "181", defaultValue: "181" }), false);
  assert.equal(isChanged({ type: "hidden", value: "a", defaultValue: "b" }), false);
  assert.equal(isChanged({ type: "radio", checked: true, defaultChecked: false }), true);
  assert.equal(isChanged({ type: "checkbox", checked: true, defaultChecked: true }), false);
  const option = (selected, defaultSelected) => ({ selected, defaultSelected });
  assert.equal(isChanged({ type: "select-one", options: [option(true, false), option(false, false)] }), false);
  assert.equal(isChanged({ type: "select-one", options: [option(false, false), option(true, false)] }), true);
  assert.equal(isChanged({ type: "select-one", options: [option(false, true), option(true, false)] }), true);
  assert.equal(isChanged({ type: "submit" }), false);
});

test("a step is found in an address", () => {
  assert.equal(stepOf("/surveys/3/run?step=0-1"), "0-1");
  assert.equal(stepOf("/surveys/3/run?done=4&step=lost-motion.X"), "lost-motion.X");
  assert.equal(stepOf("/surveys/3/run"), "");
});
