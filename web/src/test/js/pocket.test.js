import assert from "node:assert/strict";
import { test } from "node:test";
import { neighbours, padKeys, pressed, swiped } from "../../main/resources/static/js/pocket.js";

test("the pad has the units of the machine", () => {
  assert.equal(padKeys("INCH").length, 20);
  assert.ok(padKeys("INCH").includes("thou"));
  assert.ok(padKeys("INCH").includes("/"));
  assert.ok(!padKeys("INCH").includes("mm"));
  assert.ok(padKeys("MM").includes("µm"));
  assert.equal(new Set(padKeys("MM")).size, 20);
  assert.ok("0123456789.".split("").every((figure) => padKeys("MM").includes(figure)));
});

test("a key goes in where one is, and over what is chosen", () => {
  assert.deepEqual(pressed("18", 2, 2, "1"), { text: "181", at: 3 });
  assert.deepEqual(pressed("11", 1, 1, "8"), { text: "181", at: 2 });
  assert.deepEqual(pressed("999", 0, 3, "4"), { text: "4", at: 1 });
  assert.deepEqual(pressed("0.02", 0, 0, "−"), { text: "-0.02", at: 1 });
  assert.deepEqual(pressed("3", 1, 1, "space"), { text: "3 ", at: 2 });
  assert.deepEqual(pressed("3 1", 3, 3, "/"), { text: "3 1/", at: 4 });
  assert.deepEqual(pressed("2", 1, 1, "thou"), { text: "2 thou", at: 6 });
});

test("delete takes the sign before, or what is chosen", () => {
  assert.deepEqual(pressed("181", 3, 3, "del"), { text: "18", at: 2 });
  assert.deepEqual(pressed("181", 1, 2, "del"), { text: "11", at: 1 });
  assert.deepEqual(pressed("", 0, 0, "del"), { text: "", at: 0 });
});

test("a swipe is long and level", () => {
  assert.equal(swiped(-120, 10), "next");
  assert.equal(swiped(120, -10), "back");
  assert.equal(swiped(-69, 0), "");
  assert.equal(swiped(-120, 90), "");
});

test("the first step has none before it, the last none behind", () => {
  assert.deepEqual(neighbours(["a", "b", "c"], "b"), { back: "a", next: "c" });
  assert.deepEqual(neighbours(["a", "b"], "a"), { back: null, next: "b" });
  assert.deepEqual(neighbours(["a", "b"], "b"), { back: "a", next: null });
  assert.deepEqual(neighbours(["a", "b"], "x"), { back: null, next: null });
});
