import assert from "node:assert/strict";
import { test } from "node:test";
import { drawnLine, lineDrawn } from "../../main/resources/static/js/draw-over.js";

const BOX = { width: 400, height: 200 };

test("what is drawn is a line of places in per cent", () => {
  assert.equal(drawnLine("arrow", { x: 40, y: 40 }, { x: 122, y: 80 }, BOX, " crack "), "arrow 10 20 30.5 40 crack");
  assert.equal(drawnLine("ring", { x: 0, y: 0 }, { x: 500, y: -9 }, BOX, ""), "ring 0 0 100 0");
  assert.equal(drawnLine("word", { x: 40, y: 40 }, { x: 41, y: 41 }, BOX, "new paint"), "word 10 20 new paint");
});

test("a slip draws nothing", () => {
  assert.equal(drawnLine("arrow", { x: 40, y: 40 }, { x: 41, y: 40 }, BOX, "crack"), "");
  assert.equal(drawnLine("word", { x: 40, y: 40 }, { x: 300, y: 40 }, BOX, " "), "");
});

test("a line is drawn as it is written, and one that is none is not", () => {
  assert.deepEqual(lineDrawn("Arrow 10 20 30.5 40 crack"), { shape: "arrow", places: [10, 20, 30.5, 40], word: "crack" });
  assert.deepEqual(lineDrawn("word 10 20 new paint"), { shape: "word", places: [10, 20], word: "new paint" });
  ["", "arrow 10 20", "word 1 2 3 4 x", "cross 1 2 3 4", "ring a b c d"].forEach((line) => assert.equal(lineDrawn(line), null, line));
});
