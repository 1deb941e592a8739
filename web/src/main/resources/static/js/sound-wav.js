/* A recording as a WAV file, and what is to be said of it while it is made. No page here. */

const FULL = 32767;
const HEAD = 44;
/** Samples this near full scale are at the stops. */
const STOP = 0.9999;
export const SHORTEST = 5;
export const LONGEST = 60;
/** Quieter than this over a second there is little but the recorder's own noise, dB. */
const QUIET = -60;

/** 16 bit, one channel. @param blocks of samples, −1 to 1, in their order */
export function wav(blocks, hertz) {
  const count = blocks.reduce((sum, b) => sum + b.length, 0);
  const file = new DataView(new ArrayBuffer(HEAD + 2 * count));
  const name = (at, text) => [...text].forEach((c, i) => file.setUint8(at + i, c.charCodeAt(0)));
  name(0, "RIFF");
  file.setUint32(4, HEAD - 8 + 2 * count, true);
  name(8, "WAVEfmt ");
  file.setUint32(16, 16, true);
  file.setUint16(20, 1, true);
  file.setUint16(22, 1, true);
  file.setUint32(24, hertz, true);
  file.setUint32(28, 2 * hertz, true);
  file.setUint16(32, 2, true);
  file.setUint16(34, 16, true);
  name(36, "data");
  file.setUint32(40, 2 * count, true);
  let at = HEAD;
  blocks.forEach((block) => block.forEach((x) => {
    file.setInt16(at, Math.max(-FULL - 1, Math.min(FULL, Math.round(x * FULL))), true);
    at += 2;
  }));
  return file.buffer;
}

/** Level and stops of what has come so far. */
export class Heard {
  samples = 0;
  stops = 0;
  loudest = 0;
  last = 0;

  add(block) {
    let sum = 0;
    let most = 0;
    block.forEach((x) => {
      sum += x * x;
      most = Math.max(most, Math.abs(x));
      if (Math.abs(x) >= STOP) { this.stops += 1; }
    });
    this.samples += block.length;
    this.loudest = Math.max(this.loudest, most);
    this.last = sum / Math.max(1, block.length);
  }

  /** Of a full-scale sine, dB, of the last block. */
  get level() { return this.last > 0 ? 10 * Math.log10(2 * this.last) : -200; }

  /** What is wrong with it; empty where nothing is. */
  get warns() {
    if (this.samples && this.stops / this.samples > 0.001) { return "It is too loud: samples lie at the stops. Go further off."; }
    if (this.level < QUIET) { return "It is very quiet: go nearer, or turn the microphone up."; }
    return "";
  }
}

/** Whether the microphone changes its level by itself, as far as it says: what the form asks for. */
export function treated(settings) {
  const all = [settings.autoGainControl, settings.noiseSuppression, settings.echoCancellation];
  if (all.some((on) => on === true)) { return "YES"; }
  return all.every((on) => on === false) ? "NOT" : "NOT_KNOWN";
}

/** In words, why there is no microphone. */
export function refused(error) {
  const why = {
    NotAllowedError: "The microphone was refused. Allow it beside the page’s address, or choose a WAV file.",
    NotFoundError: "There is no microphone here. Plug one in, or choose a WAV file.",
    NotReadableError: "The microphone is in use elsewhere. Close what uses it, or choose a WAV file.",
  };
  return why[error.name] ?? `The microphone does not answer (${error.name}). Choose a WAV file instead.`;
}
