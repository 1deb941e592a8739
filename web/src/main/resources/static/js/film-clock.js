/* Time in a film: frames by their own times, turns tapped in film time, where one frame changes into another scene. No page here. */

/** After so long of the film without a tap, s, the next one begins anew. */
const PAUSE = 8;
/** Or after so many times the longest wait between two taps before it. */
const WAITED = 1.8;
/** One wait alone may have been short. */
const WAITED_FIRST = 3;
/** How fast it can be played. */
export const SPEEDS = [0.1, 0.25, 0.5, 1, 2];
/** More frames are no help. */
const MOST_TIMES = 400;
/** Brightness, of 255, that a picture changes by on the whole where another scene begins, and how much more than usual. */
const JUMP = 28;
const JUMP_TIMES = 6;

/** 83.4 is 1:23.400. */
export function shownTime(second) {
  const ms = Math.round(second * 1000);
  const h = Math.floor(ms / 3600000);
  const m = Math.floor(ms / 60000) % 60;
  const s = ((ms % 60000) / 1000).toFixed(3).padStart(6, "0");
  return h ? `${h}:${String(m).padStart(2, "0")}:${s}` : `${m}:${s}`;
}

/** Times of frames that followed one another, as the player names them; a seek or a frame left out begins anew. */
export class FrameTimes {
  times = [];
  last = null;
  presented = null;

  /** @param presented the player's count of frames shown; it goes up by more than one where frames were left out */
  add(time, presented) {
    if (this.times.length >= MOST_TIMES || time === this.last) { return; }
    const follows = this.last !== null && time > this.last && (presented === undefined || presented === this.presented + 1);
    if (!follows && this.times.length < 8) { this.times = []; }
    if (follows || this.times.length === 0) { this.times.push(time); }
    this.last = time;
    this.presented = presented;
  }

  /** Frames a second, by the median; null where there are too few. */
  get rate() {
    const steps = this.times.slice(1).map((t, i) => t - this.times[i]).sort((a, b) => a - b);
    if (steps.length < 3) { return null; }
    const half = steps.length >> 1;
    return 1 / (steps.length % 2 ? steps[half] : (steps[half - 1] + steps[half]) / 2);
  }

  get text() { return this.times.map((t) => t.toFixed(6)).join(" "); }
}

/** Taps at the times of the film, whatever it plays at: turns in between, the seconds of the film, the speed it was tapped at. */
export class FilmTaps {
  first = null;
  last = null;
  taps = 0;
  speed = null;
  longest = 0;

  /** A wait that no turn explains, as after going to another place, begins anew: turns of two scenes are never counted together. */
  tap(second, speed) {
    const wait = second - this.last;
    const waited = this.taps > 1 && wait > this.longest * (this.taps > 2 ? WAITED : WAITED_FIRST);
    const anew = this.first === null || speed !== this.speed || wait < 0 || wait > PAUSE || waited;
    if (anew) {
      this.first = second;
      this.taps = 0;
      this.longest = 0;
    } else {
      this.longest = Math.max(this.longest, wait);
    }
    this.last = second;
    this.speed = speed;
    this.taps += 1;
    return this.counted;
  }

  /** What stands so far: turns, seconds, from and until; null until a turn is whole. */
  get counted() {
    return this.taps > 1
      ? { turns: this.taps - 1, seconds: this.last - this.first, from: this.first, until: this.last, playing: this.speed }
      : null;
  }
}

/** From frame to frame: two times and the whole turns between them, which a person types. */
export const betweenFrames = (first, last) => (first === null || last === null || last <= first ? null
  : { turns: "", seconds: last - first, from: first, until: last, playing: null });

/** A time a frame on, in the middle of that frame, so that rounding does not stay on the old one. */
export const nextFrame = (time, rate) => time + 1.5 / rate;
export const frameBefore = (time, rate) => Math.max(0, time - 0.5 / rate);

/** Mean change of brightness between two small pictures (RGBA bytes). */
export function change(before, now) {
  let sum = 0;
  for (let i = 0; i < now.length; i += 4) {
    sum += Math.abs(now[i] - before[i]) + Math.abs(now[i + 1] - before[i + 1]) + Math.abs(now[i + 2] - before[i + 2]);
  }
  return sum / (now.length / 4) / 3;
}

/** Where the picture jumps: from one frame to the next it changes far more than it did lately. */
export class Jumps {
  usual = 0;
  seen = 0;

  /** @returns whether this change looks like a cut */
  is(changed) {
    const cut = this.seen > 4 && changed > JUMP && changed > this.usual * JUMP_TIMES;
    if (!cut) {
      this.usual = this.seen ? this.usual * 0.9 + changed * 0.1 : changed;
      this.seen += 1;
    }
    return cut;
  }
}

/** Level of a sound in equal parts of its length, the loudest 1: what it is beside the rest of the film, and no level of the machine. */
export function levels(samples, parts) {
  const out = new Float32Array(parts);
  const each = samples.length / parts;
  for (let p = 0; p < parts; p += 1) {
    let most = 0;
    for (let i = Math.floor(p * each); i < Math.floor((p + 1) * each); i += 1) { most = Math.max(most, Math.abs(samples[i])); }
    out[p] = most;
  }
  const loudest = out.reduce((a, b) => Math.max(a, b), 0);
  return loudest ? out.map((l) => l / loudest) : out;
}
