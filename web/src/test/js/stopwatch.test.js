import assert from "node:assert/strict";
import { test } from "node:test";
import { Stopwatch } from "../../main/resources/static/js/stopwatch.js";

test("one key starts and stops, and starts again from nought", () => {
  const watch = new Stopwatch();
  assert.equal(watch.press(0), null);
  assert.equal(watch.isGoing, true);
  assert.equal(watch.press(4321), "4.32");
  assert.equal(watch.isGoing, false);
  assert.equal(watch.press(10000), null);
  assert.equal(watch.press(10250), "0.25");
});
