import assert from "node:assert/strict";
import { test } from "node:test";
import { withReading } from "../../main/resources/static/js/instrument.js";

const one = { text: "0.02 mm", inRow: "0.02mm", whole: false };

test("a reading stands alone, or behind what stands in a row", () => {
  assert.equal(withReading("", false, one), "0.02 mm");
  assert.equal(withReading("0.01", false, one), "0.02 mm");
  assert.equal(withReading("0.01 ", true, one), "0.01 0.02mm");
  assert.equal(withReading(" ", true, one), "0.02 mm");
});

test("a whole row takes the place of what stood there", () => {
  assert.equal(withReading("0.01", true, { text: "0.02 0.03", inRow: "0.020.03", whole: true }), "0.02 0.03");
});
