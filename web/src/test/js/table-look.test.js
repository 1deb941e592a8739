import assert from "node:assert/strict";
import { test } from "node:test";
import { asLook } from "../../main/resources/static/js/table-look.js";

test("looks with what is typed, never with the key that records, and without the file", () => {
  const body = asLook([["_csrf", "t"], ["text", "a,b\n1,2"], ["do", "record"], ["file", {}], ["author", "Q"]]);
  assert.deepEqual([...body], [["_csrf", "t"], ["text", "a,b\n1,2"], ["author", "Q"], ["do", "look"]]);
});
