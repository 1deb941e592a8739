import assert from "node:assert/strict";
import { test } from "node:test";
import { fitted, underWay } from "../../main/resources/static/js/photo.js";

test("the longest side fits, and nothing is made larger", () => {
  assert.deepEqual(fitted(4000, 3000, 2000), { width: 2000, height: 1500 });
  assert.deepEqual(fitted(3000, 4000, 2000), { width: 1500, height: 2000 });
  assert.deepEqual(fitted(640, 480, 2000), { width: 640, height: 480 });
  assert.deepEqual(fitted(20000, 3, 2000), { width: 2000, height: 1 });
});

test("says how many are recorded, and what waits", () => {
  assert.equal(underWay(0, 1, false), "One photograph: 0 recorded …");
  assert.equal(underWay(1, 1, false), "One photograph is recorded.");
  assert.equal(underWay(2, 5, false), "5 photographs: 2 recorded …");
  assert.equal(underWay(2, 5, true), "5 photographs: no connection, 2 recorded, the rest is kept until it is back.");
  assert.equal(underWay(5, 5, true), "5 photographs are recorded.");
});
