import assert from "node:assert/strict";
import { test } from "node:test";
import { block, spread } from "../../main/resources/static/js/plate-grid.js";

test("a block is rows of cells, by tab or semicolon; one figure is no block", () => {
  assert.deepEqual(block("31.5\t45\r\n63\t90\r\n"), [["31.5", "45"], ["63", "90"]]);
  assert.deepEqual(block("31.5;45"), [["31.5", "45"]]);
  assert.deepEqual(block("31.5\n45"), [["31.5"], ["45"]]);
  assert.equal(block("31.5"), null);
  assert.equal(block(""), null);
});

test("it spreads from where it is pasted, and leaves what is beyond the last column and row", () => {
  assert.deepEqual(spread([["1", " 2 "], ["3", "4"]], 1, 3, 6),
    [{ at: 1, text: "1" }, { at: 2, text: "2" }, { at: 4, text: "3" }, { at: 5, text: "4" }]);
  assert.deepEqual(spread([["1", "2"], ["3", "4"]], 2, 3, 6), [{ at: 2, text: "1" }, { at: 5, text: "3" }]);
  assert.deepEqual(spread([["1"], ["2"], ["3"]], 0, 3, 6), [{ at: 0, text: "1" }, { at: 3, text: "2" }]);
});
