import assert from "node:assert/strict";
import test from "node:test";
import { betweenFrames, change, FilmTaps, frameBefore, FrameTimes, Jumps, levels, nextFrame, shownTime } from
  "../../main/resources/static/js/film-clock.js";
import { inPicture } from "../../main/resources/static/js/film-points.js";
import { clockOf } from "../../main/resources/static/js/slate.js";

test("seconds as a clock", () => {
  assert.equal(shownTime(83.4), "1:23.400");
  assert.equal(shownTime(59.9996), "1:00.000");
  assert.equal(shownTime(3723.05), "1:02:03.050");
});

test("ten taps in film time are nine turns, whatever it plays at", () => {
  const taps = new FilmTaps();
  assert.equal(taps.tap(5, 0.5), null);
  for (let i = 1; i < 10; i += 1) { taps.tap(5 + i * 0.5, 0.5); }
  assert.deepEqual(taps.counted, { turns: 9, seconds: 4.5, from: 5, until: 9.5, playing: 0.5 });
});

test("another speed, a step back or a long pause begins anew", () => {
  for (const [second, speed] of [[6, 1], [4, 0.5], [14.6, 0.5]]) {
    const taps = new FilmTaps();
    taps.tap(5, 0.5);
    taps.tap(6, 0.5);
    assert.equal(taps.tap(second, speed), null);
  }
});

test("turns of two scenes are never counted together", () => {
  const taps = new FilmTaps();
  [22, 22.47, 22.94, 23.45].forEach((s) => taps.tap(s, 1));
  assert.equal(taps.counted.turns, 3);
  assert.equal(taps.tap(24.5, 1), null);
  const two = new FilmTaps();
  [22, 22.4, 23].forEach((s) => two.tap(s, 1));
  assert.equal(two.counted.turns, 2);
  assert.equal(two.tap(25, 1), null);
});

test("frames that follow one another give the rate; one left out begins anew at first and is passed over later", () => {
  const frames = new FrameTimes();
  [0.4, 0.48].forEach((t, i) => frames.add(t, i * 2 + 1));
  for (let i = 0; i < 12; i += 1) { frames.add(1 + i * 0.04, 10 + i); }
  frames.add(1.6, 40);
  frames.add(1.64, 41);
  assert.equal(frames.rate.toFixed(3), "25.000");
  assert.equal(new FrameTimes().rate, null);
});

test("a frame on and a frame back land within that frame", () => {
  assert.ok(nextFrame(1, 25) > 1.04 && nextFrame(1, 25) < 1.08);
  assert.ok(frameBefore(1, 25) > 0.96 && frameBefore(1, 25) < 1);
  assert.equal(frameBefore(0, 25), 0);
});

test("two frames make a time only forwards", () => {
  assert.equal(betweenFrames(null, 3), null);
  assert.equal(betweenFrames(3, 3), null);
  assert.equal(betweenFrames(2, 3.5).seconds, 1.5);
});

test("a picture that jumps is a cut, one that pans is none", () => {
  const jumps = new Jumps();
  const found = [2, 3, 2, 4, 3, 2, 60, 3, 2].map((c) => jumps.is(c));
  assert.deepEqual(found.map(Number), [0, 0, 0, 0, 0, 0, 1, 0, 0]);
  const pan = new Jumps();
  assert.ok([20, 24, 28, 30, 33, 36, 40, 44].every((c) => !pan.is(c)));
  assert.equal(change(Uint8Array.of(0, 0, 0, 255), Uint8Array.of(30, 60, 90, 255)), 60);
});

test("the level is beside the loudest; silence stays silence", () => {
  assert.deepEqual([...levels(Float32Array.of(0.1, -0.2, 0.05, 0.4), 2)].map((l) => l.toFixed(2)), ["0.50", "1.00"]);
  assert.deepEqual([...levels(Float32Array.of(0, 0), 2)], [0, 0]);
});

test("a click is a point of the film, whatever bars stand beside it", () => {
  assert.deepEqual(inPicture({ x: 100, y: 50 }, { width: 200, height: 100 }, { width: 400, height: 200 }), { x: 200, y: 100 });
  assert.deepEqual(inPicture({ x: 150, y: 50 }, { width: 300, height: 100 }, { width: 400, height: 200 }), { x: 200, y: 100 });
});

test("the slate's clock has seconds", () => {
  assert.equal(clockOf(new Date(2026, 4, 9, 8, 5, 3)), "08:05:03");
});
