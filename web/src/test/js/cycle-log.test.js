import assert from "node:assert/strict";
import { test } from "node:test";
import { CycleLog } from "../../main/resources/static/js/cycle-log.js";

test("seconds are from the first event", () => {
  const log = new CycleLog();
  const one = log.add("", "opens", 5000);
  assert.equal(one, "opens 0.00");
  assert.equal(log.add(one, "stops", 6240), "opens 0.00\nstops 1.24");
});

test("behind a log that was here before the page, the next event is a second later", () => {
  assert.equal(new CycleLog().add("opens 0.00\nstops 1.24\n", "closes", 900), "opens 0.00\nstops 1.24\ncloses 2.24");
});

test("what a person typed is not read here: the clock begins", () => {
  assert.equal(new CycleLog().add("opens at 3,5 s", "closes", 900), "opens at 3,5 s\ncloses 0.00");
});

test("begun again, the clock begins again", () => {
  const log = new CycleLog();
  log.add("", "opens", 0);
  log.beginAgain();
  assert.equal(log.add("", "opens", 7000), "opens 0.00");
});
