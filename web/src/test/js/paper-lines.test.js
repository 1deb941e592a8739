import assert from "node:assert/strict";
import { test } from "node:test";
import { asFirstRow } from "../../main/resources/static/js/paper-lines.js";

test("any row is asked about as the first one, by its four cells and nothing else", () => {
  const body = asFirstRow([["number12", "7"], ["reading12", "0.1; 0.2 & 0.3"], ["mark12", "y"], ["remark12", ""], ["author", "Q"], ["number", "9"]]);
  assert.equal(body.toString(), new URLSearchParams({ number0: "7", reading0: "0.1; 0.2 & 0.3", mark0: "y", remark0: "" }).toString());
});
