import assert from "node:assert/strict";
import { test } from "node:test";
import { figures, goesTo } from "../../main/resources/static/js/record-fields.js";

test("Enter goes to the next field that is empty, once this one is filled", () => {
  assert.equal(goesTo("Enter", 0, ["0.01", "0.02", ""]), 2);
  assert.equal(goesTo("Enter", 0, ["", "", ""]), undefined);
  assert.equal(goesTo("Enter", 2, ["", "", "0.03"]), undefined);
  assert.equal(goesTo("Enter", 0, ["0.01", " ", "0.03"]), 1);
});

test("the arrows go up and down, and stop at the ends", () => {
  assert.equal(goesTo("ArrowDown", 0, ["", ""]), 1);
  assert.equal(goesTo("ArrowDown", 1, ["", ""]), undefined);
  assert.equal(goesTo("ArrowUp", 1, ["", ""]), 0);
  assert.equal(goesTo("ArrowUp", 0, ["", ""]), undefined);
  assert.equal(goesTo("a", 0, ["", ""]), undefined);
});

test("several figures by tab, line or semicolon are several; one is one, blanks and all", () => {
  assert.deepEqual(figures("0.01\t0.02\r\n0.03"), ["0.01", "0.02", "0.03"]);
  assert.deepEqual(figures("3 1/8; 4"), ["3 1/8", "4"]);
  assert.deepEqual(figures("3 1/8"), []);
  assert.deepEqual(figures("  "), []);
});
