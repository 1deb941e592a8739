import assert from "node:assert/strict";
import { test } from "node:test";
import { headline } from "../../main/resources/static/js/kept-list.js";
import { cameTo } from "../../main/resources/static/js/kept-sending.js";
import { keptFor, kindOf } from "../../main/resources/static/js/kept.js";

const ENTRY = { n: 4, says: "B3, 251", state: "waits", photo: "picture" };

test("an answer makes of an entry what it says", () => {
  const sent = cameTo(ENTRY, 200, { entry: 41, head: 41, says: "read 251 rpm", outcome: "bad", failed: true });
  assert.deepEqual([sent.state, sent.entry, sent.outcome, sent.failed, sent.photo], ["sent", 41, "bad", true, null]);
  const clash = cameTo(ENTRY, 409, { theirs: ["J. Marsh, 10:42, entry 41: 248 rpm"], head: 41 });
  assert.deepEqual([clash.state, clash.head, clash.photo], ["clash", 41, "picture"]);
  assert.deepEqual(cameTo(ENTRY, 422, { wrong: ["“x” is not a number."] }).wrong, ["“x” is not a number."]);
  assert.deepEqual(cameTo(ENTRY, 404, null).wrong, ["It was refused (404)."]);
  const danger = { ...ENTRY, stopsUse: true, mayBeGood: true };
  assert.equal(cameTo(danger, 200, { entry: 41, failed: true }).stopsUse, true);
  assert.equal(cameTo(danger, 200, { entry: 41, failed: false }).stopsUse, false);
  assert.equal(cameTo(danger, 422, { wrong: ["x"] }).stopsUse, true);
  assert.equal(cameTo(ENTRY, 503, { wrong: ["The disk is full."] }), null);
  assert.equal(cameTo(ENTRY, 500, null), null);
});

test("only entries about one step, starts, kit and pictures are kept", () => {
  const base = "http://localhost:8080/surveys/3/run";
  assert.equal(keptFor("/surveys/3/step", base), "3");
  assert.equal(keptFor("/surveys/3/kit/mark", base), "3");
  ["/surveys/3/close", "/surveys/3/trace", "/house/rules", "/surveys/3/step/more", "/screen"].forEach((action) => {
    assert.equal(keptFor(action, base), "", action);
  });
  assert.equal(kindOf("/surveys/3/kit/mark"), "kit/mark");
});

test("the line above the list counts each kind", () => {
  assert.equal(headline([]), "");
  assert.equal(headline([ENTRY, ENTRY]), "2 kept here, not judged yet");
  assert.equal(headline([{ state: "sent" }, { state: "sent", failed: true }, { state: "clash" }, { state: "refused" }]),
    "1 that another also recorded; 1 not recorded; 2 sent and judged, 1 of them bad");
});
