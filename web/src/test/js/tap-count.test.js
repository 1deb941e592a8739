import assert from "node:assert/strict";
import { test } from "node:test";
import { TapCount } from "../../main/resources/static/js/tap-count.js";

test("the first tap starts the clock, and N turns are N + 1 taps", () => {
  const taps = new TapCount();
  assert.deepEqual(taps.tap(1000), { turns: "", seconds: "" });
  assert.deepEqual(taps.tap(2500), { turns: "1", seconds: "1.50" });
  assert.deepEqual(taps.tap(4000), { turns: "2", seconds: "3.00" });
});

test("after eight seconds without a tap it begins anew", () => {
  const taps = new TapCount();
  taps.tap(0);
  assert.deepEqual(taps.tap(8000), { turns: "1", seconds: "8.00" });
  assert.deepEqual(taps.tap(16001), { turns: "", seconds: "" });
  assert.deepEqual(taps.tap(17001), { turns: "1", seconds: "1.00" });
});

test("a tap at nought is a tap", () => {
  const taps = new TapCount();
  taps.tap(0);
  assert.equal(taps.tap(500).turns, "1");
});
