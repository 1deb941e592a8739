import assert from "node:assert/strict";
import { test } from "node:test";
import { Heard, refused, treated, wav } from "../../main/resources/static/js/sound-wav.js";

test("a WAV file says what it is and holds its samples", () => {
  const file = new DataView(wav([Float32Array.of(0, 0.5), Float32Array.of(-1, 2)], 48000));
  const text = (at, n) => String.fromCharCode(...new Uint8Array(file.buffer, at, n));
  assert.equal(text(0, 4) + text(8, 8) + text(36, 4), "RIFFWAVEfmt data");
  assert.equal(file.getUint32(24, true), 48000);
  assert.equal(file.getUint32(40, true), 8);
  assert.deepEqual([0, 2, 4, 6].map((i) => file.getInt16(44 + i, true)), [0, 16384, -32767, 32767]);
});

test("level is of a full-scale sine; stops and silence are said", () => {
  const heard = new Heard();
  heard.add(Float32Array.from({ length: 4800 }, (_, i) => 0.5 * Math.sin((2 * Math.PI * i) / 48)));
  assert.equal(heard.level.toFixed(2), "-6.02");
  assert.equal(heard.warns, "");
  heard.add(new Float32Array(100).fill(1));
  assert.match(heard.warns, /too loud/);
  const still = new Heard();
  still.add(new Float32Array(4096));
  assert.match(still.warns, /very quiet/);
});

test("what a microphone says of itself", () => {
  assert.equal(treated({ autoGainControl: false, noiseSuppression: false, echoCancellation: false }), "NOT");
  assert.equal(treated({ autoGainControl: true, noiseSuppression: false, echoCancellation: false }), "YES");
  assert.equal(treated({ noiseSuppression: false }), "NOT_KNOWN");
  assert.match(refused({ name: "NotFoundError" }), /no microphone/);
  assert.match(refused({ name: "Odd" }), /Odd/);
});
