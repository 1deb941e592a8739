import assert from "node:assert/strict";
import { test } from "node:test";
import { isStartDue, mark, mounted, overMark, refusedHere, wrongStart } from "../../main/resources/static/js/kept-safety.js";

const MINUTE = 60000;
const LIMITS = { top: 2000, unmarked: 0.5, wheel: 0, dangers: 0 };
const stand = (due, last) => ({ due, last, goodFor: 30 });

test("a mark is read as the server reads it, or not at all", () => {
  assert.equal(mark("diameter", "400", "MM"), 400);
  assert.equal(mark("diameter", "16", "INCH"), 406.4);
  assert.equal(mark("diameter", "16 in", "MM"), 406.4);
  assert.equal(mark("markedMs", "35", "MM"), 35);
  assert.ok(Math.abs(mark("markedMs", "6500", "INCH") - 33.02) < 1e-9);
  assert.equal(mark("markedRpm", "", "MM"), null);
  ["1,500", "1-9/16", "about 400", "-5", "4e2"].forEach((text) => assert.ok(Number.isNaN(mark("diameter", text, "MM")), text));
});

test("a wheel of 400 mm marked 35 m/s may turn at 1 671 and not at 1 672", () => {
  const wheel = { kind: "WHEEL", diameter: 400, markedMs: 35, markedRpm: null, asked: false };
  assert.equal(overMark(wheel, 1671, LIMITS), "");
  assert.match(overMark(wheel, 1672, LIMITS), /faster than what is marked/);
  assert.match(overMark(wheel, 1600, { ...LIMITS, wheel: 1500 }), /allows 1500/);
  assert.match(overMark({ ...wheel, markedRpm: 1500 }, 1501, LIMITS), /marked 1500/);
  assert.match(overMark(wheel, 0, LIMITS), /Nobody knows/);
});

test("a chuck without a mark turns at half the top speed, unless somebody was asked", () => {
  const chuck = { kind: "CHUCK", diameter: null, markedMs: null, markedRpm: null, asked: false };
  assert.equal(overMark(chuck, 1000, LIMITS), "");
  assert.match(overMark(chuck, 1001, LIMITS), /not above 1000 rpm/);
  assert.equal(overMark({ ...chuck, asked: true }, 2000, LIMITS), "");
  assert.equal(overMark({ ...chuck, kind: "NOTHING" }, 2000, LIMITS), "");
});

test("a start says what is on the spindle, and names no danger without a connection", () => {
  const on = mounted([["mounted", "WHEEL"], ["WHEEL.diameter", "400"]], "MM");
  assert.match(wrongStart(3, 3, on, 0), /what is marked on it/);
  assert.match(wrongStart(2, 3, on, 0), /2 of 3/);
  assert.match(wrongStart(3, 3, null, 0), /what is on the spindle/);
  assert.match(wrongStart(3, 3, on, 1), /with a connection only/);
  assert.equal(wrongStart(3, 3, mounted([["mounted", "NOTHING"]], "MM"), 0), "");
});

test("start checks are due after a pause, after a stop, and where they were never made", () => {
  const now = 100 * MINUTE;
  assert.equal(isStartDue(stand(false, now - 29 * MINUTE), [], now), false);
  assert.equal(isStartDue(stand(false, now - 31 * MINUTE), [], now), true);
  assert.equal(isStartDue(stand(true, now), [], now), true);
  assert.equal(isStartDue(stand(true, now), [{ kind: "start", made: now }], now), false);
  assert.equal(isStartDue(stand(false, now), [{ kind: "stop", made: now }], now), true);
  assert.equal(isStartDue(stand(false, now - 50 * MINUTE), [{ kind: "run", made: now - 5 * MINUTE }], now), true);
  assert.equal(isStartDue(stand(false, now - 50 * MINUTE), [{ kind: "run", made: now - 25 * MINUTE }, { kind: "run", made: now }], now),
    false);
});

test("whatever may stop use stops what turns, and nothing else", () => {
  const bad = { kind: "step", stopsUse: true, says: "Isolator (Not good)" };
  const run = { turns: true, route: true, rpm: 100, refused: "" };
  assert.match(refusedHere(run, [bad], LIMITS), /Isolator \(Not good\): that may stop use/);
  assert.match(refusedHere(run, [{ ...bad, mayBeGood: true }], LIMITS), /or you say above that it was as it should be/);
  assert.equal(refusedHere(run, [{ ...bad, stopsUse: false }], LIMITS), "");
  assert.equal(refusedHere({ ...run, turns: false }, [bad], LIMITS), "");
  assert.equal(refusedHere(run, [], LIMITS), "");
  assert.equal(refusedHere({ ...run, refused: "over its mark" }, [], LIMITS), "over its mark");
});

test("a start that the server refused is none", () => {
  const now = 100 * MINUTE;
  assert.equal(isStartDue(stand(true, now), [{ kind: "start", made: now, state: "refused" }], now), true);
  const run = { turns: true, route: true, rpm: 1900, refused: "over its mark" };
  assert.equal(refusedHere(run, [{ kind: "start", state: "refused", mounted: { kind: "NOTHING" } }], LIMITS), "over its mark");
});

test("what is mounted at a start here counts instead of what was before, but lifts no danger", () => {
  const start = { kind: "start", mounted: { kind: "NOTHING" } };
  const run = { turns: true, route: true, rpm: 1900, refused: "over its mark" };
  assert.equal(refusedHere(run, [start], LIMITS), "");
  assert.equal(refusedHere(run, [start], { ...LIMITS, dangers: 1 }), "over its mark");
});
